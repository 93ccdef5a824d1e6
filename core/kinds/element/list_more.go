package element

import (
	"ambergate/core/ask"
	"ambergate/core/plan"
	"ambergate/core/use"
)

// groupsCounted is how many groups of a list are counted at most.
const groupsCounted = 500

// Names under which an opening keeps what a list asks for besides its rows.
func totalOf(element, column string) string { return element + "/" + column }
func groupsOf(element string) string        { return element + "/" }

// askMore asks for the totals at the foot and for how many rows each group has: over all rows that the list would show.
func (spec *List) askMore(round *ask.Round, o *use.Opening, e *plan.Element) error {
	q, _, err := o.ListQuery(e, "")
	if err != nil {
		return err
	}
	of := ask.GroupQuery{Table: q.Table, Match: q.Match, Find: q.Find, Rights: q.Rights}
	for _, c := range spec.Columns {
		f, _ := o.App.Project.FieldAt(spec.Table, c.Path)
		number := f != nil && (f.Type == "whole" || f.Type == "number" || f.Type == "decimal")
		if c.Total == "" || f == nil || !number && c.Total != "count" || !o.MaySee(spec.Table, c.Path) {
			continue
		}
		one := of
		if one.Measure = c.Total; c.Total != "count" {
			one.Of = c.Path
		}
		round.Group(one, func(groups []ask.Group) { o.Groups[totalOf(e.ID, c.ID)] = groups })
	}
	if f, _ := o.App.Project.FieldAt(spec.Table, spec.Group); f != nil && o.MaySee(spec.Table, spec.Group) {
		of.By, of.Limit = spec.Group, groupsCounted
		if f.References != "" {
			set := plan.Paths{}
			(&plan.Planner{App: o.App}).NeedTitle(set, f.References, spec.Group)
			of.Title, _ = o.Visible(spec.Table, set.Sorted())
		}
		round.Group(of, func(groups []ask.Group) { o.Groups[groupsOf(e.ID)] = groups })
	}
	return nil
}
