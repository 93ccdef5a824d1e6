// Package large makes a project of a thousand screens for benchmarks.
package large

import (
	"encoding/json"
	"fmt"
)

// Size says how large a project is made.
type Size struct{ Screens, GatesEach, Conditions, Roles int }

// Full is the size that the budgets are for.
var Full = Size{Screens: 1000, GatesEach: 20, Conditions: 2000, Roles: 20}

// Project makes the entities of a project: forms over four tables, each with buttons that lead to
// other forms on this record or its parents, under conditions of which many gates share one.
func Project(s Size) map[string]json.RawMessage { return Named(s, "large") }

// Named makes them under a slug of its own.
func Named(s Size, slug string) map[string]json.RawMessage {
	out := map[string]json.RawMessage{}
	put := func(id string, body map[string]any) {
		text, err := json.Marshal(body)
		if err != nil {
			panic("a made-up entity does not encode: " + err.Error())
		}
		out[id] = text
	}
	put("project", map[string]any{"kind": "project", "title": "Large", "slug": slug, "zone": "UTC"})
	put("so_db", map[string]any{"kind": "source", "name": "Records", "type": "postgresql", "connection": "tarnhorn", "schema": "tarnhorn"})
	for i := range s.Roles {
		put(fmt.Sprintf("r_%d", i), map[string]any{"kind": "role", "pos": i, "name": fmt.Sprintf("Role %d", i), "start": "s_start"})
		for t := range 4 {
			put(fmt.Sprintf("gr_%d_%d", i, t), map[string]any{"kind": "grant", "role": fmt.Sprintf("r_%d", i), "table": fmt.Sprintf("t_%d", t), "view": true, "add": true, "edit": i%2 == 0})
		}
	}
	for t := range 4 {
		fields := map[string]any{
			"f_id":   map[string]any{"pos": 1, "column": "id", "alias": "id", "label": "Id", "type": "whole", "readOnly": true},
			"f_code": map[string]any{"pos": 2, "column": "code", "alias": "code", "label": "Code", "type": "text"},
		}
		for f := range 20 {
			fields[fmt.Sprintf("f_n%d", f)] = map[string]any{"pos": 3 + f, "column": fmt.Sprintf("n%d", f), "alias": fmt.Sprintf("n%d", f), "label": fmt.Sprintf("Number %d", f), "type": "whole", "nullable": true}
		}
		if t > 0 {
			fields["f_up"] = map[string]any{"pos": 40, "column": "up_id", "alias": "up", "label": "Up", "type": "record", "references": fmt.Sprintf("t_%d", t-1), "nullable": true}
		}
		put(fmt.Sprintf("t_%d", t), map[string]any{"kind": "table", "source": "so_db", "relation": fmt.Sprintf("large_%d", t), "label": fmt.Sprintf("Things %d", t), "one": fmt.Sprintf("thing %d", t), "key": []string{"f_id"}, "title": "{record.f_code}", "fields": fields})
	}
	lists := map[string]any{}
	for t := range 4 {
		lists[fmt.Sprintf("e_%d", t)] = map[string]any{"kind": "list", "pos": t, "cell": map[string]any{"row": t + 1, "col": 1, "w": 12}, "table": fmt.Sprintf("t_%d", t), "columns": map[string]any{},
			"opened": map[string]any{"cases": map[string]any{"c_1": map[string]any{"pos": 1, "move": map[string]any{"kind": "screen", "target": fmt.Sprintf("s_%d", t), "bind": map[string]any{"i_it": map[string]any{"rule": "row"}}}}}}}
	}
	put("s_start", map[string]any{"kind": "screen", "type": "menu", "title": "Start", "area": "Area 0", "slug": "start", "elements": lists})
	gate := 0
	for i := range s.Screens {
		t := i % 4
		elements := map[string]any{}
		for g := range s.GatesEach {
			target := (i*7 + g*13 + 1) % s.Screens
			bind := map[string]any{"rule": "this"}
			if tt := target % 4; tt < t {
				path := "f_up"
				for range t - tt - 1 {
					path += ".f_up"
				}
				bind = map[string]any{"rule": "parent", "path": path, "none": "grey"}
			} else if tt > t {
				bind = map[string]any{"rule": "child", "table": fmt.Sprintf("t_%d", t+1), "path": "f_up", "none": "grey"}
				target = target/4*4 + t + 1
				if target >= s.Screens {
					target = t + 1
				}
			}
			one := map[string]any{"cases": map[string]any{"c_1": map[string]any{"pos": 1, "move": map[string]any{"kind": "screen", "target": fmt.Sprintf("s_%d", target), "bind": map[string]any{"i_it": bind}}}}}
			if n := gate % s.Conditions; n < s.Conditions {
				one["while"] = fmt.Sprintf("record.f_n%d > %d && (record.f_code != \"%d\" || record.f_n%d < 7)", n%20, n, n, (n+3)%20)
				one["otherwise"] = map[string]any{"grey": "Not now."}
			}
			gate++
			elements[fmt.Sprintf("e_%d", g)] = map[string]any{"kind": "button", "pos": g, "cell": map[string]any{"row": g/6 + 2, "col": g%6*2 + 1, "w": 2}, "words": fmt.Sprintf("Go %d", g), "gate": one}
		}
		elements["e_f"] = map[string]any{"kind": "field", "pos": 90, "cell": map[string]any{"row": 1, "col": 1, "w": 4}, "path": "f_code"}
		put(fmt.Sprintf("s_%d", i), map[string]any{"kind": "screen", "type": "form", "title": fmt.Sprintf("Screen %d", i), "heading": "Screen {record.f_code}", "area": fmt.Sprintf("Area %d", i%12), "slug": fmt.Sprintf("screen-%d", i), "record": "i_it",
			"inputs": map[string]any{"i_it": map[string]any{"pos": 1, "alias": "it", "label": "It", "type": "record", "table": fmt.Sprintf("t_%d", t), "required": true}}, "elements": elements})
	}
	return out
}
