// Package effect has a file for each kind of effect: its part of the document, what it compiles to, how it
// is said, when it is shut, what it does. What a new one must answer is in core/kinds.
//
//   - the others: a kind each
package effect
