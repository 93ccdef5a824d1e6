package move

import (
	"maps"
	"slices"

	"ambergate/core/english"
	"ambergate/core/plan"
	"ambergate/core/project"
	"ambergate/core/use"
	"ambergate/core/words"
)

// Along leads to the neighbour of this screen in the order of a rail.
type Along struct {
	project.MoveHead
	Step string `json:"step" jsonschema:"enum=previous,enum=next"` // previous, next
	Rail string `json:"rail"`
}

// Validate asks for the step.
func (spec *Along) Validate() error {
	if err := project.OneOf("step along", spec.Step, "previous", "next"); err != nil {
		return err
	}
	return project.OneOf("policy at the end", spec.None, "", "grey", "round", "stay")
}

func (*Along) Plan(*plan.Planner, *plan.Move) {}

func (spec *Along) Aim(o *use.Opening, v *use.Verdict, _ *plan.Move, _ *use.World, _ use.Aim) {
	var rail *plan.Rail
	for _, r := range o.Plan.Rails {
		if r.Rail.ID == spec.Rail {
			rail = r
		}
	}
	if rail == nil {
		*v = use.Verdict{State: use.StateGreyed, By: "broken", Reason: "The rail whose order it follows is not on this screen.", Part: v.Part, Chosen: v.Chosen}
		return
	}
	var stops []use.Verdict
	here := -1
	for _, e := range rail.Elements {
		for _, trigger := range slices.Sorted(maps.Keys(e.Gates)) {
			g := e.Gates[trigger]
			if plan.IsBack(trigger) || len(g.Cases) == 0 || g.Cases[0].Move.Only() == nil {
				continue
			}
			stop := o.Judge(g, use.Aim{})
			if !stop.Open() || stop.To == nil {
				continue
			}
			// The one that means the screen itself, rather than one that brings something there.
			if stop.To.Screen == o.At.Screen && (here < 0 || len(stops[here].Lead.Bind) > 0) {
				here = len(stops)
			}
			stops = append(stops, stop)
		}
	}
	by := map[string]int{"previous": -1, "next": 1}[spec.Step]
	at := here + by
	if spec.None == "round" && len(stops) > 0 {
		at = (at + len(stops)) % len(stops)
	}
	switch {
	case here < 0:
		*v = use.Verdict{State: use.StateGreyed, By: "record", Reason: "This screen is not on “" + rail.Rail.Name + "”.", Part: v.Part, Chosen: v.Chosen}
	case at < 0 || at >= len(stops):
		end := map[string]string{"previous": "first", "next": "last"}[spec.Step]
		o.EndOfSteps(v, &spec.MoveHead, "This is the "+end+" on “"+rail.Rail.Name+"”.")
	default:
		v.To, v.As, v.Lead = stops[at].To, spec.As, stops[at].Lead
	}
}

func (*Along) Now(use.Verdict) string { return "goes along the rail" }

func (spec *Along) Say(w *words.Writer, c *plan.Case) {
	name := "a rail that is gone"
	if r := w.App.Project.Rails[spec.Rail]; r != nil {
		name = "“" + r.Name + "”"
	}
	w.Out = append(w.Out, words.Chunk{Text: "go to the " + spec.Step + " along " + name, Part: words.PartTarget, Tone: "target", Case: c.ID, Bad: w.App.Project.Rails[spec.Rail] == nil})
	w.End(c)
}

func (spec *Along) Plate(w *words.Writer, plate *words.Plate, _ *plan.Case) {
	plate.Title, plate.Glyph = english.Capital(spec.Step)+" along", map[string]string{"previous": "back", "next": "forward"}[spec.Step]
	if r := w.App.Project.Rails[spec.Rail]; r != nil {
		plate.How = r.Name
	}
}
