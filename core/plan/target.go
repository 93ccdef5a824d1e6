package plan

import "ambergate/core/project"

// Target is what a way sees of the screen that it leads to. What stands there and whom it lets in is none of it: that is
// asked of the App, so that a screen whose inside changes is no other to those that lead to it.
type Target struct {
	ID, Title, Type, Record string
	Inputs                  map[string]*project.Input
}

// TargetOf gives a screen as a target; nil for none.
func TargetOf(s *project.Screen) *Target {
	if s == nil {
		return nil
	}
	return &Target{ID: s.ID, Title: s.Title, Type: s.Type, Record: s.Record, Inputs: s.Inputs}
}

// RecordTable gives the table of the target's own record, or "".
func (t *Target) RecordTable() string {
	if in := t.Inputs[t.Record]; in != nil {
		return in.Table
	}
	return ""
}

// Behind gives the screen itself that a lead leads to; nil where it is gone.
func (a *App) Behind(m *Lead) *project.Screen {
	if m.Target == nil {
		return nil
	}
	return a.Project.Screens[m.Target.ID]
}
