package main

import "testing"

// The list of breaks fits the source as it is: each is found, once, where it says.
func TestEachBreakFitsTheSource(t *testing.T) {
	seen := map[string]bool{}
	for _, b := range breaks {
		if err := b.fits("../.."); err != nil {
			t.Error(err)
		}
		if seen[b.promise] {
			t.Errorf("%s: twice", b.promise)
		}
		seen[b.promise] = true
	}
	if len(breaks) < 30 {
		t.Errorf("%d breaks", len(breaks))
	}
}
