// Package gets has checks of who gets where, and away again: a file each.
//
//   - the others: a check each
package gets
