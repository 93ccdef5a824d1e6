package words

import (
	"strings"

	"ambergate/core/plan"
)

// backWords says in short what happens when a dialog comes back; false when nothing does yet.
func (w *Writer) backWords(g *plan.Gate) (string, bool) {
	switch {
	case g.Gone:
		return "a shared gate that is gone", false
	case g.Shared != nil && !g.Inner:
		return "“" + g.Shared.Name + "”", true
	case len(g.Cases) == 0:
		return "choose what happens", false
	}
	c, parts := g.Cases[0], []string{}
	for _, e := range c.Effects {
		parts = append(parts, w.Effect(e))
	}
	if c.Move != nil {
		var plate Plate
		saidMove(c).Plate(w, &plate, c)
		parts = append(parts, "open "+plate.Title)
	}
	if len(parts) == 0 {
		return "choose what happens", false
	}
	return strings.Join(parts, ", "), true
}

// Dialogs names the screens that a way comes back from.
func Dialogs(a *plan.App, w plan.Way) string {
	var titles []string
	for _, id := range w.Opens() {
		if s := a.Project.Screens[id]; s != nil {
			titles = append(titles, "“"+s.Title+"”")
		}
	}
	return strings.Join(titles, " or ")
}
