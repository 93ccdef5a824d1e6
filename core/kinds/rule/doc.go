// Package rule has a file for each kind of rule, by which an input of a target gets its value: its part of
// the document, what it gives, how it is said. What a new one must answer is in core/kinds.
//
//   - base.go: what most have in common
//   - this.go, row.go, point.go, picked.go, saved.go, input.go, result.go, user.go: a record at hand
//   - parent.go, child.go, step.go: one that is found from it
//   - value.go, expression.go: a value
package rule
