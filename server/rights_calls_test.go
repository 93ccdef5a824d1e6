package server_test

import (
	"encoding/json"
	"fmt"
	"net/http"
	"slices"
	"strconv"
	"strings"
	"testing"
	"time"

	"ambergate/api"
	"ambergate/core/build"
	"ambergate/core/cond/compile"
	"ambergate/demo"
	"ambergate/store"
)

const builds = "/api/build/tarnhorn"

func TestRowRulesAreReadInTheirPlace(t *testing.T) {
	p := as(t, "arno")
	read := func(body map[string]any) (out api.ConditionRead) {
		p.must("POST", builds+"/condition", body, &out)
		return out
	}
	if r := read(map[string]any{"table": "t_defects", "use": "rule", "text": `record.component.area == "drive" || record.assigned == user.record`}); r.Problem != nil || r.Stored != `record.f_component.f_area == "drive" || record.f_assigned == user.record` {
		t.Errorf("%+v", r)
	}
	text := `record.state == "open" && record.what.contains("rope")`
	if r := read(map[string]any{"table": "t_defects", "use": "rule", "text": text}); r.Problem == nil || r.Problem.At != strings.Index(text, "record.what") || r.Phrase == "" {
		t.Errorf("what the database cannot decide: %+v", r.Problem)
	}
	if r := read(map[string]any{"table": "t_cabins", "use": "rule", "text": `record.open_defects > 2`}); r.Problem == nil || !strings.Contains(r.Problem.Message, "counted over other records") {
		t.Errorf("a figure in a row rule: %+v", r.Problem)
	}
	if r := read(map[string]any{"table": "t_defects", "use": "shared", "text": text}); r.Problem != nil {
		t.Errorf("a shared condition may ask for more: %+v", r.Problem)
	}
	if r := read(map[string]any{"use": "shared", "text": `user.is("Technician")`}); r.Problem != nil {
		t.Errorf("a condition of the user: %+v", r.Problem)
	}
	p.refused("POST", builds+"/condition", map[string]any{"table": "t_gone", "use": "rule", "text": "true"}, http.StatusNotFound, "no-screen")
	p.refused("POST", builds+"/condition", map[string]any{"text": "true"}, http.StatusNotFound, "no-screen")
}

func TestNamesCompletionsAndValues(t *testing.T) {
	p := as(t, "arno")
	var names []build.NameInfo
	p.must("GET", builds+"/names?screen=s_defect&under=record.cabin.lift", nil, &names)
	found := false
	for _, n := range names {
		found = found || n.Path == "record.cabin.lift.equip.drive.speed" && n.Kind == "live" && n.Unit == "m/s"
	}
	if !found {
		t.Errorf("the lift of the cabin has %+v", names)
	}
	names = nil
	p.must("GET", builds+"/names?table=t_cabins", nil, &names)
	kinds := map[string]int{}
	for _, n := range names {
		kinds[n.Kind]++
	}
	if kinds["shared"] < 2 || kinds["figure"] < 3 || kinds["roles"] != 1 {
		t.Errorf("a cabin has %v", kinds)
	}
	var c compile.Completion
	p.must("POST", builds+"/complete", map[string]any{"table": "t_cabins", "use": "shared", "text": `record.lift.na`, "at": 14}, &c)
	if len(c.Offers) != 1 || c.Offers[0].Text != "name" || c.From != 12 {
		t.Errorf("%+v", c)
	}
	var values []string
	p.must("GET", builds+"/values/t_components/f_name?as=a_mira&q=sens", nil, &values)
	if len(values) == 0 || !strings.Contains(strings.ToLower(strings.Join(values, " ")), "sens") {
		t.Errorf("values %v", values)
	}
	p.refused("GET", builds+"/values/t_staff/f_phone?as=a_priya", nil, http.StatusForbidden, "no-grant")
	p.refused("GET", builds+"/values/t_staff/f_gone?as=a_mira", nil, http.StatusNotFound, "no-element")

	var extent []float64
	p.must("GET", builds+"/extent/t_parts/f_stock?as=a_mira", nil, &extent)
	var codes, having []string
	p.must("GET", builds+"/values/t_parts/f_stock?as=a_mira", nil, &codes) // thirty of them
	for _, code := range codes {
		if n, err := strconv.ParseFloat(code, 64); err != nil || len(extent) != 2 || n < extent[0] || n > extent[1] {
			t.Errorf("%s does not lie between %v", code, extent)
		}
	}
	for _, end := range extent {
		p.must("GET", builds+fmt.Sprintf("/values/t_parts/f_stock?as=a_mira&q=%g", end), nil, &having)
		if !slices.Contains(having, fmt.Sprint(end)) {
			t.Errorf("no part has %g: %v", end, having)
		}
	}
	p.refused("GET", builds+"/extent/t_parts/f_name?as=a_mira", nil, http.StatusBadRequest, "bad-request")
	p.refused("GET", builds+"/extent/t_staff/f_phone?as=a_priya", nil, http.StatusForbidden, "no-grant")
}

func TestWhyOverHTTP(t *testing.T) {
	p := as(t, "arno")
	place := map[string]any{"screen": "s_defect", "mode": "view", "inputs": map[string]string{"i_defect": "107"}}
	var x build.Explanation
	p.must("POST", builds+"/why", map[string]any{"as": "a_mira", "place": place, "element": "e_edit", "trigger": "release"}, &x)
	if x.State != "open" || x.Leads == nil || !x.Leads.Opens || len(x.Roles) != 6 {
		t.Errorf("%+v", x)
	}
	x = build.Explanation{}
	p.must("POST", builds+"/why", map[string]any{"as": "a_priya", "place": place, "element": "e_edit", "trigger": "release"}, &x)
	if x.State != "hidden" || len(x.Turns) == 0 || x.Turns[0].Words == "" {
		t.Errorf("%+v", x)
	}
	p.refused("POST", builds+"/why", map[string]any{"as": "a_mira", "place": place, "element": "e_gone", "trigger": "release"}, http.StatusNotFound, "no-element")
}

func TestRightsAtOneLook(t *testing.T) {
	var table build.RightsTable
	as(t, "arno").must("GET", builds+"/rights", nil, &table)
	if len(table.Tables) != 12 || len(table.Screens) != 26 || len(table.Conditions) != 3 {
		t.Fatalf("%d tables, %d screens, %d conditions", len(table.Tables), len(table.Screens), len(table.Conditions))
	}
	for _, row := range table.Tables {
		if len(row.Cells) != 6 {
			t.Errorf("%s has %d cells", row.Label, len(row.Cells))
		}
	}
	var mine api.MyRights
	as(t, "priya").must("GET", "/api/use/tarnhorn/rights", nil, &mine)
	if len(mine.Roles) != 1 || mine.Roles[0] != "Office" || len(mine.Tables) != 12 || mine.Tables[0].Rows != "state is not “scrapped”" {
		t.Errorf("%+v", mine)
	}
	for _, s := range mine.Screens {
		if s.Title == "Drive room" {
			t.Error("the office is told that the drive room is open to it")
		}
	}
}

// clerk is somebody of the tests' own, so that nobody else's password or roles change.
func clerk(t *testing.T, login string, roles ...string) *person {
	t.Helper()
	a := store.Account{ID: "a_" + login, Login: login, Name: login}
	if err := up.Store.CreateAccount(t.Context(), a, login); err != nil {
		t.Fatal(err)
	}
	if err := up.Store.SetRoles(t.Context(), "a_arno", a.ID, demo.ProjectID, roles, ""); err != nil {
		t.Fatal(err)
	}
	return as(t, login)
}

func TestRolesHoldAtOnce(t *testing.T) {
	builder, one := as(t, "arno"), clerk(t, "clerk", "r_office")
	one.open("/defects")
	builder.must("PUT", builds+"/people/a_clerk/roles", map[string]any{"roles": []string{"r_oper"}}, nil)
	one.refused("POST", "/api/use/tarnhorn/open", map[string]string{"address": "/defect?defect=1"}, http.StatusForbidden, "no-grant")
	builder.must("PUT", builds+"/people/a_clerk/roles", map[string]any{"roles": []string{}}, nil)
	one.refused("POST", "/api/use/tarnhorn/open", map[string]string{}, http.StatusForbidden, "no-role")
	builder.refused("PUT", builds+"/people/a_clerk/roles", map[string]any{"roles": []string{"r_king"}}, http.StatusForbidden, "no-role")
	builder.refused("PUT", builds+"/people/a_nobody/roles", map[string]any{"roles": []string{"r_oper"}}, http.StatusNotFound, "no-place")
}

// Hardening, high 11: a builder gave herself any role, in any application.
func TestGivingRolesAndRightsNeedsARightOfItsOwn(t *testing.T) {
	arno := as(t, "arno")
	clerk(t, "mason", "r_office")
	mason := as(t, "mason")
	rights := func(who string, build, administer bool) (string, string, any) {
		return "PUT", builds + "/people/" + who + "/rights", map[string]bool{"builds": build, "administers": administer}
	}
	try := func(p *person, method, path string, body any) (code string) {
		t.Helper()
		status, answer := p.call(method, path, body)
		if status < 300 {
			return ""
		}
		var problem api.Problem
		if err := json.Unmarshal(answer, &problem); err != nil {
			t.Fatalf("%s", answer)
		}
		return problem.Code
	}
	expect := func(what, got, want string) {
		t.Helper()
		if got != want {
			t.Errorf("%s: %q, want %q", what, got, want)
		}
	}
	m, path, body := rights("a_mason", true, false)
	expect("who neither builds nor administers", try(mason, m, path, body), "no-builder")
	expect("given the right to build", try(arno, m, path, body), "")
	expect("a builder’s own role", try(mason, "PUT", builds+"/people/a_mason/roles", map[string]any{"roles": []string{"r_lead"}}), "no-administrator")
	m, path, body = rights("a_mason", true, true)
	expect("a builder’s own right", try(mason, m, path, body), "no-administrator")
	expect("the log", try(mason, "GET", builds+"/log", nil), "no-administrator")
	// What is built in one application gives nothing in another.
	expect("another application", try(mason, "GET", "/api/build/stores", nil), "no-builder")
	m, path, body = rights("a_arno", true, false)
	expect("the last who administers", try(arno, m, path, body), "last-administrator")
	m, path, body = rights("a_mason", false, true)
	expect("administering alone", try(arno, m, path, body), "")
	expect("does not build", try(mason, "GET", builds, nil), "no-builder")
	m, path, body = rights("a_nobody", true, true)
	expect("somebody who is not there", try(arno, m, path, body), "no-place")

	var log []api.LogEntry
	arno.must("GET", builds+"/log", nil, &log)
	if len(log) < 2 || log[0].Who != "Arno Vey" || log[0].What != "rights" || log[0].Detail != "mason: administers" || log[0].From == "" || log[1].Detail != "mason: builds" {
		t.Errorf("the log begins with %+v", log[:min(2, len(log))])
	}
	var older []api.LogEntry
	arno.must("GET", fmt.Sprintf("%s/log?before=%d", builds, log[1].Id), nil, &older)
	if len(older) == 0 || older[0].Id >= log[1].Id {
		t.Errorf("what is older: %+v", older)
	}
}

func TestWalkingAsSomebodyRealNeedsARightAndIsLogged(t *testing.T) {
	b := store.Account{ID: "a_novice", Login: "novice", Name: "Novice"}
	if err := up.Store.CreateAccount(t.Context(), b, "novice"); err != nil {
		t.Fatal(err)
	}
	if err := up.Store.SetRights(t.Context(), "a_arno", b.ID, demo.ProjectID, store.Rights{Builds: true}); err != nil {
		t.Fatal(err)
	}
	novice := as(t, "novice")
	novice.refused("POST", builds+"/work", map[string]any{"screen": "s_defects", "as": "a_mira"}, http.StatusForbidden, "no-walk")
	novice.refused("GET", builds+"/records/t_staff?as=a_mira", nil, http.StatusForbidden, "no-walk")
	novice.must("POST", builds+"/work", map[string]any{"screen": "s_defects", "as": "role:r_tech"}, nil)
	as(t, "arno").must("POST", builds+"/work", map[string]any{"screen": "s_defects", "as": "a_sela"}, nil)
	walks, err := up.Store.Walks(t.Context(), demo.ProjectID)
	logged, asRole := false, false
	for _, w := range walks {
		logged = logged || w.Builder == "a_arno" && w.Person == "a_sela"
		asRole = asRole || w.Builder == "a_novice" && w.Person == "role:r_tech"
		if w.Builder == "a_novice" && w.Person == "a_mira" {
			t.Error("a refused walk is logged as one")
		}
	}
	if err != nil || !logged || !asRole {
		t.Errorf("Arno's walk as Sela, or one as a role, is not logged: %+v %v", walks, err)
	}
}

func TestOnesOwnPasswordAndSessions(t *testing.T) {
	here, there := clerk(t, "typist", "r_office"), as(t, "typist")
	here.refused("POST", "/api/me/password", map[string]string{"old": "typist", "new": "short"}, http.StatusUnprocessableEntity, "weak-password")
	here.refused("POST", "/api/me/password", map[string]string{"old": "guess", "new": "long enough now"}, http.StatusUnauthorized, "sign-in")
	here.must("POST", "/api/me/password", map[string]string{"old": "typist", "new": "long enough now"}, nil)
	time.Sleep(1100 * time.Millisecond) // sessions are believed for a second
	there.refused("GET", "/api/me", nil, http.StatusUnauthorized, "signed-out")
	var me api.Me
	here.must("GET", "/api/me", nil, &me)
	failed := 0
	for _, a := range me.Attempts {
		if !a.Ok {
			failed++
		}
	}
	if me.Sessions != 1 || failed != 1 || len(me.Attempts) != 3 {
		t.Errorf("%+v", me)
	}
	here.must("POST", "/api/me/sign-out-everywhere", nil, nil)
	here.refused("GET", "/api/me", nil, http.StatusUnauthorized, "signed-out")
}
