package build

import (
	"strings"

	"ambergate/core/kinds/rule"
	"ambergate/core/plan"
	"ambergate/core/project"
	"ambergate/core/words"
)

// Proposal is one way to give an input its value, in words, best first.
type Proposal struct {
	Words   string           `json:"words"`
	Note    string           `json:"note,omitempty"`
	Mode    string           `json:"mode,omitempty"` // add: the target opens on a new record instead
	Binding *project.Binding `json:"binding,omitempty"`
}

// Propose lists how an input of a target, a screen or a shared gate, or a variable, one that is
// yet to be made for records of a table, or the row of a spot (its input: spot. and the list) can
// get its value on a way:
// the record itself first, then what relations lead to, then the rest. Without a gate in the way
// it is what the screen can give; with a shared one what that gate can pass on.
func Propose(a *plan.App, w plan.Way, target, input string) []Proposal {
	p := proposing{writer: words.WriterOf(w, a), out: []Proposal{}}
	screen := a.Project.Screens[target]
	switch {
	case screen != nil && strings.HasPrefix(input, "spot."):
		if e := screen.Elements[input[len("spot."):]]; e != nil {
			if l := project.ListOf(e); l != nil {
				p.in = plan.SpotInput(l.Table)
			}
		}
	case a.Project.Variables[target] != nil:
		v := a.Project.Variables[target]
		p.in = &project.Input{Item: project.Item{ID: v.ID}, Label: v.Label, Type: v.Type, Table: v.Table}
	case a.Project.Tables[target] != nil:
		p.in = &project.Input{Item: project.Item{ID: "kept"}, Label: "Record", Type: "record", Table: target}
	case screen != nil:
		p.in = screen.Inputs[input]
	case a.Project.Gates[target] != nil:
		p.in = a.Project.Gates[target].Inputs[input]
	}
	if p.in == nil {
		return p.out
	}
	if tables, plain, back := a.Results(w); back && (tables[p.in.Table] && p.in.Table != "" || plain && p.in.Table == "" || len(tables) == 0 && !plain) {
		p.add(&rule.Result{BindingHead: by("result")}, "from "+words.Dialogs(a, w))
	}
	if w.Adds(p.in.Table) {
		p.add(&rule.Saved{BindingHead: by("saved"), Table: p.in.Table}, "by the action before")
	}
	if p.writer.Shared == nil {
		p.fromHere()
		if screen != nil && input == screen.Record && screen.Type == "form" {
			p.out = append(p.out, Proposal{Words: "a new " + p.one(), Mode: "add"})
		}
		p.around()
	}
	p.fromInputs()
	p.fromVars(w.Screen.ID)
	p.constants(screen)
	if p.in.Table != "" {
		if p.in.Table == a.Project.Settings.UserTable {
			p.add(&rule.User{BindingHead: greyed("user", "You have no record of your own here.")}, "")
		}
		p.add(&rule.Picked{BindingHead: by("picked"), Table: p.in.Table}, "asked for when it is pressed")
	}
	return p.out
}

// proposing is one list of proposals in the making.
type proposing struct {
	writer words.Writer
	in     *project.Input
	out    []Proposal
}

func (p *proposing) add(rule project.RuleSpec, note string) {
	b := project.NewBinding(rule)
	p.out = append(p.out, Proposal{Words: p.writer.BindingWords(b, p.in), Note: note, Binding: b})
}

func by(name string) project.BindingHead { return project.BindingHead{Rule: name} }

// greyed is the head of a rule that may find none: the way is greyed then, with a reason.
func greyed(name, reason string) project.BindingHead {
	return project.BindingHead{Rule: name, None: "grey", Reason: reason}
}

func (p *proposing) one() string {
	if t := p.writer.App.Project.Tables[p.in.Table]; t != nil {
		return t.One
	}
	return "record"
}

// fromHere proposes what the point, the row and the screen's record lead to.
func (p *proposing) fromHere() {
	a, w := p.writer.App, &p.writer
	if c := w.Points(); c != nil {
		if f, _ := a.Project.FieldAt(c.Table, c.By); f != nil && (f.References != "" && f.References == p.in.Table || p.in.Type != "record" && f.Type == p.in.Type) {
			p.add(&rule.Point{BindingHead: by("point")}, "what the point stands for")
			if c.Step > 0 {
				p.add(&rule.Point{BindingHead: by("point"), Value: "end"}, "the end of the range")
			}
			if c.Span != "" && c.Span != "day" {
				p.add(&rule.Point{BindingHead: by("point"), Value: "end"}, "the last day of the "+c.Span)
			}
		}
	}
	row, own := w.RowTable(), w.Screen.RecordTable()
	if p.in.Table == "" {
		return
	}
	if row == p.in.Table {
		p.add(&rule.Row{BindingHead: by("row")}, "")
	}
	if own == p.in.Table {
		p.add(&rule.This{BindingHead: by("this")}, "")
	}
	if row != "" {
		p.parents(row, "row")
	}
	if own != "" {
		p.parents(own, "")
	}
}

// around proposes the neighbours of the screen's record, and what names it or the row.
func (p *proposing) around() {
	w := &p.writer
	row, own := w.RowTable(), w.Screen.RecordTable()
	if p.in.Table == "" {
		return
	}
	if own == p.in.Table {
		for _, step := range []string{"next", "previous", "first", "last"} {
			p.add(&rule.Step{BindingHead: greyed(step, "There is no "+step+" "+p.one()+" in the list.")}, "in the list they came from")
		}
	}
	if row != "" {
		p.children(row, "row")
	}
	if own != "" {
		p.children(own, "")
	}
}

// fromInputs proposes what was given, and what that leads to.
func (p *proposing) fromInputs() {
	w := &p.writer
	for _, own := range project.Ordered(w.Inputs()) {
		if w.Shared == nil && own.ID == w.Screen.Record {
			continue
		}
		if own.Type == p.in.Type && own.Table == p.in.Table {
			p.add(&rule.Input{BindingHead: by("input"), Value: own.ID}, "passed on")
		}
	}
	for _, own := range project.Ordered(w.Inputs()) {
		if own.Table == "" || p.in.Table == "" || w.Shared == nil && own.ID == w.Screen.Record {
			continue
		}
		p.parents(own.Table, own.ID)
		p.children(own.Table, own.ID)
	}
}

// fromVars proposes what the tab keeps.
func (p *proposing) fromVars(screen string) {
	if p.writer.Shared != nil {
		screen = ""
	}
	for _, v := range p.writer.App.Project.VariablesOn(screen) {
		if v.Type != p.in.Type || v.Table != p.in.Table {
			continue
		}
		head, note := by("expression"), "kept by the tab"
		if v.Start == "" && p.in.Required {
			head, note = greyed("expression", "There is no "+strings.ToLower(v.Label)+" yet."), "kept by the tab; greyed while there is none"
		}
		p.add(&rule.Expression{BindingHead: head, Value: "vars." + v.ID}, note)
	}
}

// constants proposes values that are always the same, where there are few to choose from.
func (p *proposing) constants(target *project.Screen) {
	always := func(value string) { p.add(&rule.Value{BindingHead: by("value"), Value: value}, "always") }
	switch p.in.Type {
	case "yesno":
		always("true")
		always("false")
	case "text":
		for _, choice := range choicesOf(p.writer.App, p.in, target) {
			always(choice)
		}
	case "date":
		for _, day := range []string{"today()", "daysAgo(7)", "daysAgo(30)"} {
			p.add(&rule.Expression{BindingHead: by("expression"), Value: day}, "on the day it is pressed")
		}
	}
}

// choicesOf gives the choices of the field that an input of a screen narrows its lists by.
func choicesOf(a *plan.App, in *project.Input, target *project.Screen) []string {
	if target == nil || in.Filter == "" {
		return nil
	}
	for _, e := range project.Ordered(target.Elements) {
		table := ""
		if l := project.ListOf(e); l != nil {
			table = l.Table
		} else if c := project.PointsOf(e); c != nil {
			table = c.Table
		}
		if _, f := a.Project.Narrows(in, table); f != nil && len(f.Choices) > 0 {
			return f.Choices
		}
	}
	return nil
}

// parents follows relations, two deep, to the table that the input wants.
func (p *proposing) parents(table, from string) {
	tables := p.writer.App.Project.Tables
	t := tables[table]
	if t == nil {
		return
	}
	bind := func(path string, nullable bool, one string) {
		head, note := by("parent"), ""
		if nullable {
			head, note = greyed("parent", "There is no "+one+" here."), "greyed where there is none"
		}
		p.add(&rule.Parent{BindingHead: head, Path: path, From: from}, note)
	}
	for _, f := range project.Ordered(t.Fields) {
		if f.References == p.in.Table {
			bind(f.ID, f.Nullable, strings.ToLower(f.Label))
		}
	}
	for _, f := range project.Ordered(t.Fields) {
		parent := tables[f.References]
		if parent == nil {
			continue
		}
		for _, g := range project.Ordered(parent.Fields) {
			if g.References == p.in.Table {
				bind(f.ID+"."+g.ID, f.Nullable || g.Nullable, strings.ToLower(g.Label))
			}
		}
	}
}

// children proposes the last, first and nearest record that names a record of a table.
func (p *proposing) children(table, from string) {
	child := p.writer.App.Project.Tables[p.in.Table]
	if child == nil {
		return
	}
	for _, f := range project.Ordered(child.Fields) {
		if f.References != table {
			continue
		}
		var date *project.Column
		for _, c := range project.Ordered(child.Fields) {
			if date == nil && (c.Type == "date" || c.Type == "moment") && !c.Nullable {
				date = c
			}
		}
		order, note := "", "in the order of "+strings.ToLower(child.Label)
		if date != nil {
			order, note = date.ID, "by "+strings.ToLower(date.Label)
		}
		for _, pick := range []string{"last", "first", "nearest"} {
			if pick == "nearest" && date == nil {
				continue
			}
			head := greyed("child", "There is no "+child.One+" here yet.")
			p.add(&rule.Child{BindingHead: head, Table: child.ID, Path: f.ID, From: from, Pick: pick, Order: order}, note+"; greyed where there is none")
		}
	}
}
