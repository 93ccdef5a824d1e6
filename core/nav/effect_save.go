package nav

import (
	"context"
	"maps"
	"slices"

	"ambergate/core/cond"
	"ambergate/core/project"
)

// saveEffect keeps what was typed on the form.
type saveEffect struct {
	project.EffectHead
	project.Changes
}

// Validate accepts it as it is.
func (*saveEffect) Validate() error { return nil }

// Keeps says that it keeps what was typed.
func (*saveEffect) Keeps() {}

func (*saveEffect) Plan(*planner, *EffectPlan) {}

func (*saveEffect) Say(*sentenceWriter, *EffectPlan) string { return "save" }

func (*saveEffect) Shut(o *Opening, _ *EffectPlan, _ *Row) (Verdict, bool) {
	if o.world.record == nil || o.place.Mode != "edit" {
		return Verdict{}, false
	}
	return o.shutToChanges(o.world.record)
}

// Do keeps what was typed. Different fields changed by different people merge; the same
// field changed by both is put to the user.
func (*saveEffect) Do(ctx context.Context, r effectRun) (*Question, error) {
	t := r.table()
	if t == nil {
		return nil, refuse("broken", "There is no table to save to.", "Tell the person who builds this application.")
	}
	if r.o.place.Mode == "view" {
		return nil, nil
	}
	editable := r.editable()
	values, err := r.typed(editable)
	if err == nil && r.o.place.Mode == "add" {
		err = r.fillIn(t, editable, values)
	}
	if err != nil {
		return nil, err
	}
	if r.o.place.Mode == "add" {
		key, err := r.insert(ctx, t, values)
		if err != nil {
			return nil, err
		}
		return nil, r.reload(ctx, key)
	}
	if q := r.conflict(t, r.o.world.record, values); q != nil {
		return q, nil
	}
	if len(values) > 0 {
		if err := r.update(ctx, t, r.o.world.record, values); err != nil {
			return nil, err
		}
	}
	return nil, r.reload(ctx, r.o.world.record.Key)
}

// Edited is answered by elements that edit a field of the screen's record.
type Edited interface {
	// Edits gives the field that it edits here; nil where it only shows it.
	Edits(o *Opening) *project.Column
}

// editable gives the fields that this screen, mode and user show as editable.
func (r effectRun) editable() map[string]*project.Column {
	out := map[string]*project.Column{}
	for _, e := range r.o.plan.Elements {
		if spec, ok := e.Spec.(Edited); ok {
			if f := spec.Edits(r.o); f != nil {
				out[f.ID] = f
			}
		}
	}
	return out
}

// typed reads what was typed into editable fields; anything else is refused. Wrong values are
// told field by field.
func (r effectRun) typed(editable map[string]*project.Column) (map[string]cond.Value, error) {
	values := map[string]cond.Value{}
	wrong := map[string]string{}
	for _, field := range slices.Sorted(maps.Keys(r.press.Values)) {
		f := editable[field]
		if f == nil {
			return nil, refuse("no-grant", "One of the fields sent may not be changed here.", "Load the screen again.")
		}
		v, words := entered(f, r.press.Values[field], r.w.now.Location())
		if words != "" {
			wrong[field] = words
			continue
		}
		values[field] = v
	}
	if len(wrong) > 0 {
		return nil, &FieldErrors{Fields: wrong}
	}
	return values, nil
}

// fillIn adds what the address fills in, and asks for what a new record needs.
func (r effectRun) fillIn(t *project.Table, editable map[string]*project.Column, values map[string]cond.Value) error {
	for field, wire := range r.o.place.Set {
		f := t.Fields[field]
		if _, typed := values[field]; typed || f == nil || r.o.grant.ReadOnly[field] || r.o.grant.Hidden[field] || f.ReadOnly {
			continue
		}
		if v, err := cond.Parse(f.TypeOf(), wire); err == nil && !v.IsNull() {
			values[field] = v
		}
	}
	return needed(editable, values)
}

// needed asks for the fields that a new record cannot be without.
func needed(editable map[string]*project.Column, values map[string]cond.Value) error {
	wrong := map[string]string{}
	for field, f := range editable {
		if _, given := values[field]; !given && !f.Nullable && f.Default == "" {
			wrong[field] = f.Label + " is needed."
		}
	}
	if len(wrong) > 0 {
		return &FieldErrors{Fields: wrong}
	}
	return nil
}

// conflict finds fields that were changed here and, since the form was opened, by somebody else.
func (r effectRun) conflict(t *project.Table, row *Row, values map[string]cond.Value) *Question {
	if row == nil || row.Version == r.press.Version {
		return nil
	}
	q := &Question{Kind: "conflict", Words: "Somebody changed this " + t.One + " while you were editing it.", about: row.Table + "|" + row.Key + "|" + row.Version}
	for _, field := range slices.Sorted(maps.Keys(values)) {
		f := t.Fields[field]
		theirs, mine := row.Values[field], values[field]
		base, wrong := before(f, r.press.Base[field], r.w.now.Location())
		if wrong != "" && !base.Known() {
			base = cond.NullValue
		}
		if cond.Equal(theirs, base) || cond.Equal(theirs, mine) {
			continue
		}
		q.Fields = append(q.Fields, ConflictField{Field: field, Label: f.Label, Mine: r.w.say(mine, f.TypeOf()), Theirs: r.w.say(theirs, f.TypeOf())})
	}
	for _, c := range q.Fields {
		// Answered is what was asked: if they changed it once more since, it is asked again.
		if keep := r.press.Keep[c.Field]; keep != "mine" && keep != "theirs" || !r.press.answered(q) {
			return q
		}
	}
	for _, c := range q.Fields {
		if r.press.Keep[c.Field] == "theirs" {
			delete(values, c.Field)
		}
	}
	return nil
}
