// Package element has a file for each kind of element: its part of the document, what it compiles to, what
// it is called, what it fetches and shows. What a new one must answer is in core/kinds.
//
//   - list_view.go, list_export.go: the rows of a list as they are shown; all of it as a file
//   - chart_measures.go, chart_parts.go: what its points tell; what each is divided by
//   - faces.go: how buttons, images, rows and symbols look while a condition holds
//   - the others: a kind each
package element
