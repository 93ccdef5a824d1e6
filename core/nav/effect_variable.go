package nav

import (
	"context"
	"fmt"
	"maps"

	"ambergate/core/cond"
	"ambergate/core/english"
	"ambergate/core/project"
)

// setVariableEffect gives a variable another value, or, with an empty one, what it begins with.
type setVariableEffect struct {
	project.EffectHead
	project.LooksOnly
	alwaysOpen
	Variable string `json:"variable"`
	Value    string `json:"value,omitempty"` // expression; empty: what it begins with
}

// Validate asks for the variable.
func (spec *setVariableEffect) Validate() error {
	if spec.Variable == "" {
		return fmt.Errorf("it needs the variable to set")
	}
	return nil
}

func (spec *setVariableEffect) Plan(b *planner, e *EffectPlan) {
	v := b.variable(spec.Variable)
	if v == nil {
		b.broken("variable", spec.Variable, cond.Problem{Message: "The variable it sets is gone, or is another screen’s.", Length: 1})
		return
	}
	if spec.Value == "" {
		return
	}
	x := b.expression("new value", spec.Value)
	if x == nil {
		return
	}
	if want := v.TypeOf(); !Fits(want, x.Root.Type) {
		b.broken("new value", spec.Value, cond.Problem{Message: "“" + v.Label + "” is " + cond.KindWords(want.Kind) + "; this is " + cond.KindWords(x.Root.Type.Kind) + ".", Length: max(1, len([]rune(spec.Value)))})
		return
	}
	e.Exprs["value"] = x
}

// variable finds one that the place being compiled can speak of; nil when it cannot.
func (b *planner) variable(id string) *project.Variable {
	v := b.app.Project.Variables[id]
	if v == nil || v.Screen != "" && (b.sharedGate != nil || v.Screen != b.plan.Screen.ID) {
		return nil
	}
	return v
}

// Fits says whether a value of one type can be taken as another: numbers of any kind are one kind
// here, and a record written by its key is one of any table.
func Fits(want, got cond.Type) bool {
	number := func(t cond.Type) bool {
		return t.Kind == cond.Whole || t.Kind == cond.Number || t.Kind == cond.Decimal
	}
	if number(want) && number(got) || got.Kind == cond.Null {
		return true
	}
	return want.Kind == got.Kind && (want.Table == got.Table || want.Kind == cond.Record && got.Table == "")
}

func (spec *setVariableEffect) Say(w *sentenceWriter, e *EffectPlan) string {
	v := w.app.Project.Variables[spec.Variable]
	switch {
	case v == nil:
		return "set a variable that is gone"
	case spec.Value == "" && v.Start == "":
		return "forget " + english.Lower(v.Label)
	case spec.Value == "":
		start := v.Start
		if title := w.called.of(v.Table, v.Start); title != "" {
			start = title
		}
		return "put " + english.Lower(v.Label) + " back to " + start
	case e.Exprs["value"] == nil:
		return "set " + english.Lower(v.Label) + " to “" + spec.Value + "”, which does not fit"
	}
	if n := e.Exprs["value"].Root; n.Op == cond.OpNot && n.Args[0].Op == cond.OpPath && n.Args[0].Path.First() == v.ID {
		return "switch " + english.Lower(v.Label) + " between yes and no"
	}
	return "set " + english.Lower(v.Label) + " to " + w.valueWords(e.Exprs["value"], v.Table)
}

func (spec *setVariableEffect) Do(_ context.Context, r effectRun) (*Question, error) {
	v := r.o.app.Project.Variables[spec.Variable]
	if v == nil || v.Screen != "" && v.Screen != r.o.place.Screen || spec.Value != "" && r.plan.Exprs["value"] == nil {
		return nil, refuse("broken", "What this sets cannot be read.", "Tell the person who builds this application.")
	}
	value := startOf(v)
	if spec.Value != "" {
		got := r.plan.Exprs["value"].Root.Eval(r.w)
		if !got.Known() {
			return nil, refuse("unknown", "“"+v.Label+"” cannot be worked out now: "+got.Why()+".", "Try again in a moment.")
		}
		if !got.IsNull() {
			kept, err := cond.Parse(v.TypeOf(), got.Wire())
			if err != nil || !isChoice(v, got.Wire()) {
				return nil, refuse("bad-value", "“"+v.Label+"” would get a value it cannot hold.", "Tell the person who builds this application.")
			}
			value = kept
		}
	}
	r.w.vars = maps.Clone(r.w.vars)
	if r.w.vars == nil {
		r.w.vars = map[string]cond.Value{}
	}
	r.w.vars[v.ID] = value
	if r.out.Vars == nil {
		r.out.Vars = map[string]string{}
	}
	r.out.Vars[v.ID] = ""
	if !value.IsNull() {
		r.out.Vars[v.ID] = value.Wire()
	}
	return nil, nil
}

// drawerEffect opens or closes a rail that is a drawer, or whichever of the two it is not.
type drawerEffect struct {
	project.EffectHead
	project.LooksOnly
	alwaysOpen
	Rail string `json:"rail"`
	How  string `json:"how"` // open, close, toggle
}

// Validate asks for the rail and what is to become of it.
func (spec *drawerEffect) Validate() error {
	if spec.Rail == "" {
		return fmt.Errorf("it needs the drawer")
	}
	return project.OneOf("thing to do with a drawer", spec.How, "open", "close", "toggle")
}

func (spec *drawerEffect) Plan(b *planner, e *EffectPlan) {
	if r := b.app.Project.Rails[spec.Rail]; r == nil || r.Drawer == nil {
		b.broken("drawer", spec.Rail, cond.Problem{Message: "The drawer is gone, or is fixed by now.", Length: 1})
	} else if !r.On(b.plan.Screen) {
		b.broken("drawer", spec.Rail, cond.Problem{Message: "The drawer “" + r.Name + "” does not stand on this screen.", Length: 1})
	}
}

func (spec *drawerEffect) Say(w *sentenceWriter, e *EffectPlan) string {
	name := "a drawer that is gone"
	if r := w.app.Project.Rails[spec.Rail]; r != nil {
		name = "the drawer “" + r.Name + "”"
	}
	switch spec.How {
	case "close":
		return "close " + name
	case "toggle":
		return "open or close " + name
	}
	return "open " + name
}

func (spec *drawerEffect) Do(_ context.Context, r effectRun) (*Question, error) {
	for _, rail := range r.o.plan.Rails {
		if rail.Rail.ID == spec.Rail && r.o.stands(rail) {
			r.out.Does = append(r.out.Does, Act{What: "drawer", Rail: spec.Rail, How: spec.How})
			return nil, nil
		}
	}
	return nil, refuse("broken", "The drawer is not on this screen.", "Tell the person who builds this application.")
}
