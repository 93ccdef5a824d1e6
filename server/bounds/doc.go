// Package bounds keeps what one person, one request and the program as a whole may take.
//
//   - limits.go: how much of each, as it is configured
//   - shares.go, rates.go: how much one person may have under way, and do in a minute
package bounds
