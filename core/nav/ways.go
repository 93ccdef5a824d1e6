package nav

import (
	"sort"
	"strings"

	"ambergate/core/project"
)

// WayOut is one trigger through one gate of a screen, as a plate of the builder's margin.
type WayOut struct {
	Element  string  `json:"element"`
	Trigger  string  `json:"trigger"`
	Words    string  `json:"words"`            // of what sets it off
	Kind     string  `json:"kind"`             // screen, back, forward, home, up, close, stay, none
	Target   string  `json:"target,omitempty"` // screen
	Title    string  `json:"title"`            // of the plate
	Glyph    string  `json:"glyph"`            // kind of the target screen, or the kind of move
	Brings   string  `json:"brings,omitempty"`
	How      string  `json:"how"` // mode and presentation
	State    string  `json:"state"`
	By       string  `json:"by,omitempty"`
	Reason   string  `json:"reason,omitempty"`
	Now      string  `json:"now"`
	Verdict  Verdict `json:"verdict"`
	Sentence []Chunk `json:"sentence"`
}

// WayIn is one way that leads to a screen, as a plate of the builder's margin.
type WayIn struct {
	Screen  string `json:"screen"`
	Title   string `json:"title"`
	Area    string `json:"area,omitempty"`
	Glyph   string `json:"glyph"`
	Element string `json:"element"`
	Words   string `json:"words"`
	Brings  string `json:"brings,omitempty"`
	None    string `json:"none,omitempty"` // what if there is no record
	Roles   string `json:"roles"`
	Open    bool   `json:"open"` // the walked user's roles may use it
}

// Ways gives the ways out of the open screen, for the walked user, in the order of the grid.
func (o *Opening) Ways() []WayOut {
	out := []WayOut{}
	for _, e := range o.plan.Elements {
		if e.Modes != nil && !e.Modes[o.place.Mode] {
			continue
		}
		ev, _ := o.element(e)
		if e.Kind == "button" && len(e.Gates) == 0 {
			b := e.Spec.(*project.Button)
			out = append(out, WayOut{
				Element: e.ID, Trigger: b.TriggerName(), Words: o.text(e, "words"), Kind: "none", Title: "nothing yet", Glyph: "none", State: "greyed", By: "case", Reason: "nothing is wired to it yet",
				Now: "Nothing is wired to it yet.", Sentence: o.app.Sentence(o.plan.Screen, e, b.TriggerName()),
			})
		}
		for _, trigger := range sortedKeys(e.Gates) {
			out = append(out, o.wayOut(e, ev, trigger, e.Gates[trigger]))
		}
	}
	return out
}

// StaticWays gives the ways out of a screen that is not open, without any verdict.
func (a *App) StaticWays(screen string) []WayOut {
	out := []WayOut{}
	plan := a.Screens[screen]
	if plan == nil {
		return out
	}
	for _, e := range plan.Elements {
		for trigger, g := range e.Gates {
			way := WayOut{Element: e.ID, Trigger: trigger, Words: a.ElementWords(plan.Screen, e), State: "unknown", Sentence: a.Sentence(plan.Screen, e, trigger)}
			a.plate(&way, plan.Screen, e, g)
			out = append(out, way)
		}
	}
	return out
}

// RowTable gives the table of the rows that expressions of an element may speak of, or "".
func (a *App) RowTable(screen, element string) string {
	if e := a.element(screen, element); e != nil {
		if l, ok := e.Spec.(*project.List); ok {
			return l.Table
		}
	}
	return ""
}

func (o *Opening) wayOut(e *ElementPlan, ev ElementView, trigger string, g *GatePlan) WayOut {
	v := o.judge(g, o.sampleAim(e, trigger))
	way := WayOut{Element: e.ID, Trigger: trigger, Words: o.elementWords(e), State: v.State, By: v.By, Reason: v.Reason, Verdict: v, Now: o.Now(v), Sentence: o.app.Sentence(o.plan.Screen, e, trigger)}
	if ev.State == "hidden" && v.State != "hidden" {
		way.State, way.By, way.Reason = "hidden", ev.By, ev.Reason
		way.Now = "For " + o.world.user.Name + ": " + ev.Reason
	}
	o.app.plate(&way, o.plan.Screen, e, g)
	return way
}

// sampleAim stands a list's first row, or a chart's first point, for whichever is clicked.
func (o *Opening) sampleAim(e *ElementPlan, trigger string) aim {
	several := strings.HasPrefix(trigger, "several.")
	switch {
	case trigger == "row" || several:
		if rows := o.pages[e.ID].rows; len(rows) > 0 {
			return aim{row: rows[0], element: e.ID, several: several}
		}
	case trigger == "point":
		if groups := o.groups[e.ID]; len(groups) > 0 {
			return aim{point: groups[0].Value.Wire()}
		}
	}
	return aim{}
}

func (o *Opening) elementWords(e *ElementPlan) string {
	if t := o.text(e, "words"); t != "" {
		return t
	}
	return o.app.ElementWords(o.plan.Screen, e)
}

// ElementWords names an element without a record at hand.
func (a *App) ElementWords(s *project.Screen, e *ElementPlan) string {
	switch spec := e.Spec.(type) {
	case *project.Button:
		return spec.Words
	case *project.List:
		if t := a.Project.Tables[spec.Table]; t != nil {
			return "a row of " + lowerLabel(t.Label)
		}
	case *project.Chart:
		return "a bar of the chart"
	case *project.Field:
		if f, _ := a.Project.FieldAt(s.RecordTable(), spec.Path); f != nil {
			return f.Label
		}
	}
	return e.Kind
}

// plate fills in what a way's plate says of its target, from its first case.
func (a *App) plate(way *WayOut, s *project.Screen, e *ElementPlan, g *GatePlan) {
	way.Kind, way.Title, way.Glyph = "stay", "stays here", "stay"
	if len(g.Cases) == 0 {
		way.Kind, way.Title, way.Glyph = "none", "nothing yet", "none"
		return
	}
	c := g.Cases[0]
	w := sentenceWriter{app: a, screen: s, element: e}
	if c.Move == nil {
		var does []string
		for _, effect := range c.Effects {
			does = append(does, w.effect(effect))
		}
		way.Title, way.How = strings.Join(does, ", "), "and stays here"
		return
	}
	way.Kind, way.Glyph = c.Move.Kind, c.Move.Kind
	way.Title = map[string]string{"back": "Back", "forward": "Forward", "home": "Home", "up": "Up", "close": "Close"}[c.Move.Kind]
	if c.Move.Kind == "step" {
		way.Title = sentenceWord(c.Move.Step) + " " + w.recordWord(c.Move.List)
		way.Glyph = map[string]string{"first": "back", "previous": "back", "next": "forward", "last": "forward"}[c.Move.Step]
	}
	if c.Move.Kind != "screen" {
		return
	}
	if c.Move.Target == nil {
		way.Title, way.Glyph = "a screen that is gone", "none"
		return
	}
	way.Target, way.Title, way.Glyph = c.Move.Target.ID, c.Move.Target.Title, c.Move.Target.Type
	way.How = c.Move.Mode
	if way.How == "" {
		way.How = "view"
	}
	if c.Move.Target.Type != "form" {
		way.How = c.Move.Target.Type
	}
	if as := map[string]string{"dialog": ", dialog", "drawer": ", drawer", "tab": ", new tab"}[c.Move.As]; as != "" {
		way.How += as
	}
	way.Brings = a.brings(s, e, c)
}

func (a *App) brings(s *project.Screen, e *ElementPlan, c *CasePlan) string {
	w := sentenceWriter{app: a, screen: s, element: e}
	w.bindings(c)
	var parts []string
	for _, chunk := range w.out {
		if chunk.Part == "record" && !chunk.Bad {
			parts = append(parts, chunk.Text)
		}
	}
	return strings.Join(parts, ", ")
}

// WaysIn gives every way that leads to a screen, by area and title.
func (a *App) WaysIn(screen string, roles map[string]bool) []WayIn {
	out := []WayIn{}
	for _, id := range sortedKeys(a.Screens) {
		plan := a.Screens[id]
		for _, e := range plan.Elements {
			for trigger, g := range e.Gates {
				if in, ok := a.wayIn(plan, e, trigger, g, screen, roles); ok && id != screen {
					out = append(out, in)
				}
			}
		}
	}
	sort.SliceStable(out, func(i, j int) bool {
		if out[i].Area != out[j].Area {
			return out[i].Area < out[j].Area
		}
		return out[i].Title < out[j].Title
	})
	return out
}

func (a *App) wayIn(plan *ScreenPlan, e *ElementPlan, trigger string, g *GatePlan, screen string, roles map[string]bool) (WayIn, bool) {
	for _, c := range g.Cases {
		if c.Move == nil || c.Move.Target == nil || c.Move.Target.ID != screen {
			continue
		}
		s := plan.Screen
		in := WayIn{Screen: s.ID, Title: s.Title, Area: s.Area, Glyph: s.Type, Element: e.ID, Words: a.ElementWords(s, e), Brings: a.brings(s, e, c), Roles: a.roleWords(g.Roles), Open: g.Roles == nil}
		switch trigger {
		case "row":
			in.Words = "row opened"
		case "point":
			in.Words = "bar chosen"
		default:
			in.Words = "“" + in.Words + "”"
		}
		for r := range g.Roles {
			in.Open = in.Open || roles[r]
		}
		for _, b := range c.Move.Bind {
			if b.Rule == "parent" {
				in.None = map[string]string{"": "none: not said", "grey": "none: greyed", "list": "none: the list", "add": "none: add one", "stay": "none: says so"}[b.None]
			}
		}
		return in, true
	}
	return WayIn{}, false
}
