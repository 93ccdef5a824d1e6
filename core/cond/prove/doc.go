// Package prove finds out what holds of a condition whatever the values: by sets of values, where each
// comparison is the set that it is true for.
//
//   - ranges.go: whether a condition can hold, and can fail
//   - turn.go: the fewest comparisons that would have to change
//   - atoms.go: a comparison as a set
//   - set.go: sets of values
package prove
