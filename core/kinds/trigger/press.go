package trigger

import "ambergate/core/project"

// Press is a finger or button going down on the element.
type Press struct{ onGate }

// Say says it.
func (Press) Say(*project.Element, string) string { return "pressed" }
