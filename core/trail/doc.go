// Package trail is where somebody has been in an application, place by place, and how what they do changes that. It keeps
// nothing: the server does, in its store, and a walk that is gone again does, in itself.
//
//   - turn.go: what a press makes of the trail
//   - list.go: the list that a record is stepped along
package trail
