// Package looks has checks of what stands where, and what it says: a file each.
//
//   - the others: a check each
package looks
