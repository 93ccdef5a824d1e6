package nav

import (
	"maps"
	"slices"

	"ambergate/core/english"
	"ambergate/core/project"
)

// alongMove leads to the neighbour of this screen in the order of a rail.
type alongMove struct {
	project.MoveHead
	Step string `json:"step"` // previous, next
	Rail string `json:"rail"`
}

// Validate asks for the step.
func (spec *alongMove) Validate() error {
	if err := project.OneOf("step along", spec.Step, "previous", "next"); err != nil {
		return err
	}
	return project.OneOf("policy at the end", spec.None, "", "grey", "round", "stay")
}

func (*alongMove) Plan(*planner, *MovePlan) {}

func (spec *alongMove) Aim(o *Opening, v *Verdict, _ *MovePlan, _ *world, _ aim) {
	var rail *RailPlan
	for _, r := range o.plan.Rails {
		if r.Rail.ID == spec.Rail {
			rail = r
		}
	}
	if rail == nil {
		*v = Verdict{State: "greyed", By: "broken", Reason: "The rail whose order it follows is not on this screen.", Part: v.Part, chosen: v.chosen}
		return
	}
	var stops []Verdict
	here := -1
	for _, e := range rail.Elements {
		for _, trigger := range slices.Sorted(maps.Keys(e.Gates)) {
			g := e.Gates[trigger]
			if isBack(trigger) || len(g.Cases) == 0 || g.Cases[0].Move.Only() == nil {
				continue
			}
			stop := o.judge(g, aim{})
			if !stop.Open() || stop.To == nil {
				continue
			}
			// The one that means the screen itself, rather than one that brings something there.
			if stop.To.Screen == o.place.Screen && (here < 0 || len(stops[here].lead.Bind) > 0) {
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
		*v = Verdict{State: "greyed", By: "record", Reason: "This screen is not on “" + rail.Rail.Name + "”.", Part: v.Part, chosen: v.chosen}
	case at < 0 || at >= len(stops):
		end := map[string]string{"previous": "first", "next": "last"}[spec.Step]
		o.endOfSteps(v, &spec.MoveHead, "This is the "+end+" on “"+rail.Rail.Name+"”.")
	default:
		v.To, v.As, v.lead = stops[at].To, spec.As, stops[at].lead
	}
}

func (*alongMove) Now(Verdict) string { return "goes along the rail" }

func (spec *alongMove) Say(w *sentenceWriter, c *CasePlan) {
	name := "a rail that is gone"
	if r := w.app.Project.Rails[spec.Rail]; r != nil {
		name = "“" + r.Name + "”"
	}
	w.out = append(w.out, Chunk{Text: "go to the " + spec.Step + " along " + name, Part: "target", Tone: "target", Case: c.ID, Bad: w.app.Project.Rails[spec.Rail] == nil})
	w.end(c)
}

func (spec *alongMove) Plate(w *sentenceWriter, plate *Plate, _ *CasePlan) {
	plate.Title, plate.Glyph = english.Capital(spec.Step)+" along", map[string]string{"previous": "back", "next": "forward"}[spec.Step]
	if r := w.app.Project.Rails[spec.Rail]; r != nil {
		plate.How = r.Name
	}
}
