package plan

import (
	"maps"
	"slices"
	"strings"

	"ambergate/core/cond"
	"ambergate/core/project"
)

// What a screen reads: each path of its expressions is noted with the record that it is fetched with.

// NeedSteps notes where in the list come from a step leads; whether there is a first or last shows
// in the neighbours.
func (b *Planner) NeedSteps(step, none string) {
	steps := Names{step: true}
	switch {
	case step == "first":
		steps["previous"] = true
	case step == "last":
		steps["next"] = true
	case none == "round":
		steps = steps.With("previous", "next", map[string]string{"previous": "last", "next": "first"}[step])
	}
	b.Asks(Needs{Steps: steps})
}

// Asks notes what a gate of the element asks for, for the element and for the whole screen.
func (b *Planner) Asks(more Needs) {
	b.Plan.Needs.add(more)
	if b.Element != nil {
		b.Element.Needs.add(more)
	}
}

func (n *Needs) add(m Needs) {
	n.Steps.add(m.Steps)
	n.Chosen.add(m.Chosen)
	n.Children.add(m.Children)
}

func (s *Names) add(more Names) {
	if *s == nil && len(more) > 0 {
		*s = Names{}
	}
	maps.Copy(*s, more)
}

// NeedTitle adds what the title of a record at a path needs, and the record itself.
func (b *Planner) NeedTitle(set Paths, table, path string) {
	if path != "" {
		set[path] = true
	}
	if title := b.App.Titles[table]; title != nil {
		for _, p := range title.Paths() {
			set[project.JoinPath(path, p.Key)] = true
		}
	}
}

// NeedShownAt adds a path from a record that is itself read at a prefix.
func (b *Planner) NeedShownAt(set Paths, prefix, table, path string) {
	set[project.JoinPath(prefix, path)] = true
	if f, _ := b.App.Project.FieldAt(table, path); f != nil && f.References != "" {
		b.NeedTitle(set, f.References, project.JoinPath(prefix, path))
	}
}

// NeedShown adds a path and, where it leads to a record, what that record's title needs.
func (b *Planner) NeedShown(set Paths, table, path string) {
	set[path] = true
	if f, _ := b.App.Project.FieldAt(table, path); f != nil && f.References != "" {
		b.NeedTitle(set, f.References, path)
	}
}

// reads notes the paths of an expression with the record that each is to be fetched with.
func (b *Planner) reads(paths []*cond.Path) {
	for _, p := range paths {
		var set Paths
		segs := p.Segs
		switch p.Root {
		case "record":
			set = b.Plan.RecordPaths
		case "row":
			if b.Element == nil {
				continue
			}
			set = b.Element.RowPaths
		case "inputs":
			if b.via != nil {
				b.readsGiven(p)
				continue
			}
			set = b.Plan.InputPaths[p.First()]
			segs = p.Rest()
		case "vars":
			if set = b.varSet(p); set == nil {
				continue
			}
			segs = p.Rest()
		case project.TagRoot:
			b.Plan.Tags = append(b.Plan.Tags, p)
			continue
		case "user":
			b.Plan.AsksUser = true
			if p.First() != "record" {
				continue
			}
			set = b.Plan.UserPaths
			segs = p.Rest()
		}
		if set == nil || len(segs) == 0 {
			continue
		}
		if i := slices.Index(segs, project.EquipField); i >= 0 {
			b.Plan.Tags = append(b.Plan.Tags, p)
			b.needNode(set, b.tableOf(p), segs[:i])
			continue
		}
		b.NeedShown(set, b.tableOf(p), strings.Join(segs, "."))
	}
}

// varSet gives where the paths of the record that a variable holds are noted; nil where it holds none.
func (b *Planner) varSet(p *cond.Path) Paths {
	id := p.First()
	v := b.App.Project.Variables[id]
	if v == nil || v.Table == "" || b.Plan == nil {
		return nil
	}
	if b.Plan.VarPaths == nil {
		b.Plan.VarPaths = map[string]Paths{}
	}
	if b.Plan.VarPaths[id] == nil {
		b.Plan.VarPaths[id] = Paths{}
		b.NeedTitle(b.Plan.VarPaths[id], v.Table, "")
	}
	return b.Plan.VarPaths[id]
}

func (b *Planner) tableOf(p *cond.Path) string {
	switch p.Root {
	case "record", "row":
		return b.Scope[p.Root]
	case "inputs":
		if in := b.ownInputs()[p.First()]; in != nil {
			return in.Table
		}
	case "vars":
		if v := b.App.Project.Variables[p.First()]; v != nil {
			return v.Table
		}
	case "user":
		return b.App.Project.Settings.UserTable
	}
	return ""
}

// NeedEquipment adds the fields that the node names of a table's own equipment are made from.
func (b *Planner) NeedEquipment(set Paths, table string) { b.needNode(set, table, nil) }

// needNode adds the fields that the node names of a record's equipment are made from.
func (b *Planner) needNode(set Paths, table string, prefix []string) {
	b.needNodeAt(set, "", table, prefix)
}

// needNodeAt does so for a record that is itself read at a path.
func (b *Planner) needNodeAt(set Paths, at, table string, prefix []string) {
	if len(prefix) > 0 {
		f, _ := b.App.Project.FieldAt(table, strings.Join(prefix, "."))
		if f == nil {
			return
		}
		table = f.References
	}
	e := b.App.Project.EquipmentOf(table)
	t := b.App.Project.Tables[table]
	if e == nil || t == nil {
		return
	}
	for _, f := range t.Fields {
		for _, part := range e.Parts {
			for _, tag := range part.Tags {
				if strings.Contains(tag.Node, "{"+f.ID+"}") || strings.Contains(tag.Node, "{"+f.Alias+"}") {
					set[project.JoinPath(at, project.JoinPath(strings.Join(prefix, "."), f.ID))] = true
				}
			}
		}
	}
}
