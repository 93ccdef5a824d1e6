package plan

import (
	"ambergate/core/cond"
	"ambergate/core/project"
)

// SpotList gives the table of the list that a move leads to a row of; "" where it is none.
func (a *App) SpotList(m *Lead) string { return listAt(a.Behind(m), m.Spot) }

// listAt gives the table of a list of a screen, by its element; "" where it is none.
func listAt(s *project.Screen, element string) string {
	if s == nil || s.Elements[element] == nil {
		return ""
	}
	if l := project.ListOf(s.Elements[element]); l != nil {
		return l.Table
	}
	return ""
}

// SpotInput stands for the row of a list that one is led to.
func SpotInput(table string) *project.Input {
	return &project.Input{Item: project.Item{ID: "spot"}, Label: "Row", Type: "record", Table: table}
}

// Scene is what a way's conditions, bindings and words are read in: its screen, the element that
// sets it off, and, inside a shared gate, that gate with what the way gives it.
type Scene struct {
	App     *App
	Screen  *project.Screen
	Element *Element
	Shared  *project.SharedGate
	Given   map[string]*project.Binding
}

// Scene gives what the texts of a way are read in.
func (w Way) Scene(a *App) Scene {
	s := Scene{App: a, Screen: w.Screen, Element: w.Element}
	if w.Gate != nil {
		s.Shared, s.Given = w.Gate.Shared, w.Gate.Given
	}
	return s
}

// RowTable gives the table of the rows of the element, or "".
func (s Scene) RowTable() string {
	if s.Element == nil {
		return ""
	}
	if l := project.ListOf(s.Element.Element); l != nil {
		return l.Table
	}
	return ""
}

// Points gives what the points of the element stand for; nil where it has none.
func (s Scene) Points() *project.PointSource {
	if s.Element == nil {
		return nil
	}
	return project.PointsOf(s.Element.Element)
}

// SubjectTable gives the table that effects change: that of a list's rows, else the screen's own.
func (s Scene) SubjectTable() string {
	if table := s.RowTable(); table != "" {
		return table
	}
	return s.Screen.RecordTable()
}

// Inputs gives what the way was given: the inputs of the screen, or of the shared gate.
func (s Scene) Inputs() map[string]*project.Input {
	if s.Shared != nil {
		return s.Shared.Inputs
	}
	return s.Screen.Inputs
}

// FromTable gives the table of the record that a rule starts at.
func (s Scene) FromTable(from string) string {
	switch from {
	case "", "record":
		return s.Screen.RecordTable()
	case "row":
		return s.RowTable()
	}
	if in := s.Inputs()[from]; in != nil {
		return in.Table
	}
	return ""
}

// Scope gives the names that expressions of the way may start with.
func (s Scene) Scope() cond.Scope {
	if s.Shared != nil {
		return s.App.Project.GateScope(s.Shared)
	}
	return s.App.Project.Scope(s.Screen, s.RowTable())
}

// Scene gives what the planner reads in now.
func (b *Planner) Scene() Scene {
	return Scene{App: b.App, Screen: b.Plan.Screen, Element: b.Element, Shared: b.sharedGate}
}
