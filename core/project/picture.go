package project

import (
	"fmt"
	"iter"
	"maps"
	"regexp"
	"slices"
)

// Picture is one that buttons and screens show. Its bytes are kept once, by their digest.
type Picture struct {
	Entity
	Kept
}

// Clip is a short film that screens play. Its bytes are kept as those of pictures are.
type Clip struct {
	Entity
	Kept
}

// Kept is what pictures and clips say of their bytes.
type Kept struct {
	Name   string `json:"name"`
	Words  string `json:"words,omitempty"` // what it shows, for who cannot see it
	Digest string `json:"digest"`          // SHA-256 of its bytes, in hexadecimal
}

// Shows says what it shows; its name, where nobody said.
func (k *Kept) Shows() string {
	if k.Words == "" {
		return k.Name
	}
	return k.Words
}

// AllKept gives all that a project shows and plays, each with its bytes elsewhere: pictures first, each in order of
// their ids.
func (p *Project) AllKept() iter.Seq2[string, *Kept] {
	return func(yield func(string, *Kept) bool) {
		for _, id := range slices.Sorted(maps.Keys(p.Pictures)) {
			if !yield("picture", &p.Pictures[id].Kept) {
				return
			}
		}
		for _, id := range slices.Sorted(maps.Keys(p.Clips)) {
			if !yield("clip", &p.Clips[id].Kept) {
				return
			}
		}
	}
}

var digestForm = regexp.MustCompile(`^[0-9a-f]{64}$`)

func (p *Picture) validate() error { return p.valid("picture") }

func (c *Clip) validate() error { return c.valid("clip") }

func (k *Kept) valid(kind string) error {
	if k.Name == "" || !digestForm.MatchString(k.Digest) {
		return fmt.Errorf("a %s needs a name and the digest of its bytes", kind)
	}
	return nil
}
