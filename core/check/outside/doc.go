// Package outside has checks of what a project names and stands outside it: a file each.
//
//   - the others: a check each
package outside
