// Package whole tells of a project as a whole what core/check proves of it: who gets where, by which path, and what it
// looks like as a map. It is the same value for the builder's pages, the command line and the API.
//
//   - table.go: who gets where, screen by screen, and what is different from another time
//   - told.go: what is different from another time, as sentences
//   - path.go: one cell of it: the path there and the way back; every path between two screens
//   - shut.go: ways that are proven shut to some
//   - expect.go: what is expected, and whether it is so
//   - map.go: the map: its plates, their columns, its wires
//   - ways.go: the ways of one wire, as sentences
//   - arrange.go: where plates stand, and where wires go
//   - svg.go, scxml.go, csv.go: the map as a picture and as a state machine, the table as lines
package whole
