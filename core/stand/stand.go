package stand

import (
	"context"
	"encoding/json"
	"fmt"
	"maps"
	"slices"
	"sort"
	"strings"
	"testing"
	"time"

	"ambergate/core/ask"
	"ambergate/core/cond"
	_ "ambergate/core/kinds"
	"ambergate/core/patch"
	"ambergate/core/place"
	"ambergate/core/plan"
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
				out = append(out, ask.Hanging{Label: f.project.Tables[id].Label, N: n, Then: "kept"})
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

// Plant is live values in a map; what is not in it is unknown.
type Plant map[string]cond.Value

func (p Plant) Read(ref ask.TagRef) ask.Reading {
	if v, ok := p[ref.Node]; ok {
		return ask.Reading{Value: v}
	}
	return ask.Reading{Value: cond.UnknownBecause("the plant does not answer")}
}

// Stand is a compiled ropeway with records, a plant and two users.
type Stand struct {
	App  *plan.App
	Data *Records
	Tags Plant
	Mira *ask.User
	Sela *ask.User
}

// New gives a ropeway with some changes to it, as JSON operations; "" for none.
func New(t testing.TB, changes string) *Stand {
	t.Helper()
	var bodies patch.Bodies
	if err := json.Unmarshal([]byte(Ropeway), &bodies); err != nil {
		t.Fatal(err)
	}
	if changes != "" {
		var ops []patch.Op
		if err := json.Unmarshal([]byte(changes), &ops); err != nil {
			t.Fatal(err)
		}
		touched, _, err := patch.Apply(bodies, ops)
		if err != nil {
			t.Fatal(err)
		}
		for id, body := range touched {
			bodies[id] = body
		}
	}
	entities := map[string]json.RawMessage{}
	for id, body := range bodies {
		if body == nil {
			continue
		}
		text, err := json.Marshal(body)
		if err != nil {
			t.Fatal(err)
		}
		entities[id] = text
	}
	p, err := project.Decode(entities)
	if err != nil {
		t.Fatal(err)
	}
	app, err := plan.Compile(p)
	if err != nil {
		t.Fatal(err)
	}
	return Of(app)
}

// Of gives the records, the plant and the users for a compiled project that is the ropeway, or nearly.
func Of(app *plan.App) *Stand {
	row := func(pairs ...any) map[string]cond.Value {
		m := map[string]cond.Value{}
		for i := 0; i < len(pairs); i += 2 {
			m[pairs[i].(string)] = pairs[i+1].(cond.Value)
		}
		return m
	}
	data := &Records{project: app.Project, Rows: map[string]map[string]map[string]cond.Value{
		"t_staff": {"1": row("f_id", cond.Int(1), "f_name", cond.String("Mira"), "f_phone", cond.String("210"))},
		"t_lifts": {"1": row("f_id", cond.Int(1), "f_code", cond.String("UT"), "f_name", cond.String("Upper Tarn"))},
		"t_cabins": {
			"7": row("f_id", cond.Int(7), "f_no", cond.String("007"), "f_lift", cond.Key("1"), "f_state", cond.String("in service")),
			"8": row("f_id", cond.Int(8), "f_no", cond.String("008"), "f_state", cond.String("on hold")),
		},
		"t_defects": {
			"1": row("f_id", cond.Int(1), "f_code", cond.String("D-1"), "f_what", cond.String("Door"), "f_state", cond.String("open"), "f_cabin", cond.Key("7"), "f_by", cond.Key("1")),
			"2": row("f_id", cond.Int(2), "f_code", cond.String("D-2"), "f_what", cond.String("Seal"), "f_state", cond.String("closed"), "f_cabin", cond.Key("7")),
			"3": row("f_id", cond.Int(3), "f_code", cond.String("D-3"), "f_what", cond.String("Rope"), "f_state", cond.String("open")),
		},
	}}
	return &Stand{
		App: app, Data: data, Tags: Plant{"UT.running": cond.Bool(true), "UT.speed": cond.Float(4.5)},
		Mira: &ask.User{ID: "a_mira", Name: "Mira", Roles: map[string]bool{"r_tech": true}, Record: "1"},
		Sela: &ask.User{ID: "a_sela", Name: "Sela", Roles: map[string]bool{"r_lead": true}},
	}
}

// Sources gives what its screens are drawn from, at a fixed moment.
func (s *Stand) Sources() use.Sources {
	return use.Sources{Records: s.Data, Tags: s.Tags, Now: time.Date(2026, 11, 24, 10, 0, 0, 0, time.UTC)}
}

// Open opens the screen at an address for a user.
func (s *Stand) Open(t testing.TB, u *ask.User, address string) (*use.Opening, error) {
	t.Helper()
	slug, query, _ := strings.Cut(address, "?")
	place, err := place.Parse(s.App.Project, slug, query)
	if err != nil {
		return nil, err
	}
	return use.Open(context.Background(), s.App, u, place, s.Sources())
}

// MustOpen opens a screen that must open.
func (s *Stand) MustOpen(t testing.TB, u *ask.User, address string) *use.Opening {
	t.Helper()
	o, err := s.Open(t, u, address)
	if err != nil {
		t.Fatalf("%s: %v", address, err)
	}
	return o
}

// MustOpenTyped opens a screen on which something was typed and not saved, by field.
func (s *Stand) MustOpenTyped(t testing.TB, u *ask.User, address string, typed map[string]string) *use.Opening {
	t.Helper()
	slug, query, _ := strings.Cut(address, "?")
	at, err := place.Parse(s.App.Project, slug, query)
	if err != nil {
		t.Fatal(err)
	}
	src := s.Sources()
	src.Typed = typed
	o, err := use.Open(context.Background(), s.App, u, at, src)
	if err != nil {
		t.Fatalf("%s: %v", address, err)
	}
	return o
}

// Element gives an element of a view; the test fails without it.
func Element(t testing.TB, v *use.View, id string) use.ElementView {
	t.Helper()
	for _, e := range v.Elements {
		if e.ID == id {
			return e
		}
	}
	t.Fatalf("%s is not on the screen", id)
	return use.ElementView{}
}

// Scope gives the names that a condition of an element may use.
func (s *Stand) Scope(screen, element string) cond.Scope {
	return s.App.Project.Scope(s.App.Project.Screens[screen], s.App.RowTable(screen, element))
}

// each lets the fake stream.
func (f *Records) Each(ctx context.Context, q ask.Query, each func(*ask.Row) error) error {
	page, err := f.Fetch(ctx, q)
	for _, r := range page.Rows {
		if err := each(r); err != nil {
			return err
		}
	}
	return err
}
