package nav

import (
	"context"
	"fmt"
	"strings"

	"ambergate/core/cond"
	"ambergate/core/english"
	"ambergate/core/project"
)

// editsInPlace says whether rows of a list can be edited where they stand, here.
func (o *Opening) editsInPlace(spec *project.List) bool {
	t := o.app.Project.Tables[spec.Table]
	return spec.InPlace && t != nil && len(t.Key) > 0 && o.place.Mode != "add" && (spec.Relation == "" || o.world.record != nil)
}

// rowColumns gives the columns of a list whose cells the user may edit, adding or not.
func (o *Opening) rowColumns(spec *project.List, adding bool) map[string]*project.Column {
	out := map[string]*project.Column{}
	t, grant := o.app.Project.Tables[spec.Table], o.rights.On(spec.Table)
	for _, c := range spec.Columns {
		f := t.Fields[c.Path]
		if strings.Contains(c.Path, ".") || f == nil || f.ReadOnly || f.Type == "json" || f.Type == PictureType || c.Path == spec.Relation || grant.ReadOnly[c.Path] || grant.Hidden[c.Path] || !adding && t.IsKey(c.Path) {
			continue
		}
		out[c.Path] = f
	}
	return out
}

// mayAddRow says why no row can be added to a list here, or "".
func (o *Opening) mayAddRow(e *ElementPlan) string {
	spec := e.listing()
	t := o.app.Project.Tables[spec.Table]
	switch {
	case t == nil:
		return "The table of this list is gone."
	case !o.editsInPlace(spec):
		return "Rows cannot be added here."
	case !o.rights.On(spec.Table).Add:
		return "Your role may not add " + english.Lower(t.Label) + "."
	}
	return ""
}

// keepRow writes one row of a list that is edited in place: a new one without a key, else the
// fields that were changed. Concurrent changes are treated as on forms.
func (o *Opening) keepRow(ctx context.Context, p Press, src Changer) (Outcome, error) {
	e := o.listElement(p.Element)
	if e == nil || !o.editsInPlace(e.listing()) {
		return Outcome{}, refuse("no-element", "This list cannot be edited here.", "The screen has been loaded again.")
	}
	if ev, shown := o.elementForPress(e); !shown {
		return Outcome{}, refuse("hidden", "This is not open to you here.", ev.Reason)
	}
	spec := e.listing()
	t := o.app.Project.Tables[spec.Table]
	w := *o.world
	out := Outcome{Kind: "stay"}
	r := effectRun{o: o, w: &w, press: p, records: src, out: &out}
	editable := o.rowColumns(spec, p.Row == "")
	values, err := r.typed(editable)
	if err != nil {
		return Outcome{}, err
	}
	key := p.Row
	if key == "" {
		if reason := o.mayAddRow(e); reason != "" {
			return Outcome{}, refuse("no-grant", reason, "")
		}
		if err := needed(editable, values); err != nil {
			return Outcome{}, err
		}
		if spec.Relation != "" {
			values[spec.Relation] = cond.Key(o.world.record.Key)
		}
		if key, err = r.insert(ctx, t, values); err != nil {
			return Outcome{}, err
		}
	} else {
		row, err := o.rowOf(ctx, e, key, src, true)
		if err != nil {
			return Outcome{}, err
		}
		if v, closed := o.shutToChanges(row); closed {
			return Outcome{}, refuse("no-grant", v.Reason, "")
		}
		if q := r.conflict(t, row, values); q != nil {
			return Outcome{Kind: "question", Question: q}, nil
		}
		if len(values) > 0 {
			if err := r.update(ctx, t, row, values); err != nil {
				return Outcome{}, err
			}
		}
	}
	out.Choose = &Choice{List: e.ID, Row: key}
	out.Message = fmt.Sprintf("%s saved.", english.Capital(t.One))
	return out, nil
}
