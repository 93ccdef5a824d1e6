// Package use is a screen open for a user at a place: everything it shows, and which of its ways are
// open.
//
//   - open.go: opening, refusing, fetching
//   - judge.go: the state of a way, in the order of judging
//   - view.go, element.go, menu.go, rails.go: what is shown
//   - kinds.go, binding.go: what each kind of element, effect, move and rule does for it
//   - world.go, given.go, vars.go: the values that conditions and bindings see
//   - aim.go: the place that a way leads to
//   - list.go, match.go, points.go, chosen.go, children.go: lists, their rows, what is chosen
//   - task.go: guided tasks, which of their steps are part of them, and those that were begun and not finished
//   - steps.go: neighbours in the list that one came from
//   - entered.go: what a user typed, and what a new record begins with
//   - spot.go, titles.go: where a screen begins, and how records are called
//   - limits.go: what is outside the limits that tags say
//   - display.go: what an unattended display is not asked to do
package use
