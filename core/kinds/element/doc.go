// Package element has a file for each kind of element: its part of the document, what it compiles to, what
// it is called, what it fetches and shows. What a new one must answer is in core/kinds.
//
//   - button.go, text.go, image.go: what stands on screens and rails
//   - field.go, field_picture.go: a field of the screen's record
//   - list.go, list_view.go, list_export.go: a list, its rows, all of it as a file
//   - chart.go, figure.go: records counted
//   - gauge.go, lamp.go, trend.go: tags
//   - tabs.go: parts of a screen of which one shows
//   - face.go: what buttons and images have in common
package element
