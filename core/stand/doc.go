// Package stand is a small ropeway with records and tags in memory: what the tests of the core run on.
//
//   - ropeway.go: the project
//   - stand.go, records.go: its plant and users; its records
//   - fixtures.go, wired.go: changes to it that several tests make
//   - random.go: projects at random
//   - press.go: a press on it
package stand
