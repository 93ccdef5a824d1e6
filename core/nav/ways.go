package nav

import (
	"maps"
	"slices"
	"sort"
	"strings"

	"ambergate/core/english"
	"ambergate/core/project"
)

// WayOut is one trigger through one gate of a screen, as a plate of the builder's margin.
type WayOut struct {
	Element string `json:"element"`
	Trigger string `json:"trigger"`
	Words   string `json:"words"` // of what sets it off
	Plate
	State    string  `json:"state"`
	By       string  `json:"by,omitempty"`
	Reason   string  `json:"reason,omitempty"`
	Now      string  `json:"now"`
	Verdict  Verdict `json:"verdict"`
	Sentence []Chunk `json:"sentence"`

	Gate   string     `json:"gate"`             // JSON Pointer of the gate in the element, or way
	Wiring string     `json:"wiring"`           // JSON Pointer of what happens: there, or in the shared gate
	Shared *SharedUse `json:"shared,omitempty"` // it goes through a shared gate
	Rail   string     `json:"rail,omitempty"`   // name of the rail that it stands on
}

// SharedUse is a shared gate as one way uses it.
type SharedUse struct {
	ID   string `json:"id"`
	Name string `json:"name"`
	Uses []Use  `json:"uses"` // all ways through it, this one among them
}

// Way is one trigger through one gate of a screen, of a rail on it, or of the screen itself.
type Way struct {
	Screen  *project.Screen
	Plan    *ScreenPlan
	Element *ElementPlan
	Trigger string
	Gate    *GatePlan
	Rail    *project.Rail // that the element stands on; nil for the screen's own
}

// Ways gives all ways of a screen in a stable order: its elements', those set off by none, its rails'.
func (p *ScreenPlan) Ways() []Way {
	var out []Way
	add := func(e *ElementPlan, rail *project.Rail) {
		for _, trigger := range slices.Sorted(maps.Keys(e.Gates)) {
			out = append(out, Way{Screen: p.Screen, Plan: p, Element: e, Trigger: trigger, Gate: e.Gates[trigger], Rail: rail})
		}
	}
	for _, e := range p.Elements {
		add(e, nil)
	}
	for _, e := range p.Off {
		add(e, nil)
	}
	for _, r := range p.Rails {
		for _, e := range r.Elements {
			add(e, r.Rail)
		}
	}
	return out
}

// isBack says whether a trigger is a dialog that comes back.
func isBack(trigger string) bool {
	_, back := project.OpenedBy(trigger)
	return back
}

// At gives the JSON Pointer (RFC 6901) of the gate in the element or way itself.
func (w Way) At() string { return w.owner() + "/" + project.GatePlace(w.Trigger) }

// Wiring gives the JSON Pointer of the gate that says what happens: that of the shared one, if it is shared.
func (w Way) Wiring() string {
	if w.Gate == nil || w.Gate.Shared == nil {
		return w.At()
	}
	place := "/" + w.Gate.Shared.ID + "/gate"
	if !w.Gate.inner {
		return place
	}
	return place + strings.TrimPrefix(project.GatePlace(w.Trigger), project.GatePlace(project.FirstTrigger(w.Trigger)))
}

func (w Way) owner() string {
	switch {
	case w.Rail != nil:
		return "/" + w.Rail.ID + "/elements/" + w.Element.ID
	case w.Element.Kind == "way":
		return "/" + w.Screen.ID + "/ways/" + w.Element.ID
	}
	return "/" + w.Screen.ID + "/elements/" + w.Element.ID
}

func (w Way) writer(a *App) sentenceWriter { return sentenceWriter{scene: w.scene(a)} }

// WayIn is one way that leads to a screen, as a plate of the builder's margin.
type WayIn struct {
	Screen  string `json:"screen"`
	Title   string `json:"title"`
	Area    string `json:"area,omitempty"`
	Glyph   string `json:"glyph"`
	Element string `json:"element"`
	Trigger string `json:"trigger"`
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
		if trigger := project.UnwiredTrigger(e.Element); trigger != "" && len(e.Gates) == 0 {
			w := Way{Screen: o.plan.Screen, Plan: o.plan, Element: e, Trigger: trigger}
			out = append(out, WayOut{
				Element: e.ID, Trigger: trigger, Words: o.text(e, "words"), Plate: Plate{Kind: "none", Title: "nothing yet", Glyph: "none"}, State: "greyed", By: "case", Reason: "nothing is wired to it yet",
				Now: "Nothing is wired to it yet.", Sentence: o.sentence(e, trigger), Gate: w.At(), Wiring: w.At(),
			})
		}
		for _, trigger := range slices.Sorted(maps.Keys(e.Gates)) {
			out = append(out, o.wayOut(Way{Screen: o.plan.Screen, Plan: o.plan, Element: e, Trigger: trigger, Gate: e.Gates[trigger]}, ev))
		}
	}
	for _, w := range o.plan.Ways() {
		switch {
		case w.Element.Kind == "way":
			out = append(out, o.wayOut(w, ElementView{}))
		case w.Rail != nil && o.onRail(w.Rail):
			ev, _ := o.element(w.Element)
			out = append(out, o.wayOut(w, ev))
		}
	}
	return out
}

// onRail says whether a rail stands here.
func (o *Opening) onRail(rail *project.Rail) bool {
	for _, r := range o.plan.Rails {
		if r.Rail == rail {
			return o.stands(r)
		}
	}
	return false
}

// StaticWays gives the ways out of a screen that is not open, without any verdict.
func (a *App) StaticWays(screen string) []WayOut {
	out := []WayOut{}
	plan := a.Screens[screen]
	if plan == nil {
		return out
	}
	for _, w := range plan.Ways() {
		way := WayOut{Element: w.Element.ID, Trigger: w.Trigger, Words: a.ElementWords(plan.Screen, w.Element), State: "unknown", Sentence: a.Sentence(plan.Screen, w.Element, w.Trigger)}
		a.place(&way, w, nil)
		out = append(out, way)
	}
	return out
}

// RowTable gives the table of the rows that expressions of an element may speak of, or "".
func (a *App) RowTable(screen, element string) string {
	if e := a.element(screen, element); e != nil {
		return scene{element: e}.rowTable()
	}
	return ""
}

func (o *Opening) wayOut(w Way, ev ElementView) WayOut {
	e := w.Element
	v := o.judge(w.Gate, o.sampleAim(e, w.Trigger))
	way := WayOut{Element: e.ID, Trigger: w.Trigger, Words: o.elementWords(e), State: v.State, By: v.By, Reason: v.Reason, Verdict: v, Now: o.Now(v), Sentence: o.sentence(e, w.Trigger)}
	if ev.State == "hidden" && v.State != "hidden" {
		way.State, way.By, way.Reason = "hidden", ev.By, ev.Reason
		way.Now = "For " + o.world.user.Name + ": " + ev.Reason
	}
	o.app.place(&way, w, o.called)
	return way
}

func (o *Opening) sentence(e *ElementPlan, trigger string) []Chunk {
	return (&sentenceWriter{scene: scene{app: o.app, screen: o.plan.Screen, element: e}, called: o.called}).sentence(trigger)
}

// sampleAim stands a list's first row, or a chart's first point, for whichever is clicked.
func (o *Opening) sampleAim(e *ElementPlan, trigger string) aim {
	kind, _ := project.TriggerOf(trigger)
	if s, ok := kind.(SampledTrigger); ok {
		return s.Sample(o, e)
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
	if w := project.WayOf(e.Element); w != nil {
		return triggerWords(w.Trigger, e.Element)
	}
	return kindOf[SaidElement](e.Spec).Called(scene{app: a, screen: s, element: e}, e)
}

// place says where a way stands in the document, and how its plate looks.
func (a *App) place(way *WayOut, at Way, titles *called) {
	way.Gate, way.Wiring = at.At(), at.Wiring()
	if at.Rail != nil {
		way.Rail = at.Rail.Name
	}
	if g := at.Gate; g.Shared != nil {
		way.Shared = &SharedUse{ID: g.Shared.ID, Name: g.Shared.Name, Uses: a.UsesOf(g.Shared.ID)}
	}
	way.Plate = a.plate(at, titles)
}

// plate says how a way's destination looks, from its first case.
func (a *App) plate(at Way, titles *called) Plate {
	if len(at.Gate.Cases) == 0 {
		return Plate{Kind: "none", Title: "nothing yet", Glyph: "none"}
	}
	c := at.Gate.Cases[0]
	w := at.writer(a)
	w.called = titles
	if c.Move == nil {
		var does []string
		for _, effect := range c.Effects {
			does = append(does, w.effect(effect))
		}
		if len(does) == 0 {
			return Plate{Kind: "none", Title: "nothing yet", Glyph: "none"}
		}
		return Plate{Kind: "stay", Title: strings.Join(does, ", "), Glyph: "stay", How: "and stays here"}
	}
	plate := Plate{Kind: c.Move.Kind, Title: "stays here", Glyph: c.Move.Kind}
	saidMove(c).Plate(&w, &plate, c)
	return plate
}

// plateTitle says where a gate of a screen leads, as its plate does.
func (a *App) plateTitle(p *ScreenPlan, e *ElementPlan, g *GatePlan) string {
	var plate Plate
	if len(g.Cases) > 0 && g.Cases[0].Move != nil {
		w := Way{Screen: p.Screen, Plan: p, Element: e, Gate: g}.writer(a)
		saidMove(g.Cases[0]).Plate(&w, &plate, g.Cases[0])
	}
	return plate.Title
}

// brings says what a move brings to its target.
func (w *sentenceWriter) brings(m *Lead) string {
	of := *w
	of.out = nil
	of.bindings("", m)
	outer := *w
	outer.shared = nil
	var parts []string
	for _, chunk := range of.out {
		if chunk.Part != "record" || chunk.Bad {
			continue
		}
		// What a shared gate only passes on is told as the way gives it.
		if given := w.given[passedOn(m.Bind[chunk.Item])]; given != nil {
			chunk.Text = outer.bindingWords(given, m.Target.Inputs[chunk.Item])
		}
		parts = append(parts, chunk.Text)
	}
	for _, in := range project.Ordered(m.Target.Inputs) {
		if m.Carried[in.ID] != "" {
			parts = append(parts, "the "+english.Lower(in.Label)+" given")
		}
	}
	return strings.Join(parts, ", ")
}

// passedOn gives the input that a binding passes on; "" for any other.
func passedOn(b *project.Binding) string {
	if b == nil {
		return ""
	}
	if p, ok := b.Spec.(interface{ PassesOn() string }); ok {
		return p.PassesOn()
	}
	return ""
}

// WaysIn gives every way that leads to a screen, by area and title.
func (a *App) WaysIn(screen string, roles map[string]bool) []WayIn {
	return a.waysIn(screen, roles, nil)
}

func (a *App) waysIn(screen string, roles map[string]bool, titles *called) []WayIn {
	out := []WayIn{}
	rails := map[string]bool{}
	for _, id := range slices.Sorted(maps.Keys(a.Screens)) {
		if id == screen {
			continue
		}
		for _, w := range a.Screens[id].Ways() {
			if w.Rail != nil { // one plate for a rail, however many screens it stands on
				if key := w.Rail.ID + "." + w.Element.ID; rails[key] {
					continue
				} else if in, ok := a.wayIn(w, screen, roles, titles); ok {
					rails[key] = true
					in.Title, in.Area, in.Glyph = w.Rail.Name, "Rails", "rail"
					out = append(out, in)
				}
				continue
			}
			if in, ok := a.wayIn(w, screen, roles, titles); ok {
				out = append(out, in)
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

func (a *App) wayIn(w Way, screen string, roles map[string]bool, titles *called) (WayIn, bool) {
	g, s := w.Gate, w.Screen
	for _, c := range g.Cases {
		for _, m := range c.Move.Leads() {
			if m.Target == nil || m.Target.ID != screen {
				continue
			}
			writer := w.writer(a)
			writer.called = titles
			in := WayIn{Screen: s.ID, Title: s.Title, Area: s.Area, Glyph: s.Type, Element: w.Element.ID, Trigger: w.Trigger, Words: a.ElementWords(s, w.Element), Brings: writer.brings(m), Roles: a.roleWords(g.Roles), Open: g.Roles == nil}
			switch {
			case isBack(w.Trigger):
				in.Words = triggerWords(w.Trigger, w.Element.Element)
			case w.Trigger == "row":
				in.Words = "row opened"
			case w.Trigger == "point":
				in.Words = "bar chosen"
			case strings.HasPrefix(w.Trigger, "menu."):
				in.Words = triggerWords(w.Trigger, w.Element.Element)
			case w.Element.Kind != "way":
				in.Words = "“" + in.Words + "”"
			}
			for r := range g.Roles {
				in.Open = in.Open || roles[r]
			}
			if w.Rail != nil && w.Rail.Placed.Roles != nil {
				on := false
				for r := range w.Rail.Placed.Roles {
					on = on || roles[r]
				}
				if in.Open = in.Open && on; g.Roles == nil {
					in.Roles = a.roleWords(w.Rail.Placed.Roles)
				}
			}
			for _, id := range slices.Sorted(maps.Keys(m.Bind)) {
				if b := m.Bind[id]; ruleOf(b).MayBeNone(writer.scene, m.Exprs[id]) {
					in.None = map[string]string{"": "none: not said", "grey": "none: greyed", "list": "none: the list", "add": "none: add one", "stay": "none: says so", "round": "none: goes round"}[b.None]
				}
			}
			return in, true
		}
	}
	return WayIn{}, false
}
