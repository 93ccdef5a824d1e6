package looks

import (
	"slices"

	"ambergate/core/check"
	"ambergate/core/cond"
	"ambergate/core/cond/prove"
	"ambergate/core/patch"
	"ambergate/core/plan"
	"ambergate/core/project"
	"ambergate/core/words"
)

var Overlap = &check.Check{Name: "overlap", Doc: "an element that stands on another, where both can show at once", Local: true, Run: func(ix *check.Index, report func(check.Finding)) {
	for _, id := range ix.Screens() {
		s := ix.App.Screens[id]
		for i, above := range s.Elements {
			for _, below := range s.Elements[:i] {
				if project.Frames(above.Element) || project.Frames(below.Element) || !overlaps(s.Screen.Type, above.Cell, below.Cell) || !together(above, below) {
					continue
				}
				name := func(e *plan.Element) string { return "“" + words.Element(ix.App, s.Screen, e) + "”" }
				f := check.Finding{Severity: check.Doubtful, Screen: id, Element: above.ID, Words: name(above) + " stands on " + name(below) + ": one covers the other."}
				to := above.Cell
				to.Row = check.FreeRow(s.Screen)
				f.Mends = []check.Mend{{Words: "move it below everything", Patch: []patch.Op{{Op: "replace", Path: "/" + id + "/elements/" + above.ID + "/cell", Value: check.Encode(to)}}}}
				report(f)
				break // one of those below it is enough
			}
		}
	}
}}

// overlaps says whether two cells cover each other. Only operator screens have rows of one height;
// on others a row is as high as what begins in it.
func overlaps(screen string, a, b project.Cell) bool {
	if screen != "operator" {
		a.H, b.H = 1, 1
	}
	return a.Row < b.Row+max(1, b.H) && b.Row < a.Row+max(1, a.H) && a.Col < b.Col+max(1, b.W) && b.Col < a.Col+max(1, a.W)
}

// together says whether two elements can show at once: not in modes or tabs that exclude each other,
// nor while conditions hold that cannot hold together.
func together(a, b *plan.Element) bool {
	if a.Modes != nil && b.Modes != nil && !slices.ContainsFunc([]string{"view", "edit", "add"}, func(m string) bool { return a.Modes[m] && b.Modes[m] }) {
		return false
	}
	if a.Tab != "" && b.Tab != "" && a.Tab != b.Tab {
		return false
	}
	if a.ShownWhile != nil && b.ShownWhile != nil {
		return prove.CanHold(&cond.Node{Op: cond.OpAnd, Type: cond.Type{Kind: cond.YesNo}, Args: []*cond.Node{a.ShownWhile.Root, b.ShownWhile.Root}}) != prove.No
	}
	return true
}
