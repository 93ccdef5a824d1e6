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

// Export saves a list as a file: comma-separated values, as filtered and ordered.
type Export struct {
	project.EffectHead
	project.LooksOnly
	List string `json:"list"` // element
}

// Validate asks for the list.
func (spec *Export) Validate() error {
	if spec.List == "" {
		return fmt.Errorf("it needs the list to save as a file")
	}
	return nil
}

// Shut hides it on displays that save no files.
func (*Export) Shut(o *use.Opening, _ *plan.Effect, _ *ask.Row) (use.Verdict, bool) {
	v, saves := o.SavesFiles()
	return v, !saves
}

func (*Export) Plan(*plan.Planner, *plan.Effect) {}

func (spec *Export) Say(w *words.Writer, e *plan.Effect) string {
	list := spec.List
	if w.Screen.Elements[list] == nil {
		return "save a list that is gone as a file"
	}
	return "save the list as a file"
}

func (spec *Export) Do(_ context.Context, r press.Run) (*press.Question, error) {
	list := spec.List
	if r.Opening.ListAt(list) == nil {
		return nil, ask.Refuse("no-element", "The list that this saves is gone.", "Tell the person who builds this application.")
	}
	r.Out.Does = append(r.Out.Does, press.Act{What: "export", List: list})
	return nil, nil
}
