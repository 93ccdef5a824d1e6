package nav

import (
	"context"
	"fmt"
	"strings"

	"ambergate/core/cond"
	"ambergate/core/english"
	"ambergate/core/project"
)

// List shows records of a table: all that the inputs let through, or the children of the screen's record.
type List struct {
	project.ElementHead
	project.List
}

// Listing gives what it lists.
func (spec *List) Listing() *project.List { return &spec.List }

// Validate asks for a table and bounds the page.
func (spec *List) Validate() error {
	if spec.Table == "" {
		return fmt.Errorf("a list needs a table")
	}
	if spec.Rows < 0 || spec.Rows > 500 {
		return fmt.Errorf("a page has 1 to 500 rows")
	}
	for id, c := range spec.Columns {
		c.ID = id
	}
	for id, o := range spec.Order {
		o.ID = id
	}
	for id, a := range spec.Several {
		a.ID = id
		if a.Words == "" || a.Gate == nil {
			return fmt.Errorf("what is done with several rows needs words and a gate")
		}
	}
	return project.ValidateMenu(spec.Menu)
}

// Gates gives the gate of an opened row, those of what is done with several, and those of a row's menu.
func (spec *List) Gates() map[string]*project.Gate {
	all := project.GatesOn("row", spec.Opened)
	for id, a := range spec.Several {
		if all == nil {
			all = map[string]*project.Gate{}
		}
		all[project.SeveralTrigger(id)] = a.Gate
	}
	return project.WithMenu(all, spec.Menu)
}

// MenuEntries gives what a row's menu offers.
func (spec *List) MenuEntries() map[string]*project.Entry { return spec.Menu }

// Called names a row of it.
func (spec *List) Called(s scene, _ *ElementPlan) string {
	if t := s.app.Project.Tables[spec.Table]; t != nil {
		return "a row of " + english.Lower(t.Label)
	}
	return "list"
}

// Plan notes its columns, and what the titles of its rows need.
func (spec *List) Plan(b *planner) {
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
	spec := e.listing()
	t := o.app.Project.Tables[spec.Table]
	main := o.plan.Screen.MainList()
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
	q := Query{Table: t, Paths: paths, Match: match, Order: o.listOrder(spec, isMain), Limit: limit, After: after, Rights: o.rights}
	if isMain {
		q.Find = o.find(spec)
	}
	return q, hidden, nil
}

// find gives what the place looks for, in the columns that the user sees.
func (o *Opening) find(spec *project.List) Find {
	words := strings.Fields(o.place.Find)
	if len(words) == 0 {
		return Find{}
	}
	f := Find{Words: words}
	for _, c := range project.Ordered(spec.Columns) {
		field, _ := o.app.Project.FieldAt(spec.Table, c.Path)
		if field == nil || !o.maySee(spec.Table, c.Path) {
			continue
		}
		path := c.Path
		if field.References != "" {
			path = o.app.titlePath(field.References, c.Path)
		}
		if o.maySee(spec.Table, path) {
			f.Paths = append(f.Paths, path)
		}
	}
	return f
}

func (o *Opening) listOrder(spec *project.List, isMain bool) []Sort {
	if isMain && len(o.place.Sort) > 0 {
		return o.sortable(spec.Table, o.place.Sort)
	}
	return o.sortable(spec.Table, declaredOrder(o.app, spec))
}

func declaredOrder(a *App, spec *project.List) []Sort {
	from := spec.Order
	if len(from) == 0 {
		from = a.Project.Tables[spec.Table].Order
	}
	var out []Sort
	for _, s := range project.Ordered(from) {
		out = append(out, Sort{Path: s.Path, Desc: s.Desc})
	}
	return out
}

// order gives a declared order, as far as the user may see.
func (o *Opening) order(table string, declared map[string]*project.Order) []Sort {
	var out []Sort
	for _, s := range project.Ordered(declared) {
		out = append(out, Sort{Path: s.Path, Desc: s.Desc})
	}
	return o.sortable(table, out)
}

// sortable leaves out what is gone or hidden; records sort by what stands first in their titles.
func (o *Opening) sortable(table string, order []Sort) []Sort {
	var out []Sort
	for _, s := range order {
		c, _ := o.app.Project.FieldAt(table, s.Path)
		if c == nil || !o.maySee(table, s.Path) {
			continue
		}
		if c.References != "" {
			if path := o.app.titlePath(c.References, s.Path); o.maySee(table, path) {
				s.Path = path
			}
		}
		out = append(out, s)
	}
	return out
}

// Fetch reads a stretch of it, where it was left or from the beginning, and counts it.
func (spec *List) Fetch(ctx context.Context, o *Opening, e *ElementPlan, src Sources) error {
	if o.app.Project.Tables[spec.Table] == nil || !o.rights.On(spec.Table).View {
		return nil
	}
	if spec.Relation != "" && o.world.record == nil {
		return nil
	}
	look := o.place.Look[e.ID]
	if look.Start == "" {
		var err error
		if look.Start, err = o.startAt(ctx, e, src); err != nil {
			return err
		}
	}
	if look.Start != "" {
		// Where it was left: if nothing is there any more, or the order is another, it begins anew.
		err := o.fetchList(ctx, e, src, look.Start, false)
		if err == nil && len(o.pages[e.ID].rows) > 0 {
			o.counts[e.ID], err = o.countList(ctx, e, src)
			return err
		}
		if err != nil && !isBadCursor(err) {
			return err
		}
	}
	if err := o.fetchList(ctx, e, src, "", false); err != nil {
		return err
	}
	if o.pages[e.ID].next == "" {
		o.counts[e.ID] = Count{N: len(o.pages[e.ID].rows)}
		return nil
	}
	n, err := o.countList(ctx, e, src)
	o.counts[e.ID] = n
	return err
}

func isBadCursor(err error) bool {
	r, ok := err.(*Refusal)
	return ok && r.Code == "bad-cursor"
}

func (o *Opening) countList(ctx context.Context, e *ElementPlan, src Sources) (Count, error) {
	q, _, err := o.listQuery(e, "")
	if err != nil {
		return Count{}, err
	}
	return src.Records.Count(ctx, q)
}

// stretch is some rows of a list that follow each other, with the cursors to go on from.
type stretch struct {
	rows         []*Row
	before, next string
}

// fetchList reads rows after a cursor, or back from it; without one from the start, or the end.
func (o *Opening) fetchList(ctx context.Context, e *ElementPlan, src Sources, cursor string, back bool) error {
	q, hidden, err := o.listQuery(e, cursor)
	if err != nil {
		return err
	}
	q.Back = back
	if spec := e.listing(); spec.InPlace || len(spec.Several)+len(spec.Menu) > 0 {
		q.Ask = o.asks(q.Table.ID)
	}
	page, err := src.Records.Fetch(ctx, q)
	if err != nil {
		return err
	}
	for _, r := range page.Rows {
		hide(r, hidden)
	}
	s := stretch{rows: page.Rows}
	if len(page.Rows) > 0 {
		first, last := page.Rows[0].Cursor, page.Rows[len(page.Rows)-1].Cursor
		switch {
		case back:
			s.before = page.Next
			if cursor != "" {
				s.next = last
			}
		default:
			s.next = page.Next
			if cursor != "" {
				s.before = first
			}
		}
	}
	o.pages[e.ID] = s
	return nil
}

// More fetches a further stretch of a list of the screen: after a cursor, or back from it.
func (o *Opening) More(ctx context.Context, src Sources, element, cursor string, back bool) (*ListView, error) {
	e := o.listElement(element)
	if e == nil || !o.rights.On(e.listing().Table).View {
		return nil, refuse("no-element", "This list is not on the screen any more.", "Load the screen again.")
	}
	if err := o.fetchList(ctx, e, src, cursor, back); err != nil {
		return nil, err
	}
	var ev ElementView
	kindOf[DrawnElement](e.Spec).View(o, e, &ev)
	return ev.View.(*ListView), nil
}

// NewView gives an empty view of it.
func (*List) NewView() any { return &ListView{} }

// View draws it.
func (spec *List) View(o *Opening, e *ElementPlan, into *ElementView) {
	lv := &ListView{Table: spec.Table, Label: spec.Label, Columns: []ColumnView{}, Rows: []RowView{}, Sort: []Sort{}}
	into.View = lv
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
	main := o.plan.Screen.MainList()
	lv.Main = main != nil && main.ID == e.ID
	lv.Sort = append(lv.Sort, o.shownOrder(&spec.List, lv.Main)...)
	lv.InPlace, lv.Adds = o.editsInPlace(&spec.List), o.mayAddRow(e) == ""
	edits, adds := o.rowColumns(&spec.List, false), o.rowColumns(&spec.List, true)
	lv.Choose = o.plan.chosen[e.ID] || lv.InPlace
	look := o.place.Look[e.ID]
	lv.Chosen, lv.Top = look.Row, look.Top
	lv.Several = o.severalViews(e)
	var columns []*project.ListColumn
	for _, c := range project.Ordered(spec.Columns) {
		f, _ := o.app.Project.FieldAt(spec.Table, c.Path)
		if f == nil || !o.maySee(spec.Table, c.Path) {
			continue
		}
		columns = append(columns, c)
		cv := ColumnView{Path: c.Path, Label: c.Label, Type: f.Type, Choices: f.Choices, Graded: f.Graded, Unit: f.Unit, Width: c.Width, Table: f.References, Nullable: f.Nullable}
		cv.Edits, cv.Adds = lv.InPlace && edits[c.Path] != nil, lv.Adds && adds[c.Path] != nil
		cv.Needed = (cv.Edits || cv.Adds) && !f.Nullable && f.Default == ""
		if cv.Label == "" {
			cv.Label = f.Label
		}
		if cv.Width == 0 {
			cv.Width = 1
		}
		lv.Columns = append(lv.Columns, cv)
	}
	gate := e.Gates["row"]
	if len(t.Key) == 0 {
		gate = nil // without a key no record can be named
	}
	lv.Menu = entries(spec.Menu)
	for _, r := range o.pages[e.ID].rows {
		row := RowView{Key: r.Key, Title: o.world.title(r, r.Table, ""), Cursor: r.Cursor, Cells: make([]CellView, len(columns))}
		if lv.InPlace {
			_, closed := o.shutToChanges(r)
			row.Edits, row.Version = !closed, r.Version
		}
		for i, c := range columns {
			row.Cells[i] = o.cell(r, spec.Table, c.Path)
			if v := r.Values[c.Path]; lv.InPlace && v.Kind() == cond.Moment {
				row.Cells[i].Value = editing(v, o.world.now.Location())
			}
		}
		if gate != nil {
			v := o.judge(gate, aim{row: r, element: e.ID})
			row.Open, row.Reason = v.Open(), v.Reason
			lv.Opens = lv.Opens || v.Open()
			if p := v.plainLink(gate); p != nil {
				row.Href = p.Address(o.app.Project)
			}
		}
		row.Menu = o.menuOf(e, spec.Menu, aim{row: r, element: e.ID, several: true})
		lv.Rows = append(lv.Rows, row)
	}
	lv.Before, lv.Next = o.pages[e.ID].before, o.pages[e.ID].next
	lv.Count, lv.More = o.counts[e.ID].N, o.counts[e.ID].More
}

// shownOrder is the order as the columns know it.
func (o *Opening) shownOrder(spec *project.List, isMain bool) []Sort {
	order := declaredOrder(o.app, spec)
	if isMain && len(o.place.Sort) > 0 {
		order = o.place.Sort
	}
	var out []Sort
	for _, s := range order {
		if c, _ := o.app.Project.FieldAt(spec.Table, s.Path); c != nil && o.maySee(spec.Table, s.Path) {
			out = append(out, s)
		}
	}
	return out
}

// severalViews gives what the user's role can do with chosen rows; the rows themselves are judged
// when it is pressed.
func (o *Opening) severalViews(e *ElementPlan) []SeveralView {
	spec := e.listing()
	rights := o.rights.On(spec.Table)
	var out []SeveralView
	for _, a := range project.Ordered(spec.Several) {
		gate := e.Gates[project.SeveralTrigger(a.ID)]
		if _, closed := o.judgeRoles(gate.Roles); closed {
			continue
		}
		v := SeveralView{ID: a.ID, Words: a.Words, State: "shown"}
		for _, c := range gate.Cases {
			for _, effect := range c.Effects {
				if effect.Kind == "set" && !rights.Edit || effect.Kind == "delete" && !rights.Delete {
					v.State, v.Reason = "greyed", "Your role may not do this with "+english.Lower(o.app.Project.Tables[spec.Table].Label)+"."
				}
			}
		}
		out = append(out, v)
	}
	return out
}

func (o *Opening) cell(r *Row, table, path string) CellView {
	f, _ := o.app.Project.FieldAt(table, path)
	v := r.Values[path]
	switch {
	case !v.Known():
		return CellView{Words: v.Why()}
	case v.IsNull():
		return CellView{}
	case f.Type == PictureType:
		return CellView{Words: "picture"}
	case f.References != "":
		return CellView{Words: o.world.title(r, f.References, path), Value: v.Wire()}
	}
	return CellView{Words: o.world.say(v, f.TypeOf()), Value: v.Wire()}
}
