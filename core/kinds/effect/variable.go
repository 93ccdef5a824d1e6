package effect

import (
	"context"
	"fmt"
	"maps"

	"ambergate/core/ask"
	"ambergate/core/cond"
	"ambergate/core/cond/compile"
	"ambergate/core/english"
	"ambergate/core/plan"
	"ambergate/core/press"
	"ambergate/core/project"
	"ambergate/core/use"
	"ambergate/core/words"
)

// SetVariable gives a variable another value, or, with an empty one, what it begins with.
type SetVariable struct {
	project.EffectHead
	project.LooksOnly
	use.AlwaysOpen
	Variable string `json:"variable"`
	Value    string `json:"value,omitempty"` // expression; empty: what it begins with
}

// Validate asks for the variable.
func (spec *SetVariable) Validate() error {
	if spec.Variable == "" {
		return fmt.Errorf("it needs the variable to set")
	}
	return nil
}

func (spec *SetVariable) Plan(b *plan.Planner, e *plan.Effect) {
	v := b.Variable(spec.Variable)
	if v == nil {
		b.Broken("variable", spec.Variable, cond.Problem{Message: "The variable it sets is gone, or is another screen’s.", Length: 1})
		return
	}
	if spec.Value == "" {
		return
	}
	x := b.Expression("new value", spec.Value)
	if x == nil {
		return
	}
	if want := v.TypeOf(); !plan.Fits(want, x.Root.Type) {
		b.Broken("new value", spec.Value, cond.Problem{Message: "“" + v.Label + "” is " + compile.KindWords(want.Kind) + "; this is " + compile.KindWords(x.Root.Type.Kind) + ".", Length: max(1, len([]rune(spec.Value)))})
		return
	}
	e.Exprs["value"] = x
}

func (spec *SetVariable) Say(w *words.Writer, e *plan.Effect) string {
	v := w.App.Project.Variables[spec.Variable]
	switch {
	case v == nil:
		return "set a variable that is gone"
	case spec.Value == "" && v.Start == "":
		return "forget " + english.Lower(v.Label)
	case spec.Value == "":
		start := v.Start
		if title := w.Called.Of(v.Table, v.Start); title != "" {
			start = title
		}
		return "put " + english.Lower(v.Label) + " back to " + start
	case e.Exprs["value"] == nil:
		return "set " + english.Lower(v.Label) + " to “" + spec.Value + "”, which does not fit"
	}
	if flips(e.Exprs["value"], v.ID) != nil {
		return "turn " + english.Lower(v.Label) + " on or off"
	}
	return "set " + english.Lower(v.Label) + " to " + w.ValueWords(e.Exprs["value"], v.Table)
}

// flips gives the path that a value is the other of yes and no of, where it is just that; else nil.
func flips(x *cond.Expr, name string) *cond.Node {
	if x == nil || x.Root.Op != cond.OpNot || x.Root.Args[0].Op != cond.OpPath || x.Root.Args[0].Path.First() != name || len(x.Root.Args[0].Path.Segs) != 1 {
		return nil
	}
	return x.Root.Args[0]
}

// Turned gives the variable, where it is turned the other way.
func (spec *SetVariable) Turned(o *use.Opening, e *plan.Effect) (ask.Reading, bool) {
	if n := flips(e.Exprs["value"], spec.Variable); n != nil {
		return ask.Reading{Value: n.Eval(o.World)}, true
	}
	return ask.Reading{}, false
}

func (spec *SetVariable) Do(_ context.Context, r press.Run) (*press.Question, error) {
	v := r.Opening.App.Project.Variables[spec.Variable]
	if v == nil || v.Screen != "" && v.Screen != r.Opening.At.Screen || spec.Value != "" && r.Effect.Exprs["value"] == nil {
		return nil, ask.Refuse("broken", "What this sets cannot be read.", "Tell the person who builds this application.")
	}
	value := use.StartOf(v)
	if spec.Value != "" {
		got := r.Effect.Exprs["value"].Root.Eval(r.World)
		if !got.Known() {
			return nil, ask.Refuse("unknown", "“"+v.Label+"” cannot be worked out now: "+got.Why()+".", "Try again in a moment.")
		}
		if !got.IsNull() {
			kept, err := cond.Parse(v.TypeOf(), got.Wire())
			if err != nil || !use.IsChoice(v, got.Wire()) {
				return nil, ask.Refuse("bad-value", "“"+v.Label+"” would get a value it cannot hold.", "Tell the person who builds this application.")
			}
			value = kept
		}
	}
	r.World.Vars = maps.Clone(r.World.Vars)
	if r.World.Vars == nil {
		r.World.Vars = map[string]cond.Value{}
	}
	r.World.Vars[v.ID] = value
	if r.Out.Vars == nil {
		r.Out.Vars = map[string]string{}
	}
	r.Out.Vars[v.ID] = ""
	if !value.IsNull() {
		r.Out.Vars[v.ID] = value.Wire()
	}
	return nil, nil
}
