package build

import (
	"maps"
	"slices"
	"sort"
	"strings"

	"ambergate/core/english"
	"ambergate/core/plan"
	"ambergate/core/project"
	"ambergate/core/use"
	"ambergate/core/words"
)

// WayOut is one trigger through one gate of a screen, as a plate of the builder's margin.
type WayOut struct {
	Element string `json:"element"`
	Trigger string `json:"trigger"`
	Words   string `json:"words"` // of what sets it off
	words.Plate
	State    use.State     `json:"state"`
	By       string        `json:"by,omitempty"`
	Reason   string        `json:"reason,omitempty"`
	Now      string        `json:"now"`
	Verdict  use.Verdict   `json:"verdict"`
	Sentence []words.Chunk `json:"sentence"`

	Gate   string     `json:"gate"`             // JSON Pointer of the gate in the element, or way
	Wiring string     `json:"wiring"`           // JSON Pointer of what happens: there, or in the shared gate
	Shared *SharedUse `json:"shared,omitempty"` // it goes through a shared gate
	Rail   string     `json:"rail,omitempty"`   // name of the rail that it stands on
}

// SharedUse is a shared gate as one way uses it.
type SharedUse struct {
	ID   string     `json:"id"`
	Name string     `json:"name"`
	Uses []plan.Use `json:"uses"` // all ways through it, this one among them
}

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

// ways gives the ways out of the open screen, for the walked user, in the order of the grid.
func (o margin) ways() []WayOut {
	out := []WayOut{}
	for _, e := range o.Plan.Elements {
		if e.Modes != nil && !e.Modes[o.At.Mode] {
			continue
		}
		ev, _ := o.Draw(e)
		if trigger := project.UnwiredTrigger(e.Element); trigger != "" && len(e.Gates) == 0 {
			w := plan.Way{Screen: o.Plan.Screen, Plan: o.Plan, Element: e, Trigger: trigger}
			out = append(out, WayOut{
				Element: e.ID, Trigger: trigger, Words: o.Text(e, "words"), Plate: words.Plate{Kind: "none", Title: "nothing yet", Glyph: "none"}, State: use.StateGreyed, By: "case", Reason: "nothing is wired to it yet",
				Now: "Nothing is wired to it yet.", Sentence: o.sentence(e, trigger), Gate: w.At(), Wiring: w.At(),
			})
		}
		for _, trigger := range slices.Sorted(maps.Keys(e.Gates)) {
			out = append(out, o.wayOut(plan.Way{Screen: o.Plan.Screen, Plan: o.Plan, Element: e, Trigger: trigger, Gate: e.Gates[trigger]}, ev))
		}
	}
	for _, w := range o.Plan.Ways() {
		switch {
		case w.Element.Kind == "way":
			out = append(out, o.wayOut(w, use.ElementView{}))
		case w.Rail != nil && onRail(o.Opening, w.Rail):
			ev, _ := o.Draw(w.Element)
			out = append(out, o.wayOut(w, ev))
		}
	}
	return out
}

// onRail says whether a rail stands here.
func onRail(o *use.Opening, rail *project.Rail) bool {
	for _, r := range o.Plan.Rails {
		if r.Rail == rail {
			return o.Stands(r)
		}
	}
	return false
}

// StaticWays gives the ways out of a screen that is not open, without any verdict.
func StaticWays(a *plan.App, screen string) []WayOut {
	out := []WayOut{}
	plan := a.Screens[screen]
	if plan == nil {
		return out
	}
	for _, w := range plan.Ways() {
		way := WayOut{Element: w.Element.ID, Trigger: w.Trigger, Words: words.Element(a, plan.Screen, w.Element), State: use.StateUnknown, Sentence: words.Sentence(a, plan.Screen, w.Element, w.Trigger)}
		placed(a, &way, w, nil)
		out = append(out, way)
	}
	return out
}

func (o margin) wayOut(w plan.Way, ev use.ElementView) WayOut {
	e := w.Element
	v := o.Judge(w.Gate, sampleAim(o.Opening, e, w.Trigger))
	way := WayOut{Element: e.ID, Trigger: w.Trigger, Words: elementWords(o.Opening, e), State: v.State, By: v.By, Reason: v.Reason, Verdict: v, Now: o.now(v), Sentence: o.sentence(e, w.Trigger)}
	if ev.State == use.StateHidden && v.State != use.StateHidden {
		way.State, way.By, way.Reason = use.StateHidden, ev.By, ev.Reason
		way.Now = "For " + o.World.User.Name + ": " + ev.Reason
	}
	placed(o.App, &way, w, o.called)
	return way
}

func (o margin) sentence(e *plan.Element, trigger string) []words.Chunk {
	return (&words.Writer{Scene: plan.Scene{App: o.App, Screen: o.Plan.Screen, Element: e}, Called: o.called}).Write(trigger)
}

// sampleAim stands a list's first row, or a chart's first point, for whichever is clicked.
func sampleAim(o *use.Opening, e *plan.Element, trigger string) use.Aim {
	kind, _ := project.TriggerOf(trigger)
	if s, ok := kind.(use.SampledTrigger); ok {
		return s.Sample(o, e)
	}
	return use.Aim{}
}

func elementWords(o *use.Opening, e *plan.Element) string {
	if t := o.Text(e, "words"); t != "" {
		return t
	}
	return words.Element(o.App, o.Plan.Screen, e)
}

// placed says where a way stands in the document, and how its plate looks.
func placed(a *plan.App, way *WayOut, at plan.Way, titles *words.Called) {
	way.Gate, way.Wiring = at.At(), at.Wiring()
	if at.Rail != nil {
		way.Rail = at.Rail.Name
	}
	if g := at.Gate; g.Shared != nil {
		way.Shared = &SharedUse{ID: g.Shared.ID, Name: g.Shared.Name, Uses: words.UsesOf(a, g.Shared.ID)}
	}
	way.Plate = words.PlateOf(a, at, titles)
}

// WaysIn gives every way that leads to a screen, by area and title.
func WaysIn(a *plan.App, screen string, roles map[string]bool) []WayIn {
	return waysIn(a, screen, roles, nil)
}

func waysIn(a *plan.App, screen string, roles map[string]bool, titles *words.Called) []WayIn {
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
				} else if in, ok := wayIn(a, w, screen, roles, titles); ok {
					rails[key] = true
					in.Title, in.Area, in.Glyph = w.Rail.Name, "Rails", "rail"
					out = append(out, in)
				}
				continue
			}
			if in, ok := wayIn(a, w, screen, roles, titles); ok {
				out = append(out, in)
			}
		}
	}
	for _, c := range a.CallUps {
		if c.Screen != screen {
			continue
		}
		in := WayIn{Title: c.Name, Area: "Called up", Glyph: "operator", Element: c.ID, Trigger: "callup", Words: "called up by the plant", Roles: words.Roles(a, c.Roles), Open: c.IsFor(roles)}
		if t := a.Project.Tables[c.Table]; t != nil && c.Input != "" {
			in.Brings = "the " + english.Lower(t.One)
		}
		out = append(out, in)
	}
	sort.SliceStable(out, func(i, j int) bool {
		if out[i].Area != out[j].Area {
			return out[i].Area < out[j].Area
		}
		return out[i].Title < out[j].Title
	})
	return out
}

func wayIn(a *plan.App, w plan.Way, screen string, roles map[string]bool, titles *words.Called) (WayIn, bool) {
	g, s := w.Gate, w.Screen
	for _, c := range g.Cases {
		for _, m := range c.Move.Leads() {
			if m.Target == nil || m.Target.ID != screen {
				continue
			}
			writer := words.WriterOf(w, a)
			writer.Called = titles
			in := WayIn{Screen: s.ID, Title: s.Title, Area: s.Area, Glyph: s.Type, Element: w.Element.ID, Trigger: w.Trigger, Words: words.Element(a, s, w.Element), Brings: writer.Brings(m), Roles: words.Roles(a, g.Roles), Open: g.Roles == nil}
			switch {
			case plan.IsBack(w.Trigger):
				in.Words = words.Trigger(w.Trigger, w.Element.Element)
			case w.Trigger == "row":
				in.Words = "row opened"
			case w.Trigger == "point":
				in.Words = "point chosen"
			case strings.HasPrefix(w.Trigger, "menu."):
				in.Words = words.Trigger(w.Trigger, w.Element.Element)
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
					in.Roles = words.Roles(a, w.Rail.Placed.Roles)
				}
			}
			for _, id := range slices.Sorted(maps.Keys(m.Bind)) {
				if b := m.Bind[id]; plan.RuleOf(b).MayBeNone(writer.Scene, m.Exprs[id]) {
					in.None = map[string]string{"": "nothing said if there is none", "grey": "greyed if there is none", "list": "the list if there is none", "add": "adds one if there is none", "stay": "says so if there is none", "round": "goes round at the end"}[b.None]
				}
			}
			return in, true
		}
	}
	return WayIn{}, false
}
