// Package build is what builders are told beyond the document: the ways out of a screen and into it, what
// could be bound, and why a way is open or closed to a user.
//
//   - ways.go: ways out and in
//   - called.go: the same with the titles of records
//   - now.go: what a way does right now
//   - propose.go: what an input could get
//   - names.go: names that texts may use
//   - orders.go: orders that lists are read in
//   - rights.go: the tables of rights
//   - why.go: why a way is open or closed to a user
//   - why_entry.go, why_leads.go, why_turns.go: entry, where it leads, and what would have to change
package build
