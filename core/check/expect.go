package check

import (
	"maps"
	"slices"
	"strconv"

	"ambergate/core/check/reach"
	"ambergate/core/english"
	"ambergate/core/project"
)

// Kept says how it is with an expectation.
type Kept string

// Kept is proven; broken is proven against, or some world may break it; perhaps means that neither is proven.
const (
	IsKept    Kept = "kept"
	IsBroken  Kept = "broken"
	IsPerhaps Kept = "perhaps"
)

// Expected is how it is with an expectation, and why.
type Expected struct {
	Kept
	Who   map[string]bool // who breaks it; nil where nobody does
	Why   string
	Steps []reach.Step // the path that breaks it
}

// ExpectationWords says what is expected: “Visitor never reaches “Drive room””.
func ExpectationWords(p *project.Project, e *project.Expectation) string {
	title := "a screen that is gone"
	if s := p.Screens[e.Screen]; s != nil {
		title = "“" + s.Title + "”"
	}
	who := "nobody"
	if len(e.Roles) > 0 {
		who = RolesNamed(p, e.Roles)
		if who == "" {
			who = "a role that is gone"
		}
	}
	n := english.Count(e.Presses, "press", "presses")
	switch e.What {
	case "never":
		if who == "nobody" {
			return "nobody ever reaches " + title
		}
		return who + " never reaches " + title
	case "noButton":
		if who == "nobody" {
			return "no button leads anybody to " + title
		}
		return "no button leads " + who + " to " + title
	case "within":
		if who == "nobody" {
			who = "everybody"
		}
		return who + " reaches " + title + " within " + n
	case "back":
		if who == "nobody" {
			return "whoever gets to " + title + " comes back to their start within " + n
		}
		return who + " comes back from " + title + " within " + n
	}
	var from []string
	for _, id := range slices.Sorted(maps.Keys(e.From)) {
		if s := p.Screens[id]; s != nil {
			from = append(from, "“"+s.Title+"”")
		}
	}
	if who == "nobody" {
		return title + " is reached only from " + english.List(from, "or")
	}
	return who + " reaches " + title + " only from " + english.List(from, "or")
}

// Expected finds out how it is with an expectation: for who has its roles, or for everybody.
func (ix *Index) Expected(e *project.Expectation) Expected {
	all := []Who{{e.Roles, RolesNamed(ix.App.Project, e.Roles)}}
	if len(e.Roles) == 0 {
		all = ix.Everybody()
	}
	worst := Expected{Kept: IsKept}
	for _, w := range all {
		out := ix.expectedOf(e, w)
		if out.Kept == IsBroken {
			return out
		}
		if out.Kept == IsPerhaps && worst.Kept == IsKept {
			worst = out
		}
	}
	return worst
}

func (ix *Index) expectedOf(e *project.Expectation, w Who) Expected {
	r := ix.WhatLeads().For(w.Roles)
	cell := r.Cells[e.Screen]
	broken := func(kept Kept, why string) Expected {
		return Expected{Kept: kept, Who: w.Roles, Why: w.Name + " " + why, Steps: r.Path(e.Screen)}
	}
	in := func(n int) string { return "in " + english.Count(n, "press", "presses") }
	switch e.What {
	case "never", "noButton":
		switch {
		case cell.Kind == reach.IsStart:
			return broken(IsBroken, "starts there.")
		case cell.Kind == reach.IsMaybe:
			return broken(IsBroken, "may get there "+in(cell.Presses)+".")
		case cell.Led():
			return broken(IsBroken, "gets there "+in(cell.Presses)+".")
		case e.What == "noButton" || cell.Kind == reach.IsNever:
			return Expected{Kept: IsKept}
		case cell.Kind == reach.BySelf:
			return broken(IsBroken, "is brought there without a press.")
		}
		return Expected{Kept: IsBroken, Who: w.Roles, Why: w.Name + " can open it by its address."}
	case "within":
		switch {
		case !cell.Led():
			return Expected{Kept: IsBroken, Who: w.Roles, Why: "No button leads " + w.Name + " there."}
		case cell.Presses > e.Presses:
			return broken(IsBroken, "needs "+strconv.Itoa(cell.Presses)+" at the least.")
		case cell.Kind == reach.IsMaybe:
			return broken(IsPerhaps, "may get there "+in(cell.Presses)+", which is not proven.")
		}
	case "back":
		_, presses, proven := r.WayBack(e.Screen)
		switch {
		case !cell.Led() && cell.Kind != reach.BySelf:
		case !proven:
			return Expected{Kept: IsBroken, Who: w.Roles, Why: "It is not proven that " + w.Name + " comes back from there.", Steps: r.Path(e.Screen)}
		case presses > e.Presses:
			return broken(IsBroken, "may need "+english.Count(presses, "press", "presses")+" to come back.")
		}
	case "from":
		for _, step := range r.Into(e.Screen) {
			if from := step.Edges[0].From; from != nil && !e.From[from.ID] {
				by, _ := StepWords(ix.WhatLeads(), step)
				return Expected{Kept: IsBroken, Who: w.Roles, Why: w.Name + " also gets there from “" + from.Title + "”, by " + by + ".", Steps: append(r.Path(from.ID), step)}
			}
		}
	}
	return Expected{Kept: IsKept}
}
