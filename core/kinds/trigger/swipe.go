package trigger

import (
	"ambergate/core/project"
	"ambergate/core/use"
)

// Swipe is a finger drawn over the screen.
type Swipe struct {
	project.WayHead
	onGate
	Side string `json:"side" jsonschema:"enum=left,enum=right,enum=up,enum=down"` // where the finger goes: left, right, up, down
}

// Validate asks for the direction.
func (spec *Swipe) Validate() error {
	return project.OneOf("direction", spec.Side, "left", "right", "up", "down")
}

// Say says it.
func (*Swipe) Say(e *project.Element, _ string) string {
	return "swiped " + project.WayOf(e).Spec.(*Swipe).Side
}

// Draw tells the browser the direction.
func (spec *Swipe) Draw(v *use.WayView) { v.Side = spec.Side }

// ByHand says that users set it off.
func (*Swipe) ByHand() {}
