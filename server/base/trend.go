package base

import (
	"time"

	"ambergate/api"
	"ambergate/core/plan"
	"ambergate/core/use"
)

// Trend gives the samples behind an element that shows live numbers over time, by line, oldest first.
func (b *Base) Trend(app *plan.App, o *use.Opening, element string) api.Trend {
	out := api.Trend{}
	t := Tags{Base: b, Project: app.Project}
	for line, ref := range o.TrendRefs(element) {
		if p := t.Plant(ref.Source); p != nil {
			out[line] = p.History(ref.Node, b.Now().Add(-time.Hour))
		}
	}
	return out
}
