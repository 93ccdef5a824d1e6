// Package drawn keeps screens as they were drawn, so that the same is not drawn again: what a screen shows follows from
// its release, its place, the roles of who looks and the records that were read. That is asked anew each time; where all
// of it is as it was, what was written of the screen then is written again.
//
//   - screens.go: the screens that are kept
package drawn
