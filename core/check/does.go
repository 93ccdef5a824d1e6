package check

import (
	"maps"
	"reflect"
	"slices"

	"ambergate/core/check/reach"
	"ambergate/core/kinds/effect"
	"ambergate/core/plan"
	"ambergate/core/project"
)

// DoesOf gives what a role can do where it gets: verb and table.
func (ix *Index) DoesOf(role string) map[[2]string]bool {
	if known := ix.does[role]; known != nil {
		return known
	}
	out := map[[2]string]bool{}
	if ix.does == nil {
		ix.does = map[string]map[[2]string]bool{}
	}
	ix.does[role] = out
	by := ix.doing()
	r := ix.WhatLeads().For(map[string]bool{role: true})
	for _, id := range ix.Screens() {
		if cell := r.Cells[id]; !cell.Led() && cell.Kind != reach.BySelf {
			continue
		}
		for _, d := range by[id] {
			if (d.roles == nil || d.roles[role]) && (d.rail == nil || d.rail[role]) {
				out[d.what] = true
			}
		}
	}
	return out
}

// doesAgain takes over what roles can do that get just where they did, if on the changed screens the same is done.
func (ix *Index) doesAgain(old *Index, changed map[string]bool) {
	for id := range changed {
		if !reflect.DeepEqual(ix.done[id], old.done[id]) {
			return
		}
	}
	for role, does := range old.does {
		r := map[string]bool{role: true}
		if before := old.WhatLeads().Known(r); before != nil && ix.WhatLeads().For(r).As(before) {
			if ix.does == nil {
				ix.does = map[string]map[[2]string]bool{}
			}
			ix.does[role] = does
		}
	}
}

// doing is something that a way of a screen does to records, and for whom it is.
type doing struct {
	what        [2]string
	roles, rail map[string]bool
}

// doing gives what is done on each screen, found once for all roles.
func (ix *Index) doing() map[string][]doing {
	if ix.done != nil {
		return ix.done
	}
	ix.done = map[string][]doing{}
	for id := range ix.App.Screens {
		ix.doingOn(id)
	}
	return ix.done
}

// doingOn finds what is done on one screen.
func (ix *Index) doingOn(screen string) {
	for _, e := range ix.App.Screens[screen].Elements {
		if l := e.Listing(); l != nil && l.InPlace {
			for _, verb := range []string{"edit", "add", "delete"} {
				ix.done[screen] = append(ix.done[screen], doing{what: [2]string{verb, l.Table}})
			}
		}
	}
	for _, w := range ix.App.Screens[screen].Ways() {
		what := map[[2]string]bool{}
		doesBy(w, what)
		for _, key := range slices.SortedFunc(maps.Keys(what), func(a, b [2]string) int { return slices.Compare(a[:], b[:]) }) {
			d := doing{what: key, roles: w.Gate.Roles}
			if w.Rail != nil {
				d.rail = w.Rail.Placed.Roles
			}
			ix.done[screen] = append(ix.done[screen], d)
		}
	}
}

// doesBy notes what a way does to records.
func doesBy(w plan.Way, out map[[2]string]bool) {
	scene := plan.Scene{Screen: w.Screen, Element: w.Element}
	for _, c := range w.Gate.Cases {
		for _, m := range c.Move.Leads() {
			if m.Target != nil && (m.Mode == "add" || m.Mode == "edit") {
				out[[2]string{m.Mode, m.Target.RecordTable()}] = true
			}
		}
		for _, e := range c.Effects {
			switch spec := e.Spec.(type) {
			case *effect.Add:
				out[[2]string{"add", spec.Table}] = true
			case *effect.Set, *effect.Save:
				out[[2]string{"edit", scene.SubjectTable()}] = true
			case *effect.Delete:
				table := w.Screen.RecordTable()
				if on := w.Screen.Elements[spec.List]; on != nil && project.ListOf(on) != nil {
					table = project.ListOf(on).Table
				}
				out[[2]string{"delete", table}] = true
			case *effect.AddRow:
				if on := w.Screen.Elements[spec.List]; on != nil && project.ListOf(on) != nil {
					out[[2]string{"add", project.ListOf(on).Table}] = true
				}
			}
		}
	}
}
