package element

import (
	"cmp"
	"fmt"
	"slices"
	"strings"

	"ambergate/core/ask"
	"ambergate/core/cond"
	"ambergate/core/plan"
	"ambergate/core/project"
	"ambergate/core/use"
)

// PartView is what each point of a chart is divided by.
type PartView struct {
	Value string `json:"value"`
	Label string `json:"label"`
}

const (
	othersPart = "~others" // all parts beyond those that are shown
	unseenPart = "~unseen" // those of records that the user may not see
)

// askParts adds to the question of a chart what its parts are.
func (spec *Chart) askParts(o *use.Opening, q *ask.GroupQuery) {
	q.Split, q.SplitSpan = spec.Split, spec.SplitSpan
	if f, _ := o.App.Project.FieldAt(spec.Table, spec.Split); f != nil && f.References != "" {
		set := plan.Paths{}
		(&plan.Planner{App: o.App}).NeedTitle(set, f.References, spec.Split)
		q.SplitTitle, _ = o.Visible(spec.Table, set.Sorted())
	}
}

// parts are those of a chart's groups in their order: of choices as they are listed, of time as it goes, of all else
// the largest first; and which of them stand for the others, as more than are shown cannot be told apart.
func (spec *Chart) parts(o *use.Opening, e *plan.Element) (views []PartView, others map[string]bool) {
	f, _ := o.App.Project.FieldAt(spec.Table, spec.Split)
	if f == nil {
		return nil, nil
	}
	all := ask.Group{}
	for _, g := range o.Groups[e.ID] {
		for _, part := range g.Parts {
			all.AddPart(part)
		}
	}
	fixed := f.Choices // these are told also where there are none of them
	if f.Type == "yesno" {
		fixed = []string{"true", "false"}
	}
	for _, choice := range fixed {
		views = append(views, PartView{choice, spec.partWords(o, f, ask.GroupPart{Value: choice})})
	}
	found := slices.DeleteFunc(all.Parts, func(p ask.GroupPart) bool { return slices.Contains(fixed, p.Value) && !p.Unseen })
	slices.SortFunc(found, func(a, b ask.GroupPart) int {
		if spec.SplitSpan != "" {
			return strings.Compare(a.Value, b.Value)
		}
		if a.Value == "" || b.Value == "" { // what has none, or none that may be seen, comes last
			return cmp.Compare(b.Value, a.Value)
		}
		return cmp.Or(cmp.Compare(b.N, a.N), strings.Compare(a.Value, b.Value))
	})
	if most := spec.partsShown(e) - len(views); len(found) > max(most, 1) {
		shown := max(most-1, 0)
		last := found[shown:]
		if spec.SplitSpan != "" { // of time, the last ones
			last, found = found[:len(found)-shown], found[len(found)-shown:]
		} else {
			found = found[:shown]
		}
		others = map[string]bool{}
		for _, p := range last {
			others[partKey(p)] = true
		}
	}
	for _, p := range found {
		views = append(views, PartView{partKey(p), spec.partWords(o, f, p)})
	}
	if len(others) > 0 {
		views = append(views, PartView{othersPart, fmt.Sprintf("others (%d)", len(others))})
	}
	return views, others
}

// partsShown is how many parts can be told apart: four shades beside each other, or as many columns of a table as there
// is room for.
func (spec *Chart) partsShown(e *plan.Element) int {
	if spec.Shape == "grid" || spec.Shape == "table" {
		return max(4, e.Cell.W+1)
	}
	return 4
}

func (spec *Chart) partWords(o *use.Opening, f *project.Column, p ask.GroupPart) string {
	switch {
	case p.Unseen:
		return "not visible to you"
	case p.Value == "":
		return "none"
	case f.References != "":
		return o.GroupWords(spec.Table, spec.Split, cond.Key(p.Value), p.Row)
	}
	t := f.TypeOf()
	if spec.SplitSpan != "" {
		t = cond.Type{Kind: cond.Date}
	}
	v, err := cond.Parse(t, p.Value)
	switch {
	case err != nil:
		return p.Value
	case spec.SplitSpan != "":
		return spanWords(o.App.Language, v, spec.SplitSpan)
	}
	return o.World.Say(v, t)
}

func partKey(p ask.GroupPart) string {
	if p.Unseen {
		return unseenPart
	}
	return p.Value
}

// partsOf gives the share of each part of a group, by its key.
func partsOf(g ask.Group, others map[string]bool) map[string]float64 {
	if len(g.Parts) == 0 {
		return nil
	}
	parts := map[string]float64{}
	for _, part := range g.Parts {
		key := partKey(part)
		if others[key] {
			key = othersPart
		}
		parts[key] += part.N
	}
	return parts
}
