package plan

import (
	"maps"
	"slices"
	"strings"

	"ambergate/core/project"
)

// GateOn gives the gate of a trigger; without one that of the element's usual trigger.
func (e *Element) GateOn(trigger string) (string, *Gate) {
	if trigger != "" {
		return trigger, e.Gates[trigger]
	}
	for _, name := range slices.Sorted(maps.Keys(e.Gates)) {
		kind, _ := project.TriggerOf(name)
		if _, named := kind.(interface{ ByNameOnly() }); !named && !IsBack(name) {
			return name, e.Gates[name]
		}
	}
	return "", nil
}

// WayAt finds a way by its element and trigger; one that is not wired yet has no gate. False when
// there is no such element.
func (a *App) WayAt(screen, element, trigger string) (Way, bool) {
	e := a.ElementAt(screen, element)
	if e == nil {
		return Way{}, false
	}
	for _, w := range a.Screens[screen].Ways() {
		if w.Element == e && w.Trigger == trigger {
			return w, true
		}
	}
	return Way{Screen: a.Project.Screens[screen], Plan: a.Screens[screen], Element: e, Trigger: trigger}, true
}

// ElementAt finds what can set off a way of a screen: an element, a way of the screen itself, or an
// element of a rail on it.
func (a *App) ElementAt(screen, id string) *Element {
	plan := a.Screens[screen]
	if plan == nil {
		return nil
	}
	for _, e := range plan.Elements {
		if e.ID == id {
			return e
		}
	}
	for _, e := range plan.Off {
		if e.ID == id {
			return e
		}
	}
	for _, r := range plan.Rails {
		for _, e := range r.Elements {
			if e.ID == id {
				return e
			}
		}
	}
	return nil
}

// Way is one trigger through one gate of a screen, of a rail on it, or of the screen itself.
type Way struct {
	Screen  *project.Screen
	Plan    *Screen
	Element *Element
	Trigger string
	Gate    *Gate
	Rail    *project.Rail // that the element stands on; nil for the screen's own
}

// Ways gives all ways of a screen in a stable order: its elements', those set off by none, its rails'.
func (p *Screen) Ways() []Way {
	var out []Way
	add := func(e *Element, rail *project.Rail) {
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

// IsBack says whether a trigger is a dialog that comes back.
func IsBack(trigger string) bool {
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
	if !w.Gate.Inner {
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
