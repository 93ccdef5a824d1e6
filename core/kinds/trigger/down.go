package trigger

import "ambergate/core/project"

// Down is a finger or key going down on a button whose letting go is a way of its own.
type Down struct{ byNameOnly }

// Place gives where the button keeps the gate.
func (Down) Place(string) string { return "down" }

// Say says it.
func (Down) Say(*project.Element, string) string { return "pressed down" }
