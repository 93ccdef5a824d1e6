package stand

import (
	"context"
	"fmt"
	"maps"
	"slices"
	"sort"
	"strings"

	"ambergate/core/ask"
	"ambergate/core/cond"
	"ambergate/core/project"
	"ambergate/core/use"
)

// Records is records in maps: table → key → column id → value. It counts its queries.
type Records struct {
	project *project.Project
	Rows    map[string]map[string]map[string]cond.Value
	Queries int
	Locked  bool // nothing can be changed
	next    int
}

// OnlyRead says whether a table can only be read.
func (f *Records) OnlyRead(*project.Table) bool { return f.Locked }

func (f *Records) value(table, key, path string) cond.Value {
	parts := strings.Split(path, ".")
	row := f.Rows[table][key]
	if row == nil {
		return cond.NullValue
	}
	v, ok := row[parts[0]]
	if !ok {
		v = cond.NullValue
	}
	if len(parts) == 1 || v.IsNull() {
		return v
	}
	return f.value(f.project.Tables[table].Fields[parts[0]].References, v.KeyOf(), strings.Join(parts[1:], "."))
}

// meets says whether a record is within a rule.
func (f *Records) meets(table, key string, rule *cond.Pred) bool {
	return rule == nil || rule.Holds(func(p *cond.Path) cond.Value {
		if p.Key == "" {
			return cond.Key(key)
		}
		return f.value(table, key, p.Key)
	})
}

// seen gives a value unless a parent along the way is hidden.
func (f *Records) seen(rights ask.RowRules, table, key, path string) cond.Value {
	at, record := table, key
	for _, part := range strings.Split(path, ".") {
		field := f.project.Tables[at].Fields[part]
		if field == nil || field.References == "" {
			break
		}
		parent := f.value(at, record, part)
		if parent.IsNull() {
			break
		}
		at, record = field.References, parent.KeyOf()
		if !f.meets(at, record, rights.Visible(at)) {
			return cond.UnknownBecause("not visible to you")
		}
	}
	return f.value(table, key, path)
}

func (f *Records) matches(q ask.Query, key string) bool {
	if q.Key != "" && q.Key != key || !f.meets(q.Table.ID, key, q.Rights.Visible(q.Table.ID)) || !f.meets(q.Table.ID, key, q.Also) {
		return false
	}
	for _, m := range q.Match {
		v := f.value(q.Table.ID, key, m.Path)
		equal := v.Wire() == m.Value.Wire() && v.IsNull() == m.Value.IsNull()
		if m.Compare == "is" && !equal || m.Compare == "isNot" && equal {
			return false
		}
		if m.Compare == "contains" && !strings.Contains(v.Wire(), m.Value.Wire()) {
			return false
		}
		if m.Compare == "in" && !slices.ContainsFunc(m.Values, func(one cond.Value) bool { return one.Wire() == v.Wire() }) {
			return false
		}
		// Days are written so that their texts compare as they do.
		if m.Compare == "atLeast" && (v.IsNull() || v.Wire() < m.Value.Wire()) || m.Compare == "atMost" && (v.IsNull() || v.Wire() > m.Value.Wire()) {
			return false
		}
	}
	for _, word := range q.Find.Words {
		if !slices.ContainsFunc(q.Find.Paths, func(path string) bool {
			return strings.Contains(strings.ToLower(f.value(q.Table.ID, key, path).Wire()), strings.ToLower(word))
		}) {
			return false
		}
	}
	return true
}

func (f *Records) Fetch(_ context.Context, q ask.Query) (ask.Page, error) {
	f.Queries++
	var page ask.Page
	keys := slices.Sorted(maps.Keys(f.Rows[q.Table.ID]))
	for _, key := range keys {
		if !f.matches(q, key) {
			continue
		}
		row := &ask.Row{Table: q.Table.ID, Key: key, Version: fmt.Sprint(f.Rows[q.Table.ID][key]), Values: map[string]cond.Value{}}
		for _, p := range q.Paths {
			row.Values[p] = f.seen(q.Rights, q.Table.ID, key, p)
		}
		row.May = map[string]bool{}
		for name, rule := range q.Ask {
			row.May[name] = f.meets(q.Table.ID, key, rule)
		}
		page.Rows = append(page.Rows, row)
	}
	for i := len(q.Order) - 1; i >= 0; i-- {
		o := q.Order[i]
		sort.SliceStable(page.Rows, func(a, b int) bool {
			x, y := f.value(q.Table.ID, page.Rows[a].Key, o.Path).Wire(), f.value(q.Table.ID, page.Rows[b].Key, o.Path).Wire()
			return x < y != o.Desc && x != y
		})
	}
	for _, r := range page.Rows {
		r.Cursor = r.Key // the order is known to the query; keys say where in it one is
	}
	f.cut(q, &page)
	return page, nil
}

// cut leaves what lies beyond the cursor, in the direction of reading. The record of the cursor
// may be out of the list: then its place is that among all records.
func (f *Records) cut(q ask.Query, page *ask.Page) {
	if q.After != "" {
		whole := q
		whole.After, whole.Match, whole.Limit, whole.Back, whole.Except, whole.Key = "", nil, 0, false, "", ""
		all, _ := f.Fetch(context.Background(), whole)
		at := map[string]int{}
		for i, r := range all.Rows {
			at[r.Key] = i
		}
		page.Rows = slices.DeleteFunc(page.Rows, func(r *ask.Row) bool { return (at[r.Key] <= at[q.After]) != q.Back || r.Key == q.After })
	}
	page.Rows = slices.DeleteFunc(page.Rows, func(r *ask.Row) bool { return q.Except != "" && r.Key == q.Except })
	if q.Limit > 0 && len(page.Rows) > q.Limit {
		n := len(page.Rows)
		if q.Back {
			page.Rows = page.Rows[n-q.Limit:]
			page.Next = page.Rows[0].Cursor
		} else {
			page.Rows = page.Rows[:q.Limit]
			page.Next = page.Rows[q.Limit-1].Cursor
		}
	}
}

func (f *Records) Delete(_ context.Context, t *project.Table, key string) error {
	delete(f.Rows[t.ID], key)
	return nil
}

func (f *Records) Hanging(_ context.Context, t *project.Table, key string, rights ask.RowRules) ([]ask.Hanging, error) {
	var out []ask.Hanging
	for _, id := range slices.Sorted(maps.Keys(f.project.Tables)) {
		for _, field := range f.project.Tables[id].Fields {
			n := 0
			for child := range f.Rows[id] {
				if field.References == t.ID && f.value(id, child, field.ID).Wire() == key && f.meets(id, child, rights.Visible(id)) {
					n++
				}
			}
			if n > 0 {
				out = append(out, ask.HangingOf(f.project.Tables[id], n, "kept"))
			}
		}
	}
	return out, nil
}

func (f *Records) Count(_ context.Context, q ask.Query) (ask.Count, error) {
	q.Limit = 0
	page, err := f.Fetch(context.Background(), q)
	f.Queries--
	return ask.Count{N: len(page.Rows)}, err
}

func (f *Records) Group(_ context.Context, q ask.GroupQuery) ([]ask.Group, error) {
	counts := map[string]*ask.Group{}
	for _, key := range slices.Sorted(maps.Keys(f.Rows[q.Table.ID])) {
		if !f.matches(ask.Query{Table: q.Table, Match: q.Match, Rights: q.Rights}, key) {
			continue
		}
		v := cond.NullValue
		if q.By != "" {
			v = f.seen(q.Rights, q.Table.ID, key, q.By)
		}
		if day, ok := v.Time(); ok && q.Span != "" {
			v = cond.DateOf(use.SpanStart(day, q.Span))
		}
		g := counts[v.Wire()]
		if g == nil {
			g = &ask.Group{Value: v, Row: &ask.Row{Table: q.Table.ID, Values: map[string]cond.Value{}}}
			for _, p := range q.Title {
				g.Row.Values[p] = f.value(q.Table.ID, key, p)
			}
			counts[v.Wire()] = g
		}
		g.N++
		if q.Split != "" {
			g.AddPart(f.part(q, key))
		}
	}
	var out []ask.Group
	for _, k := range slices.Sorted(maps.Keys(counts)) {
		out = append(out, *counts[k])
	}
	return out, nil
}

// part gives the share of one record.
func (f *Records) part(q ask.GroupQuery, key string) ask.GroupPart {
	v := f.seen(q.Rights, q.Table.ID, key, q.Split)
	if day, ok := v.Time(); ok && q.SplitSpan != "" {
		v = cond.DateOf(use.SpanStart(day, q.SplitSpan))
	}
	row := &ask.Row{Table: q.Table.ID, Values: map[string]cond.Value{}}
	for _, p := range q.SplitTitle {
		row.Values[p] = f.value(q.Table.ID, key, p)
	}
	return ask.GroupPart{Value: v.Wire(), Unseen: !v.Known(), Row: row, N: 1}
}

func (f *Records) Insert(_ context.Context, t *project.Table, values map[string]cond.Value) (string, error) {
	f.next++
	key := fmt.Sprint(900 + f.next)
	f.Rows[t.ID][key] = map[string]cond.Value{}
	return key, f.Update(context.Background(), t, key, values)
}

func (f *Records) Update(_ context.Context, t *project.Table, key string, values map[string]cond.Value) error {
	for id, v := range values {
		f.Rows[t.ID][key][id] = v
	}
	return nil
}

// Each gives them one after the other.
func (f *Records) Each(ctx context.Context, q ask.Query, each func(*ask.Row) error) error {
	page, err := f.Fetch(ctx, q)
	for _, r := range page.Rows {
		if err := each(r); err != nil {
			return err
		}
	}
	return err
}
