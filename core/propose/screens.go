package propose

import (
	"fmt"

	"ambergate/core/english"
	"ambergate/core/project"
)

// form makes the screen of one record of a table.
func (m *maker) form(t *Table) {
	screen := m.forms[t.ID]
	if screen == "" {
		return
	}
	f := formMaker{maker: m, t: t, screen: screen, elements: body{}, ids: buttonIDs(), row: 1}
	f.fields()
	f.buttons()
	note := "form"
	if !t.Link {
		note += f.children()
	}
	up := m.lists[t.ID]
	if up == "" {
		up = "s_start"
	}
	own := f.input(t)
	b := body{"heading": english.Capital(t.Body.One) + " " + t.headingTitle(), "record": own, "up": up, "position": true, "elements": f.elements,
		"inputs": body{own: body{"pos": 1, "alias": alias(t.Body.One), "label": english.Capital(t.Body.One), "type": "record", "table": t.ID, "required": true}}}
	if t.Link {
		delete(b, "position")
	}
	m.screen(Screen{ID: screen, Title: english.Capital(t.Body.One), Type: "form", Note: note, Table: t.ID}, b)
}

// headingTitle is the record's title without the word that the heading begins with.
func (t *Table) headingTitle() string {
	if key := english.Capital(t.Body.One) + " "; len(t.Body.Title) > len(key) && t.Body.Title[:len(key)] == key {
		return t.Body.Title[len(key):]
	}
	return t.Body.Title
}

type formMaker struct {
	*maker
	t        *Table
	screen   string
	elements body
	ids      names
	row, pos int
}

func (f *formMaker) add(id string, e body) {
	f.pos++
	e["pos"] = f.pos
	f.elements[id] = e
}

// buttonIDs are the ids that the buttons of a form have, which no field may take.
func buttonIDs() names {
	return names{"e_edit": true, "e_save": true, "e_cancel": true, "e_leave": true, "e_previous": true, "e_next": true, "e_delete": true}
}

// fields puts them three beside each other, long ones alone.
func (f *formMaker) fields() {
	col := 1
	for _, one := range f.t.fieldsWhere(func(x *Field, c *project.Column) bool { return !(f.t.isKey(x) && c.ReadOnly && c.Type == "whole") }) {
		c := f.t.Body.Fields[one.ID]
		w := 4
		if c.Long || c.Type == "json" || c.Type == "picture" {
			w = 12
		}
		if col+w > 13 {
			f.row, col = f.row+1, 1
		}
		element := f.ids.free(id("e", one.ID[2:]), "_")
		e := body{"kind": "field", "path": one.ID, "cell": cell(f.row, col, w, 0)}
		if form := f.forms[c.References]; c.References != "" && form != "" && !f.t.Link {
			parent := f.table(c.References)
			if f.way(f.screen, element, form, "“"+one.Label+"” is pressed") {
				e["gate"] = gate(nil, to(form, f.input(parent), body{"rule": "parent", "path": one.ID, "none": "grey", "reason": "There is none."}))
			}
		}
		f.add(element, e)
		col += w
	}
	f.row++
}

func (f *formMaker) table(id string) *Table {
	for _, t := range f.app.Tables {
		if t.ID == id {
			return t
		}
	}
	return nil
}

// buttons puts what is done with the record into one row.
func (f *formMaker) buttons() {
	t, own := f.t, f.input(f.t)
	self := func(rule string) body { return with(to(f.screen, own, body{"rule": rule}), "as", "replace") }
	if f.edits() && t.mayEdit() {
		edit := button("Edit", cell(f.row, 1, 2, 0), forEditors(t, mayEdit, gate(nil, with(self("this"), "mode", "edit"))), "view")
		f.add("e_edit", with(edit, "tone", "main"))
	}
	if f.edits() && (t.mayEdit() || t.mayAdd()) {
		after := self("saved")
		if t.Link {
			after = body{"kind": "back"}
		}
		f.add("e_save", with(button("Save", cell(f.row, 1, 2, 0), forEditors(t, mayKeep, gate(body{"kind": "save"}, after)), "edit", "add"), "tone", "main"))
		f.add("e_cancel", button("Cancel", cell(f.row, 3, 2, 0), with(gate(nil, self("this")), "unsaved", "drop"), "edit"))
		f.add("e_leave", button("Cancel", cell(f.row, 3, 2, 0), with(gate(nil, body{"kind": "back"}), "unsaved", "drop"), "add"))
	}
	if t.Link {
		f.row++
		return
	}
	f.add("e_previous", with(button("Previous", cell(f.row, 3, 2, 0), gate(nil, body{"kind": "step", "step": "previous"}), "view"), "icon", "back"))
	f.add("e_next", with(button("Next", cell(f.row, 5, 2, 0), gate(nil, body{"kind": "step", "step": "next"}), "view"), "icon", "forward"))
	if f.edits() && t.mayDelete() {
		f.add("e_delete", button("Delete", cell(f.row, 11, 2, 0), with(forEditors(t, mayDelete, gate(body{"kind": "delete"}, nil)), "confirm", "Delete "+t.Body.Title+"?"), "view"))
	}
	f.row++
}

// children puts a list of each table whose records name this one, with a button that adds one.
func (f *formMaker) children() (note string) {
	for _, child := range f.app.Tables {
		relations := child.fieldsWhere(func(_ *Field, c *project.Column) bool { return c.References == f.t.ID })
		for _, relation := range relations {
			label := child.Body.Label
			if other := f.joined(child, relation); other != nil {
				label = other.Body.Label // what joins two tables is seen as the other one
			} else if len(relations) > 1 || child == f.t {
				label += ", " + english.Lower(relation.Label)
			}
			element := f.ids.free(id("e", child.ID[2:]+"_"+relation.ID[2:]), "_")
			if f.leftOut(f.screen + "/" + element) {
				continue
			}
			f.childList(child, relation, label, element)
			note += ", " + english.Lower(label)
		}
	}
	return note
}

func (f *formMaker) childList(child *Table, relation *Field, label, element string) {
	list := body{"kind": "list", "label": label, "table": child.ID, "relation": relation.ID, "columns": child.columns(relation.ID), "rows": 10, "cell": cell(f.row, 1, 12, 5), "modes": body{"view": true}}
	if target, bind := f.childOpens(child, relation); target != nil && f.way(f.screen, element, f.forms[target.ID], "a row of “"+label+"” is opened") {
		list["opened"] = gate(nil, to(f.forms[target.ID], f.input(target), bind))
	}
	if child.Link && f.edits() && child.mayDelete() {
		list["several"] = body{"v_remove": body{"pos": 1, "words": "Remove", "gate": forEditors(child, mayDelete, gate(body{"kind": "delete"}, nil))}}
	}
	f.add(element, list)
	f.row += 5
	one := child.Body.One
	if other := f.joined(child, relation); other != nil {
		one = other.Body.One
	}
	form, adder := f.forms[child.ID], f.ids.free(id("e", "add_"+element[2:]), "_")
	if form != "" && f.edits() && child.mayAdd() && f.way(f.screen, adder, form, "“Add "+english.Lower(one)+"”, for this "+english.Lower(f.t.Body.One)) {
		move := with(with(to(form, "", nil), "mode", "add"), "set", body{relation.ID: "record"})
		add := button("Add "+english.Lower(one), cell(f.row, 1, 3, 0), forEditors(child, mayAdd, gate(nil, move)), "view")
		f.add(adder, with(add, "icon", "plus"))
		f.row++
	}
}

// childOpens gives what a row of a child list opens: the child, or what it joins to this one.
func (f *formMaker) childOpens(child *Table, relation *Field) (target *Table, bind body) {
	if !child.Link {
		if f.forms[child.ID] == "" {
			return nil, nil
		}
		return child, body{"rule": "row"}
	}
	for _, other := range child.fieldsWhere(func(_ *Field, c *project.Column) bool { return c.Type == "record" }) {
		if parent := f.table(child.Body.Fields[other.ID].References); other != relation && f.forms[parent.ID] != "" {
			return parent, body{"rule": "parent", "from": "row", "path": other.ID}
		}
	}
	return nil, nil
}

// joined gives the table that a link joins to this one; nil for a child of its own.
func (f *formMaker) joined(child *Table, relation *Field) *Table {
	if !child.Link {
		return nil
	}
	for _, other := range child.fieldsWhere(func(_ *Field, c *project.Column) bool { return c.Type == "record" }) {
		if other != relation {
			return f.table(child.Body.Fields[other.ID].References)
		}
	}
	return nil
}

// columns are those that a list of the table shows, without one that says the same in every row.
func (t *Table) columns(but string) body {
	out := body{}
	for _, f := range t.Fields {
		if !f.InList || f.ID == "" || f.ID == but {
			continue
		}
		n := len(out) + 1
		c := body{"pos": n, "path": f.ID, "width": 1}
		if f.Column == t.Title {
			c["width"] = 1.6
		}
		out[fmt.Sprintf("k_%d", n)] = c
	}
	if len(out) == 0 { // what joins two tables shows the other one
		for _, f := range t.fieldsWhere(func(f *Field, _ *project.Column) bool { return f.ID != but })[:1] {
			out["k_1"] = body{"pos": 1, "path": f.ID}
		}
	}
	return out
}

// list makes the screen that lists the records of a table.
func (m *maker) list(t *Table) {
	screen := m.lists[t.ID]
	if screen == "" {
		return
	}
	elements := body{}
	form := m.forms[t.ID]
	top := 1
	if form != "" && m.edits() && t.mayAdd() && m.way(screen, "e_new", form, "“New "+english.Lower(t.Body.One)+"”") {
		add := button("New "+english.Lower(t.Body.One), cell(1, 1, 3, 0), forEditors(t, mayAdd, gate(nil, with(to(form, "", nil), "mode", "add"))))
		elements["e_new"] = with(with(with(add, "pos", 1), "tone", "main"), "icon", "plus")
		top = 2
	}
	list := body{"kind": "list", "pos": 2, "table": t.ID, "columns": t.columns(""), "cell": cell(top, 1, 12, 14)}
	if form != "" && m.way(screen, "e_list", form, "a row is opened") {
		list["opened"] = gate(nil, to(form, m.input(t), body{"rule": "row"}))
	}
	elements["e_list"] = list
	m.screen(Screen{ID: screen, Title: t.Body.Label, Type: "list", Note: "list", Table: t.ID}, body{"up": "s_start", "elements": elements})
}

// input is the id of the input that holds a form's own record: that of a form that is there already, or of a new one.
func (m *maker) input(t *Table) string { return or(m.inputs[t.ID], id("i", t.ID[2:])) }
