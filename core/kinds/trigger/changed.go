package trigger

import "ambergate/core/project"

// Changed is a field that got another value.
type Changed struct{ byNameOnly }

// Place gives where the field keeps the gate.
func (Changed) Place(string) string { return "changed" }

// Say says it.
func (Changed) Say(*project.Element, string) string { return "its value is changed" }
