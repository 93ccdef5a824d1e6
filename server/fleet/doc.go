// Package fleet lets several servers run over one store: fleet.go says which of them leads, peers.go how one reaches
// another, pass.go how a request is passed on to the one that leads, values.go how the others hear of live values from it.
//
// One server leads: it talks to the plants, watches what they call up, and holds what is held. It leads for 1.6 s
// from its last word to the store, and counts itself out sooner by its own clock; its number, higher each time, fences
// what it writes to the store. The others show the values that it tells them, and pass on to it what only it can do.
package fleet
