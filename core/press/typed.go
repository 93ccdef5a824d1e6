package press

import (
	"maps"
	"slices"

	"ambergate/core/ask"
	"ambergate/core/cond"
	"ambergate/core/project"
	"ambergate/core/use"
)

// Editor is answered by elements that edit a field of the screen's record.
type Editor interface {
	// Edits gives the field that it edits here; nil where it only shows it.
	Edits(o *use.Opening) *project.Column
}

// Editable gives the fields that this screen, mode and user show as editable.
func (r Run) Editable() map[string]*project.Column { return EditableOn(r.Opening) }

// EditableOn gives the fields that an open screen shows as editable.
func EditableOn(o *use.Opening) map[string]*project.Column {
	out := map[string]*project.Column{}
	for _, e := range o.Plan.Elements {
		if spec, ok := e.Spec.(Editor); ok && !o.Skipped(e) {
			if f := spec.Edits(o); f != nil {
				out[f.ID] = f
			}
		}
	}
	return out
}

// Typed reads what was typed into editable fields; anything else is refused. Wrong values are
// told field by field.
func (r Run) Typed(editable map[string]*project.Column) (map[string]cond.Value, error) {
	values := map[string]cond.Value{}
	wrong := map[string]string{}
	skipped := r.skipped()
	for _, field := range slices.Sorted(maps.Keys(r.press.Values)) {
		f := editable[field]
		if f == nil && skipped[field] {
			continue // typed in a step that is no part of the task any more
		}
		if f == nil {
			return nil, ask.Refuse("no-grant", "One of the fields sent may not be changed here.", "Load the screen again.")
		}
		v, words := use.Entered(f, r.press.Values[field], r.World.Moment.Location())
		if words != "" {
			wrong[field] = words
			continue
		}
		values[field] = v
	}
	if len(wrong) > 0 {
		return nil, &ask.FieldErrors{Fields: wrong}
	}
	return values, nil
}

// skipped gives the fields that can be typed in steps that are no part of the task now.
func (r Run) skipped() map[string]bool {
	out := map[string]bool{}
	for _, s := range r.Opening.Task().Steps {
		for _, f := range s.Fields {
			if !s.Part {
				out[f.ID] = true
			}
		}
	}
	return out
}

// FillIn adds what the address fills in, and asks for what a new record needs.
func (r Run) FillIn(t *project.Table, editable map[string]*project.Column, values map[string]cond.Value) error {
	for field, wire := range r.Opening.FilledIn() {
		f := t.Fields[field]
		if _, typed := values[field]; typed || f == nil || r.Opening.Grant.ReadOnly[field] || r.Opening.Grant.Hidden[field] || f.ReadOnly {
			continue
		}
		if v, err := cond.Parse(f.TypeOf(), wire); err == nil && !v.IsNull() {
			values[field] = v
		}
	}
	return needed(editable, values)
}

// NeededHere asks for the fields that this screen may not leave empty, though their table allows that, of a record that
// is changed.
func (r Run) NeededHere(t *project.Table, editable map[string]*project.Column, values map[string]cond.Value) error {
	wrong := map[string]string{}
	for field, f := range editable {
		_, given := values[field] // what was emptied is told already
		if own := t.Fields[field]; !given && own != nil && own.Nullable && !f.Nullable && r.World.Record.Values[field].IsNull() {
			wrong[field] = "Fill in “" + f.Label + "”."
		}
	}
	if len(wrong) > 0 {
		return &ask.FieldErrors{Fields: wrong}
	}
	return nil
}

// needed asks for the fields that a new record cannot be without.
func needed(editable map[string]*project.Column, values map[string]cond.Value) error {
	wrong := map[string]string{}
	for field, f := range editable {
		if _, given := values[field]; !given && !f.Nullable && f.Default == "" {
			wrong[field] = "Fill in “" + f.Label + "”."
		}
	}
	if len(wrong) > 0 {
		return &ask.FieldErrors{Fields: wrong}
	}
	return nil
}

// Conflict finds fields that were changed here and, since the form was opened, by somebody else.
func (r Run) Conflict(t *project.Table, row *ask.Row, values map[string]cond.Value) *Question {
	if row == nil || row.Version == r.press.Version {
		return nil
	}
	q := &Question{Kind: "conflict", Words: "Somebody changed this " + t.One + " while you were editing it.", about: row.Table + "|" + row.Key + "|" + row.Version}
	for _, field := range slices.Sorted(maps.Keys(values)) {
		f := t.Fields[field]
		theirs, mine := row.Values[field], values[field]
		base, wrong := use.Before(f, r.press.Base[field], r.World.Moment.Location())
		if wrong != "" && !base.Known() {
			base = cond.NullValue
		}
		if cond.Equal(theirs, base) || cond.Equal(theirs, mine) {
			continue
		}
		q.Fields = append(q.Fields, ConflictField{Field: field, Label: f.Label, Mine: r.World.Say(mine, f.TypeOf()), Theirs: r.World.Say(theirs, f.TypeOf())})
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
