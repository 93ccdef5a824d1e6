package base

import (
	"crypto/rand"
	"encoding/hex"
)

// NewID makes an id of 24 hexadecimal digits.
func NewID() string {
	b := make([]byte, 12)
	if _, err := rand.Read(b); err != nil {
		panic("no randomness: " + err.Error()) // the system cannot make any id then
	}
	return hex.EncodeToString(b)
}
