package words

import (
	"maps"
	"slices"
	"strings"

	"ambergate/core/english"
	"ambergate/core/plan"
	"ambergate/core/project"
)

// Assigned says what fields of a record are to get: “lift = its lift”.
func (w *Writer) Assigned(e *plan.Effect, t *project.Table, fields map[string]string, to string) []string {
	var parts []string
	for _, field := range slices.Sorted(maps.Keys(fields)) {
		label, table := "a field that is gone", ""
		if t != nil && t.Fields[field] != nil {
			label, table = english.Lower(t.Fields[field].Label), t.Fields[field].References
		}
		value := "“" + fields[field] + "”"
		if x := e.Exprs[field]; x != nil {
			value = w.ValueWords(x, table)
		}
		if strings.HasSuffix(label, " to") {
			label = "“" + label + "”" // assigned to, to whom
		}
		parts = append(parts, label+to+value)
	}
	return parts
}

// FieldWords says a field of the screen's main list.
func (w *Writer) FieldWords(path string) string {
	if f, _ := w.App.Project.FieldAt(w.Screen.ListTable(), path); f != nil {
		return english.Lower(f.Label)
	}
	return "a field that is gone"
}

// Compares says how a filter compares.
var Compares = map[string]string{"is": " is ", "isNot": " is not ", "contains": " contains ", "empty": " is empty", "notEmpty": " is not empty", "atLeast": " is at least ", "atMost": " is at most "}

// End says what a step does at the end, where it is not greyed as everybody expects.
func (w *Writer) End(c *plan.Case) {
	if c.Move.None == "" || c.Move.None == "grey" {
		return
	}
	w.Plain(", ")
	w.Out = append(w.Out, Chunk{Text: endWords(c.Move.None), Part: PartNone, Case: c.ID})
}

// endWords says what a step does at the end.
func endWords(none string) string {
	return map[string]string{"round": "round at the end", "stay": "saying so at the end"}[none]
}

// With says what fills in an address, or the inputs of another project's screen, and how it opens.
func (w *Writer) With(c *plan.Case, with map[string]string, open ...Chunk) {
	said := 0
	say := func(lead string, chunk Chunk) {
		w.Plain(map[bool]string{true: " with ", false: ", "}[said == 0] + lead)
		w.Out = append(w.Out, chunk)
		said++
	}
	for _, name := range slices.Sorted(maps.Keys(with)) {
		chunk := Chunk{Text: "“" + with[name] + "”, which cannot be read", Part: PartWith, Tone: "record", Case: c.ID, Item: name, Bad: true}
		if e := c.Move.Exprs[name]; e != nil {
			chunk.Text, chunk.Bad = w.ValueWords(e, ""), false
		}
		say(name+" = ", chunk)
	}
	for _, chunk := range open {
		chunk.Part, chunk.Tone, chunk.Case = PartWith, "record", c.ID
		say("", chunk)
	}
	w.Plain(", ")
	w.as(c)
}
