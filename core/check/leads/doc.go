// Package leads has checks of where ways lead, on which record, and what they do there: a file each.
//
//   - the others: a check each
package leads
