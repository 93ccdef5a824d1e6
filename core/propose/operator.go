package propose

import (
	"maps"
	"slices"
	"strings"

	"ambergate/core/english"
	"ambergate/core/project"
)

// How an operator screen is laid out, in cells of twelve columns.
const (
	valuesBeside = 4
	trendLines   = 3
	trendRows    = 4
)

// screen adds an operator screen that shows the equipment of one record, and a button on the form of that record that
// leads there. Nothing on it writes to the plant: that is for somebody to wire who knows what it does.
func (m *equipmentMaker) screen(eq *project.Equipment) {
	t := m.table
	own := "i_" + strings.TrimPrefix(t.ID, "t_")
	s := &operatorMaker{ranges: m.ranges, elements: body{}, ids: names{}, row: 1}
	for _, partID := range byPos(eq.Parts, func(p *project.Part) float64 { return p.Pos }) {
		if len(eq.Parts) > 1 {
			s.heading(partID, eq.Parts[partID])
		}
		s.part(partID, eq.Parts[partID])
	}
	s.trend()
	id := free(m.p.Screens, "s_"+strings.TrimPrefix(t.ID, "t_")+"_plant")
	title := english.Capital(t.One) + ", plant"
	b := body{"kind": "screen", "type": "operator", "title": title, "slug": m.slug(Slug(title)), "heading": english.Capital(t.One) + " " + headingOf(t), "record": own, "elements": s.elements,
		"inputs": body{own: body{"pos": 1, "alias": alias(t.One), "label": english.Capital(t.One), "type": "record", "table": t.ID, "required": true}}}
	m.out.Screen = id
	if form := formOf(m.p, m.table.ID); form != nil {
		b["up"] = form.ID
		element := "e_plant"
		for form.Elements[element] != nil {
			element += "_"
		}
		way := button("Plant", cell(below(form), 1, 2, 0), gate(nil, to(id, own, body{"rule": "this"})))
		if form.Type == "form" {
			way["modes"] = body{"view": true}
		}
		m.add("/"+id, b)
		m.add("/"+form.ID+"/elements/"+element, with(way, "pos", lastPos(form)+1))
		return
	}
	m.add("/"+id, b)
	m.out.Notes = append(m.out.Notes, "No screen of one "+english.Lower(t.One)+" leads to it yet: let a button do so.")
}

func (m *equipmentMaker) slug(wanted string) string {
	slugs := names{}
	for _, s := range m.p.Screens {
		slugs[s.Slug] = true
	}
	return slugs.free(wanted, "-")
}

func headingOf(t *project.Table) string {
	return strings.TrimPrefix(t.Title, english.Capital(t.One)+" ")
}

// below is the first row of a screen that nothing stands in.
func below(s *project.Screen) int {
	row := 1
	for _, e := range s.Elements {
		row = max(row, e.Cell.Row+max(e.Cell.H, 1))
	}
	return row
}

func lastPos(s *project.Screen) float64 {
	last := 0.0
	for _, e := range s.Elements {
		last = max(last, e.Pos)
	}
	return last
}

func byPos[T any](all map[string]T, pos func(T) float64) []string {
	return slices.SortedFunc(maps.Keys(all), func(a, b string) int {
		if d := pos(all[a]) - pos(all[b]); d != 0 {
			return int(d*2) | 1
		}
		return strings.Compare(a, b)
	})
}

// operatorMaker puts values one beside the other.
type operatorMaker struct {
	elements body
	ids      names
	row, pos int
	lines    body // of the trend
	ranges   map[*project.Tag][2]float64
}

func (s *operatorMaker) add(id string, e body) {
	s.pos++
	s.elements[s.ids.free(id, "_")] = with(e, "pos", s.pos)
}

func (s *operatorMaker) heading(partID string, p *project.Part) {
	s.add("e_"+partID[2:], body{"kind": "text", "style": "heading", "words": english.Capital(p.Label), "cell": cell(s.row, 1, 12, 0)})
	s.row++
}

func (s *operatorMaker) part(partID string, p *project.Part) {
	beside := 0
	for _, tagID := range byPos(p.Tags, func(t *project.Tag) float64 { return t.Pos }) {
		t := p.Tags[tagID]
		at := cell(s.row+beside/valuesBeside, 1+beside%valuesBeside*3, 3, 0)
		s.add("e_"+partID[2:]+"_"+tagID[2:], s.value(t, "record.equip."+partID+"."+tagID, at))
		beside++
	}
	s.row += (beside + valuesBeside - 1) / valuesBeside
}

// value is a lamp for a yes or no, a bar for a number that has a range, else words.
func (s *operatorMaker) value(t *project.Tag, path string, at body) body {
	words := english.Capital(t.Label)
	r, ranged := s.ranges[t]
	switch {
	case t.Type == "yesno":
		return body{"kind": "lamp", "words": words, "value": path, "on": "yes", "off": "no", "cell": at}
	case ranged:
		if len(s.lines) < trendLines {
			if s.lines == nil {
				s.lines = body{}
			}
			line := body{"pos": len(s.lines) + 1, "words": t.Label, "value": path, "max": r[1]}
			if t.Unit != "" {
				line["unit"] = t.Unit
			}
			s.lines["l_"+string(rune('1'+len(s.lines)))] = line
		}
		g := body{"kind": "gauge", "words": words, "value": path, "min": r[0], "max": r[1], "cell": at}
		if t.Type == "number" {
			g["digits"] = 1
		}
		if t.Unit != "" {
			g["unit"] = t.Unit
		}
		return g
	}
	unit := ""
	if t.Unit != "" {
		unit = " " + t.Unit
	}
	return body{"kind": "text", "words": words + ": {" + path + "}" + unit, "cell": at}
}

func (s *operatorMaker) trend() {
	if len(s.lines) == 0 {
		return
	}
	s.add("e_trend", body{"kind": "trend", "words": "Last 10 minutes", "minutes": 10, "lines": s.lines, "cell": cell(s.row, 1, 12, trendRows)})
}
