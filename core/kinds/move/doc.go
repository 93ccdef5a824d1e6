// Package move has a file for each kind of move: its part of the document, what it compiles to, the place
// that it aims at, how it is said. What a new one must answer is in core/kinds.
//
//   - the others: a kind each
package move
