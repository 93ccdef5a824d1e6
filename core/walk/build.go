package walk

import (
	"context"
	"encoding/json"
	"fmt"
	"maps"
	"slices"
	"strings"

	"ambergate/core/ask"
	"ambergate/core/check"
	"ambergate/core/check/reach"
	"ambergate/core/checks"
	"ambergate/core/english"
	"ambergate/core/patch"
	"ambergate/core/plan"
	"ambergate/core/project"
)

// builds changes the application that is walked through, as a builder does; the walk goes on in it.
func (r *runner) builds(s *project.WalkStep) error {
	bodies := patch.Bodies{}
	var ops []patch.Op
	for _, c := range project.Ordered(s.Changes) {
		op := patch.Op{Op: c.Op, Path: c.Path}
		if c.Op != "remove" {
			text, err := json.Marshal(c.Value)
			if err != nil {
				return fmt.Errorf("write the value of %s: %w", c.Path, err)
			}
			op.Value = text
		}
		ops = append(ops, op)
		var body any
		if text, there := r.entities[op.Entity()]; there && json.Unmarshal(text, &body) == nil {
			bodies[op.Entity()] = body
		}
	}
	touched, _, err := patch.Apply(bodies, ops)
	if err != nil {
		return &Difference{Expected: "that it can be changed so", Found: err.Error()}
	}
	changed := touched.Texts()
	r.entities = maps.Clone(r.entities)
	for id, text := range changed {
		if r.entities[id] = text; text == nil {
			delete(r.entities, id)
		}
	}
	p, err := project.Redecode(r.app.Project, changed)
	if err != nil {
		return &Difference{Expected: "that it can be changed so", Found: err.Error()}
	}
	app, err := plan.Recompile(r.app, p, slices.Sorted(maps.Keys(changed)))
	if err != nil {
		return fmt.Errorf("compile what was changed on a walk: %w", err)
	}
	r.app = app
	return nil
}

// finds looks whether the checks say something of the application as it was changed.
func (r *runner) finds(ctx context.Context, s *project.WalkStep) error {
	if r.checked != r.app {
		if r.checks++; r.checks > mostChecks {
			return ask.Refuse("loop", "So often nothing is checked on one walk.", "Make several walks of it.")
		}
		found, err := checks.All.RunOver(ctx, reach.Of(r.app, nil), nil)
		if err != nil {
			return err
		}
		r.checked, r.found = r.app, found
	}
	var broken []string
	for _, f := range r.found {
		if strings.Contains(f.Words, s.Words) && (s.Screen == "" || f.Screen == s.Screen) {
			return nil
		}
		if f.Severity == check.Broken {
			broken = append(broken, f.Words)
		}
	}
	d := &Difference{Expected: r.claimed(s), Found: "nothing that is broken"}
	if len(broken) > 0 {
		d.Found = quoted(broken)
	}
	return d
}

// changes says what a builder changes on a walk: by the names of what it is in.
func (r *teller) changes(s *project.WalkStep) string {
	var out []string
	for _, c := range project.Ordered(s.Changes) {
		id, deeper, _ := strings.Cut(strings.TrimPrefix(c.Path, "/"), "/")
		words := "changes " + r.entity(id)
		switch {
		case c.Op == "test":
			continue
		case deeper == "" && c.Op == "remove":
			words = "takes out " + r.entity(id)
		case deeper == "" && c.Op == "add":
			words = "makes something new"
		}
		if !slices.Contains(out, words) {
			out = append(out, words)
		}
	}
	return english.List(out, "and")
}

// entity says what somebody calls an entity that a walk changes.
func (r *teller) entity(id string) string {
	p := r.app.Project
	switch {
	case p.Screens[id] != nil:
		return r.titled(id)
	case p.Tables[id] != nil:
		return "the table “" + p.Tables[id].Label + "”"
	case p.Rails[id] != nil:
		return "the rail “" + p.Rails[id].Name + "”"
	case p.Gates[id] != nil:
		return "the shared gate “" + p.Gates[id].Name + "”"
	case p.Conditions[id] != nil:
		return "the condition “" + p.Conditions[id].Name + "”"
	case p.Roles[id] != nil:
		return "the role “" + p.Roles[id].Name + "”"
	case id == project.SettingsID:
		return "the application’s settings"
	}
	return "something of the application"
}
