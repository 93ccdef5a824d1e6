package place

import (
	"maps"
	"net/url"
	"slices"
	"strings"

	"ambergate/core/ask"
	"ambergate/core/project"
)

// Address writes the place as the part of an address after /use/<project>: the call itself.
// Inputs stand in declared order; what is not an input stands under the reserved prefix ~.
func (p Place) Address(of *project.Project) string {
	s := of.Screens[p.Screen]
	if s == nil {
		return "/"
	}
	var parts []string
	add := func(name, value string) { parts = append(parts, name+"="+url.QueryEscape(value)) }
	for _, in := range project.Ordered(s.Inputs) {
		if v, ok := p.Inputs[in.ID]; ok && v != "" {
			add(in.Alias, v)
		}
	}
	if p.Mode != "" && p.Mode != "view" {
		add("~mode", p.Mode)
	}
	if len(p.Set)+len(p.Filters)+len(p.Sort) > 0 { // most have none, and a screen has dozens of addresses
		p.addArranged(of, s, add)
	}
	if p.Find != "" {
		add("~find", p.Find)
	}
	if len(p.Tabs) > 0 {
		for _, block := range slices.Sorted(maps.Keys(p.Tabs)) {
			add("~tab."+block, p.Tabs[block])
		}
	}
	if p.Spot != "" {
		add("~spot", p.Spot)
	}
	address := "/" + s.Slug
	if len(parts) > 0 {
		address += "?" + strings.Join(parts, "&")
	}
	return address
}

// addArranged adds what is filled in, and how lists are arranged.
func (p Place) addArranged(of *project.Project, s *project.Screen, add func(name, value string)) {
	for _, field := range slices.Sorted(maps.Keys(p.Set)) {
		add("~set."+aliasPath(of, s.RecordTable(), field), p.Set[field])
	}
	table := s.ListTable()
	for _, f := range p.Filters {
		add("~filter."+aliasPath(of, table, f.Path), f.Compare+":"+f.Value)
	}
	for _, o := range p.Sort {
		sign := ""
		if o.Desc {
			sign = "-"
		}
		add("~sort", sign+aliasPath(of, table, o.Path))
	}
}

// Parse reads what Address writes, and what people type. Errors are *Refusal.
func Parse(of *project.Project, slug, query string) (Place, error) {
	s := of.ScreenBySlug(slug)
	if s == nil {
		return Place{}, ask.Refuse("no-screen", "There is no screen at “"+slug+"”.", "Check the address, or go home.")
	}
	values, err := url.ParseQuery(query)
	if err != nil {
		return Place{}, ask.Refuse("bad-address", "This address cannot be read.", "Check what follows the question mark.")
	}
	p := Place{Screen: s.ID, Mode: "view", Inputs: map[string]string{}}
	byAlias := map[string]*project.Input{}
	for _, in := range s.Inputs {
		byAlias[in.Alias] = in
	}
	for _, name := range slices.Sorted(maps.Keys(values)) {
		value := values[name][0]
		switch {
		case name == "~mode":
			p.Mode = value
		case strings.HasPrefix(name, "~set."):
			if p.Set == nil {
				p.Set = map[string]string{}
			}
			p.Set[idPath(of, s.RecordTable(), name[len("~set."):])] = value
		case strings.HasPrefix(name, "~filter."):
			compare, v, _ := strings.Cut(value, ":")
			p.Filters = append(p.Filters, Filter{Path: idPath(of, s.ListTable(), name[len("~filter."):]), Compare: compare, Value: v})
		case name == "~sort":
			for _, one := range values[name] {
				p.Sort = append(p.Sort, ask.Sort{Path: idPath(of, s.ListTable(), strings.TrimPrefix(one, "-")), Desc: strings.HasPrefix(one, "-")})
			}
		case strings.HasPrefix(name, "~tab."):
			if p.Tabs == nil {
				p.Tabs = map[string]string{}
			}
			p.Tabs[name[len("~tab."):]] = value
		case name == "~spot":
			p.Spot = value
		case name == "~find":
			p.Find = value
		case byAlias[name] != nil:
			p.Inputs[byAlias[name].ID] = value
		default:
			return Place{}, ask.Refuse("bad-input", "“"+s.Title+"” takes nothing called “"+name+"”.", "It takes: "+inputNames(s)+".")
		}
	}
	return p, nil
}

func inputNames(s *project.Screen) string {
	var names []string
	for _, in := range project.Ordered(s.Inputs) {
		names = append(names, in.Alias)
	}
	if len(names) == 0 {
		return "nothing"
	}
	return strings.Join(names, ", ")
}

func aliasPath(of *project.Project, table, path string) string {
	return swapPath(of, table, path, func(f *project.Column) string { return f.Alias })
}

func idPath(of *project.Project, table, path string) string {
	t := of.Tables[table]
	var out []string
	for _, part := range strings.Split(path, ".") {
		if t == nil {
			return path
		}
		var found *project.Column
		for _, f := range t.Fields {
			if f.Alias == part || f.ID == part {
				found = f
			}
		}
		if found == nil {
			return path
		}
		out = append(out, found.ID)
		t = of.Tables[found.References]
	}
	return strings.Join(out, ".")
}

func swapPath(of *project.Project, table, path string, name func(*project.Column) string) string {
	t := of.Tables[table]
	var out []string
	for _, part := range strings.Split(path, ".") {
		if t == nil || t.Fields[part] == nil {
			return path
		}
		out = append(out, name(t.Fields[part]))
		t = of.Tables[t.Fields[part].References]
	}
	return strings.Join(out, ".")
}
