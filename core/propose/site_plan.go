package propose

import (
	"slices"
	"strings"

	"ambergate/core/english"
	"ambergate/core/project"
)

// Words by which numbers are known that say where something lies: the first of each to the right, the second down.
var placing = [][2]string{{"x", "y"}, {"across", "down"}, {"left", "top"}, {"column", "row"}, {"east", "north"}, {"easting", "northing"}, {"longitude", "latitude"}, {"lng", "lat"}, {"lon", "lat"}}

// upwards are the words of numbers that grow towards the upper edge.
var upwards = []string{"north", "northing", "latitude", "lat"}

// placedBy gives the fields that say where the records of a table lie: those whose words say so, else its first two
// numbers; false where it has not two.
func placedBy(t *project.Table) (across, down string, ok bool) {
	var numbers []string
	for _, id := range byPos(t.Fields, func(c *project.Column) float64 { return c.Pos }) {
		if isSized(t.Fields[id]) && !t.IsKey(id) {
			numbers = append(numbers, id)
		}
	}
	named := func(word string) string {
		i := slices.IndexFunc(numbers, func(id string) bool {
			return slices.Contains(wordsOf(t.Fields[id]), word)
		})
		if i < 0 {
			return ""
		}
		return numbers[i]
	}
	for _, pair := range placing {
		if across, down = named(pair[0]), named(pair[1]); across != "" && down != "" && across != down {
			return across, down, true
		}
	}
	if len(numbers) < 2 {
		return "", "", false
	}
	return numbers[0], numbers[1], true
}

func wordsOf(f *project.Column) []string {
	return wordsIn(f.Label + " " + strings.ReplaceAll(f.Alias, "_", " "))
}

// sitePlan offers a picture with the records of a table on it, where two of their numbers can place them. On a dashboard
// a point that is pressed narrows the screen, elsewhere it opens its form.
func (o *offering) sitePlan(t *project.Table) {
	across, down, able := placedBy(t)
	words := "site plan of " + english.Lower(t.Label)
	if !able || len(o.typed) == 0 || !o.wants(t.Label, words, "map points", t.Label) {
		return
	}
	b := body{"kind": "sitePlan", "label": t.Label, "table": t.ID, "across": across, "down": down}
	if f := t.Fields[down]; slices.ContainsFunc(wordsOf(f), func(w string) bool { return slices.Contains(upwards, w) }) {
		b["top"], b["bottom"] = 100, 0
	}
	one := thing{id: "sitePlan:" + t.ID, words: words, also: "map points", note: "where its " + english.Lower(t.Fields[across].Label) + " and " + english.Lower(t.Fields[down].Label) + " say", group: t.Label, w: 6, h: 6, least: 4, body: b}
	if pictures := picturesByName(o.p); len(pictures) > 0 {
		b["picture"] = pictures[0]
		one.note += ", on the picture “" + o.p.Pictures[pictures[0]].Name + "”"
	}
	form := formOf(o.p, t.ID)
	if form != nil {
		b["opened"] = gate(nil, to(form.ID, form.Record, body{"rule": "row"}))
	}
	if filter := o.heldBy(t.ID); o.s.Type == "dashboard" && filter != "" {
		n := inputs{s: o.s}
		if form != nil {
			b["menu"] = body{"m_open": body{"pos": 1, "words": "Open", "gate": b["opened"]}}
		}
		b["opened"] = gate(nil, n.byRecord(t, filter))
		one.more = n.more
		one.note += "; a point that is pressed narrows the screen"
	}
	o.add(one)
}

// heldBy gives what an input of a record of the table narrows by: the fields of what stands on the screen that hold one.
func (o *offering) heldBy(table string) string {
	var paths []string
	for _, id := range tablesByLabel(o.p) {
		t := o.p.Tables[id]
		for _, f := range byPos(t.Fields, func(c *project.Column) float64 { return c.Pos }) {
			if t.Fields[f].References == table && !slices.Contains(paths, f) {
				paths = append(paths, f)
			}
		}
	}
	return strings.Join(paths, " ")
}

// isSized says whether a field is a number that is more or less.
func isSized(c *project.Column) bool {
	return c.References == "" && (c.Type == "whole" || c.Type == "number" || c.Type == "decimal")
}
