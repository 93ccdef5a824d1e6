package nav

import (
	"context"
	"strings"

	"ambergate/core/cond"
	"ambergate/core/project"
)

type setEffect struct{}

func (setEffect) plan(b *planner, e *EffectPlan) {
	t := b.app.Project.Tables[b.subjectTable()]
	if t == nil {
		b.broken("new value", "", cond.Problem{Message: "There is no record here that it could change.", Length: 1})
		return
	}
	b.assigns(e, t, e.Spec.(*project.Set).Fields)
}

// subjectTable gives the table that effects change: that of a list's rows, else the screen's own.
func (b *planner) subjectTable() string {
	if b.element != nil {
		if l, ok := b.element.Spec.(*project.List); ok {
			return l.Table
		}
	}
	return b.plan.Screen.RecordTable()
}

func (setEffect) words(w *sentenceWriter, e *EffectPlan) string {
	t := w.app.Project.Tables[w.subjectTable()]
	return "set " + strings.Join(w.assigned(e, t, e.Spec.(*project.Set).Fields, " to "), " and set ")
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
	values, err := r.assign(t, r.plan.Spec.(*project.Set).Fields)
	if err != nil {
		return nil, err
	}
	if err := r.update(ctx, t, row, values); err != nil || r.row != nil {
		return nil, err
	}
	return nil, r.reload(ctx, row.Key)
}
