package place

import (
	"maps"
	"slices"

	"ambergate/core/ask"
	"ambergate/core/cond"
)

// Spell adds all that a place is: two that differ in anything are spelt otherwise.
func (p *Place) Spell(out *cond.Spelling) {
	out.Text(p.Screen)
	out.Texts(p.Inputs)
	out.Text(p.Mode)
	out.Texts(p.Set)
	spellArranged(out, p.Filters, p.Sort, p.Find)
	out.Texts(p.Tabs)
	out.Text(p.Spot)
	out.Texts(p.Vars)
	out.Is(p.From != nil)
	if f := p.From; f != nil {
		out.Text(f.Screen)
		out.Text(f.Element)
		out.Texts(f.Inputs)
		spellArranged(out, f.Filters, f.Sort, f.Find)
		out.Text(f.At)
		out.Text(f.Key)
	}
	out.Number(len(p.Look))
	for _, list := range slices.Sorted(maps.Keys(p.Look)) {
		look := p.Look[list]
		out.Text(list)
		out.Text(look.Start)
		out.Text(look.Row)
		out.Text(look.Top)
	}
}

func spellArranged(out *cond.Spelling, filters []Filter, sort []ask.Sort, find string) {
	out.Number(len(filters))
	for _, f := range filters {
		out.Text(f.Path)
		out.Text(f.Compare)
		out.Text(f.Value)
	}
	out.Number(len(sort))
	for _, s := range sort {
		out.Text(s.Path)
		out.Is(s.Desc)
	}
	out.Text(find)
}
