package trigger

import (
	"fmt"
	"strconv"

	"ambergate/core/project"
	"ambergate/core/use"
)

// Time is set off some time after the screen was entered.
type Time struct {
	project.WayHead
	onGate
	After float64 `json:"after"` // seconds
}

// Validate bounds the time.
func (spec *Time) Validate() error {
	if spec.After < 1 || spec.After > 86400 {
		return fmt.Errorf("a time is 1 second to a day")
	}
	return nil
}

// Say says it.
func (*Time) Say(e *project.Element, _ string) string {
	return "open for " + secondsWords(project.WayOf(e).Spec.(*Time).After)
}

// Draw tells the browser the time.
func (spec *Time) Draw(v *use.WayView) { v.After = spec.After }

func secondsWords(s float64) string {
	switch {
	case s == 60:
		return "a minute"
	case s >= 120 && s == float64(int(s/60))*60:
		return strconv.Itoa(int(s/60)) + " minutes"
	}
	return strconv.FormatFloat(s, 'f', -1, 64) + " seconds"
}
