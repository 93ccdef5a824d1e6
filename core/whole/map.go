package whole

import (
	"cmp"
	"slices"

	"ambergate/core/check"
	"ambergate/core/check/reach"
	"ambergate/core/project"
)

// Map is all screens of a project as plates, in columns by the number of presses from the start, and what leads from one
// to another. Positions are worked out from the project alone, in units of a pixel at full size.
type Map struct {
	Width   float64  `json:"width"`
	Height  float64  `json:"height"`
	Plate   Size     `json:"plate"`
	Columns []Column `json:"columns"`
	Areas   []Band   `json:"areas"`
	Plates  []Plate  `json:"plates"`
	Wires   []Wire   `json:"wires"`
}

// Size is how wide and high something is.
type Size struct {
	W float64 `json:"w"`
	H float64 `json:"h"`
}

// Column is all that is as many presses away, or that no press leads to.
type Column struct {
	Head string  `json:"head"` // 2
	Note string  `json:"note"` // presses
	X    float64 `json:"x"`
}

// Band is the screens of one area, across all columns.
type Band struct {
	Name    string  `json:"name"`
	Y       float64 `json:"y"`
	H       float64 `json:"h"`
	Screens int     `json:"screens"`
}

// Plate is a screen, or a rail, as it stands on the map.
type Plate struct {
	ID      string     `json:"id"` // of the screen, or the rail
	Rail    bool       `json:"rail,omitempty"`
	Title   string     `json:"title"`
	Type    string     `json:"type"`
	Area    string     `json:"area,omitempty"`
	Table   string     `json:"table,omitempty"`
	Kind    reach.Kind `json:"kind"`
	Presses int        `json:"presses"`
	Trapped bool       `json:"trapped,omitempty"`
	X       float64    `json:"x"`
	Y       float64    `json:"y"`
}

// Wire is all ways from one plate to another.
type Wire struct {
	From   string       `json:"from"`
	To     string       `json:"to"`
	N      int          `json:"n"`                // ways
	Week   int64        `json:"week,omitempty"`   // presses of them this week
	Long   int64        `json:"long,omitempty"`   // and as far back as is counted
	Hold   string       `json:"hold"`             // how far one of them is open: sure, maybe, never
	Points [][2]float64 `json:"points,omitempty"` // where it goes, between plates; none for one that leads back
	Words  []string     `json:"words,omitempty"`  // by what, the first few
}

// Use is how often a way was pressed: this week, and as far back as is counted.
type Use struct{ Week, Long int64 }

// WayKey names a way: its element, trigger, and the screen that it was pressed on.
type WayKey struct{ Screen, Element, Trigger string }

// Uses is how often ways were pressed; nil where nobody counted.
type Uses map[WayKey]Use

// of gives how often a way was pressed; of one on a rail on whatever screen.
func (u Uses) of(e *reach.Edge) Use {
	if e.Way.Element == nil {
		return Use{}
	}
	key := WayKey{e.Way.Screen.ID, e.Way.Element.ID, e.Way.Trigger}
	if e.Way.Rail != nil {
		key.Screen = e.Way.Rail.ID
	}
	return u[key]
}

// OnRails adds up what was pressed on rails, by the rail, wherever it stands.
func (u Uses) OnRails(p *project.Project) {
	rail := map[string]string{}
	for id, r := range p.Rails {
		for e := range r.Elements {
			rail[e] = id
		}
	}
	for key, n := range u {
		if id := rail[key.Element]; id != "" && key.Screen != id {
			sum := u[WayKey{id, key.Element, key.Trigger}]
			u[WayKey{id, key.Element, key.Trigger}] = Use{sum.Week + n.Week, sum.Long + n.Long}
		}
	}
}

// What stands how far from what, in pixels.
const (
	plateW   = 186.0
	plateH   = 42.0
	gutter   = 74.0 // between columns, for wires
	rowGap   = 12.0 // between plates of a column
	lane     = 12.0 // for a wire that passes a column
	headH    = 44.0 // above all, for the heads of the columns
	bandGap  = 24.0 // between areas, for the name of the area
	margin   = 20.0
	wordsOf  = 6 // ways whose words are told with a wire
	sweepsOf = 4 // rounds of putting plates where their wires come from
)

// railBand is where rails stand: above all areas.
const railBand = "Rails"

// MapOf lays the map out for some roles, each of them alone; where there are several, by the fewest presses of any.
func MapOf(g *reach.Graph, who []Who, uses Uses) Map {
	l := &layout{g: g, uses: uses, out: Map{Plate: Size{plateW, plateH}, Plates: []Plate{}, Wires: []Wire{}}}
	for _, w := range who {
		l.results = append(l.results, g.For(w.Set()))
	}
	l.plates()
	l.wires()
	l.arrange()
	return l.out
}

// layout lays one map out.
type layout struct {
	g       *reach.Graph
	results []*reach.Result
	uses    Uses
	out     Map
	column  map[string]int // of a plate
	byID    map[string]int // its place among the plates
	columns int
}

// best gives the cell of whoever gets there the soonest and the surest.
func (l *layout) best(screen string) reach.Cell {
	out := reach.Cell{Kind: reach.IsNever}
	for i, r := range l.results {
		c := r.Cells[screen]
		if i == 0 || better(c, out) {
			trapped := out.Trapped
			out = c
			out.Trapped = out.Trapped || trapped
		}
		out.Trapped = out.Trapped || c.Trapped
	}
	return out
}

var ranks = map[reach.Kind]int{reach.IsStart: 0, reach.IsSure: 0, reach.IsGiven: 0, reach.IsMaybe: 0, reach.BySelf: 1, reach.ByAddress: 2, reach.IsNever: 3}

func better(a, b reach.Cell) bool {
	return cmp.Or(cmp.Compare(ranks[a.Kind], ranks[b.Kind]), cmp.Compare(a.Presses, b.Presses)) < 0
}

// plates makes a plate of each screen and each rail, and finds its column.
func (l *layout) plates() {
	l.column, l.byID = map[string]int{}, map[string]int{}
	most := 0
	for _, s := range screensOf(l.g.App) {
		c := l.best(s.ID)
		l.byID[s.ID] = len(l.out.Plates)
		l.out.Plates = append(l.out.Plates, Plate{ID: s.ID, Title: s.Title, Type: s.Type, Area: s.Area, Table: s.RecordTable(), Kind: c.Kind, Presses: c.Presses, Trapped: c.Trapped})
		if c.Led() {
			most = max(most, c.Presses)
			l.column[s.ID] = c.Presses
		}
	}
	l.lastColumns(most)
	for _, r := range project.Ordered(l.g.App.Project.Rails) {
		nearest := -1
		for _, e := range l.railEdges(r) {
			if at := l.column[e.To.ID]; nearest < 0 || at < nearest {
				nearest = at
			}
		}
		if nearest < 0 {
			continue // none of its ways leads to a screen
		}
		l.byID[r.ID] = len(l.out.Plates)
		l.column[r.ID] = max(0, nearest-1)
		l.out.Plates = append(l.out.Plates, Plate{ID: r.ID, Rail: true, Title: r.Name, Type: "rail", Area: railBand, Kind: reach.IsSure})
	}
}

// lastColumns puts what no press leads to behind all that one does.
func (l *layout) lastColumns(most int) {
	for n := range most + 1 {
		note := "presses"
		if n == 0 {
			note = "start"
		} else if n == 1 {
			note = "press"
		}
		l.out.Columns = append(l.out.Columns, Column{Head: itoa(n), Note: note})
	}
	for _, last := range []struct {
		kind reach.Kind
		note string
	}{{reach.BySelf, "comes by itself"}, {reach.ByAddress, "by address only"}, {reach.IsNever, "no way"}} {
		found := false
		for _, p := range l.out.Plates {
			if p.Kind == last.kind {
				l.column[p.ID], found = len(l.out.Columns), true
			}
		}
		if found {
			l.out.Columns = append(l.out.Columns, Column{Note: last.note})
		}
	}
	l.columns = len(l.out.Columns)
	for i := range l.out.Columns {
		l.out.Columns[i].X = margin + float64(i)*(plateW+gutter)
	}
}

// railEdges gives what leads from a rail, each way once, however many screens it stands on.
func (l *layout) railEdges(r *project.Rail) []*reach.Edge {
	var out []*reach.Edge
	seen := map[[3]string]bool{}
	for _, id := range l.g.Screens {
		for _, e := range l.g.Edges(id) {
			if e.Way.Rail != r || e.To == nil || e.Bottom() {
				continue
			}
			if key := [3]string{e.Way.Element.ID, e.Case.ID, e.To.ID}; !seen[key] {
				seen[key] = true
				out = append(out, e)
			}
		}
	}
	return out
}

// wires makes one of all ways from a plate to another.
func (l *layout) wires() {
	at := map[[2]string]int{}
	counted := map[[2]any]bool{}
	add := func(from string, e *reach.Edge) {
		if from == e.To.ID || e.Along != nil {
			return
		}
		key := [2]string{from, e.To.ID}
		i, known := at[key]
		if !known {
			i = len(l.out.Wires)
			at[key] = i
			l.out.Wires = append(l.out.Wires, Wire{From: from, To: e.To.ID, Hold: "never"})
		}
		w := &l.out.Wires[i]
		if way := (WayKey{from, e.Way.Element.ID, e.Way.Trigger}); !counted[[2]any{key, way}] {
			counted[[2]any{key, way}] = true
			w.N++
			used := l.uses.of(e)
			w.Week, w.Long = w.Week+used.Week, w.Long+used.Long
		}
		if hold := l.holds(e); w.Hold == "never" || hold == "sure" {
			w.Hold = hold
		}
		if words := check.EdgeWords(l.g, e); len(w.Words) < wordsOf && !slices.Contains(w.Words, words) {
			w.Words = append(w.Words, words)
		}
	}
	for _, id := range l.g.Screens {
		for _, e := range l.g.Edges(id) {
			if e.To != nil && e.Way.Rail == nil && !e.Bottom() {
				add(id, e)
			}
		}
	}
	for _, r := range project.Ordered(l.g.App.Project.Rails) {
		if _, stands := l.byID[r.ID]; stands {
			for _, e := range l.railEdges(r) {
				add(r.ID, e)
			}
		}
	}
}

// holds says how far an edge is open to whom it is the most.
func (l *layout) holds(e *reach.Edge) string {
	best := reach.Never
	for _, r := range l.results {
		best = max(best, r.HoldFrom(e))
	}
	return holdWords(best)
}
