// Package release answers what builders ask about releases and about what was changed.
//
//   - side.go: what it answers by
//   - releases.go, ready.go: releases, and what stands in the way of one
//   - differences.go: what is different between releases, and who made it
//   - history.go, then.go: who changed what; a screen as it was
package release
