package trigger

import (
	"context"

	"ambergate/core/ask"
	"ambergate/core/plan"
	"ambergate/core/press"
	"ambergate/core/project"
	"ambergate/core/use"
)

// Menu is an entry of a row's or point's menu that is chosen.
type Menu struct{ byNameOnly }

// Place gives where the menu keeps the gate of the entry.
func (Menu) Place(id string) string { return "menu/" + id + "/gate" }

// Say says it with the words of the entry.
func (Menu) Say(e *project.Element, id string) string {
	words := "an entry that is gone"
	if m, ok := e.Spec.(interface {
		MenuEntries() map[string]*project.Entry
	}); ok && m.MenuEntries()[id] != nil {
		words = "“" + m.MenuEntries()[id].Words + "”"
	}
	return words + " of a " + memberOf(e) + "’s menu is chosen"
}

// Aim finds the row or the point whose menu it is.
func (Menu) Aim(ctx context.Context, o *use.Opening, e *plan.Element, g *plan.Gate, p press.Press, src ask.Changer) (use.Aim, error) {
	if e.Listing() == nil {
		return aimPoint(e, p), nil
	}
	return press.AimRow(ctx, o, e, p, src, true, g.Writes())
}

// Sample stands the first row or point for whichever it is.
func (Menu) Sample(o *use.Opening, e *plan.Element) use.Aim {
	if e.Listing() == nil {
		return o.FirstPoint(e)
	}
	return o.FirstRow(e, true)
}
