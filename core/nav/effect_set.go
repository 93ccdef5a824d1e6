package nav

import (
	"context"

	"ambergate/core/cond"
	"ambergate/core/project"
)

type setEffect struct{}

func (setEffect) plan(b *planner, e *EffectPlan) {
	for field, text := range e.Spec.(*project.Set).Fields {
		e.Exprs[field] = b.expression("new value", text)
	}
}

// do gives fields of the screen's record new values and saves them, under the user's own grant.
func (setEffect) do(ctx context.Context, r effectRun) (*Question, error) {
	t := r.table()
	if t == nil || r.w.record == nil {
		return nil, refuse("no-record", "There is no record here to change.", "")
	}
	if !r.o.grant.Edit {
		return nil, refuse("no-grant", "Your role may not change "+lowerLabel(t.Label)+".", "Ask a shift lead or the office if you need to.")
	}
	values := map[string]cond.Value{}
	for _, field := range sortedKeys(r.plan.Exprs) {
		f := t.Fields[field]
		if f == nil || r.plan.Exprs[field] == nil {
			return nil, refuse("broken", "A field that this sets is gone.", "Tell the person who builds this application.")
		}
		if r.o.grant.ReadOnly[field] || f.ReadOnly {
			return nil, refuse("no-grant", "Your role may not change “"+f.Label+"”.", "")
		}
		v := r.plan.Exprs[field].Root.Eval(r.w)
		if !v.Known() {
			return nil, refuse("unknown", "“"+f.Label+"” cannot be worked out now: "+v.Why()+".", "Try again in a moment.")
		}
		v, err := cond.Parse(f.TypeOf(), v.Wire())
		if err != nil {
			return nil, refuse("bad-value", "“"+f.Label+"” would get a value it cannot hold: "+err.Error()+".", "Tell the person who builds this application.")
		}
		values[field] = v
	}
	if err := r.update(ctx, t, r.w.record, values); err != nil {
		return nil, err
	}
	return nil, r.reload(ctx, r.w.record.Key)
}
