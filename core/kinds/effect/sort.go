package effect

import (
	"context"
	"fmt"

	"ambergate/core/ask"
	"ambergate/core/plan"
	"ambergate/core/press"
	"ambergate/core/project"
	"ambergate/core/use"
	"ambergate/core/words"
)

// Sort orders the screen's list.
type Sort struct {
	project.EffectHead
	project.LooksOnly
	use.AlwaysOpen
	Path string `json:"path"`
	Desc bool   `json:"desc,omitempty"`
}

// Validate asks for the field.
func (spec *Sort) Validate() error {
	if spec.Path == "" {
		return fmt.Errorf("it needs the field to order by")
	}
	return nil
}

func (*Sort) Plan(*plan.Planner, *plan.Effect) {}

func (spec *Sort) Say(w *words.Writer, e *plan.Effect) string {
	return "order the list by " + w.FieldWords(spec.Path) + w.Descending(spec.Path, spec.Desc)
}

func (spec *Sort) Do(_ context.Context, r press.Run) (*press.Question, error) {
	if err := r.ListField(spec.Path); err != nil {
		return nil, err
	}
	r.Looked().Sort = []ask.Sort{{Path: spec.Path, Desc: spec.Desc}}
	return nil, nil
}
