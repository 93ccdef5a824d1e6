// Package reach proves who can get where in a project, and back, whatever the records, variables and live values are.
//
// A world is all records, live values and variables, every one of them known, and what it holds stays the same during a
// walk. Never means that no world has a path of ways, even if each of them were open in another one. Sure means that
// every world has one; sure given something, that every world does in which that is there: rows of a list, a parent.
// The rest is maybe, with the conditions that are left.
//
//   - edge.go: what can lead from one screen to another: a way, a call-up, the next of a round
//   - collect.go: the edges of a screen
//   - bring.go: what an edge brings, and what has to be there for it
//   - rewrite.go: the guard of a target in the names of the screen that one comes from
//   - seen.go: what a set of roles may see, and do, with a table
//   - proofs.go: what is proven of conditions, kept
//   - adapt.go: a condition as it is for a set of roles
//   - holds.go: whether an edge is open for a set of roles: never, maybe, surely
//   - state.go: a screen as one stands on it
//   - graph.go: all edges of a project; those of a screen that did not change are found again
//   - again.go: what an edit did not change is not found out again; mended.go: also where ways lead elsewhere by now
//   - walk.go, waiting.go: what a set of roles reaches, in how many presses; what is still to be looked at
//   - exits.go: from where one gets back to the start, and where one is trapped
//   - path.go: the shortest path, and every path between two screens
package reach
