// Package callup decides when a condition of the plant calls a screen up: a state machine for each call-up and record,
// which knows no plant and no user.
//
//   - machine.go: unknown, off, on
package callup

import (
	"time"

	"ambergate/core/cond"
)

// Machine is one call-up of one record: unknown, off, or on. It is stepped with each value that its condition comes to.
type Machine struct {
	Dwell time.Duration // how long it has to be on before it comes to the front

	state state
	began time.Time
	front bool
}

type state int

const (
	unknown state = iota
	off
	on
)

// Event is what a step came to.
type Event int

// Nothing; an occurrence began; it comes to the front; it ended.
const (
	Nothing Event = iota
	Began
	Front
	Ended
)

// Step takes what the condition comes to at a moment. True when it is first known opens an occurrence; one that is not
// known for a while, and true again, is the same occurrence still: a bad value is not the end of what it tells of. What
// begins without having to wait comes to the front at once: two events.
func (m *Machine) Step(now time.Time, v cond.Value) []Event {
	var out []Event
	switch {
	case !v.Known():
		// Neither on nor off: what was said last stands.
	case v.True() && m.state != on:
		m.state, m.began, m.front = on, now, false
		out = append(out, Began)
	case !v.True() && m.state == on:
		m.state = off
		return []Event{Ended}
	case !v.True():
		m.state = off
	}
	if m.state == on && !m.front && v.Known() && !now.Before(m.began.Add(m.Dwell)) {
		m.front = true
		out = append(out, Front)
	}
	return out
}

// Resume goes on with an occurrence that was open before: nothing begins anew.
func (m *Machine) Resume(began time.Time, front bool) { m.state, m.began, m.front = on, began, front }

// Due says when it has to be stepped again although nothing changes.
func (m *Machine) Due() (at time.Time, waits bool) {
	return m.began.Add(m.Dwell), m.state == on && !m.front
}

// On says whether an occurrence is open, and whether it came to the front.
func (m *Machine) On() (open, front bool) { return m.state == on, m.state == on && m.front }
