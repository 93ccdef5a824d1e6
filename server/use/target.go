package use

import (
	"context"

	"ambergate/api"
	"ambergate/core/place"
	"ambergate/core/press"
	"ambergate/core/project"
	"ambergate/core/use"
	"ambergate/records"
	"ambergate/server/base"
)

// openTarget opens where a press leads with the values as they are after the effects: a refusal rolls
// back all. What was opened is shown once all is committed; a screen that reads of other databases
// too is only judged, and opened then.
func (v *Visit) openTarget(ctx context.Context, req api.PressRequest, out press.Outcome, p *records.Press) error {
	if out.To == nil {
		return nil
	}
	tab, _ := v.App.Keeping(out.Vars)
	src := use.Sources{Records: p, Tags: v.tags(), Now: v.server.LocalNow(v.App), Others: v.others, Vars: base.Merged(v.vars, tab), Held: true}
	if out.As == "tab" || !oneDatabase(v.App.Project) {
		return use.Check(ctx, v.App, v.user, *out.To, src)
	}
	if err := v.arrive(ctx, req.Trail, req.N, out.To); err != nil {
		return err
	}
	o, err := v.openNoted(ctx, *out.To, src)
	v.target = o
	return err
}

// oneDatabase says whether all tables of a project stand in the database that its presses change.
func oneDatabase(p *project.Project) bool {
	n := 0
	for _, src := range p.Sources {
		if src.Type == "postgresql" {
			n++
		}
	}
	return n == 1
}

// opened opens a place that a press leads to, unless it was opened with the press.
func (v *Visit) opened(ctx context.Context, to place.Place) (*use.Opening, error) {
	o := v.target
	if o == nil {
		return v.open(ctx, to)
	}
	v.target = nil
	if o.Live() {
		v.tags().Watch(ctx, o.TagRefs())
	}
	return o, nil
}
