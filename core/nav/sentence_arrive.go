package nav

import (
	"strings"
	"time"

	"ambergate/core/english"
	"ambergate/core/project"
)

// arrive says what the target's list is narrowed and ordered by at first.
func (w *sentenceWriter) arrive(c *CasePlan) {
	m := c.Move.Only()
	if m == nil || m.Arrive == nil || m.Target == nil {
		return
	}
	a, table := m.Arrive, m.Target.ListTable()
	var narrowed, ordered []string
	for _, f := range project.Ordered(a.Filters) {
		if col, _ := w.app.Project.FieldAt(table, f.Path); col != nil {
			narrowed = append(narrowed, w.arriveWords(f, col))
		}
	}
	for _, s := range project.Ordered(a.Sort) {
		if col, _ := w.app.Project.FieldAt(table, s.Path); col != nil {
			words := english.Lower(col.Label)
			if s.Desc {
				words += ", the highest first"
			}
			ordered = append(ordered, words)
		}
	}
	if len(narrowed) > 0 {
		w.plain(" where ")
		w.out = append(w.out, Chunk{Text: strings.Join(narrowed, " and "), Part: "arrive", Tone: "record", Case: c.ID})
	}
	if len(ordered) > 0 {
		w.plain(", ordered by ")
		w.out = append(w.out, Chunk{Text: strings.Join(ordered, ", then by "), Part: "arrive", Tone: "record", Case: c.ID})
	}
}

// arriveWords says one filter: “state is not closed”, “due the last 7 days”.
func (w *sentenceWriter) arriveWords(f *project.ArriveFilter, col *project.Column) string {
	label := english.Lower(col.Label)
	verb, plain := compareWords[f.Compare]
	if plain && f.Value == "" {
		return label + strings.TrimRight(verb, " ")
	}
	if title := w.called.of(col.References, f.Value); plain && title != "" {
		return label + verb + title
	}
	if !plain {
		return label + " " + Filter{Path: f.Path, Compare: f.Compare, Value: f.Value}.words(col, time.UTC)
	}
	if col.Type == "date" || col.Type == "yesno" {
		return label + verb + Filter{Path: f.Path, Compare: "is", Value: f.Value}.words(col, time.UTC)
	}
	return label + verb + f.Value
}
