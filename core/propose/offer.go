package propose

import (
	"cmp"
	"maps"
	"math"
	"slices"
	"strings"
	"unicode"

	"ambergate/core/english"
	"ambergate/core/patch"
	"ambergate/core/project"
)

// CellWish is an empty cell of a screen, and what somebody typed into it.
type CellWish struct {
	Screen  string `json:"screen"`
	Row     int    `json:"row"`
	Col     int    `json:"col"`
	Words   string `json:"words"`
	Element string `json:"element"`         // the id that the new element gets
	Tab     string `json:"tab,omitempty"`   // tabs and tab that are open above the cell, joined by a point
	Frame   string `json:"frame,omitempty"` // the frame that it is to stand in, below what stands there
}

// CellOffer is an element that could be put into the cell.
type CellOffer struct {
	ID    string     `json:"id"`
	Words string     `json:"words"`
	Note  string     `json:"note,omitempty"`
	Group string     `json:"group"`
	Patch []patch.Op `json:"patch"` // puts it there, and makes room for it
}

// What is offered at most.
const (
	offersShown  = 40
	offersAtOnce = 7 // of one group, as long as nothing was typed
)

// OffersFor lists what could be put into an empty cell: by any word of what it is or of what it shows. What was typed
// can be the words of a button or a text, too. What is nearest comes first.
func OffersFor(p *project.Project, w CellWish) []CellOffer {
	s := p.Screens[w.Screen]
	if s == nil {
		return []CellOffer{}
	}
	o := &offering{p: p, s: s, w: w, typed: wordsIn(w.Words), perGroup: map[string]int{}, out: []CellOffer{}}
	if len(o.typed) == 0 {
		o.plain()
	}
	o.fields()
	o.children()
	o.live()
	o.turns()
	o.tables()
	if len(o.typed) > 0 {
		o.plain()
	}
	o.things()
	o.steps()
	o.tasks()
	o.pictures()
	o.clips()
	o.screens()
	o.saying()
	return o.out
}

type offering struct {
	p        *project.Project
	s        *project.Screen
	w        CellWish
	typed    []string
	perGroup map[string]int
	out      []CellOffer
}

// thing is an element that may be offered.
type thing struct {
	id, words, note, group string
	also                   string // further words that it is found by
	w, h, least            int    // columns and rows that it likes, columns that it needs
	body                   body
	more                   []patch.Op // what comes with it
}

// fits says whether each typed word begins one of the thing's.
func (o *offering) fits(texts ...string) bool {
	var of []string
	for _, t := range texts {
		of = append(of, wordsIn(t)...)
	}
	for _, typed := range o.typed {
		if !slices.ContainsFunc(of, func(w string) bool { return strings.HasPrefix(w, typed) }) {
			return false
		}
	}
	return true
}

// wordsIn splits a text into words of small letters.
func wordsIn(text string) []string {
	return strings.FieldsFunc(strings.ToLower(text), func(r rune) bool { return !unicode.IsLetter(r) && !unicode.IsDigit(r) })
}

// wants says whether one more of a group is to be told, which spares making what is not.
func (o *offering) wants(group string, texts ...string) bool {
	if len(o.out) >= offersShown || len(o.typed) == 0 && o.perGroup[group] >= offersAtOnce {
		return false
	}
	return o.fits(texts...)
}

func (o *offering) add(t thing) {
	of := t.group // what a table is called finds all that is of it
	if of == wordsGroup {
		of = ""
	}
	if !o.wants(t.group, t.words, t.also, t.note, of) {
		return
	}
	o.put(t)
}

// put offers a thing whatever was typed.
func (o *offering) put(t thing) {
	o.perGroup[t.group]++
	at, room := roomFor(o.s, o.w.Frame, o.w.Row, o.w.Col, t.w, max(t.h, 1), t.least)
	t.body["cell"] = cell(at.Row, at.Col, at.W, t.h)
	t.body["pos"] = lastPos(o.s) + 1
	if o.w.Tab != "" && t.body["kind"] != "tabs" && t.body["kind"] != "steps" {
		t.body["tab"] = o.w.Tab
	}
	ops := append(t.more, room...)
	ops = append(ops, patch.Op{Op: "add", Path: "/" + o.s.ID + "/elements/" + o.w.Element, Value: encoded(t.body)})
	o.out = append(o.out, CellOffer{ID: t.id, Words: t.words, Note: t.note, Group: t.group, Patch: ops})
}

const wordsGroup = "Buttons, words, pictures"

// plain are those that say what the builder gives them to say.
func (o *offering) plain() {
	o.add(thing{id: "button", words: "a button", also: "way press", group: wordsGroup, w: 2, least: 1, body: body{"kind": "button", "words": "New button"}})
	o.add(thing{id: "text", words: "a text", also: "words paragraph", group: wordsGroup, w: 4, least: 2, body: body{"kind": "text", "words": "New text"}})
	o.add(thing{id: "heading", words: "a heading", also: "title text", group: wordsGroup, w: 12, least: 3, body: body{"kind": "text", "style": "heading", "words": "New heading"}})
	o.add(thing{id: "note", words: "a note", also: "small text hint", group: wordsGroup, w: 6, least: 2, body: body{"kind": "text", "style": "note", "words": "New note"}})
	o.add(thing{id: "group", words: "a group", also: "frame box section fieldset", note: "a heading, and a frame around what is put in", group: wordsGroup, w: 6, h: 1, least: 3, body: body{"kind": "group", "words": "New group"}})
	o.add(thing{id: "tabs", words: "tabs", also: "register pages", note: "what is put in belongs to the open one", group: wordsGroup, w: 12, least: 4, body: body{"kind": "tabs", "tabs": body{
		"t_1": body{"pos": 1, "label": "First"}, "t_2": body{"pos": 2, "label": "Second"}}}})
}

// saying are those that say what was typed.
func (o *offering) saying() {
	words := strings.TrimSpace(o.w.Words)
	if words == "" {
		return
	}
	width := 2 + min(4, len([]rune(words))/14)
	o.put(thing{id: "button:", words: "a button “" + words + "”", group: "As it is typed", w: width, least: 1, body: body{"kind": "button", "words": words}})
	o.put(thing{id: "text:", words: "a text “" + words + "”", group: "As it is typed", w: 4 + width/2, least: 2, body: body{"kind": "text", "words": words}})
	o.put(thing{id: "group:", words: "a group “" + words + "”", group: "As it is typed", w: 6, h: 1, least: 3, body: body{"kind": "group", "words": words}})
	o.put(thing{id: "heading:", words: "a heading “" + words + "”", group: "As it is typed", w: 12, least: 3, body: body{"kind": "text", "style": "heading", "words": words}})
}

// screens are buttons that lead to one, found by its title; with the record at hand where it is one of such. Those that
// need to be told more are wired by whoever knows what.
func (o *offering) screens() {
	if len(o.typed) == 0 {
		return
	}
	for _, id := range byName(o.p.Screens, func(s *project.Screen) string { return s.Title }) {
		s := o.p.Screens[id]
		bind := body{}
		for in, input := range s.Inputs {
			if in == s.Record && o.s.Record != "" && input.Table == o.s.RecordTable() {
				bind[in] = body{"rule": "this"}
			} else if input.Required {
				bind = nil
				break
			}
		}
		if id == o.s.ID || bind == nil {
			continue
		}
		move := to(id, "", nil)
		if len(bind) > 0 {
			move["bind"] = bind
		}
		b := body{"kind": "button", "words": s.Title, "gate": gate(nil, move)}
		one := thing{id: "to:" + id, words: "a button to “" + s.Title + "”", also: "way go lead open", note: s.Type, group: "Ways to screens", w: 3, least: 1, body: b}
		if o.s.Type == "menu" {
			b["tone"], one.w, one.h = "sign", 4, 2
		}
		o.add(one)
	}
}

func (o *offering) pictures() {
	for _, id := range picturesByName(o.p) {
		o.add(thing{id: "picture:" + id, words: o.p.Pictures[id].Name, also: "image", note: "picture", group: "Pictures", w: 4, h: 4, least: 1, body: body{"kind": "image", "picture": id}})
		if len(o.typed) > 0 {
			o.add(thing{id: "figure:" + id, words: o.p.Pictures[id].Name + ", with live words on it", also: "image marks plan", note: "picture", group: "Pictures", w: 8, h: 8, least: 3, body: body{"kind": "figure", "words": o.p.Pictures[id].Name, "picture": id}})
			o.add(thing{id: "plan:" + id, words: o.p.Pictures[id].Name + ", with marks that are pressed", also: "image site plan map points", note: "picture", group: "Pictures", w: 8, h: 8, least: 3, body: body{"kind": "sitePlan", "picture": id, "marks": body{"m_1": body{"pos": 1, "x": 50, "y": 50, "words": "New mark"}}}})
		}
	}
}

func (o *offering) clips() {
	for _, id := range byName(o.p.Clips, func(c *project.Clip) string { return c.Name }) {
		o.add(thing{id: "clip:" + id, words: o.p.Clips[id].Name, also: "clip film video", note: "clip", group: "Clips", w: 6, h: 6, least: 2, body: body{"kind": "clip", "clip": id}})
	}
}

// fields are those of the screen's record; those that stand on it already come last.
func (o *offering) fields() {
	t := o.p.Tables[o.s.RecordTable()]
	if t == nil {
		return
	}
	there := map[string]bool{}
	for _, e := range o.s.Elements {
		if f, ok := e.Spec.(interface{ FieldPath() string }); ok {
			there[f.FieldPath()] = true
		}
	}
	group := "Fields of the " + english.Lower(t.One)
	ids := byPos(t.Fields, func(c *project.Column) float64 { return c.Pos })
	for _, again := range []bool{false, true} {
		for _, id := range ids {
			if there[id] == again {
				o.field(t, id, group, again)
			}
		}
	}
	if len(o.typed) == 0 {
		return
	}
	for _, id := range ids { // those of its parents, to be read
		if parent := o.p.Tables[t.Fields[id].References]; parent != nil {
			of := "Fields of its " + english.Lower(t.Fields[id].Label)
			for _, f := range byPos(parent.Fields, func(c *project.Column) float64 { return c.Pos }) {
				c := parent.Fields[f]
				o.add(thing{id: "field:" + id + "." + f, words: t.Fields[id].Label + ": " + english.Lower(c.Label), also: "field", note: "to be read", group: of, w: 4, least: 2, body: body{"kind": "field", "path": id + "." + f, "label": t.Fields[id].Label + ": " + english.Lower(c.Label)}})
			}
		}
	}
}

func (o *offering) field(t *project.Table, id, group string, again bool) {
	c := t.Fields[id]
	note := ""
	if again {
		note = "is here already"
	}
	w := 4
	if c.Long || c.Type == "json" || c.Type == "picture" {
		w = 12
	}
	b := body{"kind": "field", "path": id}
	if form := formOf(o.p, c.References); c.References != "" && form != nil {
		b["gate"] = gate(nil, to(form.ID, form.Record, body{"rule": "parent", "path": id, "none": "grey", "reason": "There is none."}))
	}
	o.add(thing{id: "field:" + id, words: c.Label, also: "field " + strings.Join(c.Choices, " "), note: note, group: group, w: w, least: 2, body: b})
}

// children are lists of the records that belong to the screen's own.
func (o *offering) children() {
	own := o.p.Tables[o.s.RecordTable()]
	if own == nil {
		return
	}
	for _, id := range tablesByLabel(o.p) {
		t := o.p.Tables[id]
		relations := slices.DeleteFunc(byPos(t.Fields, func(c *project.Column) float64 { return c.Pos }), func(f string) bool { return t.Fields[f].References != own.ID })
		for _, f := range relations {
			label := t.Label
			if back := t.Fields[f].Back; back != "" {
				label = english.Capital(back)
			} else if len(relations) > 1 || id == own.ID {
				label += ", " + english.Lower(t.Fields[f].Label)
			}
			b := listOf(o.p, id, f, label)
			b["relation"], b["rows"] = f, 10
			if o.s.Type == "form" {
				b["modes"] = body{"view": true}
			}
			o.add(thing{id: "children:" + id + "." + f, words: "list of its " + english.Lower(label), also: "children rows", group: "What belongs to the " + english.Lower(own.One), w: 12, h: 5, least: 5, body: b})
		}
	}
}

// tables are lists and charts of every table; those of the screen's own record or list come first.
func (o *offering) tables() {
	near := []string{o.s.RecordTable(), o.s.ListTable()}
	ids := tablesByLabel(o.p)
	slices.SortStableFunc(ids, func(a, b string) int {
		return slices.Index(near, b) - slices.Index(near, a)
	})
	for _, id := range ids {
		t := o.p.Tables[id]
		o.list(t)
		o.total(t)
		o.charts(t)
		o.sitePlan(t)
	}
}

func (o *offering) list(t *project.Table) {
	words := "list of " + english.Lower(t.Label)
	if o.wants(t.Label, words, "rows table", t.Label) {
		b := listOf(o.p, t.ID, "", t.Label)
		b["rows"] = 20
		o.add(thing{id: "list:" + t.ID, words: words, also: "rows table", group: t.Label, w: 12, h: 8, least: 5, body: b})
	}
}

// total is one number: how many there are.
func (o *offering) total(t *project.Table) {
	b := body{"kind": "total", "words": t.Label, "table": t.ID}
	if list, _ := (&later{p: o.p}).listOf(t.ID); list != nil && list.ID != o.s.ID {
		b["gate"] = gate(nil, to(list.ID, "", nil))
	}
	o.add(thing{id: "total:" + t.ID, words: "number of " + english.Lower(t.Label), also: "figure count total how many sum average", group: t.Label, w: 3, least: 2, body: b})
}

// stepOf is how wide the ranges of a number are at first: about ten of them, where it is known what it can be.
func stepOf(c *project.Column) float64 {
	if c.Min == nil || c.Max == nil || *c.Max <= *c.Min {
		return 10
	}
	wide := (*c.Max - *c.Min) / 10
	power := math.Pow(10, math.Floor(math.Log10(wide)))
	for _, m := range []float64{1, 2, 5} {
		if m*power >= wide {
			return m * power
		}
	}
	return 10 * power
}

func (o *offering) charts(t *project.Table) {
	for _, id := range byPos(t.Fields, func(c *project.Column) float64 { return c.Pos }) {
		c := t.Fields[id]
		by, span, step := english.Lower(c.Label), "", 0.0
		switch {
		case len(o.typed) > 0 && isSized(c) && !t.IsKey(id):
			step = stepOf(c)
		case c.Type == "date" || c.Type == "moment":
			by, span = "month: "+by, "month"
		case len(c.Choices) == 0 && c.Type != "yesno" && c.Type != "record":
			continue
		}
		label := t.Label + " by " + by
		words := "chart of " + english.Lower(label)
		if !o.wants(t.Label, words, "bars count", t.Label) {
			continue
		}
		b := body{"kind": "chart", "label": label, "table": t.ID, "by": id}
		if span != "" {
			b["span"], b["points"] = span, monthsCharted
		}
		if step > 0 {
			b["step"] = step
		}
		one := thing{id: "chart:" + t.ID + "." + id, words: words, also: "bars count", group: t.Label, w: 6, h: 6, least: 4, body: b}
		if o.s.Type == "dashboard" {
			n := inputs{s: o.s}
			b["chosen"] = gate(nil, n.byField(t, id, span, step))
			one.more = n.more
			one.note = "a bar that is chosen narrows the screen"
		}
		o.add(one)
	}
}

func tablesByLabel(p *project.Project) []string {
	return byName(p.Tables, func(t *project.Table) string { return t.Label })
}

func picturesByName(p *project.Project) []string {
	return byName(p.Pictures, func(p *project.Picture) string { return p.Name })
}

func byName[T any](all map[string]*T, name func(*T) string) []string {
	return slices.SortedFunc(maps.Keys(all), func(a, b string) int {
		return cmp.Or(strings.Compare(name(all[a]), name(all[b])), strings.Compare(a, b))
	})
}
