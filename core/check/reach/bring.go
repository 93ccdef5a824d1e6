package reach

import (
	"ambergate/core/cond"
	"ambergate/core/english"
	"ambergate/core/kinds/rule"
	"ambergate/core/plan"
	"ambergate/core/project"
)

// effective gives a binding in the names of the screen: inside a shared gate, what the element gives it. Nil with known
// means that nothing comes.
func (c *collector) effective(w plan.Way, b *project.Binding) (of *project.Binding, known bool) {
	if w.Gate.Shared == nil {
		return b, true
	}
	switch spec := b.Spec.(type) {
	case *rule.Input:
		given := w.Gate.Given[spec.Value]
		return given, true
	case *rule.Value, *rule.User, *rule.Picked:
		return b, true
	}
	return b, false
}

// brings notes what has to be there for the inputs of the target.
func (c *collector) brings(e *Edge, w plan.Way, lead *plan.Lead) {
	for _, in := range project.Ordered(lead.Target.Inputs) {
		own := in.ID == lead.Target.Record
		b := lead.Bind[in.ID]
		if lead.Mode == "add" && own && b == nil {
			continue
		}
		if b == nil {
			c.passes(e, w, lead, in, own)
			continue
		}
		needed := in.Required || b.None != ""
		of, known := c.effective(w, b)
		if !known {
			e.unsure = append(e.unsure, "what a shared gate brings is worked out")
			e.records = append(e.records, brought{in.Table, false, own})
			continue
		}
		if of == nil {
			e.shut = e.shut || in.Required
			continue
		}
		c.bring(e, w, of, in, own, needed)
	}
}

// passes notes an input that no binding of its own brings: it is carried, or not there.
func (c *collector) passes(e *Edge, w plan.Way, lead *plan.Lead, in *project.Input, own bool) {
	mine, carried := lead.Carried[in.ID]
	if !carried {
		e.shut = e.shut || in.Required
		return
	}
	if w.Gate.Shared != nil {
		e.unsure = append(e.unsure, "what a shared gate brings is worked out")
		return
	}
	if have := c.screen.Screen.Inputs[mine]; in.Required && !have.Required {
		e.given = append(e.given, english.Lower(in.Label))
	}
	e.records = append(e.records, brought{in.Table, true, own})
}

func (c *collector) bring(e *Edge, w plan.Way, b *project.Binding, in *project.Input, own, needed bool) {
	record := brought{table: in.Table, own: own}
	one := func(table string) string {
		if t := c.app.Project.Tables[table]; t != nil {
			return t.One
		}
		return english.Lower(in.Label)
	}
	switch spec := b.Spec.(type) {
	case *rule.This:
		e.record, record.same = true, c.screen.Screen.RecordTable() == in.Table
	case *rule.Row:
		record.same = w.Scene(c.app).RowTable() == in.Table
	case *rule.Parent:
		e.reads = append(e.reads, read{w.Scene(c.app).FromTable(spec.From), splitPath(spec.Path)})
		if spec.From == "" || spec.From == "record" {
			e.record = true
		}
		if needed && (spec.MayBeNone(w.Scene(c.app), nil) || c.mayLack(spec.From)) {
			e.given = append(e.given, "its "+one(in.Table))
		}
	case *rule.Child:
		if spec.From == "" || spec.From == "record" {
			e.record = true
		}
		if needed {
			e.given = append(e.given, english.A(one(in.Table))+" of it")
		}
	case *rule.Input:
		record.same = true
		if have := c.screen.Screen.Inputs[spec.Value]; needed && (have == nil || !have.Required) {
			e.given = append(e.given, english.Lower(in.Label))
		}
		if spec.Value == c.screen.Screen.Record {
			e.record = true
		}
	case *rule.Value:
		if in.Table != "" {
			e.given = append(e.given, "that "+one(in.Table))
		}
	case *rule.User:
		if needed {
			e.given = append(e.given, "a record of one’s own")
		}
	case *rule.Picked:
		e.given = append(e.given, english.A(one(in.Table))+" to pick")
	case *rule.Point:
		// what is chosen was asked for with the element
	default:
		e.unsure = append(e.unsure, "what it brings is worked out")
	}
	if in.Table != "" {
		e.records = append(e.records, record)
	}
}

// mayLack says whether what a rule starts at may be missing.
func (c *collector) mayLack(from string) bool {
	in := c.screen.Screen.Inputs[from]
	return in != nil && !in.Required
}

// policies adds where one gets instead, where a record is missing.
func (c *collector) policies(e *Edge, w plan.Way, lead *plan.Lead) {
	for _, b := range lead.Bind {
		instead := lead.Target
		switch b.None {
		case "list":
			instead = plan.TargetOf(c.app.Project.Screens[b.Screen])
		case "add":
		default:
			continue
		}
		if instead == nil {
			continue
		}
		other := *e
		other.To, other.Mode, other.policy, other.given, other.records = instead, "view", true, nil, nil
		if b.None == "add" {
			other.Mode = "add"
		}
		other.parts = nil
		for _, p := range e.parts {
			if p.Of != "guard" {
				other.parts = append(other.parts, p)
			}
		}
		other.unsure = append([]string{"only where there is no record to go on with"}, e.unsure...)
		for _, in := range instead.Inputs {
			other.shut = other.shut || in.Required && !(b.None == "add" && in.ID == instead.Record)
		}
		c.finish(&other, &plan.Lead{Lead: &project.Lead{Target: instead.ID}, Mode: other.Mode, Target: instead})
	}
}

// term says what an input of the target is in the names of the screen one comes from: nothing, a value, or a path.
type term struct {
	known    bool
	value    *cond.Value
	root     string
	segs     []string
	nullable bool
}

func (c *collector) termOf(w plan.Way, lead *plan.Lead, in *project.Input) term {
	null := cond.NullValue
	b := lead.Bind[in.ID]
	if b == nil {
		mine, carried := lead.Carried[in.ID]
		if !carried {
			return term{known: true, value: &null}
		}
		if w.Gate != nil && w.Gate.Shared != nil {
			return term{}
		}
		return c.input(mine)
	}
	of, known := c.effective(w, b)
	if !known {
		return term{}
	}
	if of == nil {
		return term{known: true, value: &null}
	}
	switch spec := of.Spec.(type) {
	case *rule.This:
		return term{known: true, root: "record"}
	case *rule.Row:
		return term{known: true, root: "row"}
	case *rule.Input:
		return c.input(spec.Value)
	case *rule.Parent:
		t := term{known: true, root: spec.From, segs: splitPath(spec.Path), nullable: true}
		switch spec.From {
		case "", "record":
			t.root = "record"
		case "row":
		default:
			t.root, t.segs = "inputs", append([]string{spec.From}, t.segs...)
		}
		return t
	case *rule.Value:
		if in.Table == "" {
			if v, err := cond.Parse(in.TypeOf(), spec.Value); err == nil {
				return term{known: true, value: &v}
			}
		}
	}
	return term{}
}

// input is an input of the screen; the one that is its record goes by that name.
func (c *collector) input(id string) term {
	if id == c.screen.Screen.Record {
		return term{known: true, root: "record"}
	}
	return term{known: true, root: "inputs", segs: []string{id}, nullable: true}
}
