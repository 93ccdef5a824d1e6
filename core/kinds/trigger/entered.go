package trigger

import "ambergate/core/project"

// Entered is set off when the screen is entered.
type Entered struct {
	project.WayHead
	onGate
}

// Validate accepts it as it is.
func (*Entered) Validate() error { return nil }

// Say says it.
func (*Entered) Say(*project.Element, string) string { return "the screen is entered" }

// Replaces says that going back does not end up here again.
func (*Entered) Replaces() {}
