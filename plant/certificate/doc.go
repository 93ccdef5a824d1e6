// Package certificate makes and keeps the program's own certificate for plants, and shows those of others.
//
//   - certificate.go: made, kept in the folder of the program, told by a fingerprint
package certificate
