// Package base is what both sides of the server stand on.
//
//   - base.go: what it works with
//   - apps.go, drafts.go, others.go: compiled projects and their drafts; other projects
//   - earlier.go: a draft as it was some edits ago
//   - sessions.go: who asks
//   - connections.go: what applications are connected to, of the configuration and added in the program
//   - plants.go, listen.go, trend.go: what is kept of a plant
//   - walks.go: walks gone through an application
//   - sources.go, titles.go: records and tags of a project, from wherever each comes
//   - pressed.go: presses as the API writes them
//   - stream.go, watchers.go: server-sent events
//   - presence.go: which builders are where
//   - log.go: who did what
//   - ids.go: new ids
//   - cookies.go, seen.go: the cookies; how far a database was when somebody changed something in it
//   - hints.go: what other servers change
//   - pass.go: what the server that leads does for this one
//   - changes.go: how many presses changed records
package base
