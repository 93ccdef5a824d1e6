package propose

import (
	"fmt"
	"strings"

	"ambergate/core/catalogue"
	"ambergate/core/english"
	"ambergate/core/project"
)

// ListFor makes one more list of a table, as it would be proposed: each row opens its form, where there is one. d is
// the table's database.
func ListFor(p *project.Project, table string, d *catalogue.Database) Later {
	l := newLater(p)
	m, own := l.makerOf(table, d)
	if own == nil {
		return l.out
	}
	m.lists[table] = m.ids.free(id("s", own.Body.Label), "_")
	m.list(own)
	l.say("A list of %s.", english.Lower(own.Body.Label))
	l.take(m)
	return l.out
}

// FormFor makes one more form of a table, as it would be proposed: its fields, what is done with its record, and what
// belongs to it. d is the table's database.
func FormFor(p *project.Project, table string, d *catalogue.Database) Later {
	l := newLater(p)
	m, own := l.makerOf(table, d)
	if own == nil || len(own.Body.Key) == 0 {
		return l.out
	}
	if list, _ := l.listOf(table); list != nil {
		m.lists[table] = list.ID
	}
	m.forms[table] = m.ids.free(id("s", own.Body.One), "_")
	delete(m.inputs, table)
	m.form(own)
	l.say("A form of one %s, with %s.", english.Lower(own.Body.One), strings.TrimPrefix(m.app.Screens[0].Note, "form, "))
	l.take(m)
	return l.out
}

// take adds the screens that were made; the first is opened then.
func (l *later) take(m *maker) {
	for _, s := range m.app.Screens {
		l.add(s.ID, m.entities[s.ID].(body))
		l.out.Screen = or(l.out.Screen, s.ID)
	}
}

// StepsFor makes guided steps by which a record of a table is added: what it belongs to, what it needs, and the rest.
// The last one saves it and opens its form, where there is one.
func StepsFor(p *project.Project, table string) Later {
	l := newLater(p)
	t := p.Tables[table]
	screen := free(p.Screens, id("s", "new "+t.One))
	own := "i_" + strings.TrimPrefix(table, "t_")
	g := guideMaker{later: l, t: t, elements: body{}, steps: body{}}
	which, what, more := g.sorted()
	for _, s := range []struct {
		label  string
		fields []string
	}{{"What it belongs to", which}, {"What it is", what}, {"More", more}} {
		if len(s.fields) > 0 {
			g.step(s.label, s.fields)
		}
	}
	if len(g.steps) == 0 {
		l.say("%s has no field that can be typed.", t.Label)
		return l.out
	}
	title := "New " + english.Lower(t.One) + ", step by step"
	g.buttons(own, formOf(p, table))
	g.add("e_steps", body{"kind": "steps", "label": "New " + english.Lower(t.One), "steps": g.steps, "cell": cell(1, 1, 12, 0)})
	b := body{"kind": "screen", "type": "form", "title": title, "slug": Slug(title), "record": own, "elements": g.elements,
		"inputs": body{own: body{"pos": 1, "alias": alias(t.One), "label": english.Capital(t.One), "type": "record", "table": table, "required": true}}}
	if list, _ := l.listOf(table); list != nil {
		b["up"] = list.ID
	}
	l.add(screen, b)
	l.say("%d steps by which a %s is added; what was typed is kept all the while.", len(g.steps), english.Lower(t.One))
	l.sign(title, screen, table)
	l.out.Screen = screen
	return l.out
}

type guideMaker struct {
	*later
	t        *project.Table
	elements body
	steps    body
	row, pos int // the lowest row that any step reaches
}

func (g *guideMaker) add(id string, e body) {
	g.pos++
	for g.elements[id] != nil {
		id += "_"
	}
	g.elements[id] = with(e, "pos", g.pos)
}

// sorted gives the fields that can be typed: relations, others that are needed, and the rest.
func (g *guideMaker) sorted() (which, what, more []string) {
	for _, id := range byPos(g.t.Fields, func(c *project.Column) float64 { return c.Pos }) {
		c := g.t.Fields[id]
		switch {
		case c.ReadOnly || g.t.IsKey(id) && c.Type == "whole":
		case c.References != "" && !c.Nullable:
			which = append(which, id)
		case !c.Nullable || len(c.Choices) > 0:
			what = append(what, id)
		default:
			more = append(more, id)
		}
	}
	return which, what, more
}

func (g *guideMaker) step(label string, fields []string) {
	step := fmt.Sprintf("t_%d", len(g.steps)+1)
	g.steps[step] = body{"pos": len(g.steps) + 1, "label": label}
	row, col := 2, 1
	for _, f := range fields {
		w := 4
		if c := g.t.Fields[f]; c.Long || c.Type == "json" || c.Type == "picture" {
			w = 12
		}
		if col+w > 13 {
			row, col = row+1, 1
		}
		g.add("e_"+strings.TrimPrefix(f, "f_"), body{"kind": "field", "path": f, "tab": "e_steps." + step, "cell": cell(row, col, w, 0)})
		col += w
	}
	g.row = max(g.row, row)
}

func (g *guideMaker) buttons(own string, form *project.Screen) {
	row := g.row + 1
	after := body{"kind": "task", "to": "leave"}
	if form != nil {
		after = to(form.ID, form.Record, body{"rule": "saved"})
	}
	g.add("e_step_back", button("Back a step", cell(row, 1, 3, 0), gate(nil, body{"kind": "task", "to": "back"}), "add"))
	g.add("e_step_next", with(button("Next step", cell(row, 4, 3, 0), gate(nil, body{"kind": "task", "to": "next"}), "add"), "tone", "main"))
	g.add("e_finish", with(button("Finish", cell(row, 7, 3, 0), gate(body{"kind": "save"}, after), "add"), "tone", "main"))
	g.add("e_cancel", button("Cancel", cell(row, 11, 2, 0), with(gate(nil, body{"kind": "task", "to": "leave"}), "unsaved", "drop"), "add"))
}
