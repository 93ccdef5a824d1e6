package server_test

import (
	"net/http"
	"slices"
	"strings"
	"testing"

	"ambergate/api"
	"ambergate/core/patch"
	"ambergate/core/propose"
)

func cellsOf(p *person, wish map[string]any) []propose.CellOffer {
	body := map[string]any{"screen": "s_cabin", "row": 90, "col": 1, "words": "", "element": "e_made"}
	for k, v := range wish {
		body[k] = v
	}
	var out []propose.CellOffer
	p.must("POST", "/api/build/tarnhorn/cells", body, &out)
	return out
}

// What is typed into an empty cell is offered with an edit that is taken as it is, shown, and taken back.
func TestACellIsOfferedWhatFitsIt(t *testing.T) {
	p := as(t, "arno")
	offers := cellsOf(p, map[string]any{"words": "list defects"})
	if len(offers) < 2 || !strings.HasPrefix(offers[0].ID, "children:t_defects") {
		t.Fatalf("%+v", offers)
	}
	p.must("POST", "/api/build/tarnhorn/edits", map[string]any{"patch": offers[0].Patch}, nil)
	t.Cleanup(func() { p.must("POST", "/api/build/tarnhorn/undo", nil, nil) })
	var work api.AtWork
	p.must("POST", "/api/build/tarnhorn/work", map[string]any{"screen": "s_cabin", "as": "role:r_lead", "inputs": map[string]string{"i_cabin": "87"}}, &work)
	if work.View == nil || !slices.ContainsFunc(work.View.Elements, func(e api.ElementView) bool { return e.ID == "e_made" && e.Kind == "list" }) {
		t.Errorf("what was put is not shown: %+v", work.Refused)
	}
	// The same edit again would put it onto itself.
	p.refused("POST", "/api/build/tarnhorn/edits", map[string]any{"patch": offers[0].Patch}, http.StatusBadRequest, "bad-patch")
}

func TestACellOfNothingIsRefusedInWords(t *testing.T) {
	p := as(t, "arno")
	wish := func(screen, words string) map[string]any {
		return map[string]any{"screen": screen, "row": 1, "col": 1, "words": words, "element": "e_made"}
	}
	p.refused("POST", "/api/build/tarnhorn/cells", wish("s_nowhere", "list"), http.StatusNotFound, "no-screen")
	p.refused("POST", "/api/build/tarnhorn/cells", wish("s_cabin", strings.Repeat("list ", 200)), http.StatusBadRequest, "too-much")
	for _, typed := range []string{"“quoted” {braces}", "<b>bold</b>", "\u202eturned", strings.Repeat("ü", 200), "%_' or 1=1 --"} {
		offers := cellsOf(p, map[string]any{"words": typed})
		last := offers[len(offers)-1]
		if last.ID != "heading:" || !strings.Contains(last.Words, strings.TrimSpace(typed)) {
			t.Errorf("%q cannot be put as it is typed: %+v", typed, last)
		}
	}
}

// A tab that is gone holds nothing: what is put is there always.
func TestACellInATabThatIsGone(t *testing.T) {
	p := as(t, "arno")
	inTab := func(tab string) bool {
		return slices.ContainsFunc(cellsOf(p, map[string]any{"words": "button", "tab": tab})[0].Patch, func(op patch.Op) bool {
			return strings.Contains(string(op.Value), `"tab":"`+tab+`"`)
		})
	}
	var draft api.Draft
	p.must("GET", "/api/build/tarnhorn", nil, &draft)
	if inTab("e_tabs.t_gone") || inTab("e_gone.t_1") {
		t.Error("something is put into a tab that is gone")
	}
}
