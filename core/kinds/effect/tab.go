package effect

import (
	"context"
	"fmt"

	"ambergate/core/plan"
	"ambergate/core/press"
	"ambergate/core/project"
	"ambergate/core/use"
	"ambergate/core/words"
)

// Tab opens a tab of a block of tabs.
type Tab struct {
	project.EffectHead
	project.LooksOnly
	use.AlwaysOpen
	Block string `json:"block"` // element
	Tab   string `json:"tab"`
}

// Validate asks for both.
func (spec *Tab) Validate() error {
	if spec.Block == "" || spec.Tab == "" {
		return fmt.Errorf("it needs a block of tabs and one of its tabs")
	}
	return nil
}

func (*Tab) Plan(*plan.Planner, *plan.Effect) {}

func (spec *Tab) Say(w *words.Writer, e *plan.Effect) string {
	if block := w.Screen.Elements[spec.Block]; block != nil {
		if tab := project.TabsOf(block)[spec.Tab]; tab != nil {
			return "show the tab “" + tab.Label + "”"
		}
	}
	return "show a tab that is gone"
}

func (spec *Tab) Do(_ context.Context, r press.Run) (*press.Question, error) {
	p := r.Looked()
	if p.Tabs == nil {
		p.Tabs = map[string]string{}
	}
	p.Tabs[spec.Block] = spec.Tab
	return nil, nil
}
