package use

import (
	"maps"
	"slices"
	"time"

	"ambergate/core/ask"
	"ambergate/core/cond"
	"ambergate/core/plan"
	"ambergate/core/project"
)

// SpanEnd gives the last day of the span that begins with a day.
func SpanEnd(day time.Time, span string) time.Time {
	switch span {
	case "week":
		return day.AddDate(0, 0, 6)
	case "month":
		return day.AddDate(0, 1, -1)
	case "quarter":
		return day.AddDate(0, 3, -1)
	case "year":
		return day.AddDate(1, 0, -1)
	}
	return day
}

// SpanStart gives the first day of the span that a day lies in; weeks begin on Monday (ISO 8601), as date_trunc has
// them too.
func SpanStart(day time.Time, span string) time.Time {
	switch span {
	case "week":
		return day.AddDate(0, 0, -(int(day.Weekday())+6)%7)
	case "month":
		return day.AddDate(0, 0, 1-day.Day())
	case "quarter":
		return time.Date(day.Year(), (day.Month()-1)/3*3+1, 1, 0, 0, 0, 0, day.Location())
	case "year":
		return time.Date(day.Year(), 1, 1, 0, 0, 0, 0, day.Location())
	}
	return day
}

// FirstPoint stands the first point that is shown for whichever is chosen.
func (o *Opening) FirstPoint(e *plan.Element) Aim {
	if groups := o.Groups[e.ID]; len(groups) > 0 {
		of := project.PointsOf(e.Element)
		return Aim{Point: groups[0].Value.Wire(), Span: of.Span, Step: of.Step}
	}
	return Aim{}
}

// OwnInput gives the input of this very screen that what is chosen is put into, so that it shows just that; "" where
// the gate leads elsewhere.
func (o *Opening) OwnInput(gate *plan.Gate) string {
	if gate == nil || len(gate.Cases) == 0 || gate.Shared != nil {
		return ""
	}
	m := gate.Cases[0].Move.Only()
	if m == nil || m.Target != o.Plan.Screen {
		return ""
	}
	for _, id := range slices.Sorted(maps.Keys(m.Bind)) {
		if p, point := m.Bind[id].Spec.(interface{ Chooses() bool }); point && p.Chooses() {
			return id
		}
	}
	return ""
}

// choosesHere says whether something was chosen among points that may narrow their own screen.
func (o *Opening) choosesHere(at Aim) bool {
	if at.Point != "" {
		return true
	}
	e := o.Plan.Screen.Elements[at.Element]
	if at.Row == nil || e == nil {
		return false
	}
	_, own := e.Spec.(interface{ NarrowsOwn() })
	return own
}

// GroupWords says what a group of records has in common: the title of a record, or the value of a field.
func (o *Opening) GroupWords(table, path string, v cond.Value, row *ask.Row) string {
	f, _ := o.App.Project.FieldAt(table, path)
	switch {
	case f == nil:
		return ""
	case !v.Known():
		return v.Why()
	case v.IsNull():
		return "none"
	case f.References != "" && row != nil:
		return o.World.Title(row, f.References, path)
	}
	return o.World.Say(v, f.TypeOf())
}
