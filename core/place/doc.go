// Package place is where a user is: a screen, its inputs, what lies over it, how it is looked at; and
// the address that says so.
//
//   - place.go: a place, the dialog or drawer over it, how its lists are looked at
//   - address.go: a place as an address, and an address as a place
//   - check.go: whether a place can be
//   - several.go: inputs that hold several values
//   - limits.go: what a place may ask for at the most
//   - filter.go: filters of a list, in values and in words
//   - spell.go: a place as a text that no other place has
//   - spot.go: the part of a screen that one is led to
package place
