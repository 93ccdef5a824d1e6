package trigger

import "ambergate/core/project"

// Ended is a clip that was played to its end.
type Ended struct{ byNameOnly }

// Place gives where the clip keeps the gate.
func (Ended) Place(string) string { return "ended" }

// Say says it.
func (Ended) Say(*project.Element, string) string { return "it was played to its end" }
