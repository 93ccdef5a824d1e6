package place

import (
	"slices"
	"strings"

	"ambergate/core/ask"
	"ambergate/core/cond"
	"ambergate/core/project"
)

// Check refuses inputs, modes, filters and sorts that do not fit the screen, and more than anybody needs.
func (p Place) Check(of *project.Project) (map[string]cond.Value, error) {
	if err := p.bounded(); err != nil {
		return nil, err
	}
	s := of.Screens[p.Screen]
	switch p.Mode {
	case "view":
	case "edit", "add":
		if s.Type != "form" {
			return nil, ask.Refuse("bad-mode", "“"+s.Title+"” cannot be opened to "+p.Mode+".", "Only forms can.")
		}
	default:
		return nil, ask.Refuse("bad-mode", "There is no mode “"+p.Mode+"”.", "A screen is opened to view, edit or add.")
	}
	inputs := map[string]cond.Value{}
	for id, in := range s.Inputs {
		wire, given := p.Inputs[id]
		if !given || wire == "" {
			if in.Required && !(id == s.Record && p.Mode == "add") {
				return nil, ask.Refuse("missing-input", "“"+s.Title+"” needs to know which "+strings.ToLower(in.Label)+".", "Open it from a list, or complete the address.")
			}
			inputs[id] = cond.NullValue
			continue
		}
		v, err := read(in, p.Several(in))
		if err != nil {
			return nil, ask.Refuse("bad-input", "“"+in.Label+"” is wrong: "+err.Error()+".", "Correct the address, or open the screen from a list.")
		}
		inputs[id] = v
	}
	table := s.ListTable()
	for _, f := range p.Filters {
		if c, _ := of.FieldAt(table, f.Path); c == nil || !slices.Contains(Compares, f.Compare) {
			return nil, ask.Refuse("bad-filter", "This list cannot be filtered like that.", "Take the filter off the address.")
		}
	}
	for _, o := range p.Sort {
		if c, _ := of.FieldAt(table, o.Path); c == nil {
			return nil, ask.Refuse("bad-filter", "This list cannot be sorted like that.", "Take the order off the address.")
		}
	}
	return inputs, nil
}
