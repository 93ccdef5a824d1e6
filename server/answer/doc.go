// Package answer is how calls are answered: bodies in, values out, errors as problem details (RFC 9457).
//
//   - handle.go: reading a body, answering a call
//   - problem.go: errors in words, with their codes
//   - optional.go: what may be left out
//   - body.go: the body of a request
//   - views.go: screens, whose elements are written once
package answer
