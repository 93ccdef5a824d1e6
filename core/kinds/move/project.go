package move

import (
	"fmt"

	"ambergate/core/english"
	"ambergate/core/place"
	"ambergate/core/plan"
	"ambergate/core/project"
	"ambergate/core/use"
	"ambergate/core/words"
)

// Project opens a screen that another project offers.
type Project struct {
	project.MoveHead
	Project string            `json:"project"`        // slug
	Entry   string            `json:"entry"`          // slug of the screen
	With    map[string]string `json:"with,omitempty"` // input → expression
}

// Validate asks for both.
func (spec *Project) Validate() error {
	if spec.Project == "" || spec.Entry == "" {
		return fmt.Errorf("a screen of another application needs that and one of the screens it offers")
	}
	return nil
}

// LeadsOut gives the project, its screen and the texts that its inputs are worked out by.
func (spec *Project) LeadsOut() (slug, entry string, with map[string]string) {
	return spec.Project, spec.Entry, spec.With
}

func (spec *Project) Plan(b *plan.Planner, m *plan.Move) { m.Exprs = b.Exprs("binding", spec.With) }

func (spec *Project) Aim(o *use.Opening, v *use.Verdict, m *plan.Move, w *use.World, _ use.Aim) {
	if o.KeptIn(v) {
		return
	}
	closed := func(reason string) {
		*v = use.Verdict{State: use.StateGreyed, By: "broken", Reason: reason, Part: v.Part, Chosen: v.Chosen}
	}
	if o.Others == nil {
		closed("Other applications cannot be reached from here.")
		return
	}
	other := o.Others(spec.Project)
	if other == nil {
		closed("The application “" + spec.Project + "” has no release.")
		return
	}
	s := other.Project.ScreenBySlug(spec.Entry)
	if s == nil || !s.Offered {
		closed("“" + other.Project.Settings.Title + "” does not offer “" + spec.Entry + "” any more.")
		return
	}
	to := place.Place{Screen: s.ID, Mode: spec.Mode, Inputs: map[string]string{}}
	if to.Mode == "" {
		to.Mode = "view"
	}
	for id, in := range s.Inputs {
		if _, given := spec.With[in.Alias]; !given {
			if in.Required && !(id == s.Record && to.Mode == "add") {
				closed("“" + s.Title + "” needs to know which " + english.Lower(in.Label) + "; nothing says which.")
				return
			}
			continue
		}
		e := m.Exprs[in.Alias]
		if e == nil {
			closed("A part of what it brings cannot be read.")
			return
		}
		value := e.Root.Eval(w)
		switch {
		case !value.Known():
			*v = use.Verdict{State: use.StateGreyed, By: "unknown", Reason: "Value not available: " + value.Why() + ".", Part: v.Part, Chosen: v.Chosen}
			return
		case value.IsNull() && in.Required:
			reason := spec.Reason
			if reason == "" {
				reason = "There is no " + english.Lower(in.Label) + " here."
			}
			*v = use.Verdict{State: use.StateGreyed, By: "record", Reason: reason, Part: v.Part, Chosen: v.Chosen}
			return
		case !value.IsNull():
			to.Inputs[id] = value.Wire()
		}
	}
	v.Leave, v.LeaveFor, v.As = "/use/"+spec.Project+to.Address(other.Project), s.Title+" of "+other.Project.Settings.Title, spec.As
}

func (*Project) Now(v use.Verdict) string { return "leads to " + v.LeaveFor }

func (spec *Project) Say(w *words.Writer, c *plan.Case) {
	w.Plain("open ")
	screen, of := w.Called.Offered(spec.Project, spec.Entry)
	w.Out = append(w.Out, words.Chunk{Text: screen + " of " + of, Part: words.PartTarget, Tone: "target", Case: c.ID})
	var open []words.Chunk
	for _, in := range w.Called.Takes(spec.Project, spec.Entry) {
		if _, given := spec.With[in.Alias]; !given {
			open = append(open, words.Chunk{Text: spec.open(in), Item: in.Alias, Bad: in.Required})
		}
	}
	w.With(c, spec.With, open...)
}

// open says that nothing says yet what an input gets.
func (spec *Project) open(in *project.Input) string {
	if in.Required {
		return "which " + english.Lower(in.Label) + "?"
	}
	return "any " + english.Lower(in.Label)
}

func (spec *Project) Plate(w *words.Writer, plate *words.Plate, _ *plan.Case) {
	screen, of := w.Called.Offered(spec.Project, spec.Entry)
	plate.Title, plate.Glyph, plate.How = screen, "project", "of "+of
}
