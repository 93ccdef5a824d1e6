package asks

import (
	"strconv"
	"strings"

	"ambergate/core/check"
	"ambergate/core/cond"
	"ambergate/core/cond/prove"
	"ambergate/core/kinds/element"
	"ambergate/core/plan"
	"ambergate/core/words"
)

var ShadowedCase = &check.Check{Name: "shadowed-case", Doc: "a case that is never taken, as an earlier one always is", Local: true, Run: func(ix *check.Index, report func(check.Finding)) {
	for _, w := range ix.Ways {
		if w.Of == nil || w.Gate.Broken || w.Of != w.Gate.Cases[0] {
			continue // a gate once, at its first case
		}
		var before []*cond.Node
		for i, c := range w.Gate.Cases {
			if i > 0 && shadows(before, plan.RootOf(c.Condition)) {
				f := w.OfGate(check.Doubtful, "Case "+ordinal(i+1)+" of “"+words.Element(ix.App, w.Screen, w.Element)+"” is never taken: an earlier one always is.")
				if c.Condition != nil {
					f.Evidence = "It is for when " + c.Condition.Root.Phrase() + "."
				}
				if f.Once != "" {
					f.Once += "/cases/" + c.ID
				}
				f.Mends = []check.Mend{{Words: "remove the case", Patch: check.Removal(strings.TrimPrefix(w.Wiring(), "/") + "/cases/" + c.ID)}}
				report(f)
			}
			before = append(before, plan.RootOf(c.Condition))
		}
	}
}}

func ordinal(n int) string { return strconv.Itoa(n) }

// shadows says whether one of some conditions, of which nil always holds, does wherever another does.
func shadows(before []*cond.Node, n *cond.Node) bool {
	var any *cond.Node
	for _, b := range before {
		if b == nil {
			return true
		}
		any = cond.Any(any, b)
	}
	if n == nil {
		return prove.CanFail(any) == prove.No
	}
	return prove.Implies(n, any) == prove.Yes
}

var ShadowedFace = &check.Check{Name: "shadowed-face", Doc: "a face that never shows, as an earlier one always does", Local: true, Run: func(ix *check.Index, report func(check.Finding)) {
	for _, id := range ix.Screens() {
		screen := ix.App.Screens[id]
		for _, e := range screen.Elements {
			facesOf(ix, screen, e, "", report)
		}
		for _, r := range screen.Rails {
			for _, e := range r.Elements {
				facesOf(ix, screen, e, r.Rail.ID, report)
			}
		}
	}
}}

// faced is answered by elements that look otherwise under conditions: the ids of their faces, those of one state in the
// order in which they are tried.
type faced interface {
	FaceOrder() [][]element.FaceTried
}

func facesOf(ix *check.Index, screen *plan.Screen, e *plan.Element, entity string, report func(check.Finding)) {
	spec, has := e.Spec.(faced)
	if !has {
		return
	}
	for _, order := range spec.FaceOrder() {
		var before []*cond.Node
		for i, face := range order {
			n := plan.RootOf(e.Exprs["face."+face.ID])
			if n == nil && !face.Always {
				continue // it cannot be read, which is told elsewhere
			}
			if i > 0 && shadows(before, n) {
				f := check.Finding{Severity: check.Doubtful, Screen: screen.Screen.ID, Element: e.ID, Entity: entity, Words: "Face " + ordinal(i+1) + " of “" + words.Element(ix.App, screen.Screen, e) + "” never shows: an earlier one always does."}
				if n != nil {
					f.Evidence = "It is for when " + n.Phrase() + "."
				}
				report(f)
			}
			before = append(before, n)
		}
	}
}
