package effect

import (
	"context"
	"fmt"
	"strings"

	"ambergate/core/ask"
	"ambergate/core/cond"
	"ambergate/core/plan"
	"ambergate/core/press"
	"ambergate/core/project"
	"ambergate/core/use"
	"ambergate/core/words"
)

// Set gives fields of the screen's record new values, and saves them.
type Set struct {
	project.EffectHead
	project.Changes
	Fields map[string]string `json:"fields"` // field id → expression
}

// Validate asks for a field.
func (spec *Set) Validate() error {
	if len(spec.Fields) == 0 {
		return fmt.Errorf("it sets no field")
	}
	return nil
}

func (spec *Set) Plan(b *plan.Planner, e *plan.Effect) {
	t := b.App.Project.Tables[b.Scene().SubjectTable()]
	if t == nil {
		b.Broken("new value", "", cond.Problem{Message: "There is no record here that it could change.", Length: 1})
		return
	}
	b.Assigns(e, t, spec.Fields)
}

func (spec *Set) Say(w *words.Writer, e *plan.Effect) string {
	t := w.App.Project.Tables[w.SubjectTable()]
	if n := spec.flipped(e); n != nil {
		return "turn " + n.Path.Words() + " on or off"
	}
	return "set " + strings.Join(w.Assigned(e, t, spec.Fields, " to "), " and set ")
}

func (*Set) Shut(o *use.Opening, _ *plan.Effect, row *ask.Row) (use.Verdict, bool) {
	if row == nil {
		row = o.World.Record
	}
	if row == nil || o.At.Mode == "add" {
		return use.Verdict{}, false
	}
	return o.ShutToChanges(row)
}

// flipped gives the one field that it sets to the other of yes and no; else nil.
func (spec *Set) flipped(e *plan.Effect) *cond.Node {
	if len(spec.Fields) != 1 {
		return nil
	}
	for id := range spec.Fields {
		if n := flips(e.Exprs[id], id); n != nil && n.Path.Root == "record" {
			return n
		}
	}
	return nil
}

// Turned gives the field of the screen's record, where it is turned the other way.
func (spec *Set) Turned(o *use.Opening, e *plan.Effect) (ask.Reading, bool) {
	if n := spec.flipped(e); n != nil {
		return ask.Reading{Value: n.Eval(o.World)}, true
	}
	return ask.Reading{}, false
}

// Do gives fields of the screen's record new values and saves them, under the user's own grant.
func (spec *Set) Do(ctx context.Context, r press.Run) (*press.Question, error) {
	row := r.Subject()
	if row == nil {
		return nil, ask.Refuse("no-record", "There is no record here to change.", "Go back to the list and open one.")
	}
	t, grant := r.Opening.App.Project.Tables[row.Table], r.Opening.Rights.On(row.Table)
	if !grant.Edit {
		return nil, r.Opening.Refused("change", t)
	}
	values, err := r.Assign(t, spec.Fields)
	if err != nil {
		return nil, err
	}
	if err := r.Update(ctx, t, row, values); err != nil || r.Row != nil {
		return nil, err
	}
	return nil, r.Reload(ctx, row.Key)
}
