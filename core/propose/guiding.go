package propose

import (
	"fmt"
	"maps"
	"slices"

	"ambergate/core/project"
)

// steps are what a guided task is made of; a screen has one at the most.
func (o *offering) steps() {
	for _, e := range o.s.Elements {
		if e.Kind == "steps" {
			return
		}
	}
	o.add(thing{id: "steps", words: "guided steps", also: "wizard task one after the other", note: "what is put in belongs to the open step", group: wordsGroup, w: 12, least: 6, body: body{"kind": "steps", "steps": body{
		"t_1": body{"pos": 1, "label": "First"}, "t_2": body{"pos": 2, "label": "Second"}}}})
}

// tasks are the guided tasks of the application that can be begun here: those whose records belong to the one here are
// begun with it filled in.
func (o *offering) tasks() {
	items := body{}
	for _, id := range slices.Sorted(maps.Keys(o.p.Screens)) {
		s := o.p.Screens[id]
		table := o.p.Tables[s.RecordTable()]
		if table == nil || id == o.s.ID || !guides(s) {
			continue
		}
		move := body{"kind": "screen", "target": id, "mode": "add"}
		for _, f := range slices.Sorted(maps.Keys(table.Fields)) {
			if ref := table.Fields[f].References; ref != "" && ref == o.s.RecordTable() {
				move["set"] = body{f: "record"}
				break
			}
		}
		n := len(items) + 1
		items[fmt.Sprintf("i_%d", n)] = body{"pos": n, "words": s.Title, "gate": body{"cases": body{"c_1": body{"pos": 1, "move": move}}}}
	}
	if len(items) > 0 {
		o.add(thing{id: "tasks", words: "guided tasks", also: "what is to be done begin open done list", note: "which can be begun, which were, and which are done", group: wordsGroup, w: 6, h: 3, least: 4, body: body{"kind": "tasks", "words": "To do", "items": items}})
	}
}

func guides(s *project.Screen) bool {
	for _, e := range s.Elements {
		if e.Kind == "steps" {
			return true
		}
	}
	return false
}
