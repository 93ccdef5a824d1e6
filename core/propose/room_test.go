package propose_test

import (
	"slices"
	"strings"
	"testing"

	"ambergate/core/patch"
	"ambergate/core/project"
	"ambergate/core/propose"
)

// put puts the first offer for some words into a cell and gives the cells of all elements afterwards.
func put(t *testing.T, a *propose.Application, before []patch.Op, w propose.CellWish) (map[string]project.Cell, *project.Project) {
	t.Helper()
	w.Element = "e_made"
	offers := propose.OffersFor(patched(t, a, before), w)
	if len(offers) == 0 {
		t.Fatalf("nothing is offered for %+v", w)
	}
	after := patched(t, a, slices.Concat(before, offers[0].Patch))
	cells := map[string]project.Cell{}
	for id, e := range after.Screens[w.Screen].Elements {
		cells[id] = e.Cell
	}
	return cells, after
}

// board is a screen with two buttons in row 2, a text in row 3 and a list from row 4 on.
func board() []patch.Op {
	element := func(id, rest string) patch.Op {
		return patch.Op{Op: "add", Path: "/s_try/elements/" + id, Value: []byte(`{"pos":1,` + rest + `}`)}
	}
	return []patch.Op{
		{Op: "add", Path: "/s_try", Value: []byte(`{"kind":"screen","type":"menu","title":"Try","slug":"try","elements":{}}`)},
		element("e_one", `"kind":"button","words":"One","cell":{"row":2,"col":1,"w":3}`),
		element("e_two", `"kind":"button","words":"Two","cell":{"row":2,"col":8,"w":3}`),
		element("e_text", `"kind":"text","words":"Three","cell":{"row":3,"col":1,"w":12}`),
		element("e_list", `"kind":"list","table":"t_pumps","columns":{"k_1":{"pos":1,"path":"f_code"}},"cell":{"row":4,"col":1,"w":12,"h":6}`),
	}
}

func TestRoomIsMadeForWhatIsPut(t *testing.T) {
	a, _ := proposed(t, works(), all(works()))
	for name, c := range map[string]struct {
		words    string
		row, col int
		made     project.Cell
		text     int // the row that the text has then
	}{
		"it fits":                             {"button", 2, 4, project.Cell{Row: 2, Col: 4, W: 2}, 3},
		"it is cut to the gap":                {"text", 2, 4, project.Cell{Row: 2, Col: 4, W: 4}, 3},
		"a gap that is too narrow":            {"heading", 2, 11, project.Cell{Row: 3, Col: 1, W: 12}, 4},
		"what is tall lets all below go down": {"chart pumps state", 1, 1, project.Cell{Row: 1, Col: 1, W: 6, H: 6}, 8},
		"below everything nothing moves":      {"list pumps", 40, 1, project.Cell{Row: 40, Col: 1, W: 12, H: 8}, 3},
		"off the grid it is brought back":     {"button", 0, 99, project.Cell{Row: 1, Col: 12, W: 1}, 3},
	} {
		cells, _ := put(t, a, board(), propose.CellWish{Screen: "s_try", Row: c.row, Col: c.col, Words: c.words})
		if cells["e_made"] != c.made || cells["e_text"].Row != c.text {
			t.Errorf("%s: it stands at %+v, the text in row %d; want %+v and %d", name, cells["e_made"], cells["e_text"].Row, c.made, c.text)
		}
		if down := c.text - 3; cells["e_list"].Row != 4+down {
			t.Errorf("%s: the list does not go down with the text: %+v", name, cells["e_list"])
		}
	}
}

// What goes down goes down only where nobody moved it meanwhile: the patch tests where it stood.
func TestRoomIsNotMadeOverSomebodyElsesWork(t *testing.T) {
	a, _ := proposed(t, works(), all(works()))
	offers := propose.OffersFor(patched(t, a, board()), propose.CellWish{Screen: "s_try", Row: 1, Col: 1, Words: "chart pumps state", Element: "e_made"})
	tests := 0
	for _, op := range offers[0].Patch {
		if op.Op == "test" && strings.HasSuffix(op.Path, "/cell/row") {
			tests++
		}
	}
	if tests != 4 {
		t.Errorf("%d rows are tested before they are changed, want 4: %+v", tests, offers[0].Patch)
	}
}

func TestWhatIsPutBelowTabsBelongsToTheOpenOne(t *testing.T) {
	a, _ := proposed(t, works(), all(works()))
	_, with := put(t, a, board(), propose.CellWish{Screen: "s_try", Row: 40, Col: 1, Words: "tabs"})
	tabs := with.Screens["s_try"].Elements["e_made"]
	if len(project.TabsOf(tabs)) != 2 || tabs.Tab != "" {
		t.Fatalf("%+v", tabs)
	}
	for words, want := range map[string]string{"button": "e_tabs.t_2", "tabs": ""} {
		_, after := put(t, a, board(), propose.CellWish{Screen: "s_try", Row: 41, Col: 1, Words: words, Tab: "e_tabs.t_2"})
		if got := after.Screens["s_try"].Elements["e_made"].Tab; got != want {
			t.Errorf("%s is in the tab %q, want %q", words, got, want)
		}
	}
}

// A relation that has a name from the other side is called by it; a field of a record is a way to its form.
func TestWhatIsPutKnowsWhatCanBeKnown(t *testing.T) {
	a, app := proposed(t, works(), all(works()))
	form := formOf(app.Project, "t_pumps")
	_, after := put(t, a, nil, propose.CellWish{Screen: form, Row: 60, Col: 1, Words: "site"})
	field, ok := after.Screens[form].Elements["e_made"].Spec.(interface {
		Gates() map[string]*project.Gate
	})
	if !ok || field.Gates()["release"] == nil {
		t.Error("a field that names another record does not lead to it")
	}
	named := []patch.Op{{Op: "add", Path: "/t_repairs/fields/f_pump_id/back", Value: []byte(`"its history"`)}}
	list, after := put(t, a, named, propose.CellWish{Screen: form, Row: 60, Col: 1, Words: "history"})
	l := project.ListOf(after.Screens[form].Elements["e_made"])
	if l == nil || l.Label != "Its history" || l.Relation != "f_pump_id" || l.Opened == nil || list["e_made"].W != 12 {
		t.Errorf("%+v", l)
	}
	for _, c := range l.Columns {
		if c.Path == "f_pump_id" {
			t.Error("a list of what belongs to a pump tells the pump in each row")
		}
	}
}

// within is the board with a frame in rows 2 to 3 around its first button.
func within(more ...patch.Op) []patch.Op {
	return append(append(board(), patch.Op{Op: "add", Path: "/s_try/elements/e_frame", Value: []byte(`{"kind":"group","pos":9,"words":"Frame","cell":{"row":1,"col":1,"w":6,"h":2}}`)}), more...)
}

func TestWhatIsPutIntoAFrameStaysThereAndTheFrameGrows(t *testing.T) {
	a, _ := proposed(t, works(), all(works()))
	for name, c := range map[string]struct {
		wish  propose.CellWish
		made  project.Cell
		frame int // its rows
		text  int
	}{
		"beside what it holds":       {propose.CellWish{Row: 2, Col: 4, Words: "text"}, project.Cell{Row: 2, Col: 4, W: 3}, 2, 3},
		"too wide for the gap in it": {propose.CellWish{Row: 2, Col: 6, Words: "heading"}, project.Cell{Row: 3, Col: 1, W: 6}, 3, 4},
		"below what it holds":        {propose.CellWish{Row: 3, Col: 1, Words: "heading", Frame: "e_frame"}, project.Cell{Row: 3, Col: 1, W: 6}, 3, 4},
		"tall":                       {propose.CellWish{Row: 3, Col: 1, Words: "chart pumps state", Frame: "e_frame"}, project.Cell{Row: 3, Col: 1, W: 6, H: 6}, 8, 9},
		"beside the frame":           {propose.CellWish{Row: 1, Col: 7, Words: "button"}, project.Cell{Row: 1, Col: 7, W: 2}, 2, 3},
		"a frame that is not there":  {propose.CellWish{Row: 40, Col: 1, Words: "button", Frame: "e_gone"}, project.Cell{Row: 40, Col: 1, W: 2}, 2, 3},
	} {
		c.wish.Screen = "s_try"
		cells, _ := put(t, a, within(), c.wish)
		if cells["e_made"] != c.made || cells["e_frame"].H != c.frame || cells["e_text"].Row != c.text {
			t.Errorf("%s: it stands at %+v, the frame has %d rows, the text is in row %d; want %+v, %d, %d", name, cells["e_made"], cells["e_frame"].H, cells["e_text"].Row, c.made, c.frame, c.text)
		}
	}
	outer := patch.Op{Op: "add", Path: "/s_try/elements/e_outer", Value: []byte(`{"kind":"group","pos":9,"words":"Outer","cell":{"row":1,"col":1,"w":12,"h":3}}`)}
	inner := patch.Op{Op: "replace", Path: "/s_try/elements/e_frame/cell/row", Value: []byte(`2`)}
	cells, _ := put(t, a, within(outer, inner, patch.Op{Op: "replace", Path: "/s_try/elements/e_one/cell/row", Value: []byte(`3`)}), propose.CellWish{Screen: "s_try", Row: 4, Col: 1, Words: "button", Frame: "e_frame"})
	if cells["e_frame"].H != 3 || cells["e_outer"].H != 4 {
		t.Errorf("a frame within a frame has %d rows, that around it %d", cells["e_frame"].H, cells["e_outer"].H)
	}
}
