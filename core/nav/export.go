package nav

import (
	"context"
	"strings"

	"ambergate/core/cond"
	"ambergate/core/project"
)

// Streamer reads records one after the other, however many there are.
type Streamer interface {
	// Each calls a function with each record of a query, in order, until it fails.
	Each(ctx context.Context, q Query, each func(*Row) error) error
}

// Export writes a list as the user sees it, whole: its headings, then row by row. Texts that a
// spreadsheet would take for a formula are made harmless.
func (o *Opening) Export(ctx context.Context, from Streamer, element string, write func([]string) error) error {
	e := o.listElement(element)
	if e == nil || !o.rights.On(e.listing().Table).View {
		return refuse("no-element", "This list is not on the screen any more.", "Load the screen again.")
	}
	spec := e.listing()
	q, hidden, err := o.listQuery(e, "")
	if err != nil {
		return err
	}
	q.Limit = 0
	var heads []string
	var columns []*project.ListColumn
	for _, c := range project.Ordered(spec.Columns) {
		f, _ := o.app.Project.FieldAt(spec.Table, c.Path)
		if f == nil || !o.maySee(spec.Table, c.Path) {
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
	return from.Each(ctx, q, func(r *Row) error {
		hide(r, hidden)
		cells := make([]string, len(columns))
		for i, c := range columns {
			cells[i] = o.exported(r, spec.Table, c.Path)
		}
		return write(cells)
	})
}

// exported gives a value as programs read it; records by their titles. What is not known is empty.
func (o *Opening) exported(r *Row, table, path string) string {
	f, _ := o.app.Project.FieldAt(table, path)
	v := r.Values[path]
	switch {
	case !v.Known() || v.IsNull() || f.Type == PictureType:
		return ""
	case f.References != "":
		return harmless(o.world.title(r, f.References, path))
	case v.Kind() == cond.Moment:
		t, _ := v.Time()
		return t.In(o.world.now.Location()).Format("2006-01-02 15:04:05")
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
