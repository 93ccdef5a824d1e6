package place

import (
	"maps"
	"net/url"
	"slices"
	"strings"
	"time"

	"ambergate/core/ask"
	"ambergate/core/cond"
	"ambergate/core/english"
	"ambergate/core/project"
)

// Compares are the comparisons that a list can be filtered by. A filter's value is as the wire writes it;
// in: values joined by "|", each escaped as in a path; between: two joined by "..", either may be missing;
// days: two whole numbers of days from today, joined by "..", either may be missing.
var Compares = []string{"is", "isNot", "contains", "empty", "notEmpty", "atLeast", "atMost", "in", "between", "days"}

// SplitValues reads several values that are one filter value: joined by "|", each escaped as in a path.
func SplitValues(text string) []string {
	if text == "" {
		return nil
	}
	parts := strings.Split(text, "|")
	for i, p := range parts {
		if v, err := url.PathUnescape(p); err == nil {
			parts[i] = v
		}
	}
	return parts
}

// Words says what the filter lets through, days and moments in a zone.
func (f Filter) Words(c *project.Column, zone *time.Location) string {
	say := func(wire string) string {
		if v, err := cond.Parse(cond.Type{Kind: c.TypeOf().Kind}, wire); err == nil {
			return v.Say(zone)
		}
		return wire
	}
	switch f.Compare {
	case "isNot":
		return "not " + say(f.Value)
	case "contains":
		return "contains “" + f.Value + "”"
	case "empty":
		return "empty"
	case "notEmpty":
		return "not empty"
	case "atLeast":
		return "from " + say(f.Value)
	case "atMost":
		return "up to " + say(f.Value)
	case "in":
		parts := SplitValues(f.Value)
		for i := range parts {
			parts[i] = say(parts[i])
		}
		return strings.Join(parts, " or ")
	case "between":
		from, to, _ := strings.Cut(f.Value, "..")
		return rangeWords(say(from), say(to))
	case "days":
		return dayWords(f.Value)
	}
	return say(f.Value)
}

func rangeWords(from, to string) string {
	switch {
	case from == "":
		return "up to " + to
	case to == "":
		return "from " + from
	}
	return from + " to " + to
}

// dayWords says a range of days counted from today as people do.
func dayWords(text string) string {
	known := map[string]string{
		"0..0": "today", "-1..-1": "yesterday", "1..1": "tomorrow", "..-1": "before today", "1..": "after today", "..0": "until today", "0..": "from today on",
	}
	if words, ok := known[text]; ok {
		return words
	}
	from, to, _ := strings.Cut(text, "..")
	switch {
	case to == "0" && strings.HasPrefix(from, "-"):
		return "the last " + from[1:] + " days"
	case from == "0":
		return "the next " + to + " days"
	}
	return rangeWords(from, to) + " days from today"
}

// NarrowedWords says what a place's list is narrowed by, as far as the place itself says it.
func NarrowedWords(of *project.Project, p Place) []string {
	s := of.Screens[p.Screen]
	if s == nil {
		return nil
	}
	var words []string
	for _, f := range p.Filters {
		if c, _ := of.FieldAt(s.ListTable(), f.Path); c != nil && c.References == "" {
			words = append(words, english.Lower(c.Label)+" "+f.Words(c, time.UTC))
		}
	}
	if p.Find != "" {
		words = append(words, "“"+p.Find+"”")
	}
	return words
}

// Place is a screen with its inputs, mode and view: one step of a trail, and what an address says.
type Place struct {
	Screen  string            `json:"screen"`
	Inputs  map[string]string `json:"inputs,omitempty"` // by input id, as the wire writes them
	Mode    string            `json:"mode"`             // view, edit, add
	Set     map[string]string `json:"set,omitempty"`    // mode add: fields filled in, by field id
	Filters []Filter          `json:"filters,omitempty"`
	Sort    []ask.Sort        `json:"sort,omitempty"`
	Find    string            `json:"find,omitempty"`
	Tabs    map[string]string `json:"tabs,omitempty"` // by block of tabs: which is open, when it is not the first
	Spot    string            `json:"spot,omitempty"` // element that one is led to
	Vars    map[string]string `json:"vars,omitempty"` // variables of this screen, by id; not part of the address
	From    *From             `json:"from,omitempty"` // the list come from; not part of the address
	Look    map[string]Look   `json:"look,omitempty"` // by list: how it was left; not part of the address
}

// Overlay is a dialog or drawer over a place. What it comes to may be given to a field below.
type Overlay struct {
	Place Place   `json:"place"`
	As    string  `json:"as"`             // dialog, drawer
	Into  string  `json:"into,omitempty"` // field of the screen below that gets the record saved here
	Back  *Return `json:"back,omitempty"` // what is pressed on the screen below when it comes back with something
}

// Return is the press that follows when a dialog comes back: of what opened it, through the second gate.
type Return struct {
	Element string `json:"element"`
	Trigger string `json:"trigger"`
	Row     string `json:"row,omitempty"`   // key of the row that it was opened from
	Point   string `json:"point,omitempty"` // value of the point that it was opened from
}

// From is the list that a record was opened from, as it was then: stepping goes on along it.
type From struct {
	Screen  string            `json:"screen,omitempty"` // none: all records of the table, in its own order
	Element string            `json:"element,omitempty"`
	Inputs  map[string]string `json:"inputs,omitempty"`
	Filters []Filter          `json:"filters,omitempty"`
	Sort    []ask.Sort        `json:"sort,omitempty"`
	Find    string            `json:"find,omitempty"`
	At      string            `json:"at,omitempty"`  // the record's place in the order, as it was on arrival
	Key     string            `json:"key,omitempty"` // the record that At speaks of
}

// Look is how a list was left: found again when one comes back.
type Look struct {
	Start string `json:"start,omitempty"` // cursor that the page begins after; "" for the beginning
	Row   string `json:"row,omitempty"`   // key of the chosen row
	Top   string `json:"top,omitempty"`   // key of the row that was at the top
}

// Filter narrows a screen's list by one of its columns.
type Filter struct {
	Path    string `json:"path"`
	Compare string `json:"compare"` // of Compares
	Value   string `json:"value,omitempty"`
}

// ListOf gives the list of a table that a place shows, as what records are opened from; nil if there is none.
func ListOf(of *project.Project, p Place, table string) *From {
	s := of.Screens[p.Screen]
	if s == nil || table == "" {
		return nil
	}
	e := s.MainList()
	if e == nil || project.ListOf(e).Table != table {
		e = nil
		for _, id := range slices.Sorted(maps.Keys(s.Elements)) {
			if l := project.ListOf(s.Elements[id]); l != nil && l.Table == table {
				e = s.Elements[id]
				break
			}
		}
	}
	if e == nil {
		return nil
	}
	return &From{Screen: p.Screen, Element: e.ID, Inputs: p.Inputs, Filters: p.Filters, Sort: p.Sort, Find: p.Find}
}

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
	if p.Find != "" {
		add("~find", p.Find)
	}
	for _, block := range slices.Sorted(maps.Keys(p.Tabs)) {
		add("~tab."+block, p.Tabs[block])
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

// ParseAddress reads what Address writes, and what people type. Errors are *Refusal.
func ParseAddress(of *project.Project, slug, query string) (Place, error) {
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

// Check refuses inputs, modes, filters and sorts that do not fit the screen.
func (p Place) Check(of *project.Project) (map[string]cond.Value, error) {
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
		v, err := cond.Parse(in.TypeOf(), wire)
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

// WithVars gives a place with other values of its screen's own variables.
func (p Place) WithVars(set map[string]string) Place {
	if len(set) == 0 {
		return p
	}
	vars := make(map[string]string, len(p.Vars)+len(set))
	for id, wire := range p.Vars {
		vars[id] = wire
	}
	for id, wire := range set {
		vars[id] = wire
	}
	p.Vars = vars
	return p
}
