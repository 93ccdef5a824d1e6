// Package trigger has a file for each trigger: what sets a gate off, where, and how it is said. What a new
// one must answer is in core/kinds.
//
//   - base.go: what most have in common
//   - the others: a kind each
package trigger
