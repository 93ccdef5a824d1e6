package trigger

import (
	"fmt"

	"ambergate/core/project"
)

// Left is set off when the screen is left.
type Left struct {
	project.WayHead
	onGate
}

// Validate refuses moves: where one goes was decided already.
func (spec *Left) Validate() error {
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
func (*Left) Say(*project.Element, string) string { return "the screen is left" }
