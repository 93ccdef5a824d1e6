package nav

import (
	"maps"
	"slices"
	"strings"

	"ambergate/core/cond"
	"ambergate/core/english"
	"ambergate/core/project"
)

// What fields of a record get, of one that is added and of one that is changed.

// assigns compiles what fields of a record are to get; what does not fit is a finding.
func (b *planner) assigns(e *EffectPlan, t *project.Table, fields map[string]string) {
	for _, field := range slices.Sorted(maps.Keys(fields)) {
		f := t.Fields[field]
		if f == nil {
			b.broken("field", field, cond.Problem{Message: "A field that it sets is gone.", Length: 1})
			continue
		}
		x := b.expression("new value", fields[field])
		if x == nil {
			continue
		}
		if want := f.TypeOf(); !Fits(want, x.Root.Type) {
			b.broken("new value", fields[field], cond.Problem{Message: "“" + f.Label + "” is " + cond.KindWords(want.Kind) + "; this is " + cond.KindWords(x.Root.Type.Kind) + ".", Length: max(1, len([]rune(fields[field])))})
			continue
		}
		e.Exprs[field] = x
	}
}

// assigned says what fields of a record are to get: “lift = its lift”.
func (w *sentenceWriter) assigned(e *EffectPlan, t *project.Table, fields map[string]string, to string) []string {
	var parts []string
	for _, field := range slices.Sorted(maps.Keys(fields)) {
		label, table := "a field that is gone", ""
		if t != nil && t.Fields[field] != nil {
			label, table = english.Lower(t.Fields[field].Label), t.Fields[field].References
		}
		value := "“" + fields[field] + "”"
		if x := e.Exprs[field]; x != nil {
			value = w.valueWords(x, table)
		}
		if strings.HasSuffix(label, " to") {
			label = "“" + label + "”" // assigned to, to whom
		}
		parts = append(parts, label+to+value)
	}
	return parts
}

// assign works out what fields of a record are to get, as far as the user may write them.
func (r effectRun) assign(t *project.Table, fields map[string]string) (map[string]cond.Value, error) {
	grant := r.o.rights.On(t.ID)
	values := map[string]cond.Value{}
	for _, field := range slices.Sorted(maps.Keys(fields)) {
		f, x := t.Fields[field], r.plan.Exprs[field]
		if f == nil || x == nil {
			return nil, refuse("broken", "A field that this sets is gone, or is of another kind.", "Tell the person who builds this application.")
		}
		if grant.ReadOnly[field] || f.ReadOnly {
			return nil, refuse("no-grant", "Your role may not change “"+f.Label+"”.", "")
		}
		v := x.Root.Eval(r.w)
		if !v.Known() {
			return nil, refuse("unknown", "“"+f.Label+"” cannot be worked out now: "+v.Why()+".", "Try again in a moment.")
		}
		if v.IsNull() { // a text is emptied, not made one of no letters
			values[field] = cond.NullValue
			continue
		}
		v, err := cond.Parse(f.TypeOf(), v.Wire())
		if err != nil {
			return nil, refuse("bad-value", "“"+f.Label+"” would get a value it cannot hold: "+err.Error()+".", "Tell the person who builds this application.")
		}
		values[field] = v
	}
	return values, nil
}
