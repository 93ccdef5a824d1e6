// Package records reads and changes the application's own tables in PostgreSQL: one statement per query,
// parents by left joins, changes only within a press.
//
//   - source.go: a database
//   - statement.go, rule.go, match.go, order.go: the parts of a statement; row rules are in rule.go
//   - fetch.go, round.go, count.go, group.go, each.go, picture.go: what is read
//   - join.go: what several ask for at the same moment is asked once
//   - press.go, rehearsal.go: what a press changes, and its claim; changes that are given up
//   - age.go: what is forgotten by age
//   - only_read.go: whether anything can be changed at all
//   - replica.go: reading from a streaming replica that is recent enough
//   - hanging.go: what hangs on a record
//   - value.go: values as the driver writes them
//   - errors.go: what the database refuses, in words
//   - served.go, missing.go: what builders are told of a database
//   - catalogue.go: its structure, read whole; trial.go: whether it can be used, in words
package records
