// Package comes has checks of what comes by itself: call-ups, rounds, rests: a file each.
//
//   - the others: a check each
package comes
