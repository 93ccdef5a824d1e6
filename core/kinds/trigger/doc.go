// Package trigger has a file for each trigger: what sets a gate off, where, and how it is said. What a new
// one must answer is in core/kinds.
//
//   - base.go: what most have in common
//   - press.go, release.go: of buttons and the like
//   - row.go, menu.go, several.go, keep_row.go, point.go: of lists and charts
//   - changed.go: of fields
//   - entered.go, left.go, time.go, keys.go, swipe.go: of the screen itself
package trigger
