package rule

import (
	"ambergate/core/ask"
	"ambergate/core/cond"
	"ambergate/core/english"
	"ambergate/core/plan"
	"ambergate/core/project"
	"ambergate/core/use"
	"ambergate/core/words"
)

// Input passes on what the screen, or the shared gate, was given.
type Input struct {
	project.BindingHead
	base
	Value string `json:"value,omitempty"` // input
}

// PassesOn gives the input that it passes on.
func (spec *Input) PassesOn() string { return spec.Value }

// Give gives its value.
func (spec *Input) Give(x *use.Binding) cond.Value {
	v, ok := x.World.Inputs[spec.Value]
	if !ok {
		return cond.UnknownBecause("the input is gone")
	}
	return v
}

// Row gives its record.
func (spec *Input) Row(x *use.Binding, _, _ string) *ask.Row { return x.World.InputRows[spec.Value] }

// Via reads it with the record that was given.
func (spec *Input) Via(b *plan.Planner) plan.Via {
	return plan.Via{Set: b.Plan.InputPaths[spec.Value], Root: "inputs", Segs: []string{spec.Value}}
}

// Say says it: “the cabin given”.
func (spec *Input) Say(w *words.Writer, _ *project.Input) string {
	if in := w.Inputs()[spec.Value]; in != nil {
		return "the " + english.Lower(in.Label) + " given"
	}
	return "an input that is gone"
}

// Finds gives the table of the input.
func (spec *Input) Finds(s plan.Scene, _ *cond.Expr) (string, bool) {
	if in := s.Inputs()[spec.Value]; in != nil {
		return in.Table, true
	}
	return "", true
}

// MayBeNone says whether the input may be missing.
func (spec *Input) MayBeNone(s plan.Scene, _ *cond.Expr) bool {
	in := s.Inputs()[spec.Value]
	return in != nil && !in.Required
}
