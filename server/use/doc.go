// Package use answers what users call, in released projects.
//
//   - side.go, visit.go: one request of a user, up to the place on the trail
//   - open.go, along.go, layers.go: opening a place, going along the trail, what lies over a place
//   - display.go: unattended displays, and rounds of screens
//   - used.go: how often ways are pressed, and what came of it
//   - press.go, target.go: a press, from its claim to the place that it leads to
//   - callups.go: screens that the plant calls up
//   - holds.go: buttons that act as long as they are held
//   - comes_back.go, vars.go, tokens.go, commands.go: dialogs that come back, variables, questions, the plant
//   - arrange.go, looks.go, list_views.go, csv.go: how lists are looked at, kept and exported
//   - drafts.go: what was typed and not saved
//   - events.go, groups.go: live values; places that look the same, worked out once
//   - images.go: pictures that records hold
//   - my_rights.go: what one may
package use
