package project

import "fmt"

// Add makes a record of a table without a form.
type Add struct {
	Table  string            `json:"table"`
	Fields map[string]string `json:"fields,omitempty"` // field id → expression
}

// Validate asks for the table.
func (a *Add) Validate() error {
	if a.Table == "" {
		return fmt.Errorf("it needs the table that gets a record")
	}
	return nil
}
