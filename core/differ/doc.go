// Package differ says what is different between two states of a project: between releases, between a release and the
// draft, before and after an edit. Each difference is of one thing, which is named, with what it was and what it is, in
// the words that the rest of the program has for it.
//
//   - change.go: a difference, and its sentence
//   - differ.go: finding them, entity by entity and thing by thing
//   - things.go: what is a thing in the document, and what its properties are called
//   - names.go: what a thing is called in one state
//   - values.go: values in words
//   - ways.go: gates, told as the sentences of their ways; walks, told as their steps
package differ
