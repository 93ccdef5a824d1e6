package propose

import (
	"fmt"
	"maps"
	"slices"
	"strings"

	"ambergate/core/catalogue"
	"ambergate/core/english"
	"ambergate/core/patch"
	"ambergate/core/project"
)

// Later is what would be added to a project for a table that it has.
type Later struct {
	Words  []string   `json:"words"`            // what would be made, a sentence each
	Patch  []patch.Op `json:"patch"`            // none where there is nothing to make
	Screen string     `json:"screen,omitempty"` // that is opened then
}

// later is a project that screens are added to.
type later struct {
	p     *project.Project
	out   Later
	slugs names
}

func newLater(p *project.Project) *later {
	l := &later{p: p, out: Later{Words: []string{}, Patch: []patch.Op{}}, slugs: names{}}
	for _, s := range p.Screens {
		l.slugs[s.Slug] = true
	}
	return l
}

func (l *later) say(format string, args ...any) {
	l.out.Words = append(l.out.Words, fmt.Sprintf(format, args...))
}

// start is the screen that most begin at: that of the last role, which everybody has in what was proposed.
func (l *later) start() *project.Screen {
	var last *project.Role
	for _, r := range l.p.Roles {
		if last == nil || r.Pos > last.Pos {
			last = r
		}
	}
	if last == nil {
		return nil
	}
	return l.p.Screens[last.Start]
}

// sign puts a button that leads to a new screen on the start screen; where a record of a table is to be added, for those who may.
func (l *later) sign(words, screen string, adds ...string) {
	start := l.start()
	if start == nil {
		l.say("Nothing leads to it yet: let a button do so.")
		return
	}
	element := "e_to_" + strings.TrimPrefix(screen, "s_")
	for start.Elements[element] != nil {
		element += "_"
	}
	move := to(screen, "", nil)
	way := gate(nil, move)
	if len(adds) > 0 {
		move["mode"], way["roles"] = "add", editing{adds[0], mayAdd}
	}
	sign := with(with(button(words, cell(below(start), 1, 4, 2), way), "tone", "sign"), "pos", lastPos(start)+1)
	if l.p.Roles[editors] == nil {
		forThose(l.p, sign)
	}
	l.out.Patch = append(l.out.Patch, patch.Op{Op: "add", Path: "/" + start.ID + "/elements/" + element, Value: encoded(sign)})
	l.say("On “%s”, a sign “%s” leads there.", start.Title, words)
}

func (l *later) add(id string, b body) {
	b["slug"] = l.slugs.free(b["slug"].(string), "-")
	if b["up"] == "s_start" && l.p.Screens["s_start"] == nil {
		delete(b, "up")
		if start := l.start(); start != nil {
			b["up"] = start.ID
		}
	}
	if l.p.Roles[editors] == nil {
		forThose(l.p, b)
	}
	l.out.Patch = append(l.out.Patch, patch.Op{Op: "add", Path: "/" + id, Value: encoded(b)})
}

// listOf is a screen that lists the records of a table, with its list; nil for none.
func (l *later) listOf(table string) (*project.Screen, *project.Element) {
	for _, id := range slices.Sorted(maps.Keys(l.p.Screens)) {
		s := l.p.Screens[id]
		if main := s.MainList(); s.Type == "list" && main != nil && project.ListOf(main).Table == table {
			return s, main
		}
	}
	return nil, nil
}

func formOf(p *project.Project, table string) *project.Screen {
	for _, id := range slices.Sorted(maps.Keys(p.Screens)) {
		s := p.Screens[id]
		if in := s.Inputs[s.Record]; s.Type == "form" && in != nil && in.Table == table {
			return s
		}
	}
	return nil
}

// makerOf gives what makes screens for tables of a project as if they were proposed just now, and the table that is
// meant; nil where its database has it no more.
func (l *later) makerOf(table string, d *catalogue.Database) (m *maker, own *Table) {
	m = &maker{app: &Application{}, entities: body{}, ids: names{}, lists: map[string]string{}, forms: map[string]string{}, inputs: map[string]string{}}
	for id := range l.p.Screens {
		m.ids[id] = true
	}
	for _, id := range slices.Sorted(maps.Keys(l.p.Tables)) {
		t := asProposed(l.p, id, d)
		if t == nil {
			continue
		}
		m.app.Tables = append(m.app.Tables, t)
		if form := formOf(l.p, id); form != nil {
			m.forms[id], m.inputs[id] = form.ID, form.Record
		}
		if id == table {
			own = t
		}
	}
	if own == nil {
		l.say("The database has this table no more, or is another one.")
	}
	return m, own
}

// ScreensFor makes the list and the form of a table, as far as the project has none of that kind. d is its database.
func ScreensFor(p *project.Project, table string, d *catalogue.Database) Later {
	l := newLater(p)
	m, own := l.makerOf(table, d)
	if own == nil {
		return l.out
	}
	list, element := l.listOf(table)
	form := m.forms[table]
	if form == "" && len(own.Body.Key) > 0 {
		m.forms[table] = m.ids.free(id("s", own.Body.One), "_")
	}
	if list != nil {
		m.lists[table] = list.ID
	} else {
		m.lists[table] = m.ids.free(id("s", own.Body.Label), "_")
		m.list(own)
		l.say("A list of %s, each opened by its row.", english.Lower(own.Body.Label))
	}
	if form == "" && m.forms[table] != "" {
		m.form(own)
		l.say("A form of one %s, with %s.", english.Lower(own.Body.One), strings.TrimPrefix(m.app.Screens[len(m.app.Screens)-1].Note, "form, "))
	}
	l.take(m)
	switch {
	case len(m.app.Screens) == 0:
		l.say("“%s” and the form of one %s are there already.", list.Title, english.Lower(own.Body.One))
	case list == nil:
		l.sign(own.Body.Label, m.lists[table])
	case project.ListOf(element).Opened == nil:
		opened := gate(nil, to(m.forms[table], m.input(own), body{"rule": "row"}))
		l.out.Patch = append(l.out.Patch, patch.Op{Op: "add", Path: "/" + list.ID + "/elements/" + element.ID + "/opened", Value: encoded(opened)})
		l.say("A row of “%s” opens it.", list.Title)
	}
	return l.out
}

// asProposed gives a table of the project as if it were proposed just now, without a change to it; nil for one of
// another database, or that is gone.
func asProposed(p *project.Project, id string, d *catalogue.Database) *Table {
	b := p.Tables[id]
	source := p.Sources[b.Source]
	if source == nil {
		return nil
	}
	from := d.Find(source.Schema, b.Relation)
	if from == nil {
		return nil
	}
	t := &Table{ID: id, Schema: source.Schema, Name: b.Relation, Label: b.Label, One: b.One, Body: b, Rows: from.Rows, from: from, wish: &TableWish{}}
	var title *Field
	for _, fieldID := range byPos(b.Fields, func(c *project.Column) float64 { return c.Pos }) {
		c := b.Fields[fieldID]
		column := from.Column(c.Column)
		if column == nil {
			continue
		}
		f := &Field{ID: fieldID, Column: c.Column, Label: c.Label, from: column}
		t.Fields = append(t.Fields, f)
		if title == nil && (strings.Contains(b.Title, "record."+c.Alias+"}") || strings.Contains(b.Title, "record."+fieldID+"}")) {
			title, t.Title = f, c.Column
		}
	}
	t.Link = t.joinsTwo()
	t.chooseList(title)
	return t
}

// What a dashboard shows at most.
const (
	choicesCharted = 4
	monthsCharted  = 24
)

// DashboardFor makes a screen that counts the records of a table: by their choices, by what they belong to and by
// month, each chart narrowing all others, with the records themselves below.
func DashboardFor(p *project.Project, table string) Later {
	l := newLater(p)
	t := p.Tables[table]
	screen := free(p.Screens, id("s", t.Label+" figures"))
	m := dashboardMaker{later: l, t: t, screen: screen, elements: body{}, inputs: body{}, row: 1}
	m.charts()
	if len(m.inputs) == 0 {
		l.say("No field of %s has choices, a date or a relation: there is nothing to count by.", english.Lower(t.Label))
		return l.out
	}
	m.list()
	title := t.Label + " in figures"
	l.add(screen, body{"kind": "screen", "type": "dashboard", "title": title, "slug": Slug(title), "up": "s_start", "inputs": m.inputs, "elements": m.elements})
	l.say("Below them stand the %s that they let through.", english.Lower(t.Label))
	l.sign(title, screen)
	l.out.Screen = screen
	return l.out
}

type dashboardMaker struct {
	*later
	t        *project.Table
	screen   string
	elements body
	inputs   body
	row, pos int
	clear    []string // conditions: something narrows it
}

func (m *dashboardMaker) element(id string, e body) {
	m.pos++
	m.elements[id] = with(e, "pos", m.pos)
}

func (m *dashboardMaker) charts() {
	var charted []string
	var month string
	for _, id := range byPos(m.t.Fields, func(c *project.Column) float64 { return c.Pos }) {
		c := m.t.Fields[id]
		switch {
		case (len(c.Choices) > 0 || c.Type == "yesno" || c.Type == "record") && len(charted) < choicesCharted:
			charted = append(charted, id)
		case month == "" && (c.Type == "date" || c.Type == "moment"):
			month = id
		}
	}
	if len(charted) == 0 && month == "" {
		return
	}
	m.row++ // the first row is for showing all again
	for i, id := range charted {
		w, col := 6, 1+i%2*6
		if i == len(charted)-1 && i%2 == 0 {
			w = 12
		}
		m.chart(id, cell(m.row, col, w, 6))
		if i%2 == 1 || w == 12 {
			m.row += 6
		}
	}
	if month != "" {
		m.months(month)
	}
	all := with(gate(body{"kind": "clear", "all": true}, nil), "while", strings.Join(m.clear, " || "))
	m.element("e_all", button("Show all", cell(1, 11, 2, 0), with(all, "otherwise", body{"grey": "All is shown."})))
	m.element("e_note", body{"kind": "text", "style": "note", "words": "Choose a bar to see just that; choose it again to see all.", "cell": cell(1, 1, 9, 0)})
}

func (m *dashboardMaker) input(id string, in body) {
	in["pos"] = len(m.inputs) + 1
	m.inputs[id] = in
	m.clear = append(m.clear, "inputs."+id+" != null")
}

func (m *dashboardMaker) chart(field string, at body) {
	c := m.t.Fields[field]
	in := "i_" + strings.TrimPrefix(field, "f_")
	one := body{"alias": alias(c.Alias), "label": c.Label, "type": c.Type, "filter": ofAlone(m.t, field)}
	if c.Type == "record" {
		one["table"] = c.References
	}
	m.input(in, one)
	chosen := gate(nil, to(m.screen, in, body{"rule": "point"}))
	m.element("e_by_"+strings.TrimPrefix(field, "f_"), body{"kind": "chart", "label": m.t.Label + " by " + english.Lower(c.Label), "table": m.t.ID, "by": field, "chosen": chosen, "cell": at})
	m.say("A chart of %s by %s.", english.Lower(m.t.Label), english.Lower(c.Label))
}

// ofAlone is the path of a field of one table alone, since fields of other tables may have the same id; but for one that
// holds a record, which narrows whatever holds such a one.
func ofAlone(t *project.Table, field string) string {
	if t.Fields[field].References != "" {
		return field
	}
	return t.ID + ":" + field
}

func (m *dashboardMaker) months(field string) {
	c := m.t.Fields[field]
	m.input("i_from", body{"alias": "from", "label": "From", "type": "date", "filter": ofAlone(m.t, field), "compare": "atLeast"})
	m.input("i_to", body{"alias": "to", "label": "To", "type": "date", "filter": ofAlone(m.t, field), "compare": "atMost"})
	move := to(m.screen, "i_from", body{"rule": "point"})
	move["bind"].(body)["i_to"] = body{"rule": "point", "value": "end"}
	m.element("e_months", body{"kind": "chart", "label": m.t.Label + " by month: " + english.Lower(c.Label), "table": m.t.ID, "by": field, "span": "month", "points": monthsCharted, "chosen": gate(nil, move), "cell": cell(m.row, 1, 12, 6)})
	m.row += 6
	m.say("A chart of %s by month, as “%s” says.", english.Lower(m.t.Label), c.Label)
}

func (m *dashboardMaker) list() {
	list := listOf(m.p, m.t.ID, "", m.t.Label)
	m.element("e_list", with(with(list, "rows", 20), "cell", cell(m.row, 1, 12, 8)))
}

// listOf is a list of a table's records with the columns that tell most, each row opened by the form of one, if there
// is one. The field that every row has in common is left out.
func listOf(p *project.Project, table, but, label string) body {
	t := p.Tables[table]
	columns, n := body{}, 0
	for _, id := range byPos(t.Fields, func(c *project.Column) float64 { return c.Pos }) {
		if c := t.Fields[id]; n < inLists && id != but && !c.Long && c.Type != "json" && c.Type != "picture" && !(t.IsKey(id) && c.ReadOnly) {
			n++
			columns[fmt.Sprintf("k_%d", n)] = body{"pos": n, "path": id}
		}
	}
	list := body{"kind": "list", "label": label, "table": table, "columns": columns}
	if form := formOf(p, table); form != nil {
		list["opened"] = gate(nil, to(form.ID, form.Record, body{"rule": "row"}))
	}
	return list
}

// OperatorFor makes an operator screen that shows the equipment of one record of a table.
func OperatorFor(p *project.Project, table string) Later {
	l := newLater(p)
	eq := p.EquipmentOf(table)
	if eq == nil {
		l.say("%s have no equipment in a plant.", p.Tables[table].Label)
		return l.out
	}
	m := equipmentMaker{p: p, out: &Equipment{}, table: p.Tables[table], ranges: map[*project.Tag][2]float64{}}
	values := 0
	for _, part := range eq.Parts {
		for _, t := range part.Tags {
			values++
			if t.Min != nil && t.Max != nil && *t.Min < *t.Max {
				m.ranges[t] = [2]float64{*t.Min, *t.Max}
			}
		}
	}
	m.screen(eq)
	l.say("An operator screen of one %s, with its %d values; nothing on it writes to the plant.", english.Lower(m.table.One), values)
	if form := formOf(p, table); form != nil {
		l.say("On “%s”, a button “Plant” leads there.", form.Title)
	}
	l.out.Words = append(l.out.Words, m.out.Notes...)
	l.out.Patch, l.out.Screen = m.out.Patch, m.out.Screen
	return l.out
}
