package reach

import (
	"strings"

	"ambergate/core/project"
)

// rights is what a set of roles may see and do, worked out once for each table.
type rights struct {
	p      *project.Project
	roles  roles
	tables map[string]*tableRights
	all    bool // nothing is kept from them
}

type tableRights struct {
	project.Grant
	every map[string]bool // verbs that hold for every record
}

func (r *rights) on(table string) *tableRights {
	if t := r.tables[table]; t != nil {
		return t
	}
	if r.all {
		t := &tableRights{Grant: project.Grant{View: true, Add: true, Edit: true, Delete: true}, every: map[string]bool{}}
		for _, verb := range project.Verbs {
			t.every[verb] = true
		}
		r.tables[table] = t
		return t
	}
	t := &tableRights{Grant: r.p.GrantOf(r.roles, table), every: map[string]bool{}}
	for _, g := range r.p.GrantsOf(r.roles, table) {
		for _, verb := range project.Verbs {
			if g.May(verb) && g.Rows == "" && (verb == "view" || g.Changes == "") {
				t.every[verb] = true
			}
		}
	}
	r.tables[table] = t
	return t
}

// narrow says whether anything of a table is kept from the roles: its records, some of them or of their fields, or
// changing some of those that may be changed.
func (r *rights) narrow(table string) bool {
	on := r.on(table)
	return !on.every["view"] || len(on.Hidden) > 0 || on.Edit && !on.every["edit"]
}

// sight is how much of a path may be seen.
type sight uint8

const (
	seen sight = iota
	perhaps
	hidden
)

// sees says whether the roles may see a path of a table's records.
func (r *rights) sees(table string, segs []string) sight {
	out := seen
	for i, seg := range segs {
		if seg == project.EquipField {
			return out // live values are everyone's
		}
		on := r.on(table)
		if !on.View || on.Hidden[seg] {
			return hidden
		}
		if i > 0 && !on.every["view"] {
			out = perhaps // the parent may be beyond the row rules
		}
		f, _ := r.p.FieldAt(table, seg)
		if f == nil || f.References == "" {
			break
		}
		table = f.References
	}
	return out
}

// refuses says why a screen is shut to the roles in a mode whatever the record is, in one word: grant or roles; "" when
// it is not.
func (r *rights) refuses(s *project.Screen, mode string) string {
	if table := s.RecordTable(); table != "" {
		may := mode
		if may == "" {
			may = "view"
		}
		if on := r.on(table); !on.May(may) {
			return "grant"
		}
	}
	if !any(s.Roles, r.roles) {
		return "roles"
	}
	return ""
}

// any says whether one of some roles is in a set; no set is everyone.
func any(set, of roles) bool {
	for r := range of {
		if set[r] {
			return true
		}
	}
	return set == nil
}

// splitPath gives the fields of a path of the document.
func splitPath(path string) []string { return strings.Split(path, ".") }
