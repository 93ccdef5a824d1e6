package ask

import (
	"fmt"
	"strings"

	"ambergate/core/cond"
)

// Refusal is a no, with a code that the documents list, what happened, and what to do.
type Refusal struct {
	Code string     `json:"code"`
	What string     `json:"what"`
	Then string     `json:"then,omitempty"`
	Part *cond.Part `json:"part,omitempty"` // the condition that refused

	Cause error `json:"-"` // what it was told by, for the log; nil for a decision of its own
}

// Error gives what happened and what to do.
func (r *Refusal) Error() string { return strings.TrimSpace(r.What + " " + r.Then) }

// Unwrap gives what it was told by.
func (r *Refusal) Unwrap() error { return r.Cause }

// Refuse makes a refusal of a code, what happened and what to do; "" where nothing can be done.
func Refuse(code, what, then string) *Refusal { return &Refusal{Code: code, What: what, Then: then} }

// FieldErrors says what is wrong with what was typed, by field id.
type FieldErrors struct {
	Fields map[string]string
	Cause  error // what they were told by, for the log; nil for a decision of its own
}

// Unwrap gives what they were told by.
func (e *FieldErrors) Unwrap() error { return e.Cause }

// Error names the fields.
func (e *FieldErrors) Error() string {
	return fmt.Sprintf("%d fields need another value", len(e.Fields))
}
