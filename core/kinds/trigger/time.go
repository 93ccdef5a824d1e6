package trigger

import (
	"fmt"
	"strconv"

	"ambergate/core/project"
	"ambergate/core/use"
)

// Time is set off when the screen has been open for some time, or nobody has touched it for that long.
type Time struct {
	project.WayHead
	onGate
	After float64 `json:"after"`                                                // seconds
	Since string  `json:"since,omitempty" jsonschema:"enum=arrival,enum=touch"` // what it is counted from: arrival (default), the last touch
}

// Validate bounds the time.
func (spec *Time) Validate() error {
	if spec.After < 1 || spec.After > 86400 {
		return fmt.Errorf("a time is 1 second to a day")
	}
	return project.OneOf("begin of a time", spec.Since, "", "arrival", "touch")
}

// Say says it.
func (*Time) Say(e *project.Element, _ string) string {
	spec := project.WayOf(e).Spec.(*Time)
	if spec.Since == "touch" {
		return "nobody has touched the screen for " + secondsWords(spec.After)
	}
	return "the screen has been open for " + secondsWords(spec.After)
}

// Draw tells the browser the time, and what it is counted from.
func (spec *Time) Draw(v *use.WayView) { v.After, v.Since = spec.After, spec.Since }

func secondsWords(s float64) string {
	switch {
	case s == 60:
		return "a minute"
	case s >= 120 && s == float64(int(s/60))*60:
		return strconv.Itoa(int(s/60)) + " minutes"
	}
	return strconv.FormatFloat(s, 'f', -1, 64) + " seconds"
}
