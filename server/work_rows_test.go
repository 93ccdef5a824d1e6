package server_test

import (
	"net/http"
	"testing"

	"ambergate/api"
	"ambergate/core/kinds/element"
)

func TestTheStageReadsListsToTheirEnd(t *testing.T) {
	p := as(t, "arno")
	work := map[string]any{"screen": "s_stops", "as": "a_sela"}
	var at api.AtWork
	p.must("POST", "/api/build/tarnhorn/work", work, &at)
	list := at.View.Elements[1].View.(*element.ListView)
	if list == nil {
		list = at.View.Elements[0].View.(*element.ListView)
	}
	seen := map[string]bool{}
	for _, r := range list.Rows {
		seen[r.Key] = true
	}
	next := list.Next
	for next != "" {
		var more element.ListView
		p.must("POST", "/api/build/tarnhorn/work/rows", map[string]any{"work": work, "element": "e_list", "cursor": next}, &more)
		for _, r := range more.Rows {
			if seen[r.Key] {
				t.Fatalf("%s comes twice", r.Key)
			}
			seen[r.Key] = true
		}
		next = more.Next
	}
	if len(seen) != list.Count || len(seen) <= len(list.Rows) {
		t.Errorf("%d rows of %d", len(seen), list.Count)
	}
	p.refused("POST", "/api/build/tarnhorn/work/rows", map[string]any{"work": work, "element": "e_gone"}, http.StatusNotFound, "no-element")
	as(t, "mira").refused("POST", "/api/build/tarnhorn/work/rows", map[string]any{"work": work, "element": "e_list"}, http.StatusForbidden, "no-builder")
}
