// Package rule has a file for each kind of rule, by which an input of a target gets its value: its part of
// the document, what it gives, how it is said. What a new one must answer is in core/kinds.
//
//   - base.go: what most have in common
//   - the others: a kind each
package rule
