package use

import (
	"net/url"
	"slices"
	"strings"
	"time"

	"ambergate/core/ask"
	"ambergate/core/cond"
	"ambergate/core/plan"
	"ambergate/core/project"
)

// RefOf gives the node of the plant that a path names, of equipment or of the plant as a whole; false where there
// is none.
func (o *Opening) RefOf(p *cond.Path) (ask.TagRef, bool) {
	ref, _, ok := o.refAndTag(p)
	return ref, ok
}

// refAndTag finds the node that a path names for what is open.
func (o *Opening) refAndTag(p *cond.Path) (ask.TagRef, *project.Tag, bool) {
	return o.World.RefAndTag(p)
}

// RefAndTag gives the node that a path names, with its tag; false where there is none.
func (w *World) RefAndTag(p *cond.Path) (ask.TagRef, *project.Tag, bool) {
	if p.Root == project.TagRoot {
		ref, tag := PlantTagOf(w.App, p.First())
		return ref, tag, tag != nil
	}
	row, segs := w.source(p)
	i := slices.Index(segs, project.EquipField)
	if row == nil || i < 0 {
		return ask.TagRef{}, nil, false
	}
	ref, tag, _ := TagOf(w.App, row, segs[:i], segs[i+1:])
	return ref, tag, tag != nil
}

// World gives the expressions of one screen their values: everything was fetched before.
type World struct {
	App       *plan.App
	User      *ask.User
	Moment    time.Time
	Record    *ask.Row
	Row       *ask.Row
	Inputs    map[string]cond.Value
	InputRows map[string]*ask.Row
	UserRow   *ask.Row
	Vars      map[string]cond.Value // what the tab and the place keep
	varRows   map[string]*ask.Row
	tags      ask.Tags
	onTime    func()
	Added     map[string]string // table → key of the record that this press added to it
	asks      *Pick             // inside a shared gate: the record it is given is asked for first
	given     bool              // inside a shared gate: its inputs are what it is given, not the screen's
}

// HasRole says whether the user has a role.
func (w *World) HasRole(role string) bool { return w.User.Roles[role] }

// Now is the moment of the request.
func (w *World) Now() time.Time {
	if w.onTime != nil {
		w.onTime()
	}
	return w.Moment
}

// Value gives a path's value from what was fetched.
func (w *World) Value(p *cond.Path) cond.Value {
	switch p.Root {
	case "record":
		return w.From(w.Record, p.Segs, p.Key)
	case "row":
		return w.From(w.Row, p.Segs, p.Key)
	case "inputs":
		v, ok := w.Inputs[p.First()]
		if !ok {
			return cond.UnknownBecause("this input is not given")
		}
		if len(p.Segs) == 1 || v.IsNull() {
			return v
		}
		return w.From(w.InputRows[p.Segs[0]], p.Segs[1:], strings.Join(p.Segs[1:], "."))
	case "vars":
		v, ok := w.Vars[p.First()]
		if !ok {
			return cond.UnknownBecause("this variable is not kept here")
		}
		if len(p.Segs) == 1 || v.IsNull() {
			return v
		}
		return w.From(w.varRows[p.Segs[0]], p.Segs[1:], strings.Join(p.Segs[1:], "."))
	case project.TagRoot:
		ref, tag := PlantTagOf(w.App, p.First())
		return w.read(ref, tag, "this value is gone from the plant")
	case "user":
		return w.User.Value(p, func(segs []string) cond.Value { return w.From(w.UserRow, segs, strings.Join(segs, ".")) })
	}
	return cond.UnknownBecause(p.Root + " is not available here")
}

// From gives a value of a record by its path, under its key in what was fetched.
func (w *World) From(row *ask.Row, segs []string, key string) cond.Value {
	if row == nil {
		return cond.UnknownBecause("there is no record")
	}
	if len(segs) == 0 {
		return cond.Key(row.Key)
	}
	if v, ok := row.Values[key]; ok {
		return v
	}
	if i := slices.Index(segs, project.EquipField); i >= 0 {
		return w.tag(row, segs[:i], segs[i+1:])
	}
	return cond.UnknownBecause("this value was not fetched")
}

func (w *World) tag(row *ask.Row, prefix, names []string) cond.Value {
	ref, tag, why := TagOf(w.App, row, prefix, names)
	return w.read(ref, tag, why)
}

// read gives what a tag is now; why says what is wrong where there is none.
func (w *World) read(ref ask.TagRef, tag *project.Tag, why string) cond.Value {
	if tag == nil {
		return cond.UnknownBecause(why)
	}
	if w.tags == nil {
		return cond.UnknownBecause("no plant is connected")
	}
	return w.tags.Read(ref).Value
}

// Reading gives what a tag is now, and whether it is being written.
func (w *World) Reading(p *cond.Path) ask.Reading {
	ref, _, ok := w.RefAndTag(p)
	if !ok || w.tags == nil {
		return ask.Reading{Value: w.Value(p)}
	}
	return w.tags.Read(ref)
}

// PlantTagOf gives the node behind a value of the plant as a whole; no tag where it is gone.
func PlantTagOf(a *plan.App, id string) (ask.TagRef, *project.Tag) {
	t := a.Project.Tags[id]
	if t == nil {
		return ask.TagRef{}, nil
	}
	return ask.TagRef{Source: t.Source, Node: t.Node}, &t.Tag
}

// TagOf works out which node of which source a path of equipment names, for one record.
func TagOf(a *plan.App, row *ask.Row, prefix, names []string) (ask.TagRef, *project.Tag, string) {
	table := row.Table
	if len(prefix) > 0 {
		f, _ := a.Project.FieldAt(table, strings.Join(prefix, "."))
		if f == nil {
			return ask.TagRef{}, nil, "the relation is gone"
		}
		table = f.References
	}
	e := a.Project.EquipmentOf(table)
	t := a.Project.Tables[table]
	if e == nil || t == nil || len(names) != 2 || e.Parts[names[0]] == nil || e.Parts[names[0]].Tags[names[1]] == nil {
		return ask.TagRef{}, nil, "this value is gone from the equipment"
	}
	tag := e.Parts[names[0]].Tags[names[1]]
	node, why := nodeOf(t, row, prefix, tag.Node)
	if why != "" {
		return ask.TagRef{}, nil, why
	}
	return ask.TagRef{Source: e.Source, Node: node}, tag, ""
}

// BeatOf gives the node that is counted up while a tag is held; "" for none.
func (w *World) BeatOf(p *cond.Path) string {
	_, tag, ok := w.RefAndTag(p)
	if !ok || tag.Watchdog == nil || tag.Watchdog.Beat == "" {
		return ""
	}
	if p.Root == project.TagRoot {
		return tag.Watchdog.Beat
	}
	row, segs := w.source(p)
	prefix, table := segs[:slices.Index(segs, project.EquipField)], row.Table
	if f, _ := w.App.Project.FieldAt(table, strings.Join(prefix, ".")); f != nil {
		table = f.References
	}
	beat, _ := nodeOf(w.App.Project.Tables[table], row, prefix, tag.Watchdog.Beat) // the tag's own was filled by the same record
	return beat
}

// nodeOf fills the fields of a record into the template of a node; or says what is missing.
func nodeOf(t *project.Table, row *ask.Row, prefix []string, node string) (filled, why string) {
	for _, f := range t.Fields {
		name := "{" + f.ID + "}" // by its id, which no rename changes; by its alias in documents from before
		if !strings.Contains(node, name) {
			name = "{" + f.Alias + "}"
		}
		if !strings.Contains(node, name) {
			continue
		}
		v, ok := row.Values[project.JoinPath(strings.Join(prefix, "."), f.ID)]
		if !ok || !v.Known() || v.IsNull() {
			return "", "the record does not say which equipment it is"
		}
		// Simple expansion of RFC 6570: everything but unreserved characters is encoded.
		node = strings.ReplaceAll(node, name, strings.ReplaceAll(url.QueryEscape(v.Wire()), "+", "%20"))
	}
	return node, ""
}

// TagRefs gives the live values that a screen shows or decides by, for what is open on it.
func (o *Opening) TagRefs() []ask.TagRef {
	seen := map[ask.TagRef]bool{}
	var out []ask.TagRef
	for _, p := range o.Plan.Tags {
		if ref, ok := o.RefOf(p); ok && !seen[ref] {
			seen[ref] = true
			out = append(out, ref)
		}
	}
	return out
}

// unread is a plant of which nothing was read yet.
type unread struct{}

// Read says so.
func (unread) Read(ask.TagRef) ask.Reading {
	return ask.Reading{Value: cond.UnknownBecause("it was not read yet")}
}

// Unread gives the screen as it is before any live value: what is drawn otherwise from it shows or depends on one.
func (o *Opening) Unread() *Opening {
	out, world := *o, *o.World
	world.tags = unread{}
	out.World = &world
	return &out
}

// AllRead says whether each live value of the screen is known now.
func (o *Opening) AllRead() bool {
	if o.World.tags == nil {
		return len(o.Plan.Tags) == 0
	}
	return !slices.ContainsFunc(o.TagRefs(), func(ref ask.TagRef) bool { return !o.World.tags.Read(ref).Value.Known() })
}

// source gives the record that a path begins at, and what of the path is left from there; no record
// for the row of a list, which is another each time.
func (w *World) source(p *cond.Path) (*ask.Row, []string) {
	switch p.Root {
	case "record":
		return w.Record, p.Segs
	case "inputs":
		return w.InputRows[p.First()], p.Rest()
	case "vars":
		return w.varRows[p.First()], p.Rest()
	case "user":
		return w.UserRow, p.Rest()
	}
	return nil, p.Segs
}

// NameOf gives the title of the record that a path leads to, as far as it was fetched.
func (w *World) NameOf(p *cond.Path) string {
	row, segs := w.source(p)
	if p.Root == "row" {
		row = w.Row
	}
	if row == nil {
		return ""
	}
	return w.Title(row, p.Type.Table, strings.Join(segs, "."))
}

// prefixed sees a record through a relation of another: for titles of parents.
type prefixed struct {
	*World
	of     *ask.Row
	prefix string
}

// Value gives a path of the parent from the row it was joined to.
func (p prefixed) Value(path *cond.Path) cond.Value {
	if path.Root != "record" {
		return p.World.Value(path)
	}
	if v, ok := p.of.Values[project.JoinPath(p.prefix, path.Key)]; ok {
		return v
	}
	return cond.UnknownBecause("not fetched")
}

// Title says what the record at a path of a row is called.
func (w *World) Title(row *ask.Row, table, path string) string {
	t := w.App.Titles[table]
	if t == nil || row == nil {
		return ""
	}
	return t.Say(prefixed{w, row, path}, func(v cond.Value, typ cond.Type) string { return w.Say(v, typ) })
}

// Say writes a value for people.
func (w *World) Say(v cond.Value, _ cond.Type) string {
	return v.SayIn(w.App.Language, w.Moment.Location())
}

// SayAs says a value as a format has it.
func (w *World) SayAs(v cond.Value, format string) string {
	return v.SayAs(w.App.Language, w.Moment.Location(), format)
}

func (o *Opening) zone() *time.Location { return o.World.Moment.Location() }

// Alone gives expressions over one record and the plant their values, where nobody looks at a screen.
func Alone(a *plan.App, row *ask.Row, tags ask.Tags, now time.Time) *World {
	return &World{App: a, User: &ask.User{}, Moment: now, Record: row, tags: tags}
}
