package reach_test

import (
	"context"
	"encoding/json"
	"fmt"
	"math/rand/v2"
	"os"
	"path/filepath"
	"slices"
	"strconv"
	"strings"
	"testing"
	"time"

	"ambergate/core/ask"
	"ambergate/core/check/reach"
	"ambergate/core/cond"
	"ambergate/core/place"
	"ambergate/core/plan"
	"ambergate/core/project"
	"ambergate/core/rights"
	"ambergate/core/stand"
	"ambergate/core/use"
)

// walker walks one world as one user, in the navigator that users have.
type walker struct {
	app   *plan.App
	user  *ask.User
	src   use.Sources
	home  place.Place
	known map[string]*spot
}

// spot is a place as one can stand there, with all that leads on from it.
type spot struct {
	at   place.Place
	over bool
	open bool // it is not refused
	to   []lead
}

// lead is one thing that can be pressed, or that comes by itself.
type lead struct {
	to      place.Place
	as      string
	kind    string // "", back, home, close
	presses int
	strip   bool // of the strip, which has no back at the start
}

func name(p place.Place, over bool) string {
	return fmt.Sprint(p.Screen, p.Mode, p.Inputs, over)
}

func (w *walker) spot(p place.Place, over bool) *spot {
	p = place.Place{Screen: p.Screen, Mode: p.Mode, Inputs: p.Inputs}
	if p.Mode == "" {
		p.Mode = "view"
	}
	key := name(p, over)
	s := w.known[key]
	if s == nil {
		s = &spot{at: p, over: over}
		w.known[key] = s
		w.look(s)
	}
	return s
}

func (w *walker) look(s *spot) {
	o, err := use.Open(context.Background(), w.app, w.user, s.at, w.src)
	if err != nil {
		return
	}
	s.open = true
	for _, e := range o.Pressable() {
		if _, there := o.There(e); !there && e.Kind != "way" {
			continue
		}
		for trigger, g := range e.Gates {
			for _, at := range w.aims(o, e) {
				v := o.Judge(g, at)
				if !v.Open() || v.Chosen == nil || v.Chosen.Move == nil {
					continue
				}
				l := lead{as: v.As, presses: 1}
				if trigger == "time" {
					l.presses = 0
				}
				switch kind := v.Chosen.Move.Kind; {
				case v.To != nil:
					l.to = *v.To
				case kind == "up":
					l.kind = "home"
				case kind == "back" || kind == "home" || kind == "close":
					l.kind = kind
				default:
					continue
				}
				s.to = append(s.to, l)
			}
		}
	}
	if !s.over && !w.app.Project.Screens[s.at.Screen].Bare {
		s.to = append(s.to, lead{kind: "home", presses: 1}, lead{kind: "back", presses: 1, strip: true})
	}
	for _, c := range w.app.CallUps {
		if c.IsFor(w.user.Roles) && c.From(s.at.Screen) && c.While != nil && c.While.Root.Eval(use.Alone(w.app, nil, w.src.Tags, w.src.Now)).True() {
			s.to = append(s.to, lead{to: place.Place{Screen: c.Screen, Mode: "view"}})
		}
	}
	stops := w.app.Project.RoundOf(w.user.Roles)
	for i, stop := range stops {
		if stop.Screen == s.at.Screen {
			s.to = append(s.to, lead{to: place.Place{Screen: stops[(i+1)%len(stops)].Screen, Mode: "view"}})
		}
	}
}

// aims gives what an element can be pressed on: each row of a list, or itself.
func (w *walker) aims(o *use.Opening, e *plan.Element) []use.Aim {
	l := project.ListOf(e.Element)
	if l == nil {
		return []use.Aim{{}}
	}
	if !o.Rights.On(l.Table).View {
		return nil
	}
	page, err := w.src.Records.Fetch(context.Background(), ask.Query{Table: w.app.Project.Tables[l.Table], Paths: e.RowPaths.Sorted(), Rights: o.Rights})
	if err != nil {
		return nil
	}
	var out []use.Aim
	for _, row := range page.Rows {
		for path := range row.Values {
			if !o.MaySee(l.Table, path) {
				row.Values[path] = cond.UnknownBecause("not visible to you")
			}
		}
		out = append(out, use.Aim{Row: row, Element: e.ID})
	}
	return out
}

// reached gives the fewest presses to each screen, by presses alone or also by what comes by itself.
func (w *walker) reached(self bool) map[string]int {
	out := map[string]int{}
	start := w.spot(w.home, false)
	if !start.open {
		return out
	}
	type node struct {
		*spot
		bottom bool // nothing lies behind: back leads up
	}
	best := map[node]int{{start, true}: 0}
	layers := [][]node{{{start, true}}}
	for d := 0; d < len(layers); d++ {
		for i := 0; i < len(layers[d]); i++ {
			s := layers[d][i]
			if best[s] < d {
				continue
			}
			if was, is := out[s.at.Screen]; !is || d < was {
				out[s.at.Screen] = d
			}
			for _, l := range s.to {
				if l.presses == 0 && !self {
					continue
				}
				if l.kind == "back" || l.kind == "close" {
					up := w.app.Project.Screens[w.app.Project.Screens[s.at.Screen].Up]
					if !s.bottom || s.over || up == nil || l.strip && s.spot == start {
						continue
					}
					l.to = place.Place{Screen: up.ID, Mode: "view"}
				} else if l.kind != "" {
					continue
				}
				next := node{w.spot(l.to, l.as == "dialog" || l.as == "drawer"), l.as == "replace" && s.bottom || l.kind != ""}
				if !next.open {
					continue
				}
				if was, been := best[next]; !been || d+l.presses < was {
					best[next] = d + l.presses
					for len(layers) <= d+l.presses {
						layers = append(layers, nil)
					}
					layers[d+l.presses] = append(layers[d+l.presses], next)
				}
			}
		}
	}
	return out
}

// stack is where one stands: the places come from, and what lies over the last.
type stack struct {
	trail []*spot // the last is where one is
	over  []*spot
}

func (s stack) top() *spot {
	if n := len(s.over); n > 0 {
		return s.over[n-1]
	}
	return s.trail[len(s.trail)-1]
}

func (s stack) name() string {
	var b strings.Builder
	for _, at := range append(slices.Clone(s.trail), s.over...) {
		b.WriteString(name(at.at, at.over) + ">")
	}
	return b.String()
}

// go_ follows a lead; false where it is refused.
func (w *walker) follow(s stack, l lead) (stack, bool) {
	switch l.kind {
	case "home":
		to := w.spot(w.home, false)
		return stack{trail: append(slices.Clip(s.trail), to)}, to.open
	case "close":
		if len(s.over) > 0 {
			return stack{s.trail, s.over[:len(s.over)-1]}, true
		}
		return w.follow(s, lead{kind: "back"})
	case "back":
		if len(s.over) > 0 {
			return s, false
		}
		if len(s.trail) > 1 {
			return stack{trail: s.trail[:len(s.trail)-1]}, true
		}
		if up := w.app.Project.Screens[w.app.Project.Screens[s.top().at.Screen].Up]; up != nil {
			to := w.spot(place.Place{Screen: up.ID, Mode: "view"}, false)
			return stack{trail: []*spot{to}}, to.open
		}
		return w.follow(s, lead{kind: "home"})
	}
	over := l.as == "dialog" || l.as == "drawer"
	to := w.spot(l.to, over)
	switch {
	case !to.open:
		return s, false
	case over:
		return stack{s.trail, append(slices.Clip(s.over), to)}, true
	case l.as == "replace":
		return stack{trail: append(slices.Clip(s.trail[:len(s.trail)-1]), to)}, true
	}
	return stack{trail: append(slices.Clip(s.trail), to)}, true
}

// comesBack says whether one can get to the start from where one stands.
func (w *walker) comesBack(from stack) bool {
	been := map[string]bool{from.name(): true}
	for queue := []stack{from}; len(queue) > 0 && len(been) < 3_000; queue = queue[1:] {
		s := queue[0]
		if len(s.over) == 0 && s.top().at.Screen == w.home.Screen {
			return true
		}
		leads := s.top().to
		if len(s.over) > 0 {
			leads = append(slices.Clip(leads), lead{kind: "close"})
		}
		for _, l := range leads {
			if next, ok := w.follow(s, l); ok && len(next.trail) < 12 && len(next.over) < 4 && !been[next.name()] {
				been[next.name()] = true
				queue = append(queue, next)
			}
		}
	}
	return false
}

// counts is what was compared.
type counts struct{ projects, worlds, cells, sure, given, maybe, maybeSure, never, trapped int }

func trial(t *testing.T, seed uint64, n *counts) {
	r := maker{stand.Maker{Rand: rand.New(rand.NewPCG(seed, 7))}}
	entities := r.Project()
	app := compiled(t, entities)
	graph := reach.Of(app, nil)
	n.projects++
	fail := func(format string, args ...any) {
		t.Helper()
		text, _ := json.MarshalIndent(entities, "", " ")
		file := filepath.Join(os.TempDir(), fmt.Sprintf("reach-%d.json", seed))
		os.WriteFile(file, text, 0o644)
		t.Errorf("project %d (%s): %s", seed, file, fmt.Sprintf(format, args...))
	}
	all := worlds(r)
	for _, roles := range []map[string]bool{{"r_a": true}, {"r_b": true}, {"r_a": true, "r_b": true}} {
		result := graph.For(roles)
		always := map[string]bool{}
		for id := range app.Screens {
			always[id] = true
		}
		for wi, of := range all {
			n.worlds++
			s := stand.Of(app)
			s.Data.Rows, s.Tags = of.rows, stand.Plant{"on": cond.Bool(of.on)}
			w := &walker{app: app, user: &ask.User{ID: "u", Name: "U", Roles: roles}, src: s.Sources(), home: place.Place{Screen: result.Start, Mode: "view"}, known: map[string]*spot{}}
			whole := of.whole && w.seesAll(of)
			pressed, any := w.reached(false), w.reached(true)
			for id, cell := range result.Cells {
				n.cells++
				steps, led := pressed[id]
				_, came := any[id]
				always[id] = always[id] && led
				certain := cell.Kind == reach.IsStart || cell.Kind == reach.IsSure || cell.Kind == reach.IsGiven && whole
				switch {
				case certain && (!led || steps > cell.Presses):
					fail("%s for %v is %s in %d presses; in world %d it is %v, %d", id, roles, cell.Kind, cell.Presses, wi, led, steps)
				case cell.Kind == reach.IsMaybe && led && steps < cell.Presses:
					fail("%s for %v is maybe in %d; in world %d it is %d", id, roles, cell.Presses, wi, steps)
				case led && !cell.Led():
					fail("%s for %v is %s; in world %d it is reached in %d", id, roles, cell.Kind, wi, steps)
				case came && (cell.Kind == reach.ByAddress || cell.Kind == reach.IsNever):
					fail("%s for %v is %s; in world %d one comes there", id, roles, cell.Kind, wi)
				case cell.Kind == reach.IsNever && w.byAddress(id):
					fail("%s for %v is never; in world %d its address opens it", id, roles, wi)
				}
				if t.Failed() {
					return
				}
			}
			if !w.spot(w.home, false).open {
				continue
			}
			for range 3 {
				at := stack{trail: []*spot{w.spot(w.home, false)}}
				for range r.IntN(6) {
					leads := at.top().to
					if len(leads) == 0 {
						break
					}
					l := leads[r.IntN(len(leads))]
					if l.strip && l.kind == "back" && len(at.trail) == 1 && at.top() == w.spot(w.home, false) {
						continue
					}
					if next, ok := w.follow(at, l); ok && len(next.over) < 4 {
						at = next
					}
				}
				if cell := result.Cells[at.top().at.Screen]; !cell.Trapped && result.Idle == 0 && !w.comesBack(at) {
					fail("%s for %v is no trap; in world %d there is no way to the start from %s", at.top().at.Screen, roles, wi, at.name())
					return
				}
			}
		}
		for id, cell := range result.Cells {
			switch cell.Kind {
			case reach.IsStart, reach.IsSure:
				n.sure++
			case reach.IsGiven:
				n.given++
			case reach.IsMaybe:
				n.maybe++
				if always[id] {
					n.maybeSure++
				}
			case reach.IsNever:
				n.never++
			}
			if cell.Trapped {
				n.trapped++
			}
		}
	}
}

// seesAll says whether no row rule hides a record: what is given has to be there for who walks.
func (w *walker) seesAll(of world) bool {
	r, err := rights.Of(context.Background(), w.app, w.user, w.src.Records, w.src.Now)
	if err != nil {
		return false
	}
	for table, rows := range of.rows {
		if !r.On(table).View {
			continue // a way that needs it is none
		}
		page, err := w.src.Records.Fetch(context.Background(), ask.Query{Table: w.app.Project.Tables[table], Rights: r})
		if err != nil || len(page.Rows) < len(rows) {
			return false
		}
	}
	return true
}

// byAddress says whether some address opens a screen.
func (w *walker) byAddress(screen string) bool {
	s := w.app.Project.Screens[screen]
	for _, mode := range []string{"view", "edit", "add"} {
		for _, key := range []string{"", "1", "2"} {
			p := place.Place{Screen: screen, Mode: mode, Inputs: map[string]string{}}
			if key != "" && s.Record != "" {
				p.Inputs[s.Record] = key
			}
			if w.spot(p, false).open {
				return true
			}
		}
	}
	return false
}

// What is proven is so in every world, as the navigator itself walks it. AMBERGATE_PROJECTS says how many projects are
// tried, AMBERGATE_SEED which is the first.
func TestReachAgreesWithEveryWorldWalked(t *testing.T) {
	number := func(name string, usual int) int {
		if n, err := strconv.Atoi(os.Getenv(name)); err == nil {
			return n
		}
		return usual
	}
	var n counts
	usual := 60
	if testing.Short() {
		usual = 15
	}
	began := time.Now()
	first := number("AMBERGATE_SEED", 1)
	for seed := first; seed < first+number("AMBERGATE_PROJECTS", usual); seed++ {
		trial(t, uint64(seed), &n)
		if t.Failed() {
			return
		}
	}
	t.Logf("%d projects, %d worlds, %d cells in %s: %d sure, %d given, %d maybe (%d of them in every world tried), %d never, %d trapped", n.projects, n.worlds, n.cells, time.Since(began).Round(time.Second), n.sure, n.given, n.maybe, n.maybeSure, n.never, n.trapped)
}

func FuzzReachAgreesWithEveryWorldWalked(f *testing.F) {
	for seed := range 8 {
		f.Add(uint64(seed))
	}
	f.Fuzz(func(t *testing.T, seed uint64) {
		var n counts
		trial(t, seed, &n)
	})
}
