package use

import (
	"ambergate/core/ask"
	"ambergate/core/cond"
	"ambergate/core/plan"
)

// Deleter is answered by effects that delete a record, which is asked about before.
type Deleter interface{ Deletes(o *Opening) *ask.Row }

// Deletes gives the record that a case deletes, so that it can be asked about; nil if none.
func (o *Opening) Deletes(c *plan.Case) *ask.Row {
	for _, e := range c.Effects {
		if d, ok := e.Spec.(Deleter); ok {
			return d.Deletes(o)
		}
	}
	return nil
}

// NothingToFetch is part of kinds that show only the screen's own record and live values.
type NothingToFetch struct{}

// Ask asks for nothing.
func (NothingToFetch) Ask(*ask.Round, *Opening, *plan.Element) error { return nil }

// AlwaysOpen is part of effects that need no right to a record.
type AlwaysOpen struct{}

// Shut says that it is not.
func (AlwaysOpen) Shut(*Opening, *plan.Effect, *ask.Row) (Verdict, bool) { return Verdict{}, false }

// What the users' side asks of each kind.

// ElementKind is what is asked of a kind of element.
type ElementKind interface {
	// Ask asks for what it shows beyond the screen's own record.
	Ask(round *ask.Round, o *Opening, e *plan.Element) error
	// View draws it.
	View(o *Opening, e *plan.Element, into *ElementView)
	// NewView gives an empty view of it, to be read into.
	NewView() any
}

// EffectKind is what is asked of a kind of effect before it is done.
type EffectKind interface {
	// Shut says why the user may not do it here, if so; row is one of several that it is done with, or nil.
	Shut(o *Opening, e *plan.Effect, row *ask.Row) (Verdict, bool)
}

// TurningEffect is answered by effects that turn a yes or no the other way: a button with one shows how it is.
type TurningEffect interface {
	// Turned gives what is turned, as it is now; false where this one turns nothing.
	Turned(o *Opening, e *plan.Effect) (ask.Reading, bool)
}

// ChoosingEffect is answered by effects that write one of several values: a button with one shows them all.
type ChoosingEffect interface {
	// Choices gives the values, and what is in force now; none where this one lets nobody choose.
	Choices(o *Opening, e *plan.Effect) ([]ValueChoice, ask.Reading)
}

// ValueChoice is one of several values that can be written.
type ValueChoice struct {
	ID    string `json:"id"`
	Words string `json:"words"`
	On    bool   `json:"on,omitempty"` // it is in force
}

// OnOrOff says how something is that can be turned on and off: on, off, unknown.
func OnOrOff(v cond.Value) string {
	switch {
	case !v.Known():
		return "unknown"
	case v.True():
		return "on"
	}
	return "off"
}

// StayingMove is answered by moves that may not leave what was typed: then nobody is asked about it.
type StayingMove interface{ Stays() bool }

// MoveKind is what is asked of a kind of move.
type MoveKind interface {
	// Aim works out where it leads now, or closes the way with the reason.
	Aim(o *Opening, v *Verdict, m *plan.Move, w *World, at Aim)
	// Now says what it does: “goes back”.
	Now(v Verdict) string
}

// DrawnWay is answered by triggers of ways of which browsers must know more than their name.
type DrawnWay interface{ Draw(v *WayView) }

// Sampled is answered by elements that show live values over time.
type Sampled interface {
	// Samples gives the live values, by line.
	Samples(o *Opening, e *plan.Element) map[string]ask.TagRef
}

// SampledTrigger is answered by triggers that are set off on something of which the first stands
// for whichever it is, where nothing is pressed.
type SampledTrigger interface {
	Sample(o *Opening, e *plan.Element) Aim
}

// TrendRefs gives the live values behind an element that shows them over time, by line.
func (o *Opening) TrendRefs(element string) map[string]ask.TagRef {
	for _, e := range o.Plan.Elements {
		if s, ok := e.Spec.(Sampled); ok && e.ID == element {
			return s.Samples(o, e)
		}
	}
	return map[string]ask.TagRef{}
}

// elementKind gives an element as what is asked of it. (As plan.KindOf does, which takes longer: screens have hundreds.)
func elementKind(e *plan.Element) ElementKind {
	if kind, is := e.Spec.(ElementKind); is {
		return kind
	}
	return plan.KindOf[ElementKind](e.Spec)
}

// moveKind gives a move as what is asked of it.
func moveKind(m *plan.Move) MoveKind {
	if kind, is := m.Spec.(MoveKind); is {
		return kind
	}
	return plan.KindOf[MoveKind](m.Spec)
}
