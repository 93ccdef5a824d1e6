package server_test

import (
	"ambergate/core/check"
	"context"
	"encoding/json"
	"fmt"
	"net/http"
	"slices"
	"strings"
	"testing"

	"github.com/jackc/pgx/v5"

	"ambergate/api"
	"ambergate/core/propose"
	"ambergate/demo"
	"ambergate/store"
)

// keyed gives the stage's store a key, and a person who administers and builds everything.
func keyed(t *testing.T) *person {
	t.Helper()
	if err := up.Administered(t.Context()); err != nil {
		t.Fatal(err)
	}
	if err := up.Store.SetForAll(t.Context(), demo.Runs.ID, demo.Runs.ID, store.Rights{Builds: true, Administers: true}); err != nil {
		t.Fatal(err)
	}
	t.Cleanup(func() { // other tests count on it that nobody administers everything
		conn, err := pgx.Connect(context.Background(), up.Cluster.DSN("ambergate", up.Cluster.Password, "ambergate"))
		if err != nil {
			t.Fatal(err)
		}
		defer conn.Close(context.Background())
		if _, err := conn.Exec(context.Background(), `delete from right_for_all`); err != nil {
			t.Error(err)
		}
	})
	return as(t, "nora")
}

func at5432(more map[string]any) map[string]any {
	c := up.Cluster
	database := map[string]any{"host": "127.0.0.1", "port": c.Port, "database": demo.Database, "login": demo.AppRole, "tls": "off"}
	out := map[string]any{"name": "Own", "database": database, "password": c.Password}
	for k, v := range more {
		if k == "password" || k == "name" {
			out[k] = v
		} else {
			database[k] = v
		}
	}
	return out
}

func TestOnlyWhoRunsTheProgramAddsConnectionsAndPeople(t *testing.T) {
	keyed(t)
	for _, login := range []string{"mira", "arno"} { // arno builds and administers one application, not the program
		p := as(t, login)
		for _, c := range [][2]string{{"GET", "/api/people"}, {"GET", "/api/log"}, {"POST", "/api/people"}, {"PUT", "/api/people/a_mira"}, {"POST", "/api/people/a_mira/link"}, {"DELETE", "/api/people/a_mira/sessions"}, {"PUT", "/api/people/a_mira/roles/p_tarnhorn"}, {"POST", "/api/connections/try"}, {"PUT", "/api/connections/own"}, {"DELETE", "/api/connections/own"}, {"POST", "/api/connections/own/try"}, {"POST", "/api/connections/own/presses"}, {"GET", "/api/connections"}, {"GET", "/api/connections/tarnhorn/tables"}, {"GET", "/api/connections/tarnhorn/nodes"}, {"GET", "/api/plants/certificate"}, {"POST", "/api/proposals"}, {"POST", "/api/applications"}} {
			body := map[string]any{"roles": []string{}, "builds": true, "administers": true, "name": "own", "database": map[string]any{"host": "h", "port": 1, "database": "d", "login": "l", "tls": "off"}, "title": "x", "connection": "tarnhorn", "tables": []any{}}
			if c[1] == "/api/people" {
				body["people"] = []any{}
			}
			status, answer := p.call(c[0], c[1], body)
			if status != http.StatusForbidden {
				t.Errorf("%s calls %s %s: %d %s", login, c[0], c[1], status, answer)
			}
		}
	}
	if status, _ := (&person{t: t, client: http.DefaultClient}).call("GET", "/api/people", nil); status != http.StatusUnauthorized {
		t.Errorf("nobody at all: %d", status)
	}
}

func TestAConnectionIsTriedInWords(t *testing.T) {
	p := keyed(t)
	for what, c := range map[string]struct {
		body map[string]any
		code string
	}{
		"a wrong password": {at5432(map[string]any{"password": "wrong"}), "no-login"}, "nobody there": {at5432(map[string]any{"port": 1}), "no-host"}, "no such host": {at5432(map[string]any{"host": "nowhere.invalid"}), "no-host"},
		"no such database": {at5432(map[string]any{"database": "nothing"}), "no-database"}, "no TLS there": {at5432(map[string]any{"tls": "required"}), "no-tls"},
		"the program's own": {at5432(map[string]any{"database": "ambergate", "login": "ambergate"}), "own-store"},
	} {
		var tried api.Tried
		p.must("POST", "/api/connections/try", c.body, &tried)
		if tried.No == nil || tried.No.Code != c.code || tried.No.Then == nil {
			t.Errorf("%s: %+v", what, tried.No)
		}
	}
	var tried api.Tried
	p.must("POST", "/api/connections/try", at5432(nil), &tried)
	if tried.No != nil || tried.Tables < 10 || !tried.MayWrite || !tried.Claims || tried.Encrypted || tried.MayClaim {
		t.Errorf("%+v", tried)
	}
	problem := p.refused("POST", "/api/connections/try", at5432(map[string]any{"port": 0, "host": "a b", "tls": "x", "name": ""}), http.StatusUnprocessableEntity, "fields")
	for _, field := range []string{"port", "host", "tls", "name"} {
		if (*problem.Fields)[field] == "" {
			t.Errorf("%s is not told: %v", field, problem.Fields)
		}
	}
	// The program's own store is not kept.
	p.must("PUT", "/api/connections/Store", at5432(map[string]any{"database": "ambergate", "login": "ambergate"}), &tried)
	if status, _ := p.call("DELETE", "/api/connections/Store", nil); status == http.StatusNoContent {
		t.Error("the program's own store was kept as a source")
	}
}

// A connection is kept and used, its secret never told; what was made over it holds it there.
func TestAnApplicationIsMadeOverAConnection(t *testing.T) {
	p := keyed(t)
	var tried api.Tried
	p.must("PUT", "/api/connections/Own%20data", at5432(map[string]any{"name": "Own data"}), &tried)
	_, list := p.call("GET", "/api/connections", nil)
	if strings.Contains(string(list), up.Cluster.Password) || !strings.Contains(string(list), `"Own data"`) {
		t.Errorf("%s", list)
	}
	p.refused("PUT", "/api/connections/tarnhorn", at5432(nil), http.StatusConflict, "name-taken")
	var found api.Structure
	p.must("GET", "/api/connections/Own%20data/tables", nil, &found)
	if len(found.Tables) < 10 || found.Database != demo.Database {
		t.Errorf("%+v", found)
	}
	wish := propose.Wish{Title: "Cabins", Connection: "Own data", Zone: "Europe/Vienna", Tables: []propose.TableWish{{Schema: "tarnhorn", Name: "cabins"}, {Schema: "tarnhorn", Name: "lifts"}, {Schema: "tarnhorn", Name: "defects"}}}
	var proposed propose.Application
	p.must("POST", "/api/proposals", wish, &proposed)
	if len(proposed.Tables) != 3 || len(proposed.Screens) != 7 {
		t.Errorf("%d tables, %d screens", len(proposed.Tables), len(proposed.Screens))
	}
	p.refused("POST", "/api/proposals", propose.Wish{Connection: "Own data"}, http.StatusConflict, "nothing")
	p.refused("POST", "/api/proposals", propose.Wish{Connection: "gone", Tables: wish.Tables}, http.StatusForbidden, "no-source")
	var made api.MadeApplication
	p.must("POST", "/api/applications", wish, &made)
	asked := wish
	asked.Slug = made.Slug
	p.refused("POST", "/api/applications", asked, http.StatusUnprocessableEntity, "fields")
	var second api.MadeApplication // without an address that is asked for it gets one of its own
	if p.must("POST", "/api/applications", wish, &second); second.Slug != made.Slug+"-2" {
		t.Errorf("%+v", second)
	}
	draft := drafted(p, "/api/build/"+made.Slug)
	if slices.ContainsFunc(draft.Findings, func(f check.Finding) bool { return f.Severity != check.Note }) || draft.Changes != 1 || !draft.Undo {
		t.Errorf("%d findings, %d changes: %+v", len(draft.Findings), draft.Changes, draft.Findings)
	}
	p.must("POST", "/api/build/"+made.Slug+"/releases", map[string]any{}, nil)
	var shown api.Shown
	p.must("POST", "/api/use/"+made.Slug+"/open", map[string]string{"address": "/cabins"}, &shown)
	if list := mainList(shown); list == nil || list.Count < 100 {
		text, _ := json.Marshal(shown)
		t.Errorf("%.1500s", text)
	}
	p.refused("DELETE", "/api/connections/Own%20data", nil, http.StatusConflict, "in-use")
	// One undo takes all of it back, and it can be made again.
	p.must("POST", "/api/build/"+made.Slug+"/undo", nil, nil)
	var empty api.Draft
	p.must("GET", "/api/build/"+made.Slug, nil, &empty)
	if len(empty.Entities) != 1 {
		t.Errorf("%d things are left", len(empty.Entities))
	}
	// What is empty again can be filled again; what is not, is not.
	p.refused("POST", "/api/applications?into=tarnhorn", wish, http.StatusConflict, "not-empty")
	p.must("POST", "/api/applications?into="+made.Slug, wish, &made)
	var filled api.Draft
	p.must("GET", "/api/build/"+made.Slug, nil, &filled)
	if len(filled.Entities) != len(draft.Entities) || filled.Title != "Cabins" {
		t.Errorf("%d things, %d before", len(filled.Entities), len(draft.Entities))
	}
	p.must("POST", "/api/build/"+made.Slug+"/undo", nil, nil)
	var states []api.ApplicationState
	p.must("GET", "/api/applications", nil, &states)
	if !slices.Contains(states, api.ApplicationState{Id: draft.Id, Changes: 1}) {
		t.Errorf("%s is not among %+v", draft.Id, states)
	}
}

func TestPeopleComeByLinksOverHTTP(t *testing.T) {
	p := keyed(t)
	add := func(people ...map[string]any) map[string]any { return map[string]any{"people": people} }
	var added api.PeopleAdded
	p.must("POST", "/api/people", add(map[string]any{"name": "Eve Hart", "login": "Eve", "roles": map[string][]string{demo.ProjectID: {"r_tech"}}}), &added)
	p.refused("POST", "/api/people", add(map[string]any{"name": "Ok", "login": "ok"}, map[string]any{"name": "Other", "login": "eve"}), http.StatusConflict, "name-taken")
	p.refused("POST", "/api/people", add(map[string]any{"name": "Ok", "login": "ok", "roles": map[string][]string{demo.ProjectID: {"r_cook"}}}), http.StatusForbidden, "no-role")
	p.refused("POST", "/api/people", add(map[string]any{"name": "", "login": "a b"}), http.StatusUnprocessableEntity, "fields")
	p.refused("POST", "/api/people", add(), http.StatusBadRequest, "too-much")
	nobody := &person{t: t, client: http.DefaultClient}
	var whose api.LinkFor
	nobody.must("POST", "/api/link", map[string]string{"token": added.Tokens[0]}, &whose)
	if whose.Login != "eve" || whose.Name != "Eve Hart" {
		t.Errorf("%+v", whose)
	}
	nobody.refused("PUT", "/api/link", map[string]string{"token": added.Tokens[0], "password": "eve"}, http.StatusUnprocessableEntity, "weak-password")
	nobody.must("PUT", "/api/link", map[string]string{"token": added.Tokens[0], "password": "eve" + "-has-a-boat"}, &whose)
	nobody.refused("PUT", "/api/link", map[string]string{"token": added.Tokens[0], "password": "another-boat"}, http.StatusNotFound, "no-link")
	nobody.refused("POST", "/api/first", map[string]string{"token": "x", "name": "N", "login": "n", "password": "long-enough-9"}, http.StatusNotFound, "no-link")
	var page api.PeoplePage
	p.must("GET", "/api/people", nil, &page)
	id := ""
	for _, one := range page.People {
		if one.Login == "eve" {
			id = one.Id
		}
	}
	change := func(body map[string]any) {
		t.Helper()
		if status, answer := p.call("PUT", "/api/people/"+id, body); status != http.StatusNoContent {
			t.Errorf("%v: %d %s", body, status, answer)
		}
	}
	change(map[string]any{"name": "Eve Hart-Lane", "builds": true})
	if status, answer := p.call("PUT", "/api/people/"+id+"/roles/"+demo.ProjectID, map[string]any{"roles": []string{"r_oper"}, "builds": false, "administers": false}); status != http.StatusNoContent {
		t.Errorf("%d %s", status, answer)
	}
	p.must("GET", "/api/people", nil, &page)
	for _, one := range page.People {
		if one.Id == id && (one.Name != "Eve Hart-Lane" || !one.Builds || fmt.Sprint(one.Roles[demo.ProjectID]) != "[r_oper]") {
			t.Errorf("%+v", one)
		}
	}
	change(map[string]any{"disabled": true})
	p.refused("POST", "/api/people/"+id+"/link", nil, http.StatusNotFound, "no-person")
	p.refused("PUT", "/api/people/a_gone", map[string]any{"disabled": true}, http.StatusNotFound, "no-person")
	p.refused("PUT", "/api/people/a_nora", map[string]any{"administers": false}, http.StatusForbidden, "last-administrator")
	var log []api.LogEntry
	p.must("GET", "/api/log", nil, &log)
	if len(log) < 3 || log[0].Who != "Nora Lind" || log[0].What != store.PersonDisabled || log[0].Detail != "Eve Hart-Lane" || log[0].From == "" {
		t.Errorf("%+v", log[:min(len(log), 3)])
	}
	text, err := json.Marshal(page)
	if err != nil || strings.Contains(string(text), "token") {
		t.Error("links are told again")
	}
}

// Ids may be made by who calls: they have a form, and two things never have the same.
func TestIdsMayBeMadeByWhoCalls(t *testing.T) {
	p := keyed(t)
	one := func(id, login string) map[string]any {
		return map[string]any{"people": []map[string]any{{"id": id, "name": "Ida Made", "login": login}}}
	}
	for _, id := range []string{"ida", "a_", "a_Ida", "a_" + strings.Repeat("x", 31), "a_i'd"} {
		p.refused("POST", "/api/people", one(id, "ida"), http.StatusUnprocessableEntity, "fields")
	}
	p.must("POST", "/api/people", one("a_ida", "ida"), nil)
	p.refused("POST", "/api/people", one("a_ida", "other"), http.StatusConflict, "name-taken")
	p.must("PUT", "/api/people/a_ida", map[string]any{"walks": true}, nil)
	var page api.PeoplePage
	p.must("GET", "/api/people", nil, &page)
	if i := slices.IndexFunc(page.People, func(x api.PersonInfo) bool { return x.Id == "a_ida" }); i < 0 || !page.People[i].Walks {
		t.Error("the right to walk as real people is not given")
	}
	p.must("PUT", "/api/people/a_ida", map[string]any{"disabled": true}, nil)
}
