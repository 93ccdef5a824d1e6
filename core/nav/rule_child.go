package nav

import (
	"context"
	"time"

	"ambergate/core/cond"
	"ambergate/core/project"
)

// childRule is the first, last or nearest of the records that name another: this cabin's last inspection.
type childRule struct{ ruleBase }

// childPlan is what is to be found for one child rule of a screen.
type childPlan struct {
	bind  *project.Binding
	while *cond.Expr
	bad   bool // its condition cannot be read
}

func childKey(b *project.Binding) string {
	return b.From + "|" + b.Table + "|" + b.Path + "|" + b.Pick + "|" + b.Order + "|" + b.While
}

func (childRule) needs(b *planner, bind *project.Binding) {
	p := &childPlan{bind: bind}
	if bind.While != "" {
		scope := b.scope
		b.scope = b.app.Project.RowScope(bind.Table)
		e, problem := b.app.Compiler.Condition(b.scope, bind.While)
		b.scope = scope
		if problem != nil {
			b.broken("binding", bind.While, *problem)
		}
		p.while, p.bad = e, problem != nil
	}
	if f, _ := b.app.Project.FieldAt(bind.Table, bind.Path); f == nil {
		b.broken("binding", bind.Path, cond.Problem{Message: "The relation that it follows is gone.", Length: 1})
		p.bad = true
	}
	if b.plan.kin == nil {
		b.plan.kin = map[string]*childPlan{}
	}
	b.plan.kin[childKey(bind)] = p
	b.asks(needs{children: stepSet{childKey(bind): true}})
}

func (childRule) value(x *binding) cond.Value {
	of := x.from()
	if of == nil {
		return cond.NullValue
	}
	row, fetched := x.o.children[childKey(x.b)+"|"+of.Key]
	switch {
	case !fetched && x.b.From == "row":
		x.later = true
		return cond.NullValue
	case !fetched:
		return cond.UnknownBecause("it was not looked for")
	case row == nil:
		return cond.NullValue
	}
	return cond.Key(row.Key)
}

func (childRule) words(w *sentenceWriter, b *project.Binding, _ *project.Input) string {
	t := w.app.Project.Tables[b.Table]
	if f, _ := w.app.Project.FieldAt(b.Table, b.Path); f == nil || t == nil {
		return "a relation that is gone"
	}
	pick := b.Pick
	if pick == "" {
		pick = "last"
	}
	of := w.fromWords(b.From)
	if of == "its" {
		of = thisRule{}.words(w, nil, nil) + "’s"
	}
	text := of + " " + pick + " " + t.One
	if b.While != "" {
		if e, problem := w.app.Compiler.Condition(w.app.Project.RowScope(b.Table), b.While); problem == nil {
			text += " where " + w.phrase(e.Root)
		}
	}
	return text
}

func (childRule) table(_ *sentenceWriter, b *project.Binding) (string, bool) { return b.Table, true }

func (childRule) mayBeNone(*sentenceWriter, *project.Binding) bool { return true }

// fetchChildren finds what child rules of the screen ask for, of its own record and of given ones.
func (o *Opening) fetchChildren(ctx context.Context, src Sources) error {
	for _, key := range sortedKeys(o.needs(src).children) {
		p := o.plan.kin[key]
		of := (*Row)(nil)
		switch p.bind.From {
		case "", "record":
			of = o.world.record
		case "row":
			continue // when it is pressed
		default:
			of = o.world.inputRows[p.bind.From]
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
	for _, key := range sortedKeys(o.plan.kin) {
		if p := o.plan.kin[key]; p.bind.From == "row" {
			if err := o.fetchChild(ctx, records, key, p, row); err != nil {
				return err
			}
		}
	}
	return nil
}

func (o *Opening) fetchChild(ctx context.Context, records Records, key string, p *childPlan, of *Row) error {
	b, t := p.bind, o.app.Project.Tables[p.bind.Table]
	key += "|" + of.Key
	if p.bad || t == nil || !o.rights.On(t.ID).View {
		o.children[key] = nil
		return nil
	}
	q := Query{Table: t, Match: []Match{{Path: b.Path, Compare: "is", Value: cond.Key(of.Key)}}, Limit: 1, Rights: o.rights}
	if p.while != nil {
		q.Also = p.while.Root.Bind(o.world)
	}
	q.Order = o.order(t.ID, t.Order)
	if b.Order != "" {
		q.Order = o.sortable(t.ID, []Sort{{Path: b.Order}})
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
	switch b.Pick {
	case "nearest":
		row, err = o.nearest(q, b.Order, one)
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
