package move

import (
	"ambergate/core/place"
	"ambergate/core/plan"
	"ambergate/core/use"
)

// Up leads to what the screen says is up from it; without that home.
type Up struct{ Trail }

func (*Up) Aim(o *use.Opening, v *use.Verdict, _ *plan.Move, _ *use.World, _ use.Aim) {
	if up := o.Plan.Screen.Up; up != "" && o.App.Project.Screens[up] != nil {
		v.To = &place.Place{Screen: up, Mode: "view", Inputs: map[string]string{}}
	}
}
