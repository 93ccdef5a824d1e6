// Package move has a file for each kind of move: its part of the document, what it compiles to, the place
// that it aims at, how it is said. What a new one must answer is in core/kinds.
//
//   - screen.go, choice.go: to a screen, or one of several
//   - step.go, along.go: along a list, along a rail
//   - trail.go, up.go, close.go: back, forward, home, out, up; closing a dialog
//   - address.go, project.go: out of the project
package move
