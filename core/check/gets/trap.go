package gets

import (
	"strings"

	"ambergate/core/check"
	"ambergate/core/english"
	"ambergate/core/patch"
	"ambergate/core/project"
)

var NoWayOut = &check.Check{Name: "no-way-out", Doc: "a role gets to a screen and no proven way leads on from there", Run: func(ix *check.Index, report func(check.Finding)) {
	for _, set := range traps(ix) {
		if len(set.screens) > 1 || !set.stuck {
			continue
		}
		s := ix.App.Project.Screens[set.screens[0]]
		report(check.Finding{Severity: check.Broken, Screen: s.ID, Words: english.List(set.names, "and") + " may get to “" + s.Title + "”, and no proven way leads on from there.", Evidence: set.path, Mends: outOf(ix, s)})
	}
}}

var Trap = &check.Check{Name: "trap", Doc: "screens that a role gets to and cannot leave to the start by any proven way", Run: func(ix *check.Index, report func(check.Finding)) {
	for _, set := range traps(ix) {
		if len(set.screens) == 1 && set.stuck {
			continue
		}
		var titles []string
		for _, id := range set.screens {
			titles = append(titles, "“"+ix.App.Project.Screens[id].Title+"”")
		}
		s := ix.App.Project.Screens[set.screens[0]]
		report(check.Finding{Severity: check.Broken, Screen: s.ID, Words: english.List(titles, "and") + " cannot be left to the start by any proven way, and " + english.List(set.names, "and") + " may get there.", Evidence: set.path, Mends: outOf(ix, s)})
	}
}}

// trapped is a set of screens that is not proven to lead back, and whom.
type trapped struct {
	screens []string
	names   []string
	stuck   bool // it is one screen, from which nothing proven leads anywhere
	path    string
}

// traps gives the sets of all roles, those that are the same once.
func traps(ix *check.Index) []*trapped {
	var out []*trapped
	by := map[string]*trapped{}
	all := ix.Everybody()
	results := ix.ResultOf(all)
	for i, w := range all {
		r := results[i]
		for _, screens := range r.Traps {
			key := strings.Join(screens, " ")
			if by[key] == nil {
				by[key] = &trapped{screens: screens, stuck: len(screens) == 1 && !r.LeadsOn(screens[0]), path: ix.PathWords(r.Path(screens[0]))}
				out = append(out, by[key])
			}
			by[key].names = append(by[key].names, w.Name)
		}
	}
	return out
}

// outOf leads out of a screen: by a button back, or by the strip.
func outOf(ix *check.Index, s *project.Screen) []check.Mend {
	out := []check.Mend{{Words: "add a button home", Patch: []patch.Op{check.LeaveButton(s, "Home", "home")}}}
	if s.Bare {
		out = append(out, check.Mend{Words: "show the strip", Patch: []patch.Op{{Op: "remove", Path: "/" + s.ID + "/bare"}}})
	}
	return out
}
