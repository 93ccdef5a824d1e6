package nav

import (
	"context"
	"maps"
	"slices"
	"time"

	"ambergate/core/cond"
)

// fetchChildren finds what child rules of the screen ask for, of its own record and of given ones.
func (o *Opening) fetchChildren(ctx context.Context, src Sources) error {
	for _, key := range slices.Sorted(maps.Keys(o.needs(src).children)) {
		p := o.plan.kin[key]
		of := (*Row)(nil)
		switch p.From {
		case "", "record":
			of = o.world.record
		case "row":
			continue // when it is pressed
		default:
			of = o.world.inputRows[p.From]
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

// fetchChildrenOf finds what child rules ask for of the row that is pressed.
func (o *Opening) fetchChildrenOf(ctx context.Context, records Records, row *Row) error {
	for _, key := range slices.Sorted(maps.Keys(o.plan.kin)) {
		if p := o.plan.kin[key]; p.From == "row" {
			if err := o.fetchChild(ctx, records, key, p, row); err != nil {
				return err
			}
		}
	}
	return nil
}

func (o *Opening) fetchChild(ctx context.Context, records Records, key string, p *childPlan, of *Row) error {
	t := o.app.Project.Tables[p.Table]
	key += "|" + of.Key
	if p.Bad || t == nil || !o.rights.On(t.ID).View {
		o.children[key] = nil
		return nil
	}
	q := Query{Table: t, Match: []Match{{Path: p.Path, Compare: "is", Value: cond.Key(of.Key)}}, Limit: 1, Rights: o.rights}
	if p.While != nil {
		q.Also = p.While.Root.Bind(o.world)
	}
	q.Order = o.order(t.ID, t.Order)
	if p.Order != "" {
		q.Order = o.sortable(t.ID, []Sort{{Path: p.Order}})
	}
	one := func(q Query) (*Row, error) {
		page, err := records.Fetch(ctx, q)
		if err != nil || len(page.Rows) == 0 {
			return nil, err
		}
		return page.Rows[0], nil
	}
	var row *Row
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
	o.children[key] = row
	return err
}

// nearest takes the closer of the last until now and the first from now on.
func (o *Opening) nearest(q Query, path string, one func(Query) (*Row, error)) (*Row, error) {
	f, _ := o.app.Project.FieldAt(q.Table.ID, path)
	if f == nil || !o.maySee(q.Table.ID, path) {
		return nil, nil
	}
	now := cond.DateOf(o.world.now)
	if f.Type == "moment" {
		now = cond.MomentOf(o.world.now)
	}
	q.Paths = []string{path}
	at := func(compare string, back bool) (*Row, time.Duration, error) {
		side := q
		side.Match = append([]Match{{Path: path, Compare: compare, Value: now}}, q.Match...)
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
