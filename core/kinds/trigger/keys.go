package trigger

import (
	"fmt"

	"ambergate/core/project"
	"ambergate/core/use"
)

// Keys is a shortcut of the screen.
type Keys struct {
	project.WayHead
	onGate
	Keys string `json:"keys"` // as in Ctrl+E
}

// Validate asks for a key that can be pressed.
func (spec *Keys) Validate() error {
	if spec.Keys == "" {
		return fmt.Errorf("it needs its keys")
	}
	return project.ValidKeys(spec.Keys)
}

// Say says it.
func (*Keys) Say(e *project.Element, _ string) string {
	return project.WayOf(e).Spec.(*Keys).Keys + " is pressed"
}

// Draw tells the browser the keys.
func (spec *Keys) Draw(v *use.WayView) { v.Keys = spec.Keys }

// ByHand says that users set it off.
func (*Keys) ByHand() {}
