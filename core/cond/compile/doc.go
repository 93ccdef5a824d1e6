// Package compile reads conditions, expressions and templates from texts in CEL, and writes them back
// over ids or over names. It alone knows the CEL library.
//
//   - compile.go: from a text to a tree
//   - build.go, opaque.go: from the library's syntax tree to the own one; what is left to the library
//   - named.go: shared conditions in the place of their names
//   - text.go: a text over ids and over names
//   - template.go: words with expressions in them
//   - syntax.go, spot.go: what is wrong with a text, and where
//   - complete.go: what could stand at a place of a text
//   - nulls.go: equalities that hold where both sides are empty
package compile
