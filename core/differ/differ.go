package differ

import (
	"encoding/json"
	"maps"
	"reflect"
	"slices"
	"strings"

	"ambergate/core/plan"
)

// Side is one state of a project: compiled, and as its entities are kept.
type Side struct {
	App      *plan.App
	Entities map[string]json.RawMessage
}

// Of says what is different in a state from an earlier one: no change for the same, at least one for each entity that
// differs, in the order in which they are told.
func Of(was, now Side) []Change {
	d := &differ{was: newNames(was), now: newNames(now)}
	d.was.other, d.now.other, d.was.earlier = d.now, d.was, true
	ids := maps.Clone(was.Entities)
	if ids == nil {
		ids = map[string]json.RawMessage{}
	}
	maps.Copy(ids, now.Entities)
	for _, id := range slices.Sorted(maps.Keys(ids)) {
		if string(was.Entities[id]) != string(now.Entities[id]) {
			d.entity(id)
		}
	}
	order(d.out)
	return d.out
}

// object is a JSON object as it is decoded.
type object = map[string]any

// pair is a value in both states; nil where there is none.
type pair struct{ was, now any }

func (p pair) objects() (was, now object, are bool) {
	was, first := p.was.(object)
	now, second := p.now.(object)
	return was, now, (first || p.was == nil) && (second || p.now == nil)
}

func (p pair) of(key string) pair {
	was, now, _ := p.objects()
	return pair{was[key], now[key]}
}

// keys gives those that either has, sorted.
func (p pair) keys() []string {
	was, now, _ := p.objects()
	all := map[string]bool{}
	for k := range was {
		all[k] = true
	}
	for k := range now {
		all[k] = true
	}
	return slices.Sorted(maps.Keys(all))
}

type differ struct {
	was, now *names
	out      []Change
}

// thing is where one is in the document: an entity, or a part of it that has an id.
type thing struct {
	entity  string
	kind    string   // of the entity
	path    []string // from the entity down
	holders []holder // the things that it is in, from the entity down, and itself
	body    pair
}

// holder is a thing on the way down.
type holder struct {
	id, shelf string // the map that it stands in: elements
	body      pair
	beside    pair // the map itself
}

func (d *differ) entity(id string) {
	body := pair{d.was.body(id), d.now.body(id)}
	kind, _ := body.of("kind").now.(string)
	if body.now == nil {
		kind, _ = body.of("kind").was.(string)
	}
	t := thing{entity: id, kind: kind, body: body, holders: []holder{{id: id, body: body}}}
	switch {
	case body.was == nil:
		d.whole(t, Made)
	case body.now == nil:
		d.whole(t, Gone)
	case reflect.DeepEqual(body.was, body.now):
	case t.kind == "grant" && d.grant(t):
	default:
		d.within(t, nil, body)
	}
}

// whole tells of a thing that was made or is gone.
func (d *differ) whole(t thing, how How) {
	c := d.change(t, nil)
	c.How = how
	if how == Made {
		c.Now = d.now.told(t)
	} else {
		c.Was = d.was.told(t)
	}
	d.out = append(d.out, c)
}

// within goes through what differs in a thing, below some of its properties.
func (d *differ) within(t thing, below []string, body pair) {
	for _, key := range body.keys() {
		value := body.of(key)
		if reflect.DeepEqual(value.was, value.now) {
			continue
		}
		at := append(slices.Clone(below), key)
		_, _, objects := value.objects()
		switch {
		case objects && len(value.keys()) == 0: // it is empty, and was not there, or the other way round
			d.leaf(t, at, value)
		case objects && parts[key].one != "" && areParts(value):
			d.parts(t, at, key, value)
		case objects && d.way(t, at, value):
		case objects && d.isSet(value):
			d.leaf(t, at, value)
		case objects && whole[key]:
			d.leaf(t, at, value)
		case objects:
			d.within(t, at, value)
		default:
			d.leaf(t, at, value)
		}
	}
}

// parts goes through the things of a map by id.
func (d *differ) parts(t thing, at []string, shelf string, all pair) {
	for _, id := range all.keys() {
		body := all.of(id)
		if reflect.DeepEqual(body.was, body.now) {
			continue
		}
		sub := t
		sub.path = slices.Concat(t.path, at, []string{id})
		sub.body = body
		sub.holders = append(slices.Clone(t.holders), holder{id: id, shelf: shelf, body: body, beside: all})
		switch {
		case body.was == nil:
			d.whole(sub, Made)
		case body.now == nil:
			d.whole(sub, Gone)
		case !d.step(sub):
			d.within(sub, nil, body)
		}
	}
}

// leaf tells of one property that is different.
func (d *differ) leaf(t thing, at []string, value pair) {
	c := d.change(t, at)
	c.What = label(at)
	last := at[len(at)-1]
	if naming[last] && t.body.was != nil {
		c.Thing = d.was.thing(t) // as one knows it
	}
	if last == "pos" {
		c.Was, c.Now = place(t, pair.was1), place(t, pair.now1)
		if c.Was == c.Now {
			c.Was, c.Now = "", "" // it stands where it stood among the others
		}
	} else {
		c.Was, c.Now = d.was.say(t, at, value.was), d.now.say(t, at, value.now)
	}
	d.out = append(d.out, c)
}

// naming are properties that things are named by.
var naming = map[string]bool{"title": true, "label": true, "name": true, "words": true}

// change begins to tell of a thing.
func (d *differ) change(t thing, at []string) Change {
	from := d.now
	if t.body.now == nil {
		from = d.was
	}
	c := Change{Entity: t.entity, Kind: t.kind, Name: d.name(t), How: Changed, Thing: from.thing(t), At: pointer(append([]string{t.entity}, t.path...))}
	c.Paths = []string{pointer(slices.Concat([]string{t.entity}, t.path, at))}
	if t.kind == "screen" && d.now.entities[t.entity] != nil {
		c.Screen = t.entity
	}
	for _, h := range t.holders[1:] {
		if h.shelf == "elements" || h.shelf == "ways" {
			c.Element = h.id
			break
		}
	}
	return c
}

// name is what an entity is called now, or was.
func (d *differ) name(t thing) string {
	if d.now.entities[t.entity] != nil {
		return d.now.entityName(t.entity)
	}
	return d.was.entityName(t.entity)
}

// isSet says whether a value is a set of ids.
func (d *differ) isSet(value pair) bool {
	n := 0
	for _, side := range []any{value.was, value.now} {
		of, _ := side.(object)
		for _, v := range of {
			if _, yes := v.(bool); !yes {
				return false
			}
			n++
		}
	}
	return n > 0
}

// areParts says whether a value is a map of things: some maps have the name of one, and hold texts.
func areParts(value pair) bool {
	for _, side := range []any{value.was, value.now} {
		of, _ := side.(object)
		for _, v := range of {
			if _, is := v.(object); !is {
				return false
			}
		}
	}
	return true
}

// pointer writes a JSON Pointer (RFC 6901).
func pointer(path []string) string {
	var out strings.Builder
	for _, p := range path {
		out.WriteString("/" + strings.ReplaceAll(strings.ReplaceAll(p, "~", "~0"), "/", "~1"))
	}
	return out.String()
}
