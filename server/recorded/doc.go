// Package recorded keeps what trends show, whether anybody looks or not: in memory for whoever opens one, and in the
// store for the next start.
//
//   - keeper.go: what the released applications show over time; watching, reading back and keeping it
package recorded
