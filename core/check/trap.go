package check

import (
	"strings"

	"ambergate/core/english"
	"ambergate/core/patch"
	"ambergate/core/project"
)

var noWayOut = &Check{Name: "no-way-out", Doc: "a role gets to a screen and no proven way leads on from there", Run: func(ix *Index, report func(Finding)) {
	for _, set := range ix.traps() {
		if len(set.screens) > 1 || !set.stuck {
			continue
		}
		s := ix.App.Project.Screens[set.screens[0]]
		report(Finding{Severity: Broken, Screen: s.ID, Words: english.List(set.names, "and") + " may get to “" + s.Title + "”, and no proven way leads on from there.", Evidence: set.path, Mends: ix.outOf(s)})
	}
}}

var trap = &Check{Name: "trap", Doc: "screens that a role gets to and cannot leave to the start by any proven way", Run: func(ix *Index, report func(Finding)) {
	for _, set := range ix.traps() {
		if len(set.screens) == 1 && set.stuck {
			continue
		}
		var titles []string
		for _, id := range set.screens {
			titles = append(titles, "“"+ix.App.Project.Screens[id].Title+"”")
		}
		s := ix.App.Project.Screens[set.screens[0]]
		report(Finding{Severity: Broken, Screen: s.ID, Words: english.List(titles, "and") + " cannot be left to the start by any proven way, and " + english.List(set.names, "and") + " may get there.", Evidence: set.path, Mends: ix.outOf(s)})
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
func (ix *Index) traps() []*trapped {
	var out []*trapped
	by := map[string]*trapped{}
	all := ix.everybody()
	results := ix.resultOf(all)
	for i, w := range all {
		r := results[i]
		for _, screens := range r.Traps {
			key := strings.Join(screens, " ")
			if by[key] == nil {
				by[key] = &trapped{screens: screens, stuck: len(screens) == 1 && !r.LeadsOn(screens[0]), path: ix.pathWords(r.Path(screens[0]))}
				out = append(out, by[key])
			}
			by[key].names = append(by[key].names, w.name)
		}
	}
	return out
}

// outOf leads out of a screen: by a button back, or by the strip.
func (ix *Index) outOf(s *project.Screen) []Mend {
	out := []Mend{{Words: "add a button home", Patch: []patch.Op{leaveButton(s, "Home", "home")}}}
	if s.Bare {
		out = append(out, Mend{Words: "show the strip", Patch: []patch.Op{{Op: "remove", Path: "/" + s.ID + "/bare"}}})
	}
	return out
}
