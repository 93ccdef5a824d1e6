package propose

import "fmt"

// Signs on the start screen: how many stand beside each other, of twelve columns.
const signsBeside = 3

// start makes the first screen: a sign for each list, by areas.
func (m *maker) start() {
	elements, ids := body{}, names{}
	row, pos := 1, 0
	groups := areas(m.app.Tables)
	add := func(id string, e body) {
		pos++
		e["pos"] = pos
		elements[id] = e
	}
	for i, tables := range groups {
		var shown []*Table
		for _, t := range tables {
			if m.lists[t.ID] != "" {
				shown = append(shown, t)
			}
		}
		if len(shown) == 0 {
			continue
		}
		if len(groups) > 1 {
			add(ids.free(fmt.Sprintf("e_area%d", i+1), "_"), body{"kind": "text", "style": "heading", "words": shown[0].Body.Label, "cell": cell(row, 1, 12, 0)})
			row++
		}
		for k, t := range shown {
			element := ids.free(id("e", t.ID[2:]), "_")
			if !m.way("s_start", element, m.lists[t.ID], "the sign “"+t.Body.Label+"”") {
				continue
			}
			w := 12 / signsBeside
			sign := button(t.Body.Label, cell(row+k/signsBeside*2, 1+k%signsBeside*w, w, 2), gate(nil, to(m.lists[t.ID], "", nil)))
			add(element, with(sign, "tone", "sign"))
		}
		row += (len(shown) + signsBeside - 1) / signsBeside * 2
	}
	title := m.wish.Title
	m.screen(Screen{ID: "s_start", Title: title, Type: "menu", Note: "signs to every list"}, body{"elements": elements})
}

// rail makes the strip with the lists at the left edge.
func (m *maker) rail() {
	if m.wish.NoRail {
		return
	}
	elements := body{"e_home": with(with(button("Start", cell(1, 1, 12, 0), gate(nil, body{"kind": "home"})), "icon", "home"), "pos", 1)}
	row, ids := 1, names{}
	for _, t := range m.app.Tables {
		if list := m.lists[t.ID]; list != "" {
			row++
			elements[ids.free(id("e", "to_"+t.ID[2:]), "_")] = with(with(button(t.Body.Label, cell(row, 1, 12, 0), gate(nil, to(list, "", nil))), "icon", "list"), "pos", row)
		}
	}
	m.app.Rail = true
	m.entities["ra_lists"] = body{"kind": "rail", "name": "Lists", "pos": 1, "edge": "left", "placed": body{"kinds": body{"list": true, "form": true}}, "elements": elements}
}
