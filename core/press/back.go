package press

import (
	"ambergate/core/ask"
	"ambergate/core/cond"
	"ambergate/core/plan"
	"ambergate/core/project"
	"ambergate/core/use"
)

// resultInput stands for the input that a result goes to: which one, only the screen below knows.
var resultInput = &project.Input{Item: project.Item{ID: "result"}, Label: "Result", Type: "text"}

// comesBackWith works out what a dialog comes back with: what its gate says, else what was saved.
func comesBackWith(o *use.Opening, m *plan.Move, w *use.World, at use.Aim, out *Outcome) error {
	result := plan.GivenBack(m)
	if result == nil {
		out.Result = out.Saved
		return nil
	}
	x := use.Binding{Opening: o, Input: resultInput, Bound: result, Expr: m.Exprs["result"], World: w, At: at}
	switch v := x.Value(); {
	case !v.Known():
		return ask.Refuse("unknown", "What this comes back with is not available: "+v.Why()+".", "Try again in a moment.")
	case v.IsNull():
	case v.Kind() == cond.Record:
		out.Result = v.KeyOf()
	default:
		out.Result = v.Wire()
	}
	return nil
}

// pressed gives the element and the trigger of a press, with the usual one where none was named.
func pressed(o *use.Opening, p Press) (trigger string, e *plan.Element) {
	if e = o.App.ElementAt(o.Plan.Screen.ID, p.Element); e == nil {
		return p.Trigger, nil
	}
	trigger, _ = e.GateOn(p.Trigger)
	return trigger, e
}
