// Package effect has a file for each kind of effect: its part of the document, what it compiles to, how it
// is said, when it is shut, what it does. What a new one must answer is in core/kinds.
//
//   - add.go, add_row.go, save.go, set.go, delete.go: to records
//   - write.go: to the plant
//   - filter.go, clear.go, sort.go, find.go, tab.go, drawer.go: to what one looks at
//   - variable.go: to what a tab keeps
//   - refresh.go, export.go, print.go: what the browser does
package effect
