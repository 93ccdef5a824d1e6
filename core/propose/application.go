package propose

import (
	"encoding/json"
	"errors"
	"fmt"
	"slices"

	"ambergate/core/catalogue"
	"ambergate/core/project"
)

// Application is all that is proposed.
type Application struct {
	Tables   []*Table                   `json:"tables"`
	Screens  []Screen                   `json:"screens"` // the start screen first
	Ways     []Way                      `json:"ways"`
	Rail     bool                       `json:"rail"`
	Entities map[string]json.RawMessage `json:"-"` // of the project
}

// Screen is one that will be made.
type Screen struct {
	ID    string `json:"id"`
	Title string `json:"title"`
	Type  string `json:"type"`
	Note  string `json:"note"` // what it shows, or why it is not made
	Made  bool   `json:"made"`
	Table string `json:"table,omitempty"` // id
}

// Way is one that will be made, or was left out.
type Way struct {
	ID    string `json:"id"` // screen/element
	From  string `json:"from"`
	To    string `json:"to"`
	Words string `json:"words"`
	Made  bool   `json:"made"`
}

// ErrNothing means that no table was chosen, or none that is there.
var ErrNothing = errors.New("no table was chosen")

// Propose makes an application of a database as was wished. Error: ErrNothing.
func Propose(d *catalogue.Database, w Wish) (*Application, error) {
	m := &maker{wish: w, app: &Application{Screens: []Screen{}, Ways: []Way{}}, entities: body{}, ids: names{"s_start": true}, lists: map[string]string{}, forms: map[string]string{}}
	if m.app.Tables = tables(d, w); len(m.app.Tables) == 0 {
		return nil, ErrNothing
	}
	m.settings()
	m.sources()
	m.people()
	m.nameScreens()
	m.start()
	for _, t := range m.app.Tables {
		m.list(t)
		m.form(t)
	}
	m.rail()
	m.dropUnreached()
	m.app.Entities = map[string]json.RawMessage{}
	for id, e := range m.entities {
		text, err := json.Marshal(e)
		if err != nil {
			return nil, fmt.Errorf("write what is proposed: %w", err)
		}
		m.app.Entities[id] = text
	}
	return m.app, nil
}

// maker makes the entities of a project.
type maker struct {
	wish     Wish
	app      *Application
	entities body
	ids      names
	lists    map[string]string // table → its list
	forms    map[string]string // table → its form
	inputs   map[string]string // table → the input of its form that holds the record, where that is none of ours
}

func (m *maker) settings() {
	s := body{"kind": "project", "title": m.wish.Title, "slug": or(m.wish.Slug, Slug(m.wish.Title)), "zone": or(m.wish.Zone, "UTC")}
	if p := m.wish.People; p != nil {
		for _, t := range m.app.Tables {
			if f := t.byColumn(p.Column); t.Schema == p.Schema && t.Name == p.Table && f != nil && f.ID != "" {
				s["userTable"], s["userField"] = t.ID, f.ID
			}
		}
	}
	m.entities[project.SettingsID] = s
}

// sources makes one for each schema: a source is a schema of a connection.
func (m *maker) sources() {
	bySchema := map[string]string{}
	ids := names{}
	for _, t := range m.app.Tables {
		if bySchema[t.Schema] == "" {
			bySchema[t.Schema] = ids.free(id("so", t.Schema), "_")
			m.entities[bySchema[t.Schema]] = body{"kind": "source", "name": Label(t.Schema) + " in " + m.wish.Connection, "type": "postgresql", "connection": m.wish.Connection, "schema": t.Schema}
		}
		t.Body.Source = bySchema[t.Schema]
		m.entities[t.ID] = t.Body
	}
}

// people makes the roles, and what they may do with each table.
func (m *maker) people() {
	m.entities[everyone] = body{"kind": "role", "pos": 2, "name": "Everyone here", "start": "s_start"}
	if m.edits() {
		m.entities[editors] = body{"kind": "role", "pos": 1, "name": "Editors", "start": "s_start"}
	}
	grants := names{}
	for _, t := range m.app.Tables {
		m.entities[grants.free(id("gr", "all_"+t.ID[2:]), "_")] = body{"kind": "grant", "role": everyone, "table": t.ID, "view": true}
		if !m.edits() {
			continue
		}
		g := body{"kind": "grant", "role": editors, "table": t.ID, "view": true}
		for verb, may := range map[string]bool{"add": t.mayAdd(), "edit": t.mayEdit(), "delete": t.mayDelete()} {
			if may {
				g[verb] = true
			}
		}
		m.entities[grants.free(id("gr", "edit_"+t.ID[2:]), "_")] = g
	}
}

func (m *maker) edits() bool { return !m.wish.NoEditors }

// changes says whether records of the table can be changed at all: by their key, and not through a view.
func (t *Table) changes() bool { return len(t.Body.Key) > 0 && !t.Body.View }

func (t *Table) mayEdit() bool {
	return t.changes() && t.from.Update && !t.Link && len(t.fieldsWhere(func(f *Field, c *project.Column) bool { return !c.ReadOnly })) > 0
}
func (t *Table) mayDelete() bool { return t.changes() && t.from.Delete }

// mayAdd says whether a record can be added with what is taken in: nothing else needs a value.
func (t *Table) mayAdd() bool {
	if !t.changes() || !t.from.Insert {
		return false
	}
	return !slices.ContainsFunc(t.Fields, func(f *Field) bool {
		c := f.from
		needed := c.NotNull && c.Default == "" && !c.Identity && !c.Generated
		return needed && (f.ID == "" || t.Body.Fields[f.ID].ReadOnly)
	})
}

// nameScreens gives every table that gets them its list and its form, before any of them leads to another.
func (m *maker) nameScreens() {
	for _, t := range m.app.Tables {
		if !t.Link {
			if list := m.ids.free(id("s", t.Body.Label), "_"); !m.leftOut(list) {
				m.lists[t.ID] = list
			}
		}
		if len(t.Body.Key) > 0 && (!t.Link || m.edits() && t.mayAdd()) {
			if form := m.ids.free(id("s", t.Body.One), "_"); !m.leftOut(form) {
				m.forms[t.ID] = form
			}
		}
	}
}

func (m *maker) leftOut(id string) bool { return slices.Contains(m.wish.LeaveOut, id) }

// way tells of one that will be made; false when it was left out.
func (m *maker) way(screen, element, to, words string) bool {
	id := screen + "/" + element
	made := !m.leftOut(id)
	m.app.Ways = append(m.app.Ways, Way{ID: id, From: screen, To: to, Words: words, Made: made})
	return made
}

// screen keeps one.
func (m *maker) screen(s Screen, b body) {
	slugs := names{}
	for _, e := range m.entities {
		if other, is := e.(body); is && other["kind"] == "screen" {
			slugs[other["slug"].(string)] = true
		}
	}
	slug := Slug(s.Title)
	if s.ID == "s_start" {
		slug = "start" // an application called as one of its tables leaves the address to that
	}
	b["kind"], b["type"], b["title"], b["slug"] = "screen", s.Type, s.Title, slugs.free(slug, "-")
	m.entities[s.ID] = b
	s.Made = true
	m.app.Screens = append(m.app.Screens, s)
}

// dropUnreached takes out screens that nothing leads to any more, since others were left out.
func (m *maker) dropUnreached() {
	reached := map[string]bool{"s_start": true}
	for grown := true; grown; {
		grown = false
		for _, w := range m.app.Ways {
			if w.Made && reached[w.From] && !reached[w.To] {
				reached[w.To], grown = true, true
			}
		}
	}
	for i, s := range m.app.Screens {
		if !reached[s.ID] {
			m.app.Screens[i].Made, m.app.Screens[i].Note = false, "nothing would lead to it"
			delete(m.entities, s.ID)
		}
	}
	for i, w := range m.app.Ways {
		m.app.Ways[i].Made = w.Made && reached[w.From] && reached[w.To]
	}
}
