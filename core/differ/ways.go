package differ

import (
	"maps"
	"reflect"
	"slices"
	"strings"

	"ambergate/core/plan"
	"ambergate/core/project"
	"ambergate/core/walk"
	"ambergate/core/words"
)

// gateKeys are the properties that hold a gate.
var gateKeys = map[string]bool{"gate": true, "changed": true, "chosen": true, "down": true, "ended": true, "opened": true}

// way tells of a gate that is different as the sentence of its way; false where it is no gate, or its sentence is the
// same: then what is different is told property by property.
func (d *differ) way(t thing, at []string, value pair) bool {
	last := at[len(at)-1]
	if !gateKeys[last] {
		return false
	}
	was, now := d.was.sentence(t, at), d.now.sentence(t, at)
	if was == now {
		return false
	}
	c := d.change(t, at)
	c.What = "the wiring"
	c.Was, c.Now = was, now
	d.out = append(d.out, c)
	return true
}

// sentence says the way whose gate stands at a place; "" where there is none.
func (n *names) sentence(t thing, at []string) string {
	if t.kind == "gate" {
		return n.shared(t.entity)
	}
	owner := 0
	for i, h := range t.holders {
		if h.shelf == "elements" || h.shelf == "ways" {
			owner = i
			break
		}
	}
	if owner == 0 {
		return ""
	}
	screen, e := n.at(t.entity, t.holders[owner].id)
	if e == nil {
		return ""
	}
	place := strings.Join(append(slices.Clone(t.path[2:]), at...), "/")
	for _, trigger := range slices.Sorted(maps.Keys(e.Gates)) {
		if project.GatePlace(trigger) == place {
			return n.told1(screen, e, trigger)
		}
	}
	return ""
}

func (n *names) told1(screen *project.Screen, e *plan.Element, trigger string) string {
	return joined(words.Sentence(n.app, screen, e, trigger))
}

func joined(chunks []words.Chunk) string {
	var out strings.Builder
	for _, c := range chunks {
		out.WriteString(c.Text)
	}
	return out.String()
}

// shared says a shared gate by the first way that goes through it; "" where none does.
func (n *names) shared(gate string) string {
	for _, u := range words.UsesOf(n.app, gate) {
		e := n.app.ElementAt(u.Screen, u.Element)
		if e == nil {
			continue
		}
		for _, trigger := range slices.Sorted(maps.Keys(e.Gates)) {
			if g := e.Gates[trigger]; g.Shared != nil && g.Shared.ID == gate && !g.Inner {
				return n.told1(n.app.Project.Screens[u.Screen], e, trigger)
			}
		}
	}
	return ""
}

// told says what a thing that was made does, or one that is gone did.
func (n *names) told(t thing) string {
	if len(t.holders) == 1 {
		return n.toldEntity(t)
	}
	h := t.holders[len(t.holders)-1]
	switch {
	case h.shelf == "steps" && t.kind == "walk":
		return n.stepWords(t)
	case h.shelf == "elements" || h.shelf == "ways":
		screen, e := n.at(t.entity, h.id)
		if e == nil {
			return ""
		}
		var out []string
		for _, trigger := range slices.Sorted(maps.Keys(e.Gates)) {
			if !plan.IsBack(trigger) {
				out = append(out, n.told1(screen, e, trigger))
			}
		}
		return strings.Join(out, " ")
	case h.shelf == "menu" || h.shelf == "links" || h.shelf == "items" || h.shelf == "marks" || h.shelf == "tabs":
		for key := range gateKeys {
			if s := n.sentence(t, []string{key}); s != "" {
				return s
			}
		}
	}
	return ""
}

func (n *names) toldEntity(t thing) string {
	p := n.app.Project
	switch t.kind {
	case "grant":
		if g := p.Grants[t.entity]; g != nil {
			return joined(words.GrantSentence(n.app, g.Role, g.Table, g))
		}
	case "condition":
		if c := p.Conditions[t.entity]; c != nil {
			return n.phrase(t, c.Text)
		}
	case "walk":
		if w := p.Walks[t.entity]; w != nil {
			var out []string
			for _, s := range walk.Tell(n.app, w) {
				out = append(out, s.Words)
			}
			return strings.Join(out, "; ")
		}
	}
	return ""
}

// grant tells of a right as it is said; false where it is said as it was.
func (d *differ) grant(t thing) bool {
	was, now := d.was.toldEntity(t), d.now.toldEntity(t)
	if was == now {
		return false
	}
	c := d.change(t, nil)
	c.Was, c.Now, c.Paths = was, now, nil
	for _, key := range t.body.keys() {
		if v := t.body.of(key); !reflect.DeepEqual(v.was, v.now) {
			c.Paths = append(c.Paths, pointer([]string{t.entity, key}))
		}
	}
	d.out = append(d.out, c)
	return true
}

// step tells of a step of a walk as it is said; false where it is none, or is said as it was.
func (d *differ) step(t thing) bool {
	if t.kind != "walk" {
		return false
	}
	was, now := d.was.stepWords(t), d.now.stepWords(t)
	if was == now {
		return false
	}
	c := d.change(t, nil)
	c.What = "the deed"
	c.Was, c.Now = was, now
	d.out = append(d.out, c)
	return true
}

func (n *names) stepWords(t thing) string {
	w := n.app.Project.Walks[t.entity]
	if w == nil {
		return ""
	}
	id := t.holders[len(t.holders)-1].id
	for _, s := range walk.Tell(n.app, w) {
		if s.ID == id {
			return s.Words
		}
	}
	return ""
}
