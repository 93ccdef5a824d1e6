package differ

import (
	"encoding/json"
	"maps"
	"slices"
	"strconv"
	"strings"

	"ambergate/core/check"
	"ambergate/core/english"
	"ambergate/core/plan"
	"ambergate/core/project"
	"ambergate/core/words"
)

// names says what things are called in one state. What is read for it is read when it is asked for: most of a large
// project is not.
type names struct {
	app      *plan.App
	entities map[string]json.RawMessage
	bodies   map[string]any               // those read so far
	within   map[string]map[string]string // what is in an entity, by its id; that of "" is the first in any
	earlier  bool
	other    *names // the other state, for what has a name only there
}

func newNames(s Side) *names {
	return &names{app: s.App, entities: s.Entities, bodies: map[string]any{}, within: map[string]map[string]string{}}
}

// body gives an entity as it is kept; nil where there is none.
func (n *names) body(id string) any {
	if body, read := n.bodies[id]; read {
		return body
	}
	var body any
	if text := n.entities[id]; text != nil && json.Unmarshal(text, &body) != nil {
		body = nil // what cannot be read was refused before
	}
	n.bodies[id] = body
	return body
}

// in gives what the things of an entity are called; of "", those of all.
func (n *names) in(entity string) map[string]string {
	if found, is := n.within[entity]; is {
		return found
	}
	found := map[string]string{}
	n.within[entity] = found
	if entity != "" {
		index(found, n.body(entity))
		return found
	}
	for _, id := range slices.Sorted(maps.Keys(n.entities)) {
		index(found, n.body(id))
	}
	return found
}

// index notes what the things within a body are called; the first of an id stays.
func index(found map[string]string, body any) {
	of, _ := body.(object)
	for _, key := range slices.Sorted(maps.Keys(of)) {
		inner, is := of[key].(object)
		if !is {
			continue
		}
		if parts[key].one == "" || !areParts(pair{now: inner}) {
			index(found, inner)
			continue
		}
		for _, id := range slices.Sorted(maps.Keys(inner)) {
			if name := titled(inner[id], parts[key].by); name != "" && found[id] == "" {
				found[id] = name
			}
			index(found, inner[id])
		}
	}
}

// titled gives the first of some properties that is a text.
func titled(body any, by []string) string {
	of, _ := body.(object)
	for _, key := range by {
		if text, is := of[key].(string); is && text != "" {
			return text
		}
	}
	return ""
}

// entityName is what an entity is called, without its kind.
func (n *names) entityName(id string) string {
	p := n.app.Project
	body := n.body(id)
	switch of, _ := body.(object); of["kind"] {
	case "project":
		return p.Settings.Title
	case "expectation":
		if e := p.Expectations[id]; e != nil {
			return check.ExpectationWords(p, e)
		}
	case "grant":
		if g := p.Grants[id]; g != nil {
			return n.app.RoleName(g.Role) + ", " + english.Lower(n.app.TableLabel(g.Table))
		}
	case "equipment":
		if e := p.Equipment[id]; e != nil {
			return n.app.TableLabel(e.Table)
		}
	}
	if name := ownName(body); name != "" {
		return name
	}
	if name := ownName(n.other.body(id)); name != "" {
		return name
	}
	return "without a name"
}

// ownName is what an entity calls itself; "" for nothing.
func ownName(body any) string {
	if of, _ := body.(object); of["kind"] == "table" {
		return titled(body, []string{"label"}) // its title is that of a record
	}
	return titled(body, []string{"title", "label", "name", "words", "alias"})
}

// thing names a thing with its kind: the button “Close it”, on the screen that it is on where that is not said anyway.
func (n *names) thing(t thing) string {
	if len(t.holders) == 1 {
		switch t.kind {
		case "project":
			return "the application"
		case "grant":
			role, table, _ := strings.Cut(n.entityName(t.entity), ", ")
			return "what " + role + " may do with " + table
		}
		return kindWords[t.kind] + " “" + cut(n.entityName(t.entity)) + "”"
	}
	last := t.holders[len(t.holders)-1]
	out := n.part(t, last)
	// What stands in an element is named with it.
	for i := len(t.holders) - 2; i > 0; i-- {
		if t.holders[i].shelf == "cases" && last.shelf == "do" {
			continue
		}
		return out + " of " + n.part(t, t.holders[i])
	}
	if t.kind != "screen" {
		out += " of " + n.thing(thing{entity: t.entity, kind: t.kind, holders: t.holders[:1]})
	}
	return out
}

// bodyOf gives a thing in this state; in the other where it is only there.
func (n *names) bodyOf(h holder) object {
	side := h.body.now
	if n.earlier && h.body.was != nil || side == nil {
		side = h.body.was
	}
	body, _ := side.(object)
	return body
}

func (n *names) part(t thing, h holder) string {
	body := n.bodyOf(h)
	is := parts[h.shelf]
	name := titled(body, is.by)
	switch h.shelf {
	case "elements":
		kind, _ := body["kind"].(string)
		one := "the " + spaced(kind)
		if called := n.element(t.entity, h.id); called != "" && called != spaced(kind) {
			name = called
		}
		if name == "" {
			return one
		}
		return one + " “" + cut(name) + "”"
	case "ways":
		if called := n.element(t.entity, h.id); called != "" {
			return "what happens when " + called
		}
		return is.one + " “" + name + "”"
	case "cases":
		return is.one + " " + strconv.Itoa(ordinal(h))
	case "do":
		return is.one + " " + strconv.Itoa(ordinal(h)) + " (" + spaced(name) + ")"
	case "steps":
		if t.kind == "walk" {
			return is.one + " " + strconv.Itoa(ordinal(h))
		}
	case "bind", "give":
		return is.one + " “" + n.idName(t.entity, h.id) + "”"
	case "columns", "order", "sort", "filters":
		if path, _ := body["path"].(string); path != "" && name == path {
			name = n.pathName(t.entity, path)
		}
	case "round", "among", "lines", "marks":
		name = n.idName(t.entity, name)
	}
	if name == "" {
		return is.one + " " + strconv.Itoa(ordinal(h))
	}
	return is.one + " “" + cut(name) + "”"
}

// element is what an element, a rail button or a way is called by the sentences; "" where it is not there.
func (n *names) element(entity, id string) string {
	screen, e := n.at(entity, id)
	if e == nil {
		return ""
	}
	return words.Element(n.app, screen, e)
}

// at finds an element as it is compiled, and a screen that it stands on: its own, or the first that its rail is on.
func (n *names) at(entity, id string) (*project.Screen, *plan.Element) {
	if s := n.app.Project.Screens[entity]; s != nil {
		return s, n.app.ElementAt(entity, id)
	}
	if n.app.Project.Rails[entity] == nil {
		return nil, nil
	}
	for _, screen := range slices.Sorted(maps.Keys(n.app.Screens)) {
		for _, r := range n.app.Screens[screen].Rails {
			if r.Rail.ID != entity {
				continue
			}
			for _, e := range r.Elements {
				if e.ID == id {
					return n.app.Project.Screens[screen], e
				}
			}
		}
	}
	return nil, nil
}

// idName is what something is called by its id, as seen in an entity; the id itself where nothing is.
func (n *names) idName(entity, id string) string {
	for _, at := range []*names{n, n.other} {
		if at.entities[id] != nil {
			return at.entityName(id)
		}
		if name := at.in(entity)[id]; name != "" {
			return name
		}
		if name := at.in("")[id]; name != "" {
			return name
		}
	}
	if tokens.FindString(id) == id {
		return "what is gone"
	}
	return id
}

// was1 and now1 choose a side.
func (p pair) was1() any { return p.was }
func (p pair) now1() any { return p.now }

// place says where a thing stands among those beside it, in one state.
func place(t thing, side func(pair) any) string {
	h := t.holders[len(t.holders)-1]
	if h.shelf == "" {
		return ""
	}
	return "number " + strconv.Itoa(ordinalOn(h, side))
}

func ordinal(h holder) int {
	if h.body.now == nil {
		return ordinalOn(h, pair.was1)
	}
	return ordinalOn(h, pair.now1)
}

func ordinalOn(h holder, side func(pair) any) int {
	posOf := func(v any) float64 {
		of, _ := v.(object)
		pos, _ := of["pos"].(float64)
		return pos
	}
	all, _ := side(h.beside).(object)
	own, n := posOf(side(h.body)), 1
	for id, other := range all {
		if pos := posOf(other); id != h.id && (pos < own || pos == own && id < h.id) {
			n++
		}
	}
	return n
}

// cut shortens what is too long to be a name.
func cut(name string) string {
	if r := []rune(name); len(r) > 60 {
		return string(r[:59]) + "…"
	}
	return name
}
