package walk

import (
	"context"

	"ambergate/core/place"
	"ambergate/core/plan"
	"ambergate/core/project"
	"ambergate/core/use"
)

// Shown is where one stands when a step was done, as its screens are drawn.
type Shown struct {
	Stands   *use.View   // what one looks at: what lies over all
	Below    *use.View   // the screen below it; nil where nothing lies over
	Over     string      // dialog, drawer; "" for none
	Expected *use.View   // where the step claims that one stands, where it does not; nil for none, or one that is refused
	Differs  *Difference // there the walk ended
}

// Show goes a walk up to a step, that of an empty id before any, and shows where one stands then. The error is as Run's.
func Show(ctx context.Context, app *plan.App, w *project.Walk, world World, until string) (Shown, error) {
	var out Shown
	r, err := begin(ctx, app, w, world)
	if err != nil {
		d, is := differs(err)
		if !is {
			return out, err
		}
		out.Differs = d
		return out, nil
	}
	for _, s := range project.Ordered(w.Steps) {
		if until == "" {
			break
		}
		if out.Differs, err = r.take(ctx, s, r.say(s)); err != nil {
			return out, err
		}
		if out.Differs != nil {
			if out.Expected, err = r.expected(ctx, s); err != nil {
				return out, err
			}
		}
		if out.Differs != nil || s.ID == until {
			break
		}
	}
	at := r.spot()
	if out.Stands, err = r.drawn(ctx, *at.top()); err != nil {
		return out, err
	}
	if n := len(at.over); n > 0 {
		out.Over = at.over[n-1].As
		out.Below, err = r.drawn(ctx, at.place)
	}
	return out, err
}

// drawn opens a place whole; nil where it is refused.
func (r *runner) drawn(ctx context.Context, p place.Place) (*use.View, error) {
	o, err := r.open(ctx, p, use.Sources{})
	if _, refused := differs(err); refused {
		return nil, nil
	}
	if err != nil {
		return nil, err
	}
	return o.View(), nil
}

// expected draws the screen where a step claims that one stands, or on which it is to be done; nil for none.
func (r *runner) expected(ctx context.Context, s *project.WalkStep) (*use.View, error) {
	screen := r.app.Project.Screens[s.Screen]
	if screen == nil || s.Does == "open" || s.Is != "at" && r.spot().top().Screen == s.Screen {
		return nil, nil
	}
	inputs := map[string]string{}
	if s.Is == "at" {
		keys, err := r.keys(ctx, func(id string) string { return tableOf(screen.Inputs[id]) }, s.Inputs)
		if _, is := differs(err); err != nil && !is {
			return nil, err
		}
		if keys != nil {
			inputs = keys
		}
	}
	to := place.Place{Screen: s.Screen, Mode: "view", Inputs: inputs}
	if s.Is == "at" && s.Mode != "" {
		to.Mode = s.Mode
	}
	return r.drawn(ctx, to)
}
