package element

import (
	"context"
	"fmt"
	"strings"

	"ambergate/core/ask"
	"ambergate/core/cond"
	"ambergate/core/project"
	"ambergate/core/use"
)

// Export writes a list as the user sees it, whole: its headings, then row by row. Texts that a
// spreadsheet would take for a formula are made harmless. A list of more rows than most is refused before anything is written.
func Export(ctx context.Context, o *use.Opening, from ask.Streamer, element string, most int, write func([]string) error) error {
	e := o.ListAt(element)
	if e == nil || !o.Rights.On(e.Listing().Table).View {
		return ask.Refuse("no-element", "This list is not on the screen any more.", "Load the screen again.")
	}
	if v, saves := o.SavesFiles(); !saves {
		return ask.Refuse("display", v.Reason, "Look at the list at a place of work.")
	}
	spec := e.Listing()
	q, hidden, err := o.ListQuery(e, "")
	if err != nil {
		return err
	}
	q.Limit, q.Bound = 0, most
	all, err := from.Count(ctx, q)
	if err != nil {
		return err
	}
	if all.More || all.N > most {
		return ask.Refuse("too-long", fmt.Sprintf("This list has more than %d rows; so many are not sent whole.", most), "Narrow it, and take it in parts.")
	}
	var heads []string
	var columns []*project.ListColumn
	for _, c := range project.Ordered(spec.Columns) {
		f, _ := o.App.Project.FieldAt(spec.Table, c.Path)
		if f == nil || !o.MaySee(spec.Table, c.Path) {
			continue
		}
		head := c.Label
		if head == "" {
			head = f.Label
		}
		heads, columns = append(heads, harmless(head)), append(columns, c)
	}
	if err := write(heads); err != nil {
		return err
	}
	return from.Each(ctx, q, func(r *ask.Row) error {
		use.Hide(r, hidden)
		cells := make([]string, len(columns))
		for i, c := range columns {
			cells[i] = exported(o, r, spec.Table, c.Path)
		}
		return write(cells)
	})
}

// exported gives a value as programs read it; records by their titles. What is not known is empty.
func exported(o *use.Opening, r *ask.Row, table, path string) string {
	f, _ := o.App.Project.FieldAt(table, path)
	v := r.Values[path]
	switch {
	case !v.Known() || v.IsNull() || f.Type == ask.PictureType:
		return ""
	case f.References != "":
		return harmless(o.World.Title(r, f.References, path))
	case v.Kind() == cond.Moment:
		t, _ := v.Time()
		return t.In(o.World.Moment.Location()).Format("2006-01-02 15:04:05")
	case v.Kind() == cond.Text:
		return harmless(v.Wire())
	}
	return v.Wire()
}

// harmless keeps a text from being read as a formula.
func harmless(text string) string {
	if text != "" && strings.ContainsRune("=+-@\t\r\n", rune(text[0])) {
		return "'" + text
	}
	return text
}
