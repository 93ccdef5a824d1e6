package project

import (
	"fmt"
	"regexp"
)

// Picture is one that buttons and screens show. Its bytes are kept once, by their digest.
type Picture struct {
	Entity
	Name   string `json:"name"`
	Words  string `json:"words,omitempty"` // what it shows, for who cannot see it
	Digest string `json:"digest"`          // SHA-256 of its bytes, in hexadecimal
}

var digestForm = regexp.MustCompile(`^[0-9a-f]{64}$`)

func (p *Picture) validate() error {
	if p.Name == "" || !digestForm.MatchString(p.Digest) {
		return fmt.Errorf("a picture needs a name and the digest of its bytes")
	}
	return nil
}
