package nav

import (
	"strings"

	"ambergate/core/project"
)

// Proposal is one way to give an input its value, in words, best first.
type Proposal struct {
	Words   string           `json:"words"`
	Note    string           `json:"note,omitempty"`
	Mode    string           `json:"mode,omitempty"` // add: the target opens on a new record instead
	Binding *project.Binding `json:"binding,omitempty"`
}

// Propose lists how an input of a target can get its value from an element of a screen: the
// clicked row and this record first, then parents through relations, then the rest.
func (a *App) Propose(screen, element, target, input string) []Proposal {
	s, t := a.Project.Screens[screen], a.Project.Screens[target]
	out := []Proposal{}
	if s == nil || t == nil || t.Inputs[input] == nil {
		return out
	}
	in := t.Inputs[input]
	plan := a.element(screen, element)
	add := func(b project.Binding, note string) {
		out = append(out, Proposal{Words: a.bindingWords(s, plan, &b), Note: note, Binding: &b})
	}
	rowTable := ""
	if plan != nil {
		switch spec := plan.Spec.(type) {
		case *project.List:
			rowTable = spec.Table
		case *project.Chart:
			if f, _ := a.Project.FieldAt(spec.Table, spec.By); f != nil && (f.References == in.Table || in.Type != "record") {
				add(project.Binding{Rule: "point"}, "what the bar stands for")
			}
		}
	}
	if rowTable != "" && rowTable == in.Table {
		add(project.Binding{Rule: "row"}, "")
	}
	if s.RecordTable() != "" && s.RecordTable() == in.Table {
		add(project.Binding{Rule: "this"}, "")
	}
	if rowTable != "" {
		a.proposeParents(rowTable, "row", in, add)
	}
	if s.RecordTable() != "" {
		a.proposeParents(s.RecordTable(), "", in, add)
	}
	for _, own := range project.Ordered(s.Inputs) {
		if own.ID != s.Record && own.Type == in.Type && own.Table == in.Table {
			add(project.Binding{Rule: "input", Value: own.ID}, "passed on")
		}
	}
	if in.Table != "" && in.Table == a.Project.Settings.UserTable {
		add(project.Binding{Rule: "user", None: "grey", Reason: "You have no record of your own here."}, "")
	}
	if input == t.Record && t.Type == "form" {
		one := "record"
		if table := a.Project.Tables[in.Table]; table != nil {
			one = table.One
		}
		out = append(out, Proposal{Words: "a new " + one, Mode: "add"})
	}
	return out
}

// proposeParents follows relations, two deep, to the table that the input wants.
func (a *App) proposeParents(table, from string, in *project.Input, add func(project.Binding, string)) {
	t := a.Project.Tables[table]
	if t == nil || in.Table == "" {
		return
	}
	bind := func(path string, nullable bool, one string) {
		b := project.Binding{Rule: "parent", Path: path, From: from}
		if nullable {
			b.None, b.Reason = "grey", "There is no "+one+" here."
		}
		add(b, map[bool]string{true: "greyed where there is none", false: ""}[nullable])
	}
	for _, f := range project.Ordered(t.Fields) {
		if f.References == in.Table {
			bind(f.ID, f.Nullable, strings.ToLower(f.Label))
		}
	}
	for _, f := range project.Ordered(t.Fields) {
		parent := a.Project.Tables[f.References]
		if parent == nil {
			continue
		}
		for _, g := range project.Ordered(parent.Fields) {
			if g.References == in.Table {
				bind(f.ID+"."+g.ID, f.Nullable || g.Nullable, strings.ToLower(g.Label))
			}
		}
	}
}

func (a *App) element(screen, id string) *ElementPlan {
	if plan := a.Screens[screen]; plan != nil {
		for _, e := range plan.Elements {
			if e.ID == id {
				return e
			}
		}
	}
	return nil
}
