package effect

import (
	"context"
	"fmt"
	"maps"
	"strings"

	"ambergate/core/ask"
	"ambergate/core/cond"
	"ambergate/core/plan"
	"ambergate/core/press"
	"ambergate/core/project"
	"ambergate/core/use"
	"ambergate/core/words"
)

// Add makes a record of a table without a form.
type Add struct {
	project.EffectHead
	project.Changes
	Table  string            `json:"table"`
	Fields map[string]string `json:"fields,omitempty"` // field id → expression
}

// Validate asks for the table.
func (spec *Add) Validate() error {
	if spec.Table == "" {
		return fmt.Errorf("it needs the table that gets a record")
	}
	return nil
}

// AddsTo gives the table that gets a record.
func (spec *Add) AddsTo() string { return spec.Table }

func (spec *Add) Plan(b *plan.Planner, e *plan.Effect) {
	t := b.App.Project.Tables[spec.Table]
	if t == nil {
		b.Broken("table", spec.Table, cond.Problem{Message: "The table it adds to is gone.", Length: 1})
		return
	}
	if own := b.App.Project.Tables[plan.WrittenBy(b.Plan.Screen)]; own != nil && own.Source != t.Source {
		b.Broken("table", spec.Table, cond.Problem{Message: "“" + t.Label + "” is in another database than what this screen changes: one press changes records of one database.", Length: 1})
	}
	b.Plan.Adds = b.Plan.Adds.With(t.ID)
	b.Assigns(e, t, spec.Fields)
}

func (spec *Add) Say(w *words.Writer, e *plan.Effect) string {
	t := w.App.Project.Tables[spec.Table]
	if t == nil {
		return "add a record of a table that is gone"
	}
	words := "add a new " + t.One
	if parts := w.Assigned(e, t, spec.Fields, " = "); len(parts) > 0 {
		words += " with " + strings.Join(parts, " and ")
	}
	return words
}

func (spec *Add) Shut(o *use.Opening, e *plan.Effect, _ *ask.Row) (use.Verdict, bool) {
	t := o.App.Project.Tables[spec.Table]
	switch {
	case t == nil:
		return use.Verdict{State: use.StateGreyed, By: "broken", Reason: "The table that it adds to is gone."}, true
	case t.View:
		return use.Verdict{State: use.StateGreyed, By: "grant", Reason: "These records can only be read."}, true
	case !o.Rights.On(t.ID).Add:
		return use.Verdict{State: use.StateGreyed, By: "grant", Reason: o.MayNot("add", t)}, true
	}
	return use.Verdict{}, false
}

func (spec *Add) Do(ctx context.Context, r press.Run) (*press.Question, error) {
	if v, closed := spec.Shut(r.Opening, r.Effect, nil); closed {
		return nil, ask.Refuse("no-grant", v.Reason, "Ask the person who runs this application for the right.")
	}
	t := r.Opening.App.Project.Tables[spec.Table]
	values, err := r.Assign(t, spec.Fields)
	if err != nil {
		return nil, err
	}
	for _, f := range project.Ordered(t.Fields) {
		if v, given := values[f.ID]; !f.ReadOnly && !f.Nullable && f.Default == "" && (!given || v.IsNull()) {
			return nil, ask.Refuse("bad-value", "The new "+t.One+" would have no “"+f.Label+"”, which it needs.", "Tell the person who builds this application.")
		}
	}
	maps.DeleteFunc(values, func(_ string, v cond.Value) bool { return v.IsNull() })
	key, err := r.Insert(ctx, t, values)
	if err != nil {
		return nil, err
	}
	added := maps.Clone(r.World.Added)
	if added == nil {
		added = map[string]string{}
	}
	added[t.ID] = key
	r.World.Added = added
	return nil, nil
}
