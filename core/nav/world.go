package nav

import (
	"net/url"
	"slices"
	"strings"
	"time"

	"ambergate/core/cond"
	"ambergate/core/project"
)

// world gives the expressions of one screen their values: everything was fetched before.
type world struct {
	app       *App
	user      *User
	now       time.Time
	record    *Row
	row       *Row
	inputs    map[string]cond.Value
	inputRows map[string]*Row
	userRow   *Row
	vars      map[string]cond.Value // what the tab and the place keep
	varRows   map[string]*Row
	tags      Tags
	added     map[string]string // table → key of the record that this press added to it
	asks      *Pick             // inside a shared gate: the record it is given is asked for first
}

// HasRole says whether the user has a role.
func (w *world) HasRole(role string) bool { return w.user.Roles[role] }

// Now is the moment of the request.
func (w *world) Now() time.Time { return w.now }

// Value gives a path's value from what was fetched.
func (w *world) Value(p *cond.Path) cond.Value {
	switch p.Root {
	case "record":
		return w.from(w.record, p.Segs, p.Key)
	case "row":
		return w.from(w.row, p.Segs, p.Key)
	case "inputs":
		v, ok := w.inputs[p.First()]
		if !ok {
			return cond.UnknownBecause("this input is not given")
		}
		if len(p.Segs) == 1 || v.IsNull() {
			return v
		}
		return w.from(w.inputRows[p.Segs[0]], p.Segs[1:], strings.Join(p.Segs[1:], "."))
	case "vars":
		v, ok := w.vars[p.First()]
		if !ok {
			return cond.UnknownBecause("this variable is not kept here")
		}
		if len(p.Segs) == 1 || v.IsNull() {
			return v
		}
		return w.from(w.varRows[p.Segs[0]], p.Segs[1:], strings.Join(p.Segs[1:], "."))
	case "user":
		return w.user.value(p, func(segs []string) cond.Value { return w.from(w.userRow, segs, strings.Join(segs, ".")) })
	}
	return cond.UnknownBecause(p.Root + " is not available here")
}

func (w *world) from(row *Row, segs []string, key string) cond.Value {
	if row == nil {
		return cond.UnknownBecause("there is no record")
	}
	if len(segs) == 0 {
		return cond.Key(row.Key)
	}
	if i := slices.Index(segs, project.EquipField); i >= 0 {
		return w.tag(row, segs[:i], segs[i+1:])
	}
	if v, ok := row.Values[key]; ok {
		return v
	}
	return cond.UnknownBecause("this value was not fetched")
}

func (w *world) tag(row *Row, prefix, names []string) cond.Value {
	ref, tag, why := w.app.tagRef(row, prefix, names)
	if tag == nil {
		return cond.UnknownBecause(why)
	}
	if w.tags == nil {
		return cond.UnknownBecause("no plant is connected")
	}
	return w.tags.Read(ref).Value
}

// tagRef works out which node of which source a path of equipment names, for one record.
func (a *App) tagRef(row *Row, prefix, names []string) (TagRef, *project.Tag, string) {
	table := row.Table
	if len(prefix) > 0 {
		f, _ := a.Project.FieldAt(table, strings.Join(prefix, "."))
		if f == nil {
			return TagRef{}, nil, "the relation is gone"
		}
		table = f.References
	}
	e := a.Project.EquipmentOf(table)
	t := a.Project.Tables[table]
	if e == nil || t == nil || len(names) != 2 || e.Parts[names[0]] == nil || e.Parts[names[0]].Tags[names[1]] == nil {
		return TagRef{}, nil, "this value is gone from the equipment"
	}
	tag := e.Parts[names[0]].Tags[names[1]]
	node := tag.Node
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
			return TagRef{}, nil, "the record does not say which equipment it is"
		}
		// Simple expansion of RFC 6570: everything but unreserved characters is encoded.
		node = strings.ReplaceAll(node, name, strings.ReplaceAll(url.QueryEscape(v.Wire()), "+", "%20"))
	}
	return TagRef{Source: e.Source, Node: node}, tag, ""
}

// TagRefs gives the live values that a screen shows or decides by, for what is open on it.
func (o *Opening) TagRefs() []TagRef {
	seen := map[TagRef]bool{}
	var out []TagRef
	for _, p := range o.plan.tags {
		row, segs := o.world.source(p)
		i := slices.Index(segs, project.EquipField)
		if row == nil || i < 0 {
			continue
		}
		if ref, tag, _ := o.app.tagRef(row, segs[:i], segs[i+1:]); tag != nil && !seen[ref] {
			seen[ref] = true
			out = append(out, ref)
		}
	}
	return out
}

// source gives the record that a path begins at, and what of the path is left from there; no record
// for the row of a list, which is another each time.
func (w *world) source(p *cond.Path) (*Row, []string) {
	switch p.Root {
	case "record":
		return w.record, p.Segs
	case "inputs":
		return w.inputRows[p.First()], p.Rest()
	case "vars":
		return w.varRows[p.First()], p.Rest()
	case "user":
		return w.userRow, p.Rest()
	}
	return nil, p.Segs
}

// NameOf gives the title of the record that a path leads to, as far as it was fetched.
func (w *world) NameOf(p *cond.Path) string {
	row, segs := w.source(p)
	if p.Root == "row" {
		row = w.row
	}
	if row == nil {
		return ""
	}
	return w.title(row, p.Type.Table, strings.Join(segs, "."))
}

// prefixed sees a record through a relation of another: for titles of parents.
type prefixed struct {
	*world
	of     *Row
	prefix string
}

// Value gives a path of the parent from the row it was joined to.
func (p prefixed) Value(path *cond.Path) cond.Value {
	if path.Root != "record" {
		return p.world.Value(path)
	}
	if v, ok := p.of.Values[project.JoinPath(p.prefix, path.Key)]; ok {
		return v
	}
	return cond.UnknownBecause("not fetched")
}

// title says what the record at a path of a row is called.
func (w *world) title(row *Row, table, path string) string {
	t := w.app.titles[table]
	if t == nil || row == nil {
		return ""
	}
	return t.Say(prefixed{w, row, path}, func(v cond.Value, typ cond.Type) string { return w.say(v, typ) })
}

// say writes a value for people.
func (w *world) say(v cond.Value, _ cond.Type) string { return v.Say(w.now.Location()) }

func (o *Opening) zone() *time.Location { return o.world.now.Location() }
