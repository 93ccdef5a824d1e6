package nav

import (
	"context"
	"strings"

	"ambergate/core/cond"
	"ambergate/core/project"
)

// ListView is a list as it is drawn: one page of it.
type ListView struct {
	Table   string       `json:"table"`
	Label   string       `json:"label"`
	Main    bool         `json:"main"` // the place's filters and sort are this list's
	Columns []ColumnView `json:"columns"`
	Rows    []RowView    `json:"rows"`
	Next    string       `json:"next,omitempty"`
	Count   int          `json:"count"`
	More    bool         `json:"more,omitempty"` // there are more than count
	Sort    []Sort       `json:"sort"`
	Opens   bool         `json:"opens,omitempty"` // a row can be opened
	Refused string       `json:"refused,omitempty"`
}

// ColumnView is one column of a list.
type ColumnView struct {
	Path    string   `json:"path"`
	Label   string   `json:"label"`
	Type    string   `json:"type"`
	Choices []string `json:"choices,omitempty"`
	Graded  bool     `json:"graded,omitempty"`
	Unit    string   `json:"unit,omitempty"`
	Width   float64  `json:"width"`
}

// RowView is one row: its cells in the order of the columns, and whether it opens.
type RowView struct {
	Key    string     `json:"key"`
	Title  string     `json:"title"`
	Cells  []CellView `json:"cells"`
	Open   bool       `json:"open,omitempty"`
	Reason string     `json:"reason,omitempty"`
	Href   string     `json:"href,omitempty"`
}

// CellView is one value for people and, for records and choices, as the wire writes it.
type CellView struct {
	Words string `json:"words"`
	Value string `json:"value,omitempty"`
}

type listKind struct{}

func (listKind) plan(b *planner, e *project.Element) {
	spec := e.Spec.(*project.List)
	t := b.app.Project.Tables[spec.Table]
	if t == nil {
		b.broken("list", spec.Table, cond.Problem{Message: "The table it listed is gone.", Length: 1})
		return
	}
	b.scope = b.app.Project.Scope(b.plan.Screen, spec.Table)
	b.needTitle(b.element.row, spec.Table, "")
	for _, c := range spec.Columns {
		if f, _ := b.app.Project.FieldAt(spec.Table, c.Path); f == nil {
			b.broken("column", c.Path, cond.Problem{Message: "The field of one of its columns is gone.", Length: 1})
			continue
		}
		b.needShown(b.element.row, spec.Table, c.Path)
	}
}

// listQuery gives what the list asks for at this place, page by page.
func (o *Opening) listQuery(e *ElementPlan, after string) (Query, []string, error) {
	spec := e.Spec.(*project.List)
	t := o.app.Project.Tables[spec.Table]
	main := mainList(o.plan.Screen)
	isMain := main != nil && main.ID == e.ID
	match, err := o.match(spec.Table, isMain)
	if err != nil {
		return Query{}, nil, err
	}
	if spec.Relation != "" {
		key := cond.NullValue
		if o.world.record != nil {
			key = cond.Key(o.world.record.Key)
		}
		match = append(match, Match{Path: spec.Relation, Compare: "is", Value: key})
	}
	paths, hidden := o.visible(spec.Table, e.row.sorted())
	limit := spec.Rows
	if limit == 0 {
		limit = 50
	}
	return Query{Table: t, Paths: paths, Match: match, Order: o.listOrder(spec, isMain), Limit: limit, After: after, Rights: o.rights}, hidden, nil
}

func (o *Opening) listOrder(spec *project.List, isMain bool) []Sort {
	if isMain && len(o.place.Sort) > 0 {
		var order []Sort
		for _, s := range o.place.Sort {
			if o.maySee(spec.Table, s.Path) {
				order = append(order, s)
			}
		}
		return order
	}
	from := spec.Order
	if len(from) == 0 {
		from = o.app.Project.Tables[spec.Table].Order
	}
	var out []Sort
	for _, s := range project.Ordered(from) {
		if c, _ := o.app.Project.FieldAt(spec.Table, s.Path); c != nil && o.maySee(spec.Table, s.Path) {
			out = append(out, Sort{Path: s.Path, Desc: s.Desc})
		}
	}
	return out
}

func (listKind) fetch(ctx context.Context, o *Opening, e *ElementPlan, src Sources) error {
	spec := e.Spec.(*project.List)
	if o.app.Project.Tables[spec.Table] == nil || !o.rights.On(spec.Table).View {
		return nil
	}
	if spec.Relation != "" && o.world.record == nil {
		return nil
	}
	return o.fetchList(ctx, e, src, "")
}

func (o *Opening) fetchList(ctx context.Context, e *ElementPlan, src Sources, after string) error {
	q, hidden, err := o.listQuery(e, after)
	if err != nil {
		return err
	}
	page, err := src.Records.Fetch(ctx, q)
	if err != nil {
		return err
	}
	for _, r := range page.Rows {
		hide(r, hidden)
	}
	o.pages[e.ID] = page
	if after != "" {
		return nil
	}
	if page.Next == "" {
		o.counts[e.ID] = Count{N: len(page.Rows)}
		return nil
	}
	o.counts[e.ID], err = src.Records.Count(ctx, q)
	return err
}

// More fetches a further page of a list of the screen.
func (o *Opening) More(ctx context.Context, src Sources, element, after string) (*ListView, error) {
	for _, e := range o.plan.Elements {
		if e.ID != element || e.Kind != "list" {
			continue
		}
		if !o.rights.On(e.Spec.(*project.List).Table).View {
			break
		}
		if err := o.fetchList(ctx, e, src, after); err != nil {
			return nil, err
		}
		var ev ElementView
		listKind{}.view(o, e, &ev)
		return ev.List, nil
	}
	return nil, refuse("no-element", "This list is not on the screen any more.", "Load the screen again.")
}

func (listKind) view(o *Opening, e *ElementPlan, into *ElementView) {
	spec := e.Spec.(*project.List)
	lv := &ListView{Table: spec.Table, Label: spec.Label, Columns: []ColumnView{}, Rows: []RowView{}, Sort: []Sort{}}
	into.List = lv
	t := o.app.Project.Tables[spec.Table]
	if t == nil {
		lv.Refused = "The table of this list is gone."
		return
	}
	if lv.Label == "" {
		lv.Label = t.Label
	}
	if !o.rights.On(spec.Table).View {
		lv.Refused = "Your role may not view " + strings.ToLower(t.Label) + "."
		return
	}
	main := mainList(o.plan.Screen)
	lv.Main = main != nil && main.ID == e.ID
	lv.Sort = append(lv.Sort, o.listOrder(spec, lv.Main)...)
	var columns []*project.ListColumn
	for _, c := range project.Ordered(spec.Columns) {
		f, _ := o.app.Project.FieldAt(spec.Table, c.Path)
		if f == nil || !o.maySee(spec.Table, c.Path) {
			continue
		}
		columns = append(columns, c)
		cv := ColumnView{Path: c.Path, Label: c.Label, Type: f.Type, Choices: f.Choices, Graded: f.Graded, Unit: f.Unit, Width: c.Width}
		if cv.Label == "" {
			cv.Label = f.Label
		}
		if cv.Width == 0 {
			cv.Width = 1
		}
		lv.Columns = append(lv.Columns, cv)
	}
	gate := e.Gates["row"]
	for _, r := range o.pages[e.ID].Rows {
		row := RowView{Key: r.Key, Title: o.world.title(r, r.Table, ""), Cells: make([]CellView, len(columns))}
		for i, c := range columns {
			row.Cells[i] = o.cell(r, spec.Table, c.Path)
		}
		if gate != nil {
			v := o.judge(gate, aim{row: r})
			row.Open, row.Reason = v.Open(), v.Reason
			lv.Opens = lv.Opens || v.Open()
			if p := v.plainLink(gate); p != nil {
				row.Href = o.app.Address(*p)
			}
		}
		lv.Rows = append(lv.Rows, row)
	}
	lv.Next = o.pages[e.ID].Next
	lv.Count, lv.More = o.counts[e.ID].N, o.counts[e.ID].More
}

func (o *Opening) cell(r *Row, table, path string) CellView {
	f, _ := o.app.Project.FieldAt(table, path)
	v := r.Values[path]
	switch {
	case !v.Known():
		return CellView{Words: v.Why()}
	case v.IsNull():
		return CellView{}
	case f.References != "":
		return CellView{Words: o.world.title(r, f.References, path), Value: v.Wire()}
	}
	return CellView{Words: o.world.say(v, f.TypeOf()), Value: v.Wire()}
}
