package base

import (
	"encoding/json"
	"maps"
	"slices"

	"ambergate/core/differ"
	"ambergate/core/patch"
	"ambergate/core/plan"
	"ambergate/core/project"
)

// Earlier goes back from a draft, edit by edit, and gives what it was then.
type Earlier struct {
	draft  *Draft
	bodies patch.Bodies // of what was touched so far, as it was
}

// Back begins at the draft.
func (d *Draft) Back() *Earlier { return &Earlier{draft: d, bodies: patch.Bodies{}} }

// Undo goes back before an edit, by its inverse. False where that does not fit: then it is not the next older one.
func (e *Earlier) Undo(inverse []patch.Op) bool {
	of := patch.Bodies{}
	for _, op := range inverse {
		id := op.Entity()
		if body, known := e.bodies[id]; known {
			if body != nil {
				of[id] = body
			}
			continue
		}
		if text, there := e.draft.Entities[id]; there {
			var body any
			if json.Unmarshal(text, &body) != nil {
				return false
			}
			of[id] = body
		}
	}
	touched, _, err := patch.Apply(of, inverse)
	if err != nil {
		return false
	}
	maps.Copy(e.bodies, touched)
	return true
}

// Side gives the project with what these entities were then; all that were touched where none are named. The error is
// that of a project that cannot be read.
func (e *Earlier) Side(only ...string) (differ.Side, error) {
	entities := maps.Clone(e.draft.Entities)
	changed := map[string]json.RawMessage{}
	for id, body := range e.bodies {
		if len(only) > 0 && !slices.Contains(only, id) {
			continue
		}
		changed[id] = nil
		delete(entities, id)
		if body != nil {
			text, err := json.Marshal(body)
			if err != nil {
				return differ.Side{}, err
			}
			changed[id], entities[id] = text, text
		}
	}
	p, err := project.Redecode(e.draft.App.Project, changed)
	if err != nil {
		return differ.Side{}, err
	}
	app, err := plan.Recompile(e.draft.App, p, slices.Sorted(maps.Keys(changed)))
	return differ.Side{App: app, Entities: entities}, err
}
