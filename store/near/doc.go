// Package near holds places of trails with what is next to them, and keeps those that were read or written last, for a
// server that knows of every write.
//
//   - near.go: a place with its neighbours, as the database has it
//   - kept.go: those that are kept, and how long they are believed
package near
