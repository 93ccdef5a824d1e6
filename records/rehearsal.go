package records

import (
	"context"
	"errors"

	"github.com/jackc/pgx/v5"

	"ambergate/core/ask"
	"ambergate/core/cond"
	"ambergate/core/project"
)

// Rehearsal changes records in whichever database each belongs to, and keeps nothing: what was changed is seen within it
// alone, and rolled back when it ends. It implements ask.Changer.
type Rehearsal struct {
	project *project.Project
	of      func(*project.Table) (*Source, error)
	open    map[*Source]*Press
}

// NewRehearsal begins one; a database is told of it once something is asked of it. The error of its function is given to who
// asks for the table.
func NewRehearsal(p *project.Project, of func(*project.Table) (*Source, error)) *Rehearsal {
	return &Rehearsal{project: p, of: of, open: map[*Source]*Press{}}
}

// End rolls back all that was changed.
func (t *Rehearsal) End(ctx context.Context) error {
	var errs []error
	for _, p := range t.open {
		if err := p.tx.Rollback(context.WithoutCancel(ctx)); err != nil && !errors.Is(err, pgx.ErrTxClosed) {
			errs = append(errs, err)
		}
	}
	clear(t.open)
	return errors.Join(errs...)
}

func (t *Rehearsal) press(ctx context.Context, table *project.Table) (*Press, error) {
	source, err := t.of(table)
	if err != nil {
		return nil, err
	}
	if p := t.open[source]; p != nil {
		return p, nil
	}
	p, err := source.practice(ctx, t.project)
	if err == nil {
		t.open[source] = p
	}
	return p, err
}

// Fetch reads records as they are within it.
func (t *Rehearsal) Fetch(ctx context.Context, q ask.Query) (ask.Page, error) {
	p, err := t.press(ctx, q.Table)
	if err != nil {
		return ask.Page{}, err
	}
	return p.Fetch(ctx, q)
}

// Count counts them.
func (t *Rehearsal) Count(ctx context.Context, q ask.Query) (ask.Count, error) {
	p, err := t.press(ctx, q.Table)
	if err != nil {
		return ask.Count{}, err
	}
	return p.Count(ctx, q)
}

// Group counts them by a field.
func (t *Rehearsal) Group(ctx context.Context, q ask.GroupQuery) ([]ask.Group, error) {
	p, err := t.press(ctx, q.Table)
	if err != nil {
		return nil, err
	}
	return p.Group(ctx, q)
}

// Insert adds a record and gives its key.
func (t *Rehearsal) Insert(ctx context.Context, table *project.Table, values map[string]cond.Value) (string, error) {
	p, err := t.press(ctx, table)
	if err != nil {
		return "", err
	}
	return p.Insert(ctx, table, values)
}

// Update changes fields of a record.
func (t *Rehearsal) Update(ctx context.Context, table *project.Table, key string, values map[string]cond.Value) error {
	p, err := t.press(ctx, table)
	if err != nil {
		return err
	}
	return p.Update(ctx, table, key, values)
}

// Delete removes a record.
func (t *Rehearsal) Delete(ctx context.Context, table *project.Table, key string) error {
	p, err := t.press(ctx, table)
	if err != nil {
		return err
	}
	return p.Delete(ctx, table, key)
}

// Hanging tells what refers to a record.
func (t *Rehearsal) Hanging(ctx context.Context, table *project.Table, key string, rights ask.RowRules) ([]ask.Hanging, error) {
	p, err := t.press(ctx, table)
	if err != nil {
		return nil, err
	}
	return p.Hanging(ctx, table, key, rights)
}
