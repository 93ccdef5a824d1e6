// Package walk goes a walk of the document through an application, as its walker, and says where what is found there is
// not what was expected. It navigates as users do: places are opened and presses judged by the same core, and the trail
// turns by the same rules. It keeps nothing itself; who calls it gives it records that forget what was changed.
//
//   - run.go: going a walk, step by step
//   - show.go: the screen where a step is done, to be drawn
//   - do.go: what each sort of step does
//   - trail.go: where the walker stands, and has been
//   - wait.go: time that goes by, and what it sets off: times, rest, rounds, call-ups
//   - build.go: an application that is changed on the way, and what the checks find in it then
//   - named.go: finding the records that steps name
//   - claim.go: what is claimed, and what is found
//   - say.go: steps in words; record.go: steps that were recorded, with titles for keys
//   - plant.go: what the plant says meanwhile
package walk
