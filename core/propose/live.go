package propose

import (
	"fmt"
	"slices"
	"strconv"
	"strings"

	"ambergate/core/english"
	"ambergate/core/project"
)

// live are values of the plant: those of the record's equipment, and those of no record.
func (o *offering) live() {
	table := o.s.RecordTable()
	if eq := o.p.EquipmentOf(table); eq != nil {
		for _, partID := range byPos(eq.Parts, func(p *project.Part) float64 { return p.Pos }) {
			part := eq.Parts[partID]
			for _, id := range byPos(part.Tags, func(t *project.Tag) float64 { return t.Pos }) {
				o.value(part.Tags[id], labelIn(part, part.Tags[id]), "record."+project.EquipField+"."+partID+"."+id, "Values of the "+english.Lower(o.p.Tables[table].One)+" in the plant")
			}
		}
	}
	for _, t := range project.Ordered(o.p.Tags) {
		o.value(&t.Tag, t.Label, project.TagRoot+"."+t.ID, "Values of the plant")
	}
}

// labelIn says whose value it is, once.
func labelIn(part *project.Part, t *project.Tag) string {
	if slices.Equal(wordsIn(part.Label), wordsIn(t.Label)[:min(len(wordsIn(part.Label)), len(wordsIn(t.Label)))]) {
		return english.Capital(t.Label)
	}
	return english.Capital(part.Label) + " " + english.Lower(t.Label)
}

// value offers a live value as what suits it, and a number as a trend too.
func (o *offering) value(t *project.Tag, label, path, group string) {
	o.symbol(t, label, path, group)
	if t.Type == "yesno" {
		if t.Writable {
			words := strings.TrimSuffix(english.Capital(t.Label), " command")
			if t.Watchdog != nil {
				o.add(thing{id: "hold:" + path, words: "button that holds: " + english.Lower(label), also: "press hold jog momentary while", note: "yes as long as it is held", group: group, w: 3, least: 2, body: body{"kind": "button", "words": words + " while held", "gate": gate(body{"kind": "write", "tag": path, "how": "hold"}, nil)}})
			}
			o.add(turning("turn:"+path, label, "what the plant reads back", group, body{"kind": "write", "tag": path, "how": "turn"}))
			o.add(thing{id: "command:" + path, words: "button: " + english.Lower(label), also: "press command write", note: "sends yes to the plant", group: group, w: 3, least: 1, body: body{"kind": "button", "words": words, "gate": gate(body{"kind": "write", "tag": path, "value": "true"}, nil)}})
		}
		o.add(thing{id: "lamp:" + path, words: "lamp: " + english.Lower(label), also: "light", group: group, w: 3, least: 2, body: body{"kind": "lamp", "words": label, "value": path, "on": "yes", "off": "no"}})
		return
	}
	unit := ""
	if t.Unit != "" {
		unit = " " + t.Unit
	}
	text := thing{id: "value:" + path, words: "value: " + english.Lower(label), also: "text live", group: group, w: 3, least: 2, body: body{"kind": "text", "words": label + ": {" + path + "}" + unit}}
	if t.Type == "text" {
		o.add(text)
		return
	}
	low, high := 0.0, 100.0
	if t.Min != nil && t.Max != nil && *t.Min < *t.Max {
		low, high = *t.Min, *t.Max
	}
	if l := t.Alarm; t.Max == nil && l != nil && l.High != nil && *l.High > 0 {
		high = 2 * *l.High // what is as it should be takes half of it
	}
	gauge := body{"kind": "gauge", "words": label, "value": path, "min": low, "max": high}
	line := body{"pos": 1, "words": english.Lower(label), "value": path, "max": high}
	if t.Unit != "" {
		gauge["unit"], line["unit"] = t.Unit, t.Unit
	}
	if t.Type == "number" {
		gauge["digits"] = 1
	}
	if t.Alarm != nil {
		o.add(thing{id: "limits:" + path, words: "lamp: " + english.Lower(label) + " outside its limits", also: "light alarm", group: group, w: 3, least: 2, body: body{"kind": "lamp", "words": label, "value": path, "on": "outside its limits", "off": "as it should be"}})
	}
	if t.Writable {
		o.add(choosing(t, label, path, low, high, group))
	}
	o.add(thing{id: "gauge:" + path, words: "gauge: " + english.Lower(label), also: "bar dial", group: group, w: 3, least: 2, body: gauge})
	o.add(text)
	o.add(thing{id: "trend:" + path, words: "trend: " + english.Lower(label), also: "history line curve", group: group, w: 6, h: 4, least: 4, body: body{"kind": "trend", "words": label + ", last 10 minutes", "minutes": 10, "lines": body{"l_1": line}}})
}

// choosing is a button that writes one of several values: each of a few whole ones, else both ends of the range.
func choosing(t *project.Tag, label, path string, low, high float64, group string) thing {
	const few = 6
	values := []float64{low, high}
	if t.Type == "whole" && high-low < few {
		values = nil
		for v := low; v <= high; v++ {
			values = append(values, v)
		}
	}
	options := body{}
	for i, v := range values {
		wire := strconv.FormatFloat(v, 'f', -1, 64)
		options[fmt.Sprintf("o_%d", i+1)] = body{"pos": i + 1, "value": wire, "words": strings.TrimSpace(wire + " " + t.Unit)}
	}
	return thing{id: "choose:" + path, words: "choice: " + english.Lower(label), also: "one of several select mode press", note: "writes one of several values, and shows which is in force", group: group, w: 4, least: 3, body: body{"kind": "button", "words": english.Capital(label), "gate": gate(body{"kind": "write", "tag": path, "how": "choose", "options": options}, nil)}}
}

// turning is a button that turns something on and off, and shows how it is.
func turning(id, label, shows, group string, does body) thing {
	return thing{id: id, words: "two-state button: " + english.Lower(label), also: "on off turn switch toggle press", note: "turns it on and off, and shows " + shows, group: group, w: 3, least: 2, body: body{"kind": "button", "words": english.Capital(label), "gate": gate(does, nil)}}
}

// turns are two-state buttons of what is yes or no in the record, and of variables. They come when they are asked for.
func (o *offering) turns() {
	if len(o.typed) == 0 {
		return
	}
	if t := o.p.Tables[o.s.RecordTable()]; t != nil {
		for _, id := range byPos(t.Fields, func(c *project.Column) float64 { return c.Pos }) {
			if f := t.Fields[id]; f.Type == "yesno" && !f.ReadOnly {
				o.add(turning("turn:"+id, f.Label, "what the record says", "Fields of the "+english.Lower(t.One), body{"kind": "set", "fields": body{id: "!record." + id}}))
			}
		}
	}
	for _, v := range project.Ordered(o.p.Variables) {
		if v.Type == "yesno" && (v.Screen == "" || v.Screen == o.s.ID) {
			o.add(turning("turn:"+v.ID, v.Label, "how it is", "Variables", body{"kind": "setVar", "variable": v.ID, "value": "!vars." + v.ID}))
		}
	}
}

// plantThings are what symbols can be drawn as, each with further words that it is meant by.
var plantThings = []struct{ shape, also string }{
	{"motor", "drive engine"}, {"pump", ""}, {"fan", "blower ventilation"}, {"valve", "tap"}, {"tank", "vessel level"},
	{"belt", "conveyor"}, {"door", "gate lock"}, {"heater", "heating"}, {"light", "lighting"}, {"brake", ""},
}

// shapeFor is the thing that words speak of, of several texts the first that speaks of one; otherwise what is given.
func shapeFor(otherwise string, texts ...string) string {
	names := func(words []string, name string) bool {
		return slices.ContainsFunc(words, func(w string) bool { return w == name || w == name+"s" })
	}
	for _, text := range texts {
		in := wordsIn(text)
		for _, t := range plantThings { // what it is called itself is nearer than what else it is called
			if names(in, t.shape) {
				return t.shape
			}
		}
		for _, t := range plantThings {
			if slices.ContainsFunc(wordsIn(t.also), func(name string) bool { return names(in, name) }) {
				return t.shape
			}
		}
	}
	return otherwise
}

// symbol offers a thing that shows a yes or no by how it is filled, or a number by how full it is.
func (o *offering) symbol(t *project.Tag, label, path, group string) {
	if t.Type == "text" || t.Writable {
		return
	}
	b := body{"kind": "symbol", "words": label}
	if t.Type == "yesno" {
		b["shape"] = shapeFor("motor", t.Label, label)
		b["faces"] = body{"q_1": body{"pos": 1, "when": path, "tone": "strong", "words": "on"}, "q_2": body{"pos": 2, "tone": "quiet", "words": "off"}}
	} else {
		b["shape"], b["level"] = shapeFor("tank", t.Label, label), path
		if t.Min != nil && t.Max != nil && *t.Min < *t.Max {
			b["min"], b["max"] = *t.Min, *t.Max
		}
	}
	if len(o.typed) > 0 { // a lamp and a bar are nearer, as long as nothing is said
		o.add(thing{id: "symbol:" + path, words: "symbol: " + english.Lower(label), also: "drawing thing " + b["shape"].(string), group: group, w: 3, h: 3, least: 2, body: b})
	}
}

// things are symbols that nothing is known of yet.
func (o *offering) things() {
	if len(o.typed) == 0 {
		return
	}
	for _, t := range plantThings {
		o.add(thing{id: "symbol:" + t.shape, words: "a " + t.shape, also: "symbol drawing thing plant " + t.also, note: "drawn; faces say how it is with it", group: "Things of a plant", w: 3, h: 3, least: 2, body: body{"kind": "symbol", "shape": t.shape, "words": english.Capital(t.shape)}})
	}
}
