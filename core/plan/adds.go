package plan

import "slices"

// adds says whether a case adds a record to a table.
func (c *Case) adds(table string) bool {
	for _, e := range c.Effects {
		if a, ok := e.Spec.(Adder); ok && a.AddsTo() == table {
			return true
		}
	}
	return false
}

// Adds says whether a way adds a record to a table, by a gate of its own or by the shared one it is looked at inside of.
func (w Way) Adds(table string) bool {
	g := w.Gate
	if g == nil && w.Element != nil {
		if g = w.Element.Gates[w.Trigger]; g == nil || g.Shared != nil {
			return false
		}
	}
	return table != "" && g != nil && slices.ContainsFunc(g.Cases, func(c *Case) bool { return c.adds(table) })
}

// Saves says whether a case keeps what was typed.
func Saves(c *Case) bool {
	for _, e := range c.Effects {
		if _, keeps := e.Spec.(Keeper); keeps {
			return true
		}
	}
	return false
}
