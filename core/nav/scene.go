package nav

import (
	"ambergate/core/cond"
	"ambergate/core/project"
)

// scene is what a way's conditions, bindings and words are read in: its screen, the element that
// sets it off, and, inside a shared gate, that gate with what the way gives it.
type scene struct {
	app     *App
	screen  *project.Screen
	element *ElementPlan
	shared  *project.SharedGate
	given   map[string]*project.Binding
}

func (w Way) scene(a *App) scene {
	s := scene{app: a, screen: w.Screen, element: w.Element}
	if w.Gate != nil {
		s.shared, s.given = w.Gate.Shared, w.Gate.Given
	}
	return s
}

// rowTable gives the table of the rows of the element, or "".
func (s scene) rowTable() string {
	if s.element == nil {
		return ""
	}
	if l := project.ListOf(s.element.Element); l != nil {
		return l.Table
	}
	return ""
}

// points gives what the points of the element stand for; nil where it has none.
func (s scene) points() *project.PointSource {
	if s.element == nil {
		return nil
	}
	return project.PointsOf(s.element.Element)
}

// subjectTable gives the table that effects change: that of a list's rows, else the screen's own.
func (s scene) subjectTable() string {
	if table := s.rowTable(); table != "" {
		return table
	}
	return s.screen.RecordTable()
}

// inputs gives what the way was given: the inputs of the screen, or of the shared gate.
func (s scene) inputs() map[string]*project.Input {
	if s.shared != nil {
		return s.shared.Inputs
	}
	return s.screen.Inputs
}

// fromTable gives the table of the record that a rule starts at.
func (s scene) fromTable(from string) string {
	switch from {
	case "", "record":
		return s.screen.RecordTable()
	case "row":
		return s.rowTable()
	}
	if in := s.inputs()[from]; in != nil {
		return in.Table
	}
	return ""
}

// scope gives the names that expressions of the way may start with.
func (s scene) scope() cond.Scope {
	if s.shared != nil {
		return s.app.Project.GateScope(s.shared)
	}
	return s.app.Project.Scope(s.screen, s.rowTable())
}

// scene gives what the planner reads in now.
func (b *planner) scene() scene {
	return scene{app: b.app, screen: b.plan.Screen, element: b.element, shared: b.sharedGate}
}
