package propose

import (
	"fmt"

	"ambergate/core/english"
	"ambergate/core/project"
)

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
