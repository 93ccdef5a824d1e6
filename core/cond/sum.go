package cond

import (
	"hash/maphash"
	"math"
)

// Sum adds all that a value is to a hash: its kind too, so that “1” and 1 differ.
func (v Value) Sum(h *maphash.Hash) {
	var head [17]byte
	head[0] = byte(v.kind)
	put(head[1:], uint64(v.i))
	put(head[9:], math.Float64bits(v.f))
	h.Write(head[:])
	SumText(h, v.s)
	if v.dec != nil {
		SumText(h, v.dec.RatString())
	}
	SumCount(h, len(v.list))
	for _, one := range v.list {
		one.Sum(h)
	}
}

// SumText adds a text to a hash, and where it ends.
func SumText(h *maphash.Hash, text string) {
	SumCount(h, len(text))
	h.WriteString(text)
}

// SumCount adds how many follow.
func SumCount(h *maphash.Hash, n int) {
	var b [8]byte
	put(b[:], uint64(n))
	h.Write(b[:])
}

func put(b []byte, x uint64) {
	for i := range 8 {
		b[i] = byte(x >> (8 * i))
	}
}
