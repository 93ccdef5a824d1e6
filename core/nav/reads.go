package nav

import (
	"maps"
	"slices"
	"strings"

	"ambergate/core/cond"
	"ambergate/core/project"
)

// What a screen reads: each path of its expressions is noted with the record that it is fetched with.

// needSteps notes where in the list come from a step leads; whether there is a first or last shows
// in the neighbours.
func (b *planner) needSteps(step, none string) {
	steps := stepSet{step: true}
	switch {
	case step == "first":
		steps["previous"] = true
	case step == "last":
		steps["next"] = true
	case none == "round":
		steps = steps.with("previous", "next", map[string]string{"previous": "last", "next": "first"}[step])
	}
	b.asks(needs{steps: steps})
}

// asks notes what a gate of the element asks for, for the element and for the whole screen.
func (b *planner) asks(more needs) {
	b.plan.needs.add(more)
	if b.element != nil {
		b.element.needs.add(more)
	}
}

func (n *needs) add(m needs) {
	n.steps.add(m.steps)
	n.chosen.add(m.chosen)
	n.children.add(m.children)
}

func (s *stepSet) add(more stepSet) {
	if *s == nil && len(more) > 0 {
		*s = stepSet{}
	}
	maps.Copy(*s, more)
}

// needTitle adds what the title of a record at a path needs, and the record itself.
func (b *planner) needTitle(set pathSet, table, path string) {
	if path != "" {
		set[path] = true
	}
	if title := b.app.titles[table]; title != nil {
		for _, p := range title.Paths() {
			set[project.JoinPath(path, p.Key)] = true
		}
	}
}

// needShownAt adds a path from a record that is itself read at a prefix.
func (b *planner) needShownAt(set pathSet, prefix, table, path string) {
	set[project.JoinPath(prefix, path)] = true
	if f, _ := b.app.Project.FieldAt(table, path); f != nil && f.References != "" {
		b.needTitle(set, f.References, project.JoinPath(prefix, path))
	}
}

// needShown adds a path and, where it leads to a record, what that record's title needs.
func (b *planner) needShown(set pathSet, table, path string) {
	set[path] = true
	if f, _ := b.app.Project.FieldAt(table, path); f != nil && f.References != "" {
		b.needTitle(set, f.References, path)
	}
}

// reads notes the paths of an expression with the record that each is to be fetched with.
func (b *planner) reads(paths []*cond.Path) {
	for _, p := range paths {
		var set pathSet
		segs := p.Segs
		switch p.Root {
		case "record":
			set = b.plan.record
		case "row":
			if b.element == nil {
				continue
			}
			set = b.element.row
		case "inputs":
			if b.via != nil {
				b.readsGiven(p)
				continue
			}
			set = b.plan.inputs[p.First()]
			segs = p.Rest()
		case "vars":
			if set = b.varSet(p); set == nil {
				continue
			}
			segs = p.Rest()
		case "user":
			if p.First() != "record" {
				continue
			}
			set = b.plan.user
			segs = p.Rest()
		}
		if set == nil || len(segs) == 0 {
			continue
		}
		if i := slices.Index(segs, project.EquipField); i >= 0 {
			b.plan.tags = append(b.plan.tags, p)
			b.needNode(set, b.tableOf(p), segs[:i])
			continue
		}
		b.needShown(set, b.tableOf(p), strings.Join(segs, "."))
	}
}

// varSet gives where the paths of the record that a variable holds are noted; nil where it holds none.
func (b *planner) varSet(p *cond.Path) pathSet {
	id := p.First()
	v := b.app.Project.Variables[id]
	if v == nil || v.Table == "" || b.plan == nil {
		return nil
	}
	if b.plan.vars == nil {
		b.plan.vars = map[string]pathSet{}
	}
	if b.plan.vars[id] == nil {
		b.plan.vars[id] = pathSet{}
		b.needTitle(b.plan.vars[id], v.Table, "")
	}
	return b.plan.vars[id]
}

func (b *planner) tableOf(p *cond.Path) string {
	switch p.Root {
	case "record", "row":
		return b.scope[p.Root]
	case "inputs":
		if in := b.ownInputs()[p.First()]; in != nil {
			return in.Table
		}
	case "vars":
		if v := b.app.Project.Variables[p.First()]; v != nil {
			return v.Table
		}
	case "user":
		return b.app.Project.Settings.UserTable
	}
	return ""
}

// needNode adds the fields that the node names of a record's equipment are made from.
func (b *planner) needNode(set pathSet, table string, prefix []string) {
	b.needNodeAt(set, "", table, prefix)
}

// needNodeAt does so for a record that is itself read at a path.
func (b *planner) needNodeAt(set pathSet, at, table string, prefix []string) {
	if len(prefix) > 0 {
		f, _ := b.app.Project.FieldAt(table, strings.Join(prefix, "."))
		if f == nil {
			return
		}
		table = f.References
	}
	e := b.app.Project.EquipmentOf(table)
	t := b.app.Project.Tables[table]
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
