package nav

import (
	"fmt"
	"strconv"

	"ambergate/core/project"
)

// swipe is a finger drawn over the screen.
type swipe struct {
	project.WayHead
	onGate
	Side string `json:"side"` // where the finger goes: left, right, up, down
}

// Validate asks for the direction.
func (spec *swipe) Validate() error {
	return project.OneOf("direction", spec.Side, "left", "right", "up", "down")
}

// Say says it.
func (*swipe) Say(e *project.Element, _ string) string {
	return "swiped " + project.WayOf(e).Spec.(*swipe).Side
}

// Draw tells the browser the direction.
func (spec *swipe) Draw(v *WayView) { v.Side = spec.Side }

// ByHand says that users set it off.
func (*swipe) ByHand() {}

// enteredWay is set off when the screen is entered.
type enteredWay struct {
	project.WayHead
	onGate
}

// Validate accepts it as it is.
func (*enteredWay) Validate() error { return nil }

// Say says it.
func (*enteredWay) Say(*project.Element, string) string { return "the screen is entered" }

// Replaces says that going back does not end up here again.
func (*enteredWay) Replaces() {}

// left is set off when the screen is left.
type left struct {
	project.WayHead
	onGate
}

// Validate refuses moves: where one goes was decided already.
func (spec *left) Validate() error {
	if spec.Gate == nil {
		return nil
	}
	for _, c := range spec.Gate.Cases {
		if c != nil && c.Move != nil {
			return fmt.Errorf("what is done when a screen is left cannot lead anywhere")
		}
	}
	return nil
}

// Say says it.
func (*left) Say(*project.Element, string) string { return "the screen is left" }

// later is set off some time after the screen was entered.
type later struct {
	project.WayHead
	onGate
	After float64 `json:"after"` // seconds
}

// Validate bounds the time.
func (spec *later) Validate() error {
	if spec.After < 1 || spec.After > 86400 {
		return fmt.Errorf("a time is 1 second to a day")
	}
	return nil
}

// Say says it.
func (*later) Say(e *project.Element, _ string) string {
	return "open for " + secondsWords(project.WayOf(e).Spec.(*later).After)
}

// Draw tells the browser the time.
func (spec *later) Draw(v *WayView) { v.After = spec.After }

func secondsWords(s float64) string {
	switch {
	case s == 60:
		return "a minute"
	case s >= 120 && s == float64(int(s/60))*60:
		return strconv.Itoa(int(s/60)) + " minutes"
	}
	return strconv.FormatFloat(s, 'f', -1, 64) + " seconds"
}

// keys is a shortcut of the screen.
type keys struct {
	project.WayHead
	onGate
	Keys string `json:"keys"` // as in Ctrl+E
}

// Validate asks for a key that can be pressed.
func (spec *keys) Validate() error {
	if spec.Keys == "" {
		return fmt.Errorf("it needs its keys")
	}
	return project.ValidKeys(spec.Keys)
}

// Say says it.
func (*keys) Say(e *project.Element, _ string) string {
	return project.WayOf(e).Spec.(*keys).Keys + " is pressed"
}

// Draw tells the browser the keys.
func (spec *keys) Draw(v *WayView) { v.Keys = spec.Keys }

// ByHand says that users set it off.
func (*keys) ByHand() {}
