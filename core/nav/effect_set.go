package nav

import (
	"context"
	"fmt"
	"strings"

	"ambergate/core/cond"
	"ambergate/core/english"
	"ambergate/core/project"
)

// setEffect gives fields of the screen's record new values, and saves them.
type setEffect struct {
	project.EffectHead
	project.Changes
	Fields map[string]string `json:"fields"` // field id → expression
}

// Validate asks for a field.
func (spec *setEffect) Validate() error {
	if len(spec.Fields) == 0 {
		return fmt.Errorf("it sets no field")
	}
	return nil
}

func (spec *setEffect) Plan(b *planner, e *EffectPlan) {
	t := b.app.Project.Tables[b.scene().subjectTable()]
	if t == nil {
		b.broken("new value", "", cond.Problem{Message: "There is no record here that it could change.", Length: 1})
		return
	}
	b.assigns(e, t, spec.Fields)
}

func (spec *setEffect) Say(w *sentenceWriter, e *EffectPlan) string {
	t := w.app.Project.Tables[w.subjectTable()]
	return "set " + strings.Join(w.assigned(e, t, spec.Fields, " to "), " and set ")
}

func (*setEffect) Shut(o *Opening, _ *EffectPlan, row *Row) (Verdict, bool) {
	if row == nil {
		row = o.world.record
	}
	if row == nil || o.place.Mode == "add" {
		return Verdict{}, false
	}
	return o.shutToChanges(row)
}

// Do gives fields of the screen's record new values and saves them, under the user's own grant.
func (spec *setEffect) Do(ctx context.Context, r effectRun) (*Question, error) {
	row := r.subject()
	if row == nil {
		return nil, refuse("no-record", "There is no record here to change.", "")
	}
	t, grant := r.o.app.Project.Tables[row.Table], r.o.rights.On(row.Table)
	if !grant.Edit {
		return nil, refuse("no-grant", "Your role may not change "+english.Lower(t.Label)+".", "Ask a shift lead or the office if you need to.")
	}
	values, err := r.assign(t, spec.Fields)
	if err != nil {
		return nil, err
	}
	if err := r.update(ctx, t, row, values); err != nil || r.row != nil {
		return nil, err
	}
	return nil, r.reload(ctx, row.Key)
}
