package effect

import (
	"context"
	"fmt"
	"slices"

	"ambergate/core/ask"
	"ambergate/core/cond"
	"ambergate/core/place"
	"ambergate/core/plan"
	"ambergate/core/press"
	"ambergate/core/project"
	"ambergate/core/use"
	"ambergate/core/words"
)

// Filter adds a filter to the screen's list, or replaces the one on that field.
type Filter struct {
	project.EffectHead
	project.LooksOnly
	use.AlwaysOpen
	Path    string `json:"path"` // field ids joined by dots, of the list's table
	Compare string `json:"compare"`
	Value   string `json:"value,omitempty"` // expression
}

// Validate asks for the field and the comparison.
func (spec *Filter) Validate() error {
	if spec.Path == "" {
		return fmt.Errorf("it needs the field to narrow by")
	}
	return project.OneOf("comparison", spec.Compare, "is", "isNot", "contains", "empty", "notEmpty", "atLeast", "atMost")
}

func (spec *Filter) Plan(b *plan.Planner, e *plan.Effect) {
	if f, _ := b.App.Project.FieldAt(b.Plan.Screen.ListTable(), spec.Path); f == nil {
		b.Broken("filter", spec.Path, cond.Problem{Message: "The field it narrows by is gone.", Length: 1})
	}
	if spec.Value != "" {
		e.Exprs["value"] = b.Expression("filter", spec.Value)
	}
}

func (spec *Filter) Say(w *words.Writer, e *plan.Effect) string {
	text := "narrow the list to " + w.FieldWords(spec.Path) + words.Compares[spec.Compare]
	switch {
	case spec.Value == "":
	case e.Exprs["value"] == nil:
		text += "“" + spec.Value + "”, which cannot be read"
	default:
		text += w.ValueWords(e.Exprs["value"], "")
	}
	return text
}

func (spec *Filter) Do(_ context.Context, r press.Run) (*press.Question, error) {
	if err := r.ListField(spec.Path); err != nil {
		return nil, err
	}
	f := place.Filter{Path: spec.Path, Compare: spec.Compare}
	if spec.Value != "" {
		if r.Effect.Exprs["value"] == nil {
			return nil, ask.Refuse("broken", "What this narrows by cannot be read.", "Tell the person who builds this application.")
		}
		v := r.Effect.Exprs["value"].Root.Eval(r.World)
		if !v.Known() {
			return nil, ask.Refuse("unknown", "What this narrows by is not available: "+v.Why()+".", "Try again in a moment.")
		}
		if f.Value = v.Wire(); v.IsNull() {
			f.Compare, f.Value = "empty", ""
		}
	}
	p := r.Looked()
	p.Filters = append(slices.DeleteFunc(p.Filters, func(x place.Filter) bool { return x.Path == spec.Path }), f)
	return nil, nil
}
