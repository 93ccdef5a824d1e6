package propose_test

import (
	"encoding/json"
	"fmt"
	"maps"
	"regexp"
	"slices"
	"strings"
	"testing"

	"ambergate/core/checks"
	"ambergate/core/kinds/element"
	"ambergate/core/patch"
	"ambergate/core/plan"
	"ambergate/core/project"
	"ambergate/core/propose"
)

func offered(p *project.Project, screen, words string) []propose.CellOffer {
	return propose.OffersFor(p, propose.CellWish{Screen: screen, Row: 1, Col: 1, Words: words, Element: "e_made"})
}

func TestOffersAreFoundByAnyWordOfWhatTheyAreOrShow(t *testing.T) {
	_, app := proposed(t, works(), all(works()))
	p := app.Project
	form, list := "", ""
	for id, s := range p.Screens {
		if s.RecordTable() == "t_pumps" {
			form = id
		}
		if s.ListTable() == "t_pumps" {
			list = id
		}
	}
	for typed, want := range map[string]string{
		"state":           "field:f_state", // the field of the record before charts by it
		"field running":   "field:f_state", // by a value that it can have
		"list repairs":    "children:t_repairs.f_pump_id",
		"repairs":         "children:t_repairs.f_pump_id",
		"chart pump":      "chart:t_pumps.f_site_id",
		"bars state":      "chart:t_pumps.f_state",
		"repairs month":   "chart:t_repairs.f_done_on",
		"BUTTON":          "button",
		"heading":         "heading",
		"tabs":            "tabs",
		"site name":       "field:f_site_id.f_name",
		"nothing of this": "button:",
	} {
		got := offered(p, form, typed)
		if len(got) == 0 || got[0].ID != want {
			t.Errorf("%q on a form offers %+v first, want %s", typed, first(got), want)
		}
		if last := got[len(got)-1]; !strings.Contains(last.Words, "“"+typed+"”") {
			t.Errorf("%q cannot be put as it is typed: %+v", typed, last)
		}
	}
	if got := offered(p, list, "state"); got[0].ID != "chart:t_pumps.f_state" {
		t.Errorf("a screen without a record: %+v", first(got))
	}
	perGroup := map[string]int{}
	for _, o := range offered(p, form, "") {
		if perGroup[o.Group]++; perGroup[o.Group] > 7 {
			t.Errorf("more than seven of %s before anything was typed", o.Group)
		}
	}
	if offered(p, "s_none", "") == nil || len(offered(p, "s_none", "x")) != 0 {
		t.Error("a screen that is gone")
	}
}

// The title of a screen finds a button that leads there: with the record at hand, or with none where it needs none.
func TestTheTitleOfAScreenFindsAWayThere(t *testing.T) {
	a, app := proposed(t, works(), all(works()))
	p := app.Project
	ways := 0
	for from, s := range p.Screens {
		for to, target := range p.Screens {
			for _, o := range offered(p, from, target.Title) {
				if o.ID != "to:"+to {
					continue
				}
				ways++
				made, err := plan.Compile(patched(t, a, o.Patch))
				if err != nil {
					t.Fatal(err)
				}
				if from == to || target.RecordTable() != "" && target.RecordTable() != s.RecordTable() {
					t.Errorf("from %s to %s: it cannot know which", from, to)
				}
				for _, f := range checks.All.Run(made) {
					if f.Element == "e_made" {
						t.Errorf("from %s to %s: %s", from, to, f.Words)
					}
				}
			}
		}
	}
	if ways < 5 {
		t.Errorf("%d ways to screens are offered", ways)
	}
}

func first(o []propose.CellOffer) string {
	if len(o) == 0 {
		return "nothing"
	}
	return o[0].ID
}

// Whatever is offered fits the document, compiles, and stands on nothing else; on a dashboard it narrows.
func TestOffersAreGoodAsTheyAre(t *testing.T) {
	a, app := proposed(t, works(), all(works()))
	equip := propose.ProposeEquipment(app.Project, propose.EquipmentWish{Connection: "hall", Path: "/Hall"}, presses(), []propose.Keyed{pumpKeys("01", "02")})
	figures := propose.DashboardFor(app.Project, "t_repairs")
	ops := slices.Concat(equip.Patch, figures.Patch)
	wind := propose.TagOf(patched(t, a, ops), "hall", propose.PlantValue{Way: []string{"Roof", "Wind"}, Type: "number", Unit: "m/s"})
	ops = append(ops, wind.Patch...)
	ops = append(ops, patch.Op{Op: "add", Path: "/im_plan", Value: json.RawMessage(`{"kind":"picture","name":"Plan of the works","digest":"0bbe7a219527c754f212076b1879c014d24ee18dcb85b0ee69e7783fdc793bd1"}`)})
	ops = append(ops, patch.Op{Op: "add", Path: "/cl_door", Value: json.RawMessage(`{"kind":"clip","name":"Shutting the door","digest":"0bbe7a219527c754f212076b1879c014d24ee18dcb85b0ee69e7783fdc793bd1"}`)})
	ops = append(ops, patch.Op{Op: "add", Path: "/s_guide", Value: json.RawMessage(`{"kind":"screen","type":"form","title":"A repair, step by step","slug":"guide","record":"i_r","inputs":{"i_r":{"pos":1,"alias":"repair","label":"Repair","type":"record","table":"t_repairs","required":true}},"elements":{"e_s":{"kind":"steps","pos":1,"cell":{"row":1,"col":1,"w":12},"steps":{"t_1":{"pos":1,"label":"First"}}}}}`)})
	p := patched(t, a, ops)
	seen, tried, put := map[string]bool{}, map[string]bool{}, map[string]bool{}
	for _, screen := range []string{"s_start", figures.Screen, formOf(p, "t_pumps"), formOf(p, "t_sites")} {
		for _, words := range []string{"", "list", "chart", "gauge", "lamp", "trend", "value", "field", "number", "plan", "button", "symbol", "clip", "tasks"} {
			for _, at := range [][2]int{{1, 1}, {2, 7}, {90, 1}} {
				for _, o := range propose.OffersFor(p, propose.CellWish{Screen: screen, Row: at[0], Col: at[1], Words: words, Element: "e_made"}) {
					kind, _, _ := strings.Cut(o.ID, ":")
					spot := fmt.Sprint(kind, screen, at)
					for id := range made(o.Patch) {
						put[id] = true
					}
					if seen[kind] = true; tried[spot] {
						continue // one of a kind at a place is enough: compiling takes its time
					}
					tried[spot] = true
					c, err := plan.Compile(patched(t, a, slices.Concat(ops, o.Patch)))
					if err != nil {
						t.Fatalf("%s on %s: %v", o.ID, screen, err)
					}
					if len(c.Problems) > 0 {
						t.Errorf("%s on %s: %+v", o.ID, screen, c.Problems)
					}
					for _, f := range checks.All.Run(c) {
						if f.Check == "overlap" {
							t.Errorf("%s in row %d, column %d of %s: %s", o.ID, at[0], at[1], screen, f.Words)
						}
					}
				}
			}
		}
	}
	for _, kind := range project.Elements.Names() {
		if !slices.ContainsFunc(slices.Collect(maps.Keys(put)), func(k string) bool { return k == kind }) {
			t.Errorf("no cell is ever offered an element of the kind %q", kind)
		}
	}
	for _, kind := range []string{"button", "text", "heading", "note", "tabs", "field", "children", "list", "chart", "lamp", "gauge", "trend", "value", "total", "symbol", "clip"} {
		if !seen[kind] {
			t.Errorf("%s was never offered", kind)
		}
	}
	i := slices.IndexFunc(offered(p, "s_start", "chart pumps state"), func(o propose.CellOffer) bool { return o.ID == "chart:t_pumps.f_state" })
	if text, _ := json.Marshal(offered(p, figures.Screen, "chart pumps state")[0].Patch); i < 0 || !strings.Contains(string(text), `"/`+figures.Screen+`/inputs/i_state"`) || !strings.Contains(string(text), `"rule":"point"`) {
		t.Errorf("a chart on a dashboard narrows nothing: %s", text)
	}
}

// A thing of a plant is found by what it is; a value that speaks of one is drawn as that.
func TestThingsOfAPlantAreOffered(t *testing.T) {
	a, app := proposed(t, works(), all(works()))
	equip := propose.ProposeEquipment(app.Project, propose.EquipmentWish{Connection: "hall", Path: "/Hall"}, presses(), []propose.Keyed{pumpKeys("01", "02")})
	p := patched(t, a, equip.Patch)
	for _, shape := range element.SymbolShapes {
		offers := offered(p, "s_start", shape)
		if i := slices.IndexFunc(offers, func(o propose.CellOffer) bool { return o.ID == "symbol:"+shape }); i < 0 {
			t.Errorf("%s is not offered: %+v", shape, offers)
		}
	}
	var shapes []string
	for _, o := range offered(p, formOf(p, "t_pumps"), "symbol") {
		text, _ := json.Marshal(o.Patch)
		if strings.HasPrefix(o.ID, "symbol:record.") {
			shapes = append(shapes, o.Words+": "+string(regexp.MustCompile(`"shape":"\w+"`).Find(text)))
		}
	}
	if len(shapes) == 0 {
		t.Error("no value of the plant is offered as a thing")
	}
	t.Log(shapes)
}

func formOf(p *project.Project, table string) string {
	for id, s := range p.Screens {
		if s.Type == "form" && s.RecordTable() == table {
			return id
		}
	}
	return ""
}

// made gives the kinds of elements that a patch puts somewhere.
func made(ops []patch.Op) map[string]bool {
	out := map[string]bool{}
	for _, op := range ops {
		var e struct {
			Kind string `json:"kind"`
		}
		if op.Op == "add" && strings.Contains(op.Path, "/elements/") && json.Unmarshal(op.Value, &e) == nil {
			out[e.Kind] = true
		}
	}
	return out
}

// Whatever is typed, wherever: nothing panics, the cell is on the grid, and what was typed can be put.
func FuzzOffers(f *testing.F) {
	d := works()
	a, err := propose.Propose(d, all(d))
	if err != nil {
		f.Fatal(err)
	}
	p, err := project.Decode(a.Entities)
	if err != nil {
		f.Fatal(err)
	}
	form := formOf(p, "t_pumps")
	f.Add("list repairs", 1, 1)
	f.Add("“x” {record.f_code}", -4, 900)
	f.Add("", 500, 12)
	f.Fuzz(func(t *testing.T, words string, row, col int) {
		for _, screen := range []string{form, "s_start"} {
			offers := propose.OffersFor(p, propose.CellWish{Screen: screen, Row: row % 400, Col: col, Words: words, Element: "e_made"})
			for _, o := range offers {
				for _, op := range o.Patch {
					var e struct{ Cell project.Cell }
					if !strings.HasSuffix(op.Path, "/e_made") || json.Unmarshal(op.Value, &e) != nil {
						continue
					}
					if c := e.Cell; c.Row < 1 || c.Col < 1 || c.W < 1 || c.Col+c.W > 13 {
						t.Errorf("%s lies off the grid: %+v", o.ID, c)
					}
				}
			}
			if strings.TrimSpace(words) != "" && (len(offers) == 0 || offers[len(offers)-1].ID != "heading:") {
				t.Errorf("%q cannot be put as it is typed", words)
			}
		}
	})
}
