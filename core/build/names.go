package build

import (
	"strings"

	"ambergate/core/cond"
	"ambergate/core/english"
	"ambergate/core/plan"
	"ambergate/core/project"
)

// NameInfo is one name that a condition may use, for pickers.
type NameInfo struct {
	Path    string   `json:"path"` // over aliases
	Words   string   `json:"words"`
	Type    string   `json:"type"`
	Choices []string `json:"choices,omitempty"`
	Unit    string   `json:"unit,omitempty"`
	Table   string   `json:"table,omitempty"` // of a record
	Of      string   `json:"of"`              // what it belongs to, for people: this record, the user
	Kind    string   `json:"kind"`            // field, live, shared, figure, roles, variable
	In      string   `json:"in,omitempty"`    // of a field: its table and id, with a point between

	Writable bool `json:"writable,omitempty"` // of a live value
}

// deepest is how many relations a path may go through.
const deepest = 4

// Names lists what an expression may compare: first what the place has at hand, then what its
// records' parents have. With a path of a record ("under") it lists what that one has.
func Names(a *plan.App, scope cond.Scope, under string) []NameInfo {
	l := nameList{app: a, out: []NameInfo{}}
	if under != "" {
		t, ok := a.Compiler.TypeOf(scope, under)
		if ok && t.Kind == cond.Record && strings.Count(under, ".") <= deepest {
			l.table(under, "its "+one(a, t.Table), t.Table)
		}
		return l.out
	}
	for _, root := range []struct{ name, of string }{{"row", "the chosen row"}, {"record", "this record"}} {
		if table := scope[root.name]; table != "" {
			l.table(root.name, root.of, table)
			l.parents(root.name, table)
		}
	}
	l.inputs(scope["inputs"])
	l.vars(scope["vars"])
	if scope[project.TagRoot] != "" {
		l.plant()
	}
	if scope["user"] != "" {
		l.user()
	}
	return l.out
}

type nameList struct {
	app *plan.App
	out []NameInfo
}

func (l *nameList) add(n NameInfo) { l.out = append(l.out, n) }

// table lists the fields of one record, its figures, shared conditions and live values.
func (l *nameList) table(prefix, of, table string) {
	p := l.app.Project
	t := p.Tables[table]
	if t == nil {
		return
	}
	for _, f := range project.Ordered(t.Fields) {
		l.add(NameInfo{Path: prefix + "." + f.Alias, Words: english.Lower(f.Label), Type: f.Type, Choices: f.Choices, Unit: f.Unit, Table: f.References, Of: of, Kind: "field", In: table + "." + f.ID})
	}
	for _, tally := range project.Ordered(t.Tallies) {
		f, _ := p.FieldAt(table, tally.ID)
		l.add(NameInfo{Path: prefix + "." + f.Alias, Words: english.Lower(f.Label), Type: f.Type, Choices: f.Choices, Unit: f.Unit, Of: of, Kind: "figure"})
	}
	for _, c := range project.Ordered(p.Conditions) {
		if c.Table == table {
			l.add(NameInfo{Path: prefix + "." + c.Alias, Words: c.Name, Type: "yesno", Of: of, Kind: "shared"})
		}
	}
	e := p.EquipmentOf(table)
	if e == nil {
		return
	}
	for _, part := range project.Ordered(e.Parts) {
		for _, tag := range project.Ordered(part.Tags) {
			l.add(NameInfo{Path: prefix + "." + project.EquipField + "." + part.Alias + "." + tag.Alias, Words: part.Label + " " + tag.Label, Type: tag.Type, Unit: tag.Unit, Of: of, Kind: "live", Writable: tag.Writable})
		}
	}
}

// parents lists what the records that a record refers to have.
func (l *nameList) parents(prefix, table string) {
	for _, f := range project.Ordered(l.app.Project.Tables[table].Fields) {
		if f.References != "" {
			l.table(prefix+"."+f.Alias, "its "+english.Lower(f.Label), f.References)
		}
	}
}

func (l *nameList) inputs(group string) {
	for _, s := range l.app.Project.Screens {
		if project.InputsGroup(s.ID) != group {
			continue
		}
		for _, in := range project.Ordered(s.Inputs) {
			if in.ID == s.Record {
				continue
			}
			of := "what the screen was opened with"
			l.add(NameInfo{Path: "inputs." + in.Alias, Words: english.Lower(in.Label), Type: in.Type, Table: in.Table, Of: of, Kind: "field"})
			if in.Table != "" {
				l.table("inputs."+in.Alias, "the "+english.Lower(in.Label)+" it was opened with", in.Table)
			}
		}
	}
}

func (l *nameList) vars(group string) {
	p := l.app.Project
	for _, v := range project.Ordered(p.Variables) {
		if group == "" || v.Screen != "" && group != p.VarsGroup(v.Screen) {
			continue
		}
		l.add(NameInfo{Path: "vars." + v.Alias, Words: english.Lower(v.Label), Type: v.Type, Choices: v.Choices, Unit: v.Unit, Table: v.Table, Of: "what the tab keeps", Kind: "variable"})
		if v.Table != "" {
			l.table("vars."+v.Alias, english.Lower(v.Label)+", kept by the tab", v.Table)
		}
	}
}

// plant lists the values of the plant as a whole.
func (l *nameList) plant() {
	for _, t := range project.Ordered(l.app.Project.Tags) {
		l.add(NameInfo{Path: project.TagRoot + "." + t.Alias, Words: english.Lower(t.Label), Type: t.Type, Unit: t.Unit, Of: "the plant", Kind: "live", Writable: t.Writable})
	}
}

func (l *nameList) user() {
	p := l.app.Project
	var roles []string
	for _, r := range project.Ordered(p.Roles) {
		roles = append(roles, r.Name)
	}
	l.add(NameInfo{Path: "user", Words: "roles", Type: "roles", Choices: roles, Of: "the user", Kind: "roles"})
	l.add(NameInfo{Path: "user.login", Words: "sign-in name", Type: "text", Of: "the user", Kind: "field"})
	for _, c := range project.Ordered(p.Conditions) {
		if c.Table == "" {
			l.add(NameInfo{Path: "user." + c.Alias, Words: c.Name, Type: "yesno", Of: "the user", Kind: "shared"})
		}
	}
	if t := p.Tables[p.Settings.UserTable]; t != nil {
		l.add(NameInfo{Path: "user.record", Words: "the user’s own record", Type: "record", Table: t.ID, Of: "the user", Kind: "field"})
		l.table("user.record", "the user", t.ID)
	}
}

func one(a *plan.App, table string) string {
	if t := a.Project.Tables[table]; t != nil {
		return t.One
	}
	return "record"
}
