package plan

import "ambergate/core/project"

// GivenBack gives what a move that closes a dialog says it comes back with; nil for what was saved,
// and for any other move.
func GivenBack(m *Move) *project.Binding {
	if c, ok := m.Spec.(interface{ Gives() *project.Binding }); ok {
		return c.Gives()
	}
	return nil
}

// ResultTables gives the tables of the records that a screen, opened as a dialog, can come back
// with; plain says whether something else may come.
func (a *App) ResultTables(screen string) (tables map[string]bool, plain bool) {
	tables = map[string]bool{}
	plan := a.Screens[screen]
	if plan == nil {
		return tables, false
	}
	for _, w := range plan.Ways() {
		for _, c := range w.Gate.Cases {
			if c.Move == nil || c.Move.Kind != "close" {
				continue
			}
			b := GivenBack(c.Move)
			switch {
			case b == nil && Saves(c):
				tables[plan.Screen.RecordTable()] = true
			case b == nil:
			default:
				table, known, _ := a.BindingTable(w, b, c.Move.Exprs["result"])
				if known && table != "" {
					tables[table] = true
				} else {
					plain = true
				}
			}
		}
	}
	delete(tables, "")
	return tables, plain
}

// Opens gives the screens whose dialog a way comes back from; none for any other way.
func (w Way) Opens() []string {
	opened, back := project.OpenedBy(w.Trigger)
	if !back {
		return nil
	}
	g := w.Element.Gates[opened]
	if g == nil {
		return nil
	}
	var out []string
	for _, c := range g.Cases {
		if project.BackTrigger(opened, c.ID) != w.Trigger {
			continue
		}
		for _, m := range c.Move.Leads() {
			out = append(out, m.Lead.Target)
		}
	}
	return out
}

// Results gives the tables of the records that the dialog of a way comes back with; false for a
// way that no dialog comes back through. Plain says whether something else may come.
func (a *App) Results(w Way) (tables map[string]bool, plain, back bool) {
	tables = map[string]bool{}
	for _, screen := range w.Opens() {
		of, p := a.ResultTables(screen)
		plain = plain || p
		for t := range of {
			tables[t] = true
		}
	}
	return tables, plain, IsBack(w.Trigger)
}
