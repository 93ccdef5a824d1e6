package effect

import (
	"context"
	"fmt"

	"ambergate/core/ask"
	"ambergate/core/cond"
	"ambergate/core/plan"
	"ambergate/core/press"
	"ambergate/core/project"
	"ambergate/core/use"
	"ambergate/core/words"
)

// Drawer opens or closes a rail that is a drawer, or whichever of the two it is not.
type Drawer struct {
	project.EffectHead
	project.LooksOnly
	use.AlwaysOpen
	Rail string `json:"rail"`
	How  string `json:"how" jsonschema:"enum=open,enum=close,enum=toggle"` // open, close, toggle
}

// Validate asks for the rail and what is to become of it.
func (spec *Drawer) Validate() error {
	if spec.Rail == "" {
		return fmt.Errorf("it needs the drawer")
	}
	return project.OneOf("thing to do with a drawer", spec.How, "open", "close", "toggle")
}

func (spec *Drawer) Plan(b *plan.Planner, e *plan.Effect) {
	if r := b.App.Project.Rails[spec.Rail]; r == nil || r.Drawer == nil {
		b.Broken("drawer", spec.Rail, cond.Problem{Message: "The drawer is gone, or is fixed by now.", Length: 1})
	} else if !r.On(b.Plan.Screen) {
		b.Broken("drawer", spec.Rail, cond.Problem{Message: "The drawer “" + r.Name + "” does not stand on this screen.", Length: 1})
	}
}

func (spec *Drawer) Say(w *words.Writer, e *plan.Effect) string {
	name := "a drawer that is gone"
	if r := w.App.Project.Rails[spec.Rail]; r != nil {
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

func (spec *Drawer) Do(_ context.Context, r press.Run) (*press.Question, error) {
	for _, rail := range r.Opening.Plan.Rails {
		if rail.Rail.ID == spec.Rail && r.Opening.Stands(rail) {
			r.Out.Does = append(r.Out.Does, press.Act{What: "drawer", Rail: spec.Rail, How: spec.How})
			return nil, nil
		}
	}
	return nil, ask.Refuse("broken", "The drawer is not on this screen.", "Tell the person who builds this application.")
}
