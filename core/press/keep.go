package press

import (
	"context"
	"fmt"
	"maps"
	"slices"

	"ambergate/core/ask"
	"ambergate/core/cond"
	"ambergate/core/project"
)

// How a change is kept: the record must be within the row rules before it and after it, and what
// it comes to refer to must be there for the user. All within the transaction of the press.

// Insert adds a record under the user's rights.
func (r Run) Insert(ctx context.Context, t *project.Table, values map[string]cond.Value) (string, error) {
	if err := r.parentsAreThere(ctx, t, nil, values); err != nil {
		return "", err
	}
	key, err := r.Records.Insert(ctx, t, values)
	if err != nil {
		return "", err
	}
	return key, r.within(ctx, t, key, "add", nil)
}

// Update changes the screen's record under the user's rights. It was fetched, and locked, before.
func (r Run) Update(ctx context.Context, t *project.Table, row *ask.Row, values map[string]cond.Value) error {
	if !row.May["edit"] {
		return ask.Refuse("row-rule", fmt.Sprintf("You may view this %s, but not change it.", t.One), "Ask the person who runs this application for the right.")
	}
	if err := r.parentsAreThere(ctx, t, row, values); err != nil {
		return err
	}
	if err := r.Records.Update(ctx, t, row.Key, values); err != nil {
		return err
	}
	return r.within(ctx, t, row.Key, "edit", r.Opening.Rights.Rows("view", t.ID))
}

// within asks again after a change: nobody changes a record into one that is not theirs to change.
func (r Run) within(ctx context.Context, t *project.Table, key, verb string, also *cond.Pred) error {
	rule := cond.AllOf(r.Opening.Rights.Rows(verb, t.ID), also)
	if rule == nil {
		return nil
	}
	page, err := r.Records.Fetch(ctx, ask.Query{Table: t, Key: key, Limit: 1, Rights: ask.EveryRow, Also: rule})
	if err != nil {
		return err
	}
	if len(page.Rows) > 0 {
		return nil
	}
	words := fmt.Sprintf("With this change, it would be a %s that you may not change.", t.One)
	if verb == "add" {
		words = fmt.Sprintf("You may not add a %s like this.", t.One)
	}
	return ask.Refuse("row-rule-after", words, "Nothing was changed. Enter other values.")
}

// parentsAreThere refuses to refer to a record that the user does not get to see, in the words
// that are used for one that does not exist.
func (r Run) parentsAreThere(ctx context.Context, t *project.Table, before *ask.Row, values map[string]cond.Value) error {
	wrong := map[string]string{}
	for _, field := range slices.Sorted(maps.Keys(values)) {
		f, key := t.Fields[field], values[field]
		parent := r.Opening.App.Project.Tables[f.References]
		if parent == nil || key.IsNull() || before != nil && cond.Equal(before.Values[field], key) {
			continue
		}
		if f.References == r.Opening.App.Project.Settings.UserTable && key.KeyOf() == r.Opening.World.User.Record {
			continue // one's own record is one's own
		}
		if !r.Opening.Rights.On(f.References).View {
			wrong[field] = "This does not exist any more."
			continue
		}
		page, err := r.Records.Fetch(ctx, ask.Query{Table: parent, Key: key.KeyOf(), Limit: 1, Rights: r.Opening.Rights})
		if err != nil {
			return err
		}
		if len(page.Rows) == 0 {
			wrong[field] = "This does not exist any more."
		}
	}
	if len(wrong) > 0 {
		return &ask.FieldErrors{Fields: wrong}
	}
	return nil
}
