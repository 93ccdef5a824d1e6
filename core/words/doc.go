// Package words says what is wired: sentences of ways and rights in chunks that can be changed, and
// plates. The builder's view, findings, differences and walks all take their words from here.
//
//   - sentence.go, part.go: a way's sentence, and what its chips stand for
//   - kinds.go: what each kind says for itself
//   - triggers.go, values.go, moves.go, orders.go, arrive.go: its parts
//   - back.go: what happens when a dialog comes back
//   - called.go: titles for records that are written by their keys
//   - plate.go: the plate of a way, and the name of an element
//   - uses.go: where shared things are used
//   - rights.go: who may what
package words
