package called

import (
	"context"
	"time"

	"ambergate/core/ask"
	"ambergate/core/plan"
	"ambergate/core/use"
	"ambergate/server/base"
)

// State is how it is with one call-up of an application now.
type State struct {
	CallUp  string
	Of      int      // records that it is asked of; 1 for the plant as a whole
	On      []string // those for which it holds, as it would say it
	Unknown string   // why it is not known for one of them; "" where it is for all
}

// Now tells how it is with each call-up of an application that is being built. Nothing comes to the front by it, and how
// long something has held is not counted.
func Now(ctx context.Context, b *base.Base, app *plan.App) ([]State, error) {
	tags := base.Tags{Base: b, Project: app.Project}
	out := []State{}
	for _, c := range app.CallUps {
		rows, err := rowsOf(ctx, b, app, c)
		if err != nil {
			return nil, err
		}
		one := State{CallUp: c.ID, Of: len(rows), On: []string{}}
		tags.Watch(ctx, refsOf(app, c, rows))
		for _, row := range rows {
			if c.While == nil {
				continue
			}
			world := use.Alone(app, row, tags, time.Now())
			switch v := c.While.Root.Eval(world); {
			case !v.Known():
				one.Unknown = v.Why()
			case v.True():
				one.On = append(one.On, words(c, row, world))
			}
		}
		out = append(out, one)
	}
	return out, nil
}

func refsOf(app *plan.App, c *plan.CallUp, rows []*ask.Row) []ask.TagRef {
	var out []ask.TagRef
	for _, row := range rows {
		world := use.Alone(app, row, nil, time.Now())
		for _, p := range c.Tags {
			if ref, _, ok := world.RefAndTag(p); ok {
				out = append(out, ref)
			}
		}
	}
	return out
}
