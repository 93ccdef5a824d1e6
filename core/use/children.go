package use

import (
	"context"
	"fmt"
	"maps"
	"slices"
	"time"

	"ambergate/core/ask"
	"ambergate/core/cond"
	"ambergate/core/plan"
)

// AskChildren asks for what child rules of the screen ask for, of its own record and of given ones.
func (o *Opening) AskChildren(round *ask.Round, src Sources) {
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
		o.askChild(round, key, p, of)
	}
}

// FetchChildrenOf finds what child rules ask for of the row that is pressed.
func (o *Opening) FetchChildrenOf(ctx context.Context, records ask.Records, row *ask.Row) error {
	var round ask.Round
	for _, key := range slices.Sorted(maps.Keys(o.Plan.Found)) {
		if p := o.Plan.Found[key]; p.From == "row" {
			o.askChild(&round, key, p, row)
		}
	}
	return round.Run(ctx, records)
}

func (o *Opening) askChild(round *ask.Round, key string, p *plan.Child, of *ask.Row) {
	t := o.App.Project.Tables[p.Table]
	key += "|" + of.Key
	if p.Bad || t == nil || !o.Rights.On(t.ID).View {
		o.Children[key] = nil
		return
	}
	q := ask.Query{Table: t, Match: []ask.Match{{Path: p.Path, Compare: "is", Value: cond.Key(of.Key)}}, Limit: 1, Rights: o.Rights}
	if p.While != nil {
		q.Also = p.While.Root.Bind(o.World)
	}
	q.Order = o.order(t.ID, t.Order)
	if p.Order != "" {
		q.Order = o.sortable(t.ID, []ask.Sort{{Path: p.Order}})
	}
	switch p.Pick {
	case "nearest":
		o.askNearest(round, q, p.Order, key)
	case "first":
		o.askChildRow(round, q, func(row *ask.Row) { o.Children[key] = row })
	default:
		q.Back = true
		o.askChildRow(round, q, func(row *ask.Row) { o.Children[key] = row })
	}
}

func (o *Opening) askChildRow(round *ask.Round, q ask.Query, then func(*ask.Row)) {
	round.Fetch(q, func(page ask.Page, err error) error {
		if err != nil {
			return fmt.Errorf("find what hangs on a record: %w", err)
		}
		if len(page.Rows) == 0 {
			then(nil)
			return nil
		}
		then(page.Rows[0])
		return nil
	})
}

// askNearest takes the closer of the last until now and the first from now on.
func (o *Opening) askNearest(round *ask.Round, q ask.Query, path, key string) {
	o.Children[key] = nil
	f, _ := o.App.Project.FieldAt(q.Table.ID, path)
	if f == nil || !o.MaySee(q.Table.ID, path) {
		return
	}
	now := cond.DateOf(o.World.Now())
	if f.Type == "moment" {
		now = cond.MomentOf(o.World.Moment)
	}
	base, _ := now.Time()
	away := func(row *ask.Row) time.Duration {
		t, _ := row.Values[path].Time()
		return t.Sub(base).Abs()
	}
	q.Paths = []string{path}
	side := func(compare string, back bool) ask.Query {
		of := q
		of.Match = append([]ask.Match{{Path: path, Compare: compare, Value: now}}, q.Match...)
		of.Back = back
		return of
	}
	o.askChildRow(round, side("atMost", true), func(past *ask.Row) { o.Children[key] = past })
	o.askChildRow(round, side("atLeast", false), func(coming *ask.Row) {
		if past := o.Children[key]; past == nil || coming != nil && away(coming) < away(past) {
			o.Children[key] = coming
		}
	})
}
