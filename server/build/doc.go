// Package build answers what builders call, on drafts.
//
//   - side.go: one request of a builder
//   - build.go: the draft, and edits
//   - outside.go: what a draft's checks compare it with
//   - again.go: databases read again
//   - walks.go: walks in words, gone, and recorded
//   - reach.go, map.go: who gets where, proven; the map of all screens
//   - conditions.go, orders.go, offers.go: help while wiring
//   - rights.go, walked.go: rights, and walking as somebody
//   - list.go: the state of all applications that one builds
//   - later.go: screens proposed for a table
//   - equipment.go: equipment proposed of a plant, and its values now
//   - cells.go: what could be put into an empty cell
//   - callups.go: how it is with call-ups of a draft now
//   - tags.go: single values of a plant, and what they are now
//   - work.go, practise.go: a screen at work in the builder, and presses that are taken back
//   - pictures.go, svg.go: pictures of a project
//   - events.go: edits of others, and where they are
package build
