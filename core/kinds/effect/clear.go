package effect

import (
	"context"
	"slices"

	"ambergate/core/place"
	"ambergate/core/plan"
	"ambergate/core/press"
	"ambergate/core/project"
	"ambergate/core/use"
	"ambergate/core/words"
)

// Clear takes filters away: that of a field, or all; with All also what the screen was opened with and what is looked for.
type Clear struct {
	project.EffectHead
	project.LooksOnly
	use.AlwaysOpen
	Path string `json:"path,omitempty"` // empty: every filter
	All  bool   `json:"all,omitempty"`
}

// Validate accepts it as it is.
func (*Clear) Validate() error { return nil }

func (*Clear) Plan(*plan.Planner, *plan.Effect) {}

func (spec *Clear) Say(w *words.Writer, e *plan.Effect) string {
	switch {
	case spec.All:
		return "show all"
	case spec.Path == "":
		return "take all filters off"
	default:
		return "take the filter on " + w.FieldWords(spec.Path) + " off"
	}
}

func (spec *Clear) Do(_ context.Context, r press.Run) (*press.Question, error) {
	p := r.Looked()
	p.Filters = slices.DeleteFunc(p.Filters, func(f place.Filter) bool { return spec.All || spec.Path == "" || f.Path == spec.Path })
	if !spec.All {
		return nil, nil
	}
	p.Find = ""
	for id, in := range r.Opening.Plan.Screen.Inputs {
		if !in.Required {
			delete(p.Inputs, id)
		}
	}
	return nil, nil
}
