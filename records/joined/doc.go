// Package joined asks once what several ask for at the same moment: many who look at one board, when a shift begins,
// read the same lists. No answer is kept: it is as new as if each had asked alone.
//
//   - joined.go: those who wait for the same answer
package joined
