// Package hashing checks passwords against their digests (argon2id, RFC 9106), a few at once, since each check takes the
// memory of its cost.
package hashing

import (
	"context"
	"crypto/rand"
	"crypto/subtle"
	"encoding/base64"
	"encoding/hex"
	"errors"
	"fmt"
	"runtime"
	"strings"
	"sync/atomic"
	"time"

	"golang.org/x/crypto/argon2"
)

// Cost is how hard a password is to guess for who has read its digest (argon2id, RFC 9106).
type Cost struct {
	Time    uint32 // passes
	Memory  uint32 // KiB
	Threads uint8
}

// The costs to choose from: what RFC 9106 recommends second, and one for accounts whose passwords everybody knows.
var (
	Usual = Cost{Time: 3, Memory: 64 * 1024, Threads: 4}
	Light = Cost{Time: 1, Memory: 8 * 1024, Threads: 1}
)

// ErrBusy means that as many passwords are being checked as may be at once.
var ErrBusy = errors.New("too many are signing in at once")

// How many passwords are checked at once, and how many wait for that and how long: each takes the memory
// of its cost. Browsers that are known have a place of their own, whatever strangers do.
const (
	checkedAtOnce = 1
	mayWait       = 400
	waitsFor      = 5 * time.Second
	knownWaitsFor = 7 * time.Second
)

// muchMemory is from where on what a check takes is not left to the usual course of things, in KiB.
const muchMemory = 32 * 1024

// Hasher checks passwords, a few at once.
type Hasher struct {
	cost      Cost
	strangers chan struct{}
	known     chan struct{}
	waiting   atomic.Int64
}

// New makes one that digests at a cost.
func New(cost Cost) *Hasher {
	return &Hasher{cost: cost, strangers: make(chan struct{}, checkedAtOnce), known: make(chan struct{}, 1)}
}

// Enter waits for a place to check a password in; ErrBusy where there is none in time.
func (h *Hasher) Enter(ctx context.Context, known bool) (leave func(), err error) {
	places, most := h.strangers, waitsFor
	if known {
		places, most = h.known, knownWaitsFor
	}
	if n := h.waiting.Add(1); !known && n > mayWait {
		h.waiting.Add(-1)
		return nil, ErrBusy
	}
	defer h.waiting.Add(-1)
	timer := time.NewTimer(most)
	defer timer.Stop()
	select {
	case places <- struct{}{}:
		return func() {
			if h.cost.Memory >= muchMemory {
				runtime.GC() // what a check took is given back at once
			}
			<-places
		}, nil
	case <-timer.C:
		return nil, ErrBusy
	case <-ctx.Done():
		return nil, ctx.Err()
	}
}

// Hash gives a password's digest with its cost and salt, in the usual form of such strings.
func (h *Hasher) Hash(password string) (string, error) {
	salt := make([]byte, 16)
	if _, err := rand.Read(salt); err != nil {
		return "", fmt.Errorf("make a salt: %w", err)
	}
	return h.cost.write(salt, h.cost.key(password, salt)), nil
}

func (c Cost) key(password string, salt []byte) []byte {
	return argon2.IDKey([]byte(password), salt, c.Time, c.Memory, c.Threads, 32)
}

func (c Cost) write(salt, key []byte) string {
	text := base64.RawStdEncoding
	return fmt.Sprintf("$argon2id$v=%d$m=%d,t=%d,p=%d$%s$%s", argon2.Version, c.Memory, c.Time, c.Threads, text.EncodeToString(salt), text.EncodeToString(key))
}

// before is how passwords were digested before their cost was written beside them.
var before = Cost{Time: 1, Memory: 19 * 1024, Threads: 1}

// readHash reads what write wrote, and what was kept before it was.
func readHash(hash string) (c Cost, salt, key []byte, ok bool) {
	if saltText, keyText, old := strings.Cut(hash, "$"); old && saltText != "" {
		salt, err := hex.DecodeString(saltText)
		key, keyErr := hex.DecodeString(keyText)
		return before, salt, key, err == nil && keyErr == nil
	}
	parts := strings.Split(hash, "$")
	if len(parts) != 6 || parts[1] != "argon2id" {
		return Cost{}, nil, nil, false
	}
	if n, err := fmt.Sscanf(parts[3], "m=%d,t=%d,p=%d", &c.Memory, &c.Time, &c.Threads); n != 3 || err != nil || c.Time == 0 || c.Threads == 0 {
		return Cost{}, nil, nil, false
	}
	salt, err := base64.RawStdEncoding.DecodeString(parts[4])
	key, keyErr := base64.RawStdEncoding.DecodeString(parts[5])
	return c, salt, key, err == nil && keyErr == nil
}

// Check says whether a password is the one of a digest, and whether that should be made anew at a higher cost.
// Without a digest it takes as long, and says no.
func (h *Hasher) Check(hash, password string) (right, raise bool) {
	c, salt, want, ok := readHash(hash)
	if !ok {
		h.cost.key(password, make([]byte, 16))
		return false, false
	}
	right = subtle.ConstantTimeCompare(c.key(password, salt), want) == 1
	return right, right && c.Time*c.Memory < h.cost.Time*h.cost.Memory
}
