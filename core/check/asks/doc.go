// Package asks has checks of what conditions ask: a file each.
//
//   - the others: a check each
package asks
