package store_test

import (
	"testing"
	"time"

	"ambergate/demo"
	"ambergate/store"
)

// one runs a statement that gives a number.
func one(t *testing.T, sql string) (n int) {
	t.Helper()
	if err := kept(sql, &n); err != nil {
		t.Fatal(err)
	}
	return n
}

// Hardening, medium: what is old was forgotten at the start alone, and much of it never.
func TestWhatIsOldIsForgottenAndWhatIsNotStays(t *testing.T) {
	id := newProject(t, "p_aged")
	for range 3 {
		if _, err := up.Store.PutIntoUse(ctx, store.NewRelease{Project: id, By: "a_arno"}); err != nil {
			t.Fatal(err)
		}
	}
	for _, sql := range []string{
		`with x as (insert into plant_command (press, pos, source, node, label, value, state, account, at) select 'old-' || n, 0, 's', 'n', 'l', 'v', 'done', 'a_jon', now() - n * interval '100 days' from generate_series(1, 9) n returning 1) select count(*) from x`,
		`with x as (insert into audit (account, project, what, at) select 'a_arno', 'p_aged', 'old', now() - n * interval '300 days' from generate_series(1, 5) n returning 1) select count(*) from x`,
		`with x as (insert into guess (key, failures, at) select decode(lpad(n::text, 64, '0'), 'hex'), 1, now() - n * interval '20 hours' from generate_series(1, 2) n returning 1) select count(*) from x`,
		`with x as (insert into release (project, number, document, seq, by, at) select 'p_aged', n, '{}', 0, 'a_arno', now() - interval '400 days' from generate_series(4, 70) n returning 1) select count(*) from x`,
		`with x as (update project set released = 70 where id = 'p_aged' returning 1) select count(*) from x`,
	} {
		if one(t, sql) == 0 {
			t.Fatal(sql)
		}
	}
	if err := up.Store.ForgetOld(ctx, time.Now()); err != nil {
		t.Fatal(err)
	}
	for sql, want := range map[string]int{
		`select count(*) from plant_command where press like 'old-%'`:                                                    7, // two years
		`select count(*) from audit where what = 'old'`:                                                                  3, // three years
		`select count(*) from guess where key in (decode(lpad('1', 64, '0'), 'hex'), decode(lpad('2', 64, '0'), 'hex'))`: 1,
		`select count(*) from release where project = 'p_aged' and number > 20`:                                          50, // the newest stay, whatever their age
		`select count(*) from release where project = 'p_aged' and number between 4 and 20`:                              0,
		`select count(*) from release where project = 'p_aged' and number < 4`:                                           3, // they are young
	} {
		if got := one(t, sql); got != want {
			t.Errorf("%s: %d, want %d", sql, got, want)
		}
	}
}

// A person's tabs and drafts do not fill the store.
func TestAPersonHasSoManyTrailsAndDrafts(t *testing.T) {
	a := account(t, "tabs", "the-right-one")
	one(t, `with x as (insert into trail (id, account, project, seen_at) select 'many-' || n, 'a_tabs', 'p_tarnhorn', now() - n * interval '1 second' from generate_series(1, 1004) n returning 1) select count(*) from x`)
	if err := up.Store.NewTrail(ctx, store.Trail{ID: "many-new", Account: a.ID, Project: demo.ProjectID}); err != nil {
		t.Fatal(err)
	}
	if n := one(t, `select count(*) from trail where account = 'a_tabs'`); n != 1000 {
		t.Errorf("%d trails", n)
	}
	if n := one(t, `select count(*) from trail where id in ('many-new', 'many-1', 'many-999')`); n != 3 {
		t.Errorf("of the newest %d are there", n)
	}
	one(t, `with x as (insert into draft (id, account, project, tab, work, screen, title, version, base, vals, at) select 'd-' || n, 'a_tabs', 'p_tarnhorn', 'many-' || n, 'w', 's', '', '', '{}', '{}', now() - n * interval '1 second' from generate_series(1, 205) n returning 1) select count(*) from x`)
	if _, err := up.Store.KeepFormDraft(ctx, store.FormDraft{ID: "d-new", Account: a.ID, Project: demo.ProjectID, Tab: "many-new", Work: "w", Screen: "s", Base: map[string]string{}, Values: map[string]string{"a": "b"}}, ""); err != nil {
		t.Fatal(err)
	}
	if n := one(t, `select count(*) from draft where account = 'a_tabs'`); n != 200 {
		t.Errorf("%d drafts", n)
	}
}
