package comes

import (
	"strconv"

	"ambergate/core/check"
	"ambergate/core/check/reach"
	"ambergate/core/english"
	"ambergate/core/kinds/element"
	"ambergate/core/project"
)

// What somebody needs at the least, in seconds, before a screen may be taken from them.
const (
	perStep = 20 // of a guided task
	perForm = 40 // to fill in what is to be typed
)

var IdleTooShort = &check.Check{Name: "idle-too-short", Doc: "a role is brought back to its start before a guided task, or a form, can be done", Run: func(ix *check.Index, report func(check.Finding)) {
	for _, r := range project.Ordered(ix.App.Project.Roles) {
		if r.Idle == 0 {
			continue
		}
		result := ix.WhatLeads().For(map[string]bool{r.ID: true})
		for _, id := range ix.Screens() {
			if !result.Cells[id].Led() {
				continue
			}
			need, what := needs(ix.App.Project.Screens[id])
			if need <= r.Idle {
				continue
			}
			report(check.Finding{Severity: check.Doubtful, Screen: id, Entity: r.ID, Words: r.Name + " is brought back to the start after " + english.Count(int(r.Idle), "second", "seconds") + " without a touch; " + what + " of “" + ix.Title(id) + "” takes longer to read and fill in.", Evidence: "About " + strconv.Itoa(int(need)) + " seconds."})
		}
	}
}}

// needs says how long somebody may be still on a screen while they work, in seconds, and with what; 0 for a moment.
func needs(s *project.Screen) (float64, string) {
	fields := 0
	for _, e := range s.Elements {
		switch e.Spec.(type) {
		case *element.Steps:
			return perStep, "a step"
		case *element.Field:
			if e.Modes == nil || e.Modes["edit"] || e.Modes["add"] {
				fields++
			}
		}
	}
	if fields > 1 && s.Type == "form" {
		return perForm, "the form"
	}
	return 0, ""
}

var NoIdle = &check.Check{Name: "no-idle", Doc: "a role that goes round by itself can be led off the round, and nothing brings it back", Run: func(ix *check.Index, report func(check.Finding)) {
	for _, r := range project.Ordered(ix.App.Project.Roles) {
		if len(r.Round) == 0 || r.Idle > 0 {
			continue
		}
		in := map[string]bool{r.Start: true}
		for _, stop := range r.Round {
			in[stop.Screen] = true
		}
		result := ix.WhatLeads().For(map[string]bool{r.ID: true})
		for _, id := range ix.Screens() {
			if cell := result.Cells[id]; in[id] || cell.Kind != reach.IsMaybe && cell.Kind != reach.IsGiven && cell.Kind != reach.IsSure {
				continue
			}
			report(check.Finding{Severity: check.Doubtful, Entity: r.ID, Screen: id, Words: "“" + ix.Title(id) + "” is not in the round of " + r.Name + ", a press leads there, and nothing brings the display back.", Evidence: ix.PathWords(result.Path(id)), Mends: []check.Mend{{Words: "back to the start after a minute", Patch: check.PutIdle(r, 60)}}})
			break // one is enough
		}
	}
}}
