package cond

import (
	"hash/maphash"
	"math"
)

// Sum is a number of all that was added to it, in order: what differs comes to another, within one run of the program.
// The zero value is ready.
type Sum uint64

var sumSeed = maphash.MakeSeed()

// Add adds a number. (The finalizer of SplitMix64, Steele, Lea and Flood 2014, over what was there and what comes.)
func (s *Sum) Add(x uint64) {
	z := (uint64(*s) ^ x) + 0x9e3779b97f4a7c15
	z = (z ^ z>>30) * 0xbf58476d1ce4e5b9
	z = (z ^ z>>27) * 0x94d049bb133111eb
	*s = Sum(z ^ z>>31)
}

// Text adds a text.
func (s *Sum) Text(text string) { s.Add(maphash.String(sumSeed, text)) }

// Is adds a yes or no.
func (s *Sum) Is(is bool) {
	if is {
		s.Add(1)
	} else {
		s.Add(2)
	}
}

// Number adds a number with a fraction.
func (s *Sum) Number(x float64) { s.Add(math.Float64bits(x)) }

// Value adds all that a value is: its kind too, so that “1” and 1 differ.
func (s *Sum) Value(v Value) {
	s.Add(uint64(v.kind))
	s.Add(uint64(v.i))
	s.Is(v.fine)
	s.Text(v.s)
	if v.dec != nil {
		s.Text(v.dec.RatString())
	}
	for _, one := range v.items() {
		s.Value(one)
	}
	s.Add(uint64(len(v.items())))
}
