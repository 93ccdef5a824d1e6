package words

import (
	"strings"
	"time"

	"ambergate/core/english"
	"ambergate/core/local"
	"ambergate/core/place"
	"ambergate/core/plan"
	"ambergate/core/project"
)

// Arrive says what the target's list is narrowed and ordered by at first.
func (w *Writer) Arrive(c *plan.Case) {
	m := c.Move.Only()
	if m == nil || m.Arrive == nil || m.Target == nil {
		return
	}
	a, table := m.Arrive, w.App.Behind(m).ListTable()
	var narrowed, ordered []string
	for _, f := range project.Ordered(a.Filters) {
		if col, _ := w.App.Project.FieldAt(table, f.Path); col != nil {
			narrowed = append(narrowed, w.arriveWords(f, col))
		}
	}
	for _, s := range project.Ordered(a.Sort) {
		if col, _ := w.App.Project.FieldAt(table, s.Path); col != nil {
			words := english.Lower(col.Label)
			if s.Desc {
				words += ", " + descending(col)
			}
			ordered = append(ordered, words)
		}
	}
	if len(narrowed) > 0 {
		w.Plain(" where ")
		w.Out = append(w.Out, Chunk{Text: strings.Join(narrowed, " and "), Part: PartArrive, Tone: "record", Case: c.ID})
	}
	if len(ordered) > 0 {
		w.Plain(", ordered by ")
		w.Out = append(w.Out, Chunk{Text: strings.Join(ordered, ", then by "), Part: PartArrive, Tone: "record", Case: c.ID})
	}
}

// arriveWords says one filter: “state is not closed”, “due the last 7 days”.
func (w *Writer) arriveWords(f *project.ArriveFilter, col *project.Column) string {
	label := english.Lower(col.Label)
	verb, plain := Compares[f.Compare]
	if plain && f.Value == "" {
		return label + strings.TrimRight(verb, " ")
	}
	if title := w.Called.Of(col.References, f.Value); plain && title != "" {
		return label + verb + title
	}
	if !plain {
		return label + " " + place.Filter{Path: f.Path, Compare: f.Compare, Value: f.Value}.Words(col, local.English, time.UTC)
	}
	if col.Type == "date" || col.Type == "yesno" {
		return label + verb + place.Filter{Path: f.Path, Compare: "is", Value: f.Value}.Words(col, local.English, time.UTC)
	}
	return label + verb + f.Value
}
