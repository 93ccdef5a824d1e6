package use

import (
	"context"
	"maps"
	"slices"
	"time"

	"ambergate/core/ask"
	"ambergate/core/cond"
	"ambergate/core/plan"
)

// FetchChildren finds what child rules of the screen ask for, of its own record and of given ones.
func (o *Opening) FetchChildren(ctx context.Context, src Sources) error {
	for _, key := range slices.Sorted(maps.Keys(o.needs(src).Children)) {
		p := o.Plan.Found[key]
		of := (*ask.Row)(nil)
		switch p.From {
		case "", "record":
			of = o.World.Record
		case "row":
			continue // when it is pressed
		default:
			of = o.World.InputRows[p.From]
		}
		if of == nil {
			continue
		}
		if err := o.fetchChild(ctx, src.Records, key, p, of); err != nil {
			return err
		}
	}
	return nil
}

// FetchChildrenOf finds what child rules ask for of the row that is pressed.
func (o *Opening) FetchChildrenOf(ctx context.Context, records ask.Records, row *ask.Row) error {
	for _, key := range slices.Sorted(maps.Keys(o.Plan.Found)) {
		if p := o.Plan.Found[key]; p.From == "row" {
			if err := o.fetchChild(ctx, records, key, p, row); err != nil {
				return err
			}
		}
	}
	return nil
}

func (o *Opening) fetchChild(ctx context.Context, records ask.Records, key string, p *plan.Child, of *ask.Row) error {
	t := o.App.Project.Tables[p.Table]
	key += "|" + of.Key
	if p.Bad || t == nil || !o.Rights.On(t.ID).View {
		o.Children[key] = nil
		return nil
	}
	q := ask.Query{Table: t, Match: []ask.Match{{Path: p.Path, Compare: "is", Value: cond.Key(of.Key)}}, Limit: 1, Rights: o.Rights}
	if p.While != nil {
		q.Also = p.While.Root.Bind(o.World)
	}
	q.Order = o.order(t.ID, t.Order)
	if p.Order != "" {
		q.Order = o.sortable(t.ID, []ask.Sort{{Path: p.Order}})
	}
	one := func(q ask.Query) (*ask.Row, error) {
		page, err := records.Fetch(ctx, q)
		if err != nil || len(page.Rows) == 0 {
			return nil, err
		}
		return page.Rows[0], nil
	}
	var row *ask.Row
	var err error
	switch p.Pick {
	case "nearest":
		row, err = o.nearest(q, p.Order, one)
	case "first":
		row, err = one(q)
	default:
		q.Back = true
		row, err = one(q)
	}
	o.Children[key] = row
	return err
}

// nearest takes the closer of the last until now and the first from now on.
func (o *Opening) nearest(q ask.Query, path string, one func(ask.Query) (*ask.Row, error)) (*ask.Row, error) {
	f, _ := o.App.Project.FieldAt(q.Table.ID, path)
	if f == nil || !o.MaySee(q.Table.ID, path) {
		return nil, nil
	}
	now := cond.DateOf(o.World.Moment)
	if f.Type == "moment" {
		now = cond.MomentOf(o.World.Moment)
	}
	q.Paths = []string{path}
	at := func(compare string, back bool) (*ask.Row, time.Duration, error) {
		side := q
		side.Match = append([]ask.Match{{Path: path, Compare: compare, Value: now}}, q.Match...)
		side.Back = back
		row, err := one(side)
		if row == nil || err != nil {
			return nil, 0, err
		}
		t, _ := row.Values[path].Time()
		base, _ := now.Time()
		return row, t.Sub(base).Abs(), nil
	}
	past, since, err := at("atMost", true)
	if err != nil {
		return nil, err
	}
	coming, until, err := at("atLeast", false)
	if past == nil || coming != nil && until < since {
		return coming, err
	}
	return past, err
}
