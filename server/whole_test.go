package server_test

import (
	"context"
	"encoding/json"
	"net/http"
	"slices"
	"strings"
	"testing"
	"time"

	"ambergate/core/check"
	"ambergate/core/check/reach"
	"ambergate/core/whole"
	"ambergate/demo"
	"ambergate/store"
)

const built = "/api/build/tarnhorn"

func edits(ops ...map[string]any) map[string]any { return map[string]any{"patch": ops} }

func TestWhoGetsWhereIsToldToBuilders(t *testing.T) {
	p := as(t, "arno")
	var table whole.Table
	p.must("GET", built+"/reach", nil, &table)
	at := func(screen, who string) whole.Cell {
		w := slices.IndexFunc(table.Who, func(w whole.Who) bool { return w.Name == who })
		l := slices.IndexFunc(table.Lines, func(l whole.Line) bool { return l.Screen == screen })
		if w < 0 || l < 0 {
			t.Fatalf("%s, %s: not in the table", screen, who)
		}
		return table.Lines[l].Cells[w]
	}
	if c := at("s_drive", "Operator"); c.Kind != reach.IsGiven || c.Presses != 1 {
		t.Errorf("operators and the drive room: %+v", c)
	}
	if c := at("s_drive", "Technician and Operator"); c.Kind == reach.IsNever { // Ilse has both
		t.Errorf("both roles together: %+v", c)
	}
	var path whole.Path
	p.must("GET", built+"/reach/path?screen=s_drive&who=r_oper", nil, &path)
	if len(path.Steps) != 1 || path.Steps[0].By != "a row of lifts" || !path.Returns {
		t.Errorf("%+v", path)
	}
	var between whole.Between
	p.must("GET", built+"/reach/between?from=s_wboard&to=s_cabin&who=r_tech", nil, &between)
	if len(between.Paths) < 2 {
		t.Errorf("%+v", between)
	}
	p.refused("GET", built+"/reach/path?screen=s_drive&who=r_nobody", nil, http.StatusForbidden, "no-role")
	p.refused("GET", built+"/reach/path?screen=s_gone&who=r_oper", nil, http.StatusNotFound, "no-screen")
	p.refused("GET", built+"/reach/between?from=s_gone&to=s_cabin&who=r_tech", nil, http.StatusNotFound, "no-screen")
	p.refused("GET", built+"/map?who=r_nobody", nil, http.StatusForbidden, "no-role")
}

func TestWhatAnEditChangesOfReachIsTold(t *testing.T) {
	p := as(t, "arno")
	var table whole.Table
	p.must("GET", built+"/reach?against=release", nil, &table)
	if table.Changed != 0 {
		t.Errorf("%d cells differ from the release", table.Changed)
	}
	p.must("POST", built+"/edits", edits(map[string]any{"op": "add", "path": "/s_day/roles", "value": map[string]bool{"r_office": true}}), nil)
	t.Cleanup(func() { p.must("POST", built+"/undo", nil, nil) })
	for _, against := range []string{"release", "edit"} {
		table = whole.Table{}
		p.must("GET", built+"/reach?against="+against, nil, &table)
		lead := slices.IndexFunc(table.Who, func(w whole.Who) bool { return w.Name == "Shift lead" })
		day := slices.IndexFunc(table.Lines, func(l whole.Line) bool { return l.Screen == "s_day" })
		if c := table.Lines[day].Cells[lead]; c.Kind != reach.IsNever || c.Was == nil || c.Was.Kind != reach.IsStart || table.Changed < 10 {
			t.Errorf("against the %s: %+v of %d", against, c, table.Changed)
		}
	}
	draft := drafted(p, built)
	if !slices.ContainsFunc(draft.Findings, func(f check.Finding) bool { return f.Check == "shut-start" && f.Screen == "s_day" }) {
		t.Errorf("who starts where they may not be gets nowhere, and no finding says so: %+v", toMend(draft))
	}
}

func TestExpectationsAndAcceptancesAreEdits(t *testing.T) {
	p := as(t, "arno")
	p.must("POST", built+"/edits", edits(
		map[string]any{"op": "add", "path": "/x_office", "value": map[string]any{"kind": "expectation", "pos": 9, "screen": "s_parts", "roles": map[string]bool{"r_office": true}, "what": "never"}},
	), nil)
	draft := drafted(p, built)
	i := slices.IndexFunc(draft.Findings, func(f check.Finding) bool { return f.Entity == "x_office" })
	if i < 0 || draft.Findings[i].Severity != check.Broken || !strings.Contains(draft.Findings[i].Words, "Office gets there in 1 press") || len(draft.Findings[i].Mends) == 0 {
		t.Fatalf("%+v", draft.Findings)
	}
	f := draft.Findings[i]
	p.must("POST", built+"/edits", edits(map[string]any{"op": "add", "path": "/ac_office", "value": map[string]any{
		"kind": "acceptance", "pos": 9, "check": f.Check, "screen": f.Screen, "entity": f.Entity, "words": f.Words, "evidence": f.Evidence, "because": "for now", "by": "Arno Vey", "at": "2026-11-29T10:00:00Z"}}), nil)
	draft = drafted(p, built)
	i = slices.IndexFunc(draft.Findings, func(f check.Finding) bool { return f.Entity == "x_office" })
	if i < 0 || draft.Findings[i].Accepted == nil || draft.Findings[i].Accepted.Because != "for now" || len(toMend(draft)) != 0 {
		t.Errorf("%+v", draft.Findings[i])
	}
	for _, wrong := range []map[string]any{
		{"kind": "expectation", "pos": 1, "screen": "s_parts", "what": "perhaps"},
		{"kind": "expectation", "pos": 1, "screen": "s_parts", "what": "within"},
		{"kind": "expectation", "pos": 1, "screen": "s_parts", "what": "never", "presses": 2},
		{"kind": "expectation", "pos": 1, "screen": "s_parts", "what": "from"},
		{"kind": "expectation", "pos": 1, "what": "never"},
		{"kind": "acceptance", "pos": 1, "check": "trap", "words": "w", "because": "", "by": "A", "at": "2026-11-29T10:00:00Z"},
		{"kind": "acceptance", "pos": 1, "because": "b", "by": "A", "at": "2026-11-29T10:00:00Z"},
	} {
		p.refused("POST", built+"/edits", edits(map[string]any{"op": "add", "path": "/x_wrong", "value": wrong}), http.StatusBadRequest, "bad-patch")
	}
	p.must("POST", built+"/undo", nil, nil)
	p.must("POST", built+"/undo", nil, nil)
}

func TestTheMapIsToldAndWrittenAsFiles(t *testing.T) {
	p := as(t, "arno")
	var m whole.Map
	p.must("GET", built+"/map", nil, &m)
	var entities map[string]json.RawMessage
	entities, err := demo.Project()
	if err != nil {
		t.Fatal(err)
	}
	screens := 0
	for id := range entities {
		if strings.HasPrefix(id, "s_") {
			screens++
		}
	}
	if shown := len(m.Plates); shown < screens || len(m.Wires) < 40 || len(m.Areas) < 5 {
		t.Errorf("%d plates of %d screens, %d wires, %d areas", shown, screens, len(m.Wires), len(m.Areas))
	}
	var ways []whole.WireWay
	p.must("GET", built+"/map/ways?from=s_wboard&to=s_cabins&who=r_tech", nil, &ways)
	if len(ways) != 1 || ways[0].By != "“Cabins”" || ways[0].Hold != "sure" {
		t.Errorf("%+v", ways)
	}
	for file, begins := range map[string]string{"/map.svg": "<svg", "/map.scxml?who=r_tech": "<?xml"} {
		status, text := p.call("GET", built+file, nil)
		if status != http.StatusOK || !strings.HasPrefix(string(text), begins) {
			t.Errorf("%s: %d %.80s", file, status, text)
		}
	}
	p.refused("GET", built+"/map.scxml?who=r_nobody", nil, http.StatusForbidden, "no-role")
}

// A screen at work says how far it is, and for whom ways are proven shut.
func TestAScreenAtWorkKnowsItsReach(t *testing.T) {
	p := as(t, "arno")
	var table whole.Table
	p.must("GET", built+"/reach", nil, &table) // so that it was found out for all
	w := work(t, p, map[string]any{"screen": "s_defect", "as": "a_mira"})
	if w.Who != "r_tech" || w.How != "sure" || w.Presses != 2 {
		t.Errorf("%s gets to defects %s, in %d", w.Who, w.How, w.Presses)
	}
	if w.Shut == nil || !slices.ContainsFunc(*w.Shut, func(s whole.ShutWay) bool { return s.Element == "e_edit" && s.Roles == "Office and Builder" }) {
		t.Errorf("%+v", w.Shut)
	}
	if w := work(t, p, map[string]any{"screen": "s_drive", "as": "a_mira"}); w.How != "never" || w.Presses != -1 {
		t.Errorf("the drive room: %s, %d", w.How, w.Presses)
	}
}

// What users press is counted, and told with the wires: not who pressed it.
func TestPressesAreCounted(t *testing.T) {
	ctx, stop := context.WithCancel(t.Context())
	go up.Server.KeepUsed(ctx)
	mira := as(t, "mira")
	for range 3 {
		mira.pressed(mira.open("/workshop"), "e_cabins", nil)
	}
	arno := as(t, "arno")
	var week int64
	for end := time.Now().Add(20 * time.Second); week < 3 && time.Now().Before(end); time.Sleep(200 * time.Millisecond) {
		var ways []whole.WireWay
		arno.must("GET", built+"/map/ways?from=s_wboard&to=s_cabins", nil, &ways)
		week = ways[0].Week
	}
	if week < 3 {
		t.Errorf("%d presses were counted this week", week)
	}
	stop()
	used, err := up.Store.UsedWays(t.Context(), demo.ProjectID, time.Now())
	if err != nil || !slices.ContainsFunc(used, func(u store.Used) bool {
		return u.Screen == "s_wboard" && u.Element == "e_cabins" && u.Trigger == "release" && u.N >= 3
	}) {
		t.Errorf("%+v, %v", used, err)
	}
}
