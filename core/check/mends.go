package check

import (
	"encoding/json"

	"ambergate/core/patch"
	"ambergate/core/plan"
	"ambergate/core/project"
)

// BindPath gives where in the document a target's bindings stand.
func (w Way) BindPath(m *plan.Lead) string {
	path := w.Wiring() + "/cases/" + w.Of.ID + "/move"
	if m.ID != "" {
		path += "/among/" + m.ID
	}
	return path + "/bind"
}

func BindPatch(w Way, m *plan.Lead, input string, b *project.Binding) []patch.Op {
	path := w.BindPath(m)
	if m.Bind == nil {
		return []patch.Op{{Op: "add", Path: path, Value: Encode(map[string]*project.Binding{input: b})}}
	}
	return []patch.Op{{Op: "add", Path: path + "/" + input, Value: Encode(b)}}
}

// Encode writes a part of the document, which always can be.
func Encode(v any) json.RawMessage {
	text, err := json.Marshal(v)
	if err != nil {
		panic("a part of the document does not encode: " + err.Error())
	}
	return text
}

// Removal takes an entity out of the document.
func Removal(id string) []patch.Op { return []patch.Op{{Op: "remove", Path: "/" + id}} }

// PutRoles lets just some roles into a screen.
func PutRoles(s *project.Screen, roles map[string]bool) []patch.Op {
	op := "add"
	if s.Roles != nil {
		op = "replace"
	}
	return []patch.Op{{Op: op, Path: "/" + s.ID + "/roles", Value: Encode(roles)}}
}

// PutIdle brings a role back to its start after so many seconds.
func PutIdle(r *project.Role, seconds int) []patch.Op {
	return []patch.Op{{Op: "add", Path: "/" + r.ID + "/idle", Value: Encode(seconds)}}
}

// BackButton gives the operation that adds a button "Back" below everything on a screen.
func BackButton(s *project.Screen) patch.Op { return LeaveButton(s, "Back", "back") }

// LeaveButton gives the operation that adds a button which leaves the screen, below everything on it.
func LeaveButton(s *project.Screen, words, move string) patch.Op {
	row := FreeRow(s)
	button := map[string]any{
		"kind": "button", "pos": row * 10, "cell": project.Cell{Row: row, Col: 1, W: 2}, "words": words,
		"gate": map[string]any{"cases": map[string]any{"c_1": map[string]any{"pos": 1, "move": map[string]any{"kind": move}}}},
	}
	id := "e_" + move
	for s.Elements[id] != nil {
		id += "x"
	}
	if s.Elements == nil {
		return patch.Op{Op: "add", Path: "/" + s.ID + "/elements", Value: Encode(map[string]any{id: button})}
	}
	return patch.Op{Op: "add", Path: "/" + s.ID + "/elements/" + id, Value: Encode(button)}
}

// FreeRow gives the first row below everything on a screen.
func FreeRow(s *project.Screen) int {
	row := 1
	for _, e := range s.Elements {
		row = max(row, e.Cell.Row+max(1, e.Cell.H))
	}
	return row
}
