package trigger

import "ambergate/core/project"

// Release is a press that is let go on the element.
type Release struct{ onGate }

// Say says it.
func (Release) Say(e *project.Element, _ string) string {
	if p, ok := e.Spec.(interface{ Pressed() string }); ok {
		return p.Pressed()
	}
	return "released"
}
