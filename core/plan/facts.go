package plan

import (
	"encoding/json"
	"maps"
	"slices"

	"ambergate/core/place"
	"ambergate/core/project"
)

// Writes says whether what a trigger of an element sets off changes records or the plant; without a
// trigger its usual one. A row that is edited where it stands is kept without a gate.
func (a *App) Writes(screen, element, trigger string) bool {
	e := a.ElementAt(screen, element)
	if e == nil {
		return false
	}
	_, g := e.GateOn(trigger)
	if g == nil {
		l := e.Listing()
		return trigger != "" && l != nil && l.InPlace
	}
	return g.Writes() || g.Unsaved == "save"
}

// OnlyShows says whether a screen shows records and changes none: nothing on it writes, and nothing is typed on it. What it
// shows may be a moment old.
func (a *App) OnlyShows(screen string) bool {
	s := a.Project.Screens[screen]
	if s == nil || s.Type == "form" {
		return false
	}
	for id := range s.Elements {
		e := a.ElementAt(screen, id)
		if e == nil {
			return false
		}
		if l := e.Listing(); l != nil && l.InPlace {
			return false
		}
		for _, g := range e.Spec.Gates() {
			if g != nil && g.Writes() {
				return false
			}
		}
	}
	return true
}

// Commands says whether a trigger of an element may write to the plant; without one its usual one.
func (a *App) Commands(screen, element, trigger string) bool {
	e := a.ElementAt(screen, element)
	if e == nil {
		return false
	}
	_, g := e.GateOn(trigger)
	return g != nil && g.Commands()
}

// Acts gives what a trigger of an element does besides moving, as text that is another when it does anything
// else; without a trigger its usual one. It is not wired where there is no such element, or nothing is set off.
func (a *App) Acts(screen, element, trigger string) (acts string, wired bool) {
	e := a.ElementAt(screen, element)
	if e == nil {
		return "", false
	}
	_, g := e.GateOn(trigger)
	if g == nil {
		l := e.Listing()
		return "", trigger != "" && l != nil && l.InPlace
	}
	if !g.Acts() {
		return "", true
	}
	cases := map[string][]*project.Effect{}
	for _, c := range g.Cases {
		for _, effect := range c.Effects {
			cases[c.ID] = append(cases[c.ID], effect.Effect)
		}
	}
	text, err := json.Marshal([]any{cases, g.Given, g.Unsaved})
	if err != nil {
		panic("a gate that was read does not encode: " + err.Error())
	}
	return string(text), true
}

// GuidesIn says whether a screen has a guided task on it.
func (a *App) GuidesIn(screen string) bool {
	s := a.Screens[screen]
	return s != nil && slices.ContainsFunc(s.Elements, func(e *Element) bool {
		_, is := e.Spec.(interface{ InOrder() })
		return is
	})
}

// ListsTasks says whether a screen lists guided tasks.
func (a *App) ListsTasks(screen string) bool {
	s := a.Screens[screen]
	return s != nil && slices.ContainsFunc(s.Elements, func(e *Element) bool {
		_, is := e.Spec.(interface{ ListsTasks() })
		return is
	})
}

// TasksOf lists the screens that the tasks of a screen lead to.
func (a *App) TasksOf(screen string) []string {
	var out []string
	for _, e := range a.Screens[screen].Elements {
		if _, is := e.Spec.(interface{ ListsTasks() }); !is {
			continue
		}
		for _, g := range e.Gates {
			for _, c := range g.Cases {
				for _, l := range c.Move.Leads() {
					if l.Target != nil {
						out = append(out, l.Target.ID)
					}
				}
			}
		}
	}
	return out
}

// Writes says whether any case changes records or the plant, as project.Gate.Writes does, without its maps: it is asked
// for each button that is drawn.
func (g *Gate) Writes() bool {
	for _, c := range g.Cases {
		for _, e := range c.Effects {
			if e.Spec.Writes() {
				return true
			}
		}
	}
	return false
}

// Acts says whether it does more than move.
func (g *Gate) Acts() bool {
	return g.Unsaved == "save" || slices.ContainsFunc(g.Cases, func(c *Case) bool { return len(c.Effects) > 0 })
}

// OnLeaving says whether an element is a way that is set off when its screen is left: it may be
// pressed after that.
func (a *App) OnLeaving(screen, element string) bool {
	e := a.ElementAt(screen, element)
	if e == nil {
		return false
	}
	w := project.WayOf(e.Element)
	return w != nil && w.OnLeaving()
}

// StepsAlong gives the table whose list a place is stepped along, or "" when nothing there asks for it.
func (a *App) StepsAlong(p place.Place) string {
	plan := a.Screens[p.Screen]
	if plan == nil || p.Mode == "add" || len(plan.Steps) == 0 && !plan.Screen.Position {
		return ""
	}
	return plan.Screen.RecordTable()
}

// TablesOf gives the tables that a screen is about: that of its record, that of its main list.
func (a *App) TablesOf(screen string) []string {
	s := a.Project.Screens[screen]
	if s == nil {
		return nil
	}
	tables := []string{s.RecordTable(), s.ListTable()}
	if plan := a.Screens[screen]; plan != nil {
		tables = append(tables, slices.Sorted(maps.Keys(plan.Adds))...)
	}
	return tables
}

// WrittenBy gives the table whose database the presses of a screen change; "" where it shows none.
func WrittenBy(s *project.Screen) string {
	if table := s.RecordTable(); table != "" {
		return table
	}
	return s.ListTable()
}

// AsksChosen says whether ways of a screen depend on the chosen rows of its lists.
func (a *App) AsksChosen(screen string) bool {
	plan := a.Screens[screen]
	return plan != nil && len(plan.Chosen) > 0
}

// RowTable gives the table of the rows that expressions of an element may speak of, or "".
func (a *App) RowTable(screen, element string) string {
	if e := a.ElementAt(screen, element); e != nil {
		return Scene{Element: e}.RowTable()
	}
	return ""
}
