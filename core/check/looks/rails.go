package looks

import (
	"ambergate/core/check"
	"ambergate/core/english"
	"ambergate/core/kinds/rule"
	"ambergate/core/plan"
	"ambergate/core/project"
	"ambergate/core/words"
)

var RailNowhere = &check.Check{Name: "rail-nowhere", Doc: "a rail that stands on no screen", Run: func(ix *check.Index, report func(check.Finding)) {
	for _, r := range project.Ordered(ix.App.Project.Rails) {
		stands := false
		for _, s := range ix.App.Project.Screens {
			stands = stands || r.On(s)
		}
		if !stands && len(ix.App.Project.Screens) > 0 {
			report(check.Finding{Severity: check.Doubtful, Entity: r.ID, Words: "The rail “" + r.Name + "” stands on no screen: nothing fits where it is to be."})
		}
	}
}}

// What fits on a rail at the narrowest, in pixels.
const (
	narrowest   = 390 // of a window
	railTarget  = 60  // of one element that does not fold away
	lowestSight = 700 // of a window, upright
)

var RailCrowded = &check.Check{Name: "rail-crowded", Doc: "a rail with more that never folds away than fits the narrowest window", Run: func(ix *check.Index, report func(check.Finding)) {
	for _, r := range project.Ordered(ix.App.Project.Rails) {
		room := narrowest
		if r.Edge == "left" || r.Edge == "right" {
			room = lowestSight
		}
		stay := 0
		for id := range r.Never {
			if r.Elements[id] != nil {
				stay++
			}
		}
		if fits := room / railTarget; stay > fits && r.Drawer == nil {
			report(check.Finding{Severity: check.Doubtful, Entity: r.ID, Words: "On the rail “" + r.Name + "” " + english.Count(stay, "element never folds away", "elements never fold away") + "; a narrow window has room for " + english.Count(fits, "of them", "of them") + "."})
		}
	}
}}

var Misfit = &check.Check{Name: "misfit", Doc: "a button of a rail, or one through a shared gate, that does not fit a screen where it stands", Local: true, Run: func(ix *check.Index, report func(check.Finding)) {
	for _, w := range ix.Ways {
		if w.Rail == nil && w.Gate.Shared == nil {
			continue
		}
		for _, m := range w.Targets() {
			if in := misfits(w, m); in != nil {
				has := "no record"
				if t := w.Screen.RecordTable(); t != "" {
					has = "a record of " + check.Label(ix.App.Project, t)
				}
				report(w.Finding(check.Broken, "“"+words.Element(ix.App, w.Screen, w.Element)+"” brings this record to “"+m.Target.Title+"”, which takes one of "+check.Label(ix.App.Project, in.Table)+"; “"+w.Screen.Title+"” has "+has+"."))
			}
		}
	}
}}

// misfits gives an input of the target that is to get the record of this screen, which is none of its table; nil for none.
func misfits(w check.Way, m *plan.Lead) *project.Input {
	for _, in := range project.Ordered(m.Target.Inputs) {
		b := m.Bind[in.ID]
		if b == nil {
			continue
		}
		if given, is := b.Spec.(*rule.Input); is && w.Gate.Shared != nil {
			if b = w.Gate.Given[given.Value]; b == nil {
				continue
			}
		}
		if _, is := b.Spec.(*rule.This); is && in.Table != "" && w.Screen.RecordTable() != in.Table && (w.Gate.Shared != nil || w.Rail != nil) {
			return in
		}
	}
	return nil
}
