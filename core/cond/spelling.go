package cond

import (
	"maps"
	"slices"
	"strconv"
)

// Spelling is a text of all that was added to it, in order: what differs is spelt otherwise, always, where a Sum only
// hardly ever comes to the same. The zero value is ready.
type Spelling []byte

// Text adds a text, with its length before it: what comes after cannot be taken for a part of it.
func (s *Spelling) Text(text string) {
	*s = append(strconv.AppendInt(*s, int64(len(text)), 10), ':')
	*s = append(*s, text...)
}

// Is adds a yes or no.
func (s *Spelling) Is(is bool) {
	*s = strconv.AppendBool(*s, is)
	*s = append(*s, ' ')
}

// Number adds a whole number.
func (s *Spelling) Number(n int) {
	*s = strconv.AppendInt(*s, int64(n), 10)
	*s = append(*s, ' ')
}

// Texts adds texts by their names, in whatever order they come.
func (s *Spelling) Texts(of map[string]string) {
	s.Number(len(of))
	if len(of) < 2 {
		for name, text := range of {
			s.Text(name)
			s.Text(text)
		}
		return
	}
	for _, name := range slices.Sorted(maps.Keys(of)) {
		s.Text(name)
		s.Text(of[name])
	}
}
