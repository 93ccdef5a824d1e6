package use

import (
	"ambergate/core/plan"
	"ambergate/core/project"
)

// EntryView is one line of a menu, of all rows or points, or as one of them has it.
type EntryView struct {
	ID     string `json:"id"`
	Words  string `json:"words"`
	State  State  `json:"state,omitempty"` // of one row or point: shown, greyed; hidden ones are left out
	Reason string `json:"reason,omitempty"`
	Href   string `json:"href,omitempty"`
}

// SeveralView is something that can be done with the chosen rows.
type SeveralView struct {
	ID     string `json:"id"`
	Words  string `json:"words"`
	State  State  `json:"state"` // shown, greyed
	Reason string `json:"reason,omitempty"`
}

// Entries gives the lines of a menu, whatever the row or point.
func Entries(menu map[string]*project.Entry) []EntryView {
	var out []EntryView
	for _, m := range project.Ordered(menu) {
		out = append(out, EntryView{ID: m.ID, Words: m.Words})
	}
	return out
}

// MenuOf gives the lines of the menu of one row or point, each judged there; hidden ones are left out.
func (o *Opening) MenuOf(e *plan.Element, menu map[string]*project.Entry, at Aim) []EntryView {
	var out []EntryView
	for _, m := range project.Ordered(menu) {
		gate := e.Gates[project.EntryTrigger(m.ID)]
		v := o.Judge(gate, at)
		if v.State == StateHidden {
			continue
		}
		ev := EntryView{ID: m.ID, Words: m.Words, State: StateShown, Reason: v.Reason}
		if !v.Open() {
			ev.State = StateGreyed
		}
		if p := v.PlainLink(gate); p != nil {
			ev.Href = p.Address(o.App.Project)
		}
		out = append(out, ev)
	}
	return out
}
