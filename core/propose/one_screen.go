package propose

import (
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
