package nav

import (
	"context"
	"strings"

	"ambergate/core/cond"
	"ambergate/core/project"
)

type setEffect struct{}

func (setEffect) plan(b *planner, e *EffectPlan) {
	for field, text := range e.Spec.(*project.Set).Fields {
		e.Exprs[field] = b.expression("new value", text)
	}
}

func (setEffect) words(w *sentenceWriter, e *EffectPlan) string {
	t, fields := w.app.Project.Tables[w.subjectTable()], e.Spec.(*project.Set).Fields
	var parts []string
	for _, field := range sortedKeys(fields) {
		label := "a field that is gone"
		if t != nil && t.Fields[field] != nil {
			label = lowerLabel(t.Fields[field].Label)
		}
		value := "“" + fields[field] + "”"
		if x := e.Exprs[field]; x != nil {
			table := ""
			if t != nil && t.Fields[field] != nil {
				table = t.Fields[field].References
			}
			value = w.valueWords(x, table)
		}
		if strings.HasSuffix(label, " to") {
			label = "“" + label + "”" // assigned to, to whom
		}
		parts = append(parts, "set "+label+" to "+value)
	}
	return strings.Join(parts, " and ")
}

func (setEffect) shut(o *Opening, _ *EffectPlan, row *Row) (Verdict, bool) {
	if row == nil {
		row = o.world.record
	}
	if row == nil || o.place.Mode == "add" {
		return Verdict{}, false
	}
	return o.shutToChanges(row)
}

// do gives fields of the screen's record new values and saves them, under the user's own grant.
func (setEffect) do(ctx context.Context, r effectRun) (*Question, error) {
	row := r.subject()
	if row == nil {
		return nil, refuse("no-record", "There is no record here to change.", "")
	}
	t, grant := r.o.app.Project.Tables[row.Table], r.o.rights.On(row.Table)
	if !grant.Edit {
		return nil, refuse("no-grant", "Your role may not change "+lowerLabel(t.Label)+".", "Ask a shift lead or the office if you need to.")
	}
	values := map[string]cond.Value{}
	for _, field := range sortedKeys(r.plan.Exprs) {
		f := t.Fields[field]
		if f == nil || r.plan.Exprs[field] == nil {
			return nil, refuse("broken", "A field that this sets is gone.", "Tell the person who builds this application.")
		}
		if grant.ReadOnly[field] || f.ReadOnly {
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
	if err := r.update(ctx, t, row, values); err != nil || r.row != nil {
		return nil, err
	}
	return nil, r.reload(ctx, row.Key)
}
