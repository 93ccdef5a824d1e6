// Package called watches what calls screens up: conditions of the plant, for as long as the program runs, whether
// anybody looks or not.
//
//   - engine.go: the call-ups of one release: their records, what their conditions come to, what is kept of it
//   - followed.go: live values, one change after the other
//   - now.go: how it is with those of an application that is being built
//   - hub.go: an engine for each released project; who wants to be told
package called
