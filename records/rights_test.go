package records_test

import (
	"context"
	"fmt"
	"slices"
	"strings"
	"testing"

	"ambergate/core/ask"
	"ambergate/core/cond"
)

// rules are row rules by table, over the sample project.
type rules struct {
	t      testing.TB
	stand  *sampleStand
	tables map[string]string // table → condition
	count  map[string]string // figure → condition
}

func (r rules) bind(table, text string) *cond.Pred {
	if text == "" {
		return nil
	}
	e, problem := r.stand.app.RowRule(table, text)
	if problem != nil {
		r.t.Fatal(problem.Message)
	}
	return e.Root.Bind(sampleWorld{})
}

func (r rules) Visible(table string) *cond.Pred { return r.bind(table, r.tables[table]) }

func (r rules) Counted(_, tally string) *cond.Pred {
	return cond.AllOf(r.Visible("t_s"), r.bind("t_s", r.count[tally]))
}

func TestParentsThatARuleHidesAreNotVisible(t *testing.T) {
	s := sampled(t)
	r := up.Records.Reader(s.app.Project)
	table := s.app.Project.Tables["t_s"]
	paths := []string{"f_parent", "f_parent.f_name", "f_parent.f_up", "f_parent.f_up.f_name", "f_n"}
	raw := fetch(t, r, ask.Query{Table: table, Paths: paths, Rights: ask.EveryRow})
	for _, rule := range []string{`record.n > 1`, `record.name == "a" || record.up == null`, `!(record.up.name == "b")`, `record.up.up == null && record.n != null`} {
		rights := rules{t: t, stand: s, tables: map[string]string{"t_p": rule}}
		seen := map[string]bool{}
		for _, p := range fetch(t, r, ask.Query{Table: s.app.Project.Tables["t_p"], Rights: rights}).Rows {
			seen[p.Key] = true
		}
		page := fetch(t, r, ask.Query{Table: table, Paths: paths, Rights: rights})
		if len(page.Rows) != len(raw.Rows) {
			t.Fatalf("%s: %d samples, want %d", rule, len(page.Rows), len(raw.Rows))
		}
		hidden := 0
		for i, row := range page.Rows {
			was := raw.Rows[i]
			parent, up := was.Values["f_parent"], was.Values["f_parent.f_up"]
			lost := !parent.IsNull() && !seen[parent.KeyOf()]
			lostUp := lost || !up.IsNull() && !seen[up.KeyOf()]
			for path, gone := range map[string]bool{"f_parent": lost, "f_parent.f_name": lost, "f_parent.f_up": lostUp, "f_parent.f_up.f_name": lostUp, "f_n": false} {
				got := row.Values[path]
				if gone != (got.Why() == "not visible to you") || !gone && (got.Wire() != was.Values[path].Wire() || got.IsNull() != was.Values[path].IsNull()) {
					t.Fatalf("%s: %s of %s is %q (%s), was %q", rule, path, row.Key, got.Wire(), got.Why(), was.Values[path].Wire())
				}
				if gone {
					hidden++
				}
			}
		}
		if hidden == 0 {
			t.Errorf("%s hides nothing", rule)
		}
	}
}

func TestNothingIsLearntOfHiddenParentsByFiltersOrderAndGroups(t *testing.T) {
	s := sampled(t)
	r := up.Records.Reader(s.app.Project)
	table := s.app.Project.Tables["t_s"]
	rights := rules{t: t, stand: s, tables: map[string]string{"t_p": "record.id > 6", "t_s": `record.state != "closed"`}}
	all := fetch(t, r, ask.Query{Table: table, Paths: []string{"f_state"}, Rights: rights})
	for _, row := range all.Rows {
		if row.Values["f_state"].Wire() == "closed" {
			t.Fatalf("%s is closed", row.Key)
		}
	}
	for parent := 1; parent <= 12; parent++ {
		page := fetch(t, r, ask.Query{Table: table, Paths: []string{"f_parent"}, Match: []ask.Match{{Path: "f_parent", Compare: "is", Value: cond.Key(fmt.Sprint(parent))}}, Rights: rights})
		if parent <= 6 && len(page.Rows) > 0 {
			t.Errorf("%d samples are found by the hidden parent %d", len(page.Rows), parent)
		}
	}
	named := fetch(t, r, ask.Query{Table: table, Paths: []string{"f_parent"}, Match: []ask.Match{{Path: "f_parent.f_name", Compare: "notEmpty"}}, Rights: rights})
	for _, row := range named.Rows {
		if !row.Values["f_parent"].Known() {
			t.Errorf("%s is found by a hidden name", row.Key)
		}
	}
	// With a parent or without one: that a parent is there is told anyway.
	with := fetch(t, r, ask.Query{Table: table, Match: []ask.Match{{Path: "f_parent", Compare: "notEmpty"}}, Rights: rights})
	without := fetch(t, r, ask.Query{Table: table, Match: []ask.Match{{Path: "f_parent", Compare: "empty"}}, Rights: rights})
	if len(with.Rows)+len(without.Rows) != len(all.Rows) {
		t.Errorf("%d with, %d without, %d in all", len(with.Rows), len(without.Rows), len(all.Rows))
	}
	// Page by page in the order of a hidden parent's name is the whole list, each once.
	order := []ask.Sort{{Path: "f_parent.f_name"}, {Path: "f_parent", Desc: true}}
	whole := fetch(t, r, ask.Query{Table: table, Order: order, Rights: rights})
	var paged []string
	for after := ""; ; {
		page := fetch(t, r, ask.Query{Table: table, Order: order, Limit: 17, After: after, Rights: rights})
		for _, row := range page.Rows {
			paged = append(paged, row.Key)
		}
		if after = page.Next; after == "" {
			break
		}
	}
	var want []string
	for _, row := range whole.Rows {
		want = append(want, row.Key)
	}
	if !slices.Equal(paged, want) || len(want) != len(all.Rows) {
		t.Errorf("%d page by page, %d whole, %d in all", len(paged), len(want), len(all.Rows))
	}
	count, err := r.Count(context.Background(), ask.Query{Table: table, Rights: rights})
	if err != nil || count.N != len(all.Rows) {
		t.Errorf("%d are counted, %d are seen (%v)", count.N, len(all.Rows), err)
	}
	groups, err := r.Group(context.Background(), ask.GroupQuery{Table: table, By: "f_parent", Title: []string{"f_parent.f_name"}, Rights: rights, Limit: 100})
	if err != nil {
		t.Fatal(err)
	}
	sum, unseen := 0.0, 0
	for _, g := range groups {
		sum += g.N
		if !g.Value.Known() {
			unseen++
		}
	}
	if int(sum) != len(all.Rows) || unseen != 1 {
		t.Errorf("groups add up to %v, %d of them not visible", sum, unseen)
	}
	split, err := r.Group(context.Background(), ask.GroupQuery{Table: table, By: "f_word", Split: "f_parent", SplitTitle: []string{"f_parent.f_name"}, Rights: rights, Limit: 100})
	if err != nil {
		t.Fatal(err)
	}
	parts := ask.Group{}
	for _, g := range split {
		for _, part := range g.Parts {
			parts.AddPart(part)
		}
	}
	for _, part := range parts.Parts {
		i := slices.IndexFunc(groups, func(g ask.Group) bool {
			return !g.Value.Known() == part.Unseen && g.Value.Wire() == part.Value || part.Unseen && !g.Value.Known()
		})
		if i < 0 || groups[i].N != part.N || part.Unseen != (part.Row == nil) {
			t.Errorf("as a part: %+v, by itself: %+v", part, groups)
		}
	}
	if len(parts.Parts) != len(groups) {
		t.Errorf("%d parts of %d groups", len(parts.Parts), len(groups))
	}
}

func TestFiguresCountWhatTheUserSees(t *testing.T) {
	s := sampled(t)
	r := up.Records.Reader(s.app.Project)
	parents := s.app.Project.Tables["t_p"]
	counts := map[string]string{"n_big": "record.n > 2", "n_any": "record.done"}
	for _, rule := range []string{"", `record.word != "b"`, `record.parent.n > 0`} {
		rights := rules{t: t, stand: s, tables: map[string]string{"t_s": rule}, count: counts}
		samples := fetch(t, r, ask.Query{Table: s.app.Project.Tables["t_s"], Paths: []string{"f_parent", "f_n", "f_done", "f_amount"}, Rights: rules{t: t, stand: s, tables: map[string]string{"t_s": rule}}})
		for _, p := range fetch(t, r, ask.Query{Table: parents, Paths: []string{"n_all", "n_big", "n_any", "n_max"}, Rights: rights}).Rows {
			all, big, some, most := 0, 0, false, cond.NullValue
			for _, one := range samples.Rows {
				if one.Values["f_parent"].KeyOf() != p.Key {
					continue
				}
				all++
				if n, ok := one.Values["f_n"].Float64(); ok && n > 2 {
					big++
				}
				some = some || one.Values["f_done"].True()
				if a, ok := one.Values["f_amount"].Float64(); ok {
					if m, known := most.Float64(); !known || a > m {
						most = one.Values["f_amount"]
					}
				}
			}
			got := []string{p.Values["n_all"].Wire(), p.Values["n_big"].Wire(), p.Values["n_any"].Wire(), p.Values["n_max"].Wire()}
			want := []string{fmt.Sprint(all), fmt.Sprint(big), fmt.Sprint(some), most.Wire()}
			if !slices.Equal(got, want) {
				t.Errorf("with %q, parent %s: %s, want %s", rule, p.Key, strings.Join(got, " "), strings.Join(want, " "))
			}
		}
		// A figure can be ordered and filtered by.
		ordered := fetch(t, r, ask.Query{Table: parents, Paths: []string{"n_all"}, Order: []ask.Sort{{Path: "n_all", Desc: true}}, Match: []ask.Match{{Path: "n_all", Compare: "atLeast", Value: cond.Int(2)}}, Rights: rights})
		last := 1e9
		for _, row := range ordered.Rows {
			n, _ := row.Values["n_all"].Float64()
			if n > last || n < 2 {
				t.Errorf("%v after %v", n, last)
			}
			last = n
		}
	}
}

func TestAQueryWithoutRightsIsRefused(t *testing.T) {
	s := sampled(t)
	r := up.Records.Reader(s.app.Project)
	table := s.app.Project.Tables["t_s"]
	ctx := context.Background()
	if _, err := r.Fetch(ctx, ask.Query{Table: table}); err == nil {
		t.Error("a list without rights was fetched")
	}
	if _, err := r.Count(ctx, ask.Query{Table: table}); err == nil {
		t.Error("a list without rights was counted")
	}
	if _, err := r.Group(ctx, ask.GroupQuery{Table: table, By: "f_state"}); err == nil {
		t.Error("records without rights were grouped")
	}
}

func TestAskedRightsAreToldOfEachRecord(t *testing.T) {
	s := sampled(t)
	rights := rules{t: t, stand: s}
	asked := map[string]*cond.Pred{"edit": rights.bind("t_s", "record.n > 2 || record.parent.up.name == \"a\""), "delete": nil, "never": cond.Nothing()}
	page := fetch(t, up.Records.Reader(s.app.Project), ask.Query{Table: s.app.Project.Tables["t_s"], Paths: []string{"f_n", "f_parent.f_up.f_name"}, Rights: ask.EveryRow, Ask: asked})
	yes := 0
	for _, row := range page.Rows {
		n, _ := row.Values["f_n"].Float64()
		want := n > 2 || row.Values["f_parent.f_up.f_name"].Wire() == "a"
		if row.May["edit"] != want || !row.May["delete"] || row.May["never"] {
			t.Errorf("%s: %v, want edit %v", row.Key, row.May, want)
		}
		if want {
			yes++
		}
	}
	if yes == 0 || yes == len(page.Rows) {
		t.Errorf("%d of %d may be edited", yes, len(page.Rows))
	}
}
