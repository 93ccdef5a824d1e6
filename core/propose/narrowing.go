package propose

import (
	"strings"

	"ambergate/core/english"
	"ambergate/core/patch"
	"ambergate/core/project"
)

// inputs finds the inputs of a screen by which what is chosen narrows it, and adds those that it has not yet.
type inputs struct {
	s    *project.Screen
	more []patch.Op
}

// narrowing gives the input that narrows by the paths; id is what a new one is called by, one what it holds.
func (n *inputs) narrowing(id string, one body) string {
	text := func(name string) string { t, _ := one[name].(string); return t }
	for _, in := range project.Ordered(n.s.Inputs) {
		if in.Filter == text("filter") && in.Compare == text("compare") && in.Table == text("table") {
			return in.ID
		}
	}
	id = free(n.s.Inputs, id)
	one["pos"] = len(n.s.Inputs) + len(n.more) + 1
	if n.s.Inputs == nil && len(n.more) == 0 {
		n.more = append(n.more, patch.Op{Op: "add", Path: "/" + n.s.ID + "/inputs", Value: encoded(body{})})
	}
	n.more = append(n.more, patch.Op{Op: "add", Path: "/" + n.s.ID + "/inputs/" + id, Value: encoded(one)})
	return id
}

// byField lets a chosen point narrow the screen by a field; one of time from the beginning of its span to the end, a
// range of numbers from where it begins to where it ends.
func (n *inputs) byField(t *project.Table, field, span string, step float64) body {
	c := t.Fields[field]
	id := "i_" + strings.TrimPrefix(field, "f_")
	filter := ofAlone(t, field)
	if span == "" && step == 0 {
		one := body{"alias": alias(c.Alias), "label": c.Label, "type": c.Type, "filter": filter}
		if c.Type == "record" {
			one["table"] = c.References
		}
		one["several"] = true
		return to(n.s.ID, n.narrowing(id, one), body{"rule": "point"})
	}
	kind, end := "date", "atMost"
	from, until := "From", "To"
	if step > 0 {
		kind, end = "number", "below"
		from, until = c.Label+" from", c.Label+" below"
	}
	edge := func(name, label, compare string) string {
		return n.narrowing(id+name, body{"alias": alias(c.Alias + name), "label": label, "type": kind, "filter": filter, "compare": compare})
	}
	move := to(n.s.ID, edge("_from", from, "atLeast"), body{"rule": "point"})
	move["bind"].(body)[edge("_to", until, end)] = body{"rule": "point", "value": "end"}
	return move
}

// byRecord lets a chosen record narrow the screen: by the fields, as paths, that hold one.
func (n *inputs) byRecord(t *project.Table, filter string) body {
	one := body{"alias": alias(t.One), "label": english.Capital(t.One), "type": "record", "table": t.ID, "filter": filter, "several": true}
	return to(n.s.ID, n.narrowing("i_"+strings.TrimPrefix(t.ID, "t_"), one), body{"rule": "row"})
}
