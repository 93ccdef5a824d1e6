// Package local writes numbers and dates as a language does.
//
//   - local.go: languages, and what each writes
package local
