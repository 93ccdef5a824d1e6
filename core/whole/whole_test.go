package whole_test

import (
	"bytes"
	"encoding/csv"
	"encoding/xml"
	"fmt"
	"io"
	"math"
	"slices"
	"strings"
	"testing"

	"ambergate/core/check"
	"ambergate/core/check/reach"
	"ambergate/core/plan"
	"ambergate/core/project"
	"ambergate/core/whole"
	"ambergate/demo"
)

// tarnhorn is the demo as it is compiled, and who gets where in it.
func tarnhorn(t testing.TB) *reach.Graph {
	t.Helper()
	entities, err := demo.Project()
	if err != nil {
		t.Fatal(err)
	}
	p, err := project.Decode(entities)
	if err != nil {
		t.Fatal(err)
	}
	app, err := plan.Compile(p)
	if err != nil {
		t.Fatal(err)
	}
	return reach.Of(app, nil)
}

func each(g *reach.Graph) []whole.Who { return whole.Sets(g.App.Project, nil) }

func only(t testing.TB, g *reach.Graph, name string) whole.Who {
	t.Helper()
	for _, w := range each(g) {
		if w.Name == name {
			return w
		}
	}
	t.Fatalf("nobody is called %s", name)
	return whole.Who{}
}

func TestWhoThereIs(t *testing.T) {
	g := tarnhorn(t)
	roles := func(ids ...string) map[string]bool {
		out := map[string]bool{}
		for _, id := range ids {
			out[id] = true
		}
		return out
	}
	who := whole.Sets(g.App.Project, []map[string]bool{roles("r_tech"), roles("r_tech", "r_oper"), roles("r_oper", "r_tech"), roles("r_tech", "r_gone"), roles(), {"r_lead": false}})
	var said []string
	for _, w := range who {
		said = append(said, fmt.Sprint(w.Name, " ", w.People))
	}
	want := "Shift lead 0, Technician 2, Operator 0, Office 0, Visitor 0, Builder 0, Technician and Operator 2"
	if got := strings.Join(said, ", "); got != want {
		t.Errorf("%s, want %s", got, want)
	}
	if last := who[len(who)-1]; last.Key != "r_oper+r_tech" || last.Start != "s_wboard" || len(last.Set()) != 2 {
		t.Errorf("%+v", last)
	}
}

func TestTheTableTellsEveryCellAndWhatChanged(t *testing.T) {
	g := tarnhorn(t)
	table := whole.TableOf(g, each(g), nil)
	if len(table.Lines) != len(g.App.Project.Screens) || len(table.Who) != 6 || table.Changed != 0 {
		t.Errorf("%d lines, %d who, %d changed", len(table.Lines), len(table.Who), table.Changed)
	}
	at := func(t whole.Table, screen, who string) whole.Cell {
		w := slices.IndexFunc(t.Who, func(w whole.Who) bool { return w.Name == who })
		l := slices.IndexFunc(t.Lines, func(l whole.Line) bool { return l.Screen == screen })
		return t.Lines[l].Cells[w]
	}
	if c := at(table, "s_drive", "Office"); c.Kind != reach.IsNever || c.Expected != check.IsKept {
		t.Errorf("the office and the drive room: %+v", c)
	}
	if c := at(table, "s_drive", "Operator"); c.Words() != "1 if there" || !slices.Contains(c.Given, "a row in Lifts") {
		t.Errorf("operators and the drive room: %+v", c)
	}
	for _, e := range table.Expected {
		if e.Kept != check.IsKept {
			t.Errorf("%s: %s", e.Words, e.Kept)
		}
	}
	// The same, before a button was taken away: their round still brings visitors there.
	entities, err := demo.Project()
	if err != nil {
		t.Fatal(err)
	}
	entities["s_welcome"] = bytes.ReplaceAll(entities["s_welcome"], []byte(`"s_status"`), []byte(`"s_welcome"`))
	p, err := project.Decode(entities)
	if err != nil {
		t.Fatal(err)
	}
	app, err := plan.Compile(p)
	if err != nil {
		t.Fatal(err)
	}
	now := reach.Of(app, nil)
	changed := whole.TableOf(now, each(now), g)
	if c := at(changed, "s_status", "Visitor"); c.Words() != "by itself" || c.Was == nil || c.Was.Words() != "1" || c.Expected != check.IsBroken {
		t.Errorf("visitors and the lift status: %+v", c)
	}
	if changed.Changed != 1 {
		t.Errorf("%d cells changed", changed.Changed)
	}
}

func TestAPathIsToldThereAndBack(t *testing.T) {
	g := tarnhorn(t)
	path, there := whole.PathTo(g, only(t, g, "Operator"), each(g), "s_drive")
	if !there || path.Start != "Lifts" || len(path.Steps) != 1 || path.Steps[0].Screen != "s_drive" || !path.Returns || len(path.Back) == 0 || path.Back[len(path.Back)-1].Screen != "s_line" {
		t.Errorf("%+v", path)
	}
	shut, _ := whole.PathTo(g, only(t, g, "Office"), each(g), "s_drive")
	if len(shut.Steps) > 0 || shut.Shut == "" || len(shut.Others) == 0 || len(shut.About) != 2 {
		t.Errorf("%+v", shut)
	}
	for _, o := range shut.Others {
		if strings.Count(o, "“") > 2*6 {
			t.Errorf("a reason names too many ways: %s", o)
		}
	}
	if _, there := whole.PathTo(g, only(t, g, "Office"), each(g), "s_gone"); there {
		t.Error("there is a path to a screen that is gone")
	}
	between := whole.PathsBetween(g, only(t, g, "Technician"), "s_wboard", "s_cabin")
	if len(between.Paths) < 2 || len(between.Paths[0]) != 2 || between.Paths[0][1].Screen != "s_cabin" {
		t.Errorf("%+v", between)
	}
}

func TestShutWaysNameWhomTheyNeverOpenFor(t *testing.T) {
	g := tarnhorn(t)
	if ways := whole.ShutWays(g, "s_defect"); len(ways) != 0 {
		t.Errorf("nobody was looked at, and %+v are shut", ways)
	}
	for _, w := range each(g) {
		g.For(w.Set())
	}
	ways := whole.ShutWays(g, "s_defect")
	i := slices.IndexFunc(ways, func(w whole.ShutWay) bool { return w.Element == "e_edit" })
	if i < 0 || ways[i].Roles != "Office and Builder" {
		t.Errorf("%+v", ways)
	}
}

// What is drawn overlaps nothing, wires go from plate to plate through lanes where no plate is, and all is the same again.
func TestTheMapIsLaidOutWithoutOverlaps(t *testing.T) {
	g := tarnhorn(t)
	for _, who := range [][]whole.Who{each(g), {only(t, g, "Technician")}, {only(t, g, "Visitor")}} {
		m := whole.MapOf(g, who, nil)
		if again := whole.MapOf(g, who, nil); fmt.Sprint(m) != fmt.Sprint(again) {
			t.Error("the same map is laid out otherwise")
		}
		plates := map[string]whole.Plate{}
		for i, p := range m.Plates {
			plates[p.ID] = p
			if p.X < 0 || p.Y < 0 || p.X+m.Plate.W > m.Width || p.Y+m.Plate.H > m.Height {
				t.Errorf("%s lies outside", p.ID)
			}
			for _, q := range m.Plates[:i] {
				if math.Abs(p.X-q.X) < m.Plate.W && math.Abs(p.Y-q.Y) < m.Plate.H {
					t.Errorf("%s lies over %s", p.ID, q.ID)
				}
			}
		}
		for _, w := range m.Wires {
			from, to := plates[w.From], plates[w.To]
			if from.X >= to.X {
				if w.Points != nil {
					t.Errorf("%s to %s leads back and is drawn", w.From, w.To)
				}
				continue
			}
			if first, last := w.Points[0], w.Points[len(w.Points)-1]; first != [2]float64{from.X + m.Plate.W, from.Y + m.Plate.H/2} || last != [2]float64{to.X, to.Y + m.Plate.H/2} {
				t.Errorf("%s to %s: %v", w.From, w.To, w.Points)
			}
			// Level stretches run along plates: there must be none at that height.
			for i := 1; i < len(w.Points); i++ {
				a, b := w.Points[i-1], w.Points[i]
				if a[1] != b[1] {
					continue
				}
				for _, p := range m.Plates {
					if p.ID != w.From && p.ID != w.To && p.X < b[0] && p.X+m.Plate.W > a[0] && p.Y < a[1] && p.Y+m.Plate.H > a[1] {
						t.Errorf("the wire from %s to %s crosses %s", w.From, w.To, p.ID)
					}
				}
			}
		}
	}
}

func TestPlatesStandInTheColumnOfTheirPresses(t *testing.T) {
	g := tarnhorn(t)
	who := only(t, g, "Technician")
	m := whole.MapOf(g, []whole.Who{who}, nil)
	r := g.For(who.Set())
	heads := map[float64]string{}
	for _, c := range m.Columns {
		heads[c.X] = strings.TrimSpace(c.Head + " " + c.Note)
	}
	for _, p := range m.Plates {
		if p.Rail {
			continue
		}
		want := map[reach.Kind]string{reach.ByAddress: "by address only", reach.IsNever: "no way", reach.BySelf: "comes by itself"}[p.Kind]
		if c := r.Cells[p.ID]; c.Led() {
			want = fmt.Sprintf("%d %s", c.Presses, map[int]string{0: "start", 1: "press"}[c.Presses])
			if c.Presses > 1 {
				want = fmt.Sprintf("%d presses", c.Presses)
			}
		}
		if heads[p.X] != want {
			t.Errorf("%s stands under %q, want %q", p.Title, heads[p.X], want)
		}
	}
	// For all roles a screen stands where whoever is nearest has it.
	all := whole.MapOf(g, each(g), nil)
	for _, p := range all.Plates {
		for _, w := range each(g) {
			if c := g.For(w.Set()).Cells[p.ID]; !p.Rail && c.Led() && c.Presses < p.Presses {
				t.Errorf("%s: %s needs %d presses, the map says %d", p.Title, w.Name, c.Presses, p.Presses)
			}
		}
	}
}

func TestWiresCountTheirWaysAndHowOftenTheyAreUsed(t *testing.T) {
	g := tarnhorn(t)
	uses := whole.Uses{
		{Screen: "s_wboard", Element: "e_mine", Trigger: "release"}:  {Week: 3, Long: 9},
		{Screen: "s_cabin", Element: "e_ra_def", Trigger: "release"}: {Week: 1, Long: 2},
		{Screen: "s_parts", Element: "e_ra_def", Trigger: "release"}: {Week: 4, Long: 5},
	}
	uses.OnRails(g.App.Project)
	m := whole.MapOf(g, each(g), uses)
	wire := func(from, to string) whole.Wire {
		i := slices.IndexFunc(m.Wires, func(w whole.Wire) bool { return w.From == from && w.To == to })
		if i < 0 {
			t.Fatalf("no wire from %s to %s", from, to)
		}
		return m.Wires[i]
	}
	if w := wire("s_wboard", "s_defects"); w.N != 2 || w.Week != 3 || w.Long != 9 || w.Hold != "sure" || !slices.Contains(w.Words, "“My open defects”") {
		t.Errorf("%+v", w)
	}
	rail := ""
	for id, r := range g.App.Project.Rails {
		if r.Elements["e_ra_def"] != nil {
			rail = id
		}
	}
	if w := wire(rail, "s_defects"); w.Week != 5 || w.Long != 7 {
		t.Errorf("what is pressed on a rail adds up: %+v", w)
	}
	ways := whole.WaysOf(g, []whole.Who{only(t, g, "Technician")}, uses, "s_wboard", "s_defects")
	if len(ways) != 2 || ways[0].On != "s_wboard" || ways[0].Hold == "never" || len(ways[0].Sentence) == 0 || ways[0].Week+ways[1].Week != 3 {
		t.Errorf("%+v", ways)
	}
	if none := whole.WaysOf(g, each(g), nil, "s_wboard", "s_gone"); len(none) != 0 {
		t.Errorf("%+v", none)
	}
}

func TestTheTableIsWrittenAsLines(t *testing.T) {
	g := tarnhorn(t)
	var out bytes.Buffer
	if err := whole.TableOf(g, each(g), nil).CSV(&out); err != nil {
		t.Fatal(err)
	}
	rows, err := csv.NewReader(&out).ReadAll()
	if err != nil || len(rows) != 1+len(g.App.Project.Screens) || len(rows[0]) != 3+6 {
		t.Fatalf("%d rows: %v", len(rows), err)
	}
	for _, r := range rows {
		if r[0] == "Drive room" && strings.Join(r, "|") != "Drive room|Line|operator|2 if there|never|1 if there|never|never|never" {
			t.Errorf("%v", r)
		}
	}
}

func TestThePictureIsWellFormed(t *testing.T) {
	g := tarnhorn(t)
	g.App.Project.Screens["s_cabins"].Title = `<b>"Cabins" & more & even more words`
	text := whole.MapOf(g, each(g), nil).SVG("A & B <c>")
	d := xml.NewDecoder(strings.NewReader(text))
	paths := 0
	for {
		token, err := d.Token()
		if err == io.EOF {
			break
		}
		if err != nil {
			t.Fatal(err)
		}
		if e, is := token.(xml.StartElement); is && e.Name.Local == "path" {
			paths++
		}
	}
	if paths < len(g.App.Project.Screens) {
		t.Errorf("%d paths are drawn", paths)
	}
}

// machine is what the standard lets a reader expect of the document (W3C State Chart XML, 3.2, 3.3, 3.5).
type machine struct {
	XMLName xml.Name `xml:"http://www.w3.org/2005/07/scxml scxml"`
	Version string   `xml:"version,attr"`
	Model   string   `xml:"datamodel,attr"`
	Name    string   `xml:"name,attr"`
	Initial string   `xml:"initial,attr"`
	States  []struct {
		ID          string `xml:"id,attr"`
		Transitions []struct {
			Event  string `xml:"event,attr"`
			Cond   string `xml:"cond,attr"`
			Target string `xml:"target,attr"`
		} `xml:"http://www.w3.org/2005/07/scxml transition"`
	} `xml:"http://www.w3.org/2005/07/scxml state"`
}

func TestTheStateMachineIsWhatTheStandardAsksFor(t *testing.T) {
	g := tarnhorn(t)
	for _, w := range each(g) {
		text, err := whole.SCXML(g, w)
		if err != nil {
			t.Fatal(err)
		}
		var m machine
		if err := xml.Unmarshal([]byte(text), &m); err != nil {
			t.Fatal(err)
		}
		if m.Version != "1.0" || m.Model != "null" || m.Initial != w.Start || strings.ContainsAny(m.Name, " -.") {
			t.Errorf("%s: version %s, data model %s, begins at %s, is called %s", w.Name, m.Version, m.Model, m.Initial, m.Name)
		}
		ids := map[string]bool{}
		for _, s := range m.States {
			if ids[s.ID] || s.ID == "" {
				t.Errorf("the state %q is there twice", s.ID)
			}
			ids[s.ID] = true
		}
		for _, s := range m.States {
			for _, tr := range s.Transitions {
				if !ids[tr.Target] || tr.Event == "" || strings.ContainsAny(tr.Event, " *") || strings.Contains(tr.Event, "..") || tr.Cond != "" {
					t.Errorf("%s: %+v", s.ID, tr)
				}
			}
		}
		r := g.For(w.Set())
		for _, s := range m.States {
			for _, tr := range s.Transitions {
				if to := r.Cells[tr.Target]; r.Cells[s.ID].Led() && to.Kind == reach.IsNever {
					t.Errorf("%s: a transition from %s leads to %s, where they never get", w.Name, s.ID, tr.Target)
				}
			}
		}
	}
}
