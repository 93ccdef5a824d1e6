package press

import (
	"maps"
	"slices"

	"ambergate/core/ask"
	"ambergate/core/cond"
	"ambergate/core/project"
)

// Assign works out what fields of a record are to get, as far as the user may write them.
func (r Run) Assign(t *project.Table, fields map[string]string) (map[string]cond.Value, error) {
	grant := r.Opening.Rights.On(t.ID)
	values := map[string]cond.Value{}
	for _, field := range slices.Sorted(maps.Keys(fields)) {
		f, x := t.Fields[field], r.Effect.Exprs[field]
		if f == nil || x == nil {
			return nil, ask.Refuse("broken", "A field that this sets is gone, or is of another kind.", "Tell the person who builds this application.")
		}
		if grant.ReadOnly[field] || f.ReadOnly {
			return nil, ask.Refuse("no-grant", "You may not change “"+f.Label+"”.", "Ask the person who runs this application for the right.")
		}
		v := x.Root.Eval(r.World)
		if !v.Known() {
			return nil, ask.Refuse("unknown", "“"+f.Label+"” cannot be worked out now: "+v.Why()+".", "Try again in a moment.")
		}
		if v.IsNull() { // a text is emptied, not made one of no letters
			values[field] = cond.NullValue
			continue
		}
		v, err := cond.Parse(f.TypeOf(), v.Wire())
		if err != nil {
			return nil, ask.Refuse("bad-value", "“"+f.Label+"” would get a value it cannot hold: "+err.Error()+".", "Tell the person who builds this application.")
		}
		values[field] = v
	}
	return values, nil
}
