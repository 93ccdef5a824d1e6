package nav

import "ambergate/core/project"

// entries gives the lines of a menu, whatever the row or point.
func entries(menu map[string]*project.Entry) []EntryView {
	var out []EntryView
	for _, m := range project.Ordered(menu) {
		out = append(out, EntryView{ID: m.ID, Words: m.Words})
	}
	return out
}

// menuOf gives the lines of the menu of one row or point, each judged there; hidden ones are left out.
func (o *Opening) menuOf(e *ElementPlan, menu map[string]*project.Entry, at aim) []EntryView {
	var out []EntryView
	for _, m := range project.Ordered(menu) {
		gate := e.Gates[project.EntryTrigger(m.ID)]
		v := o.judge(gate, at)
		if v.State == "hidden" {
			continue
		}
		ev := EntryView{ID: m.ID, Words: m.Words, State: "shown", Reason: v.Reason}
		if !v.Open() {
			ev.State = "greyed"
		}
		if p := v.plainLink(gate); p != nil {
			ev.Href = p.Address(o.app.Project)
		}
		out = append(out, ev)
	}
	return out
}
