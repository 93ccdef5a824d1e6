// Package sim is the simulated plant of the demo: an OPC UA server on loopback with a small
// physical model of each lift. It stands in for a controller; it is not one.
//
//   - sim.go: the server, and writes to it
//   - tree.go: what is browsed: folders, units, ranges
//   - model.go: the drive of a lift and the wind at its towers
package sim
