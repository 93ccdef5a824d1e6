package element

import (
	"context"
	"fmt"

	"ambergate/core/ask"
	"ambergate/core/cond"
	"ambergate/core/english"
	"ambergate/core/plan"
	"ambergate/core/project"
	"ambergate/core/use"
)

// List shows records of a table: all that the inputs let through, or the children of the screen's record.
type List struct {
	project.ElementHead
	project.List
	Faces map[string]*RowFace `json:"faces,omitempty"`
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
		if err := c.Validate(); err != nil {
			return fmt.Errorf("column %s: %w", id, err)
		}
	}
	if err := project.OneOf("height", spec.Height, "", "low", "tall"); err != nil {
		return err
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
	if err := validRowFaces(spec.Faces); err != nil {
		return err
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
func (spec *List) Called(s plan.Scene, _ *plan.Element) string {
	if t := s.App.Project.Tables[spec.Table]; t != nil {
		return "a row of " + english.Lower(t.Label)
	}
	return "list"
}

// Plan notes its columns, and what the titles of its rows need.
func (spec *List) Plan(b *plan.Planner) {
	t := b.App.Project.Tables[spec.Table]
	if t == nil {
		b.Broken("list", spec.Table, cond.Problem{Message: "The table it listed is gone.", Length: 1})
		return
	}
	b.Scope = b.App.Project.Scope(b.Plan.Screen, spec.Table)
	b.NeedTitle(b.Element.RowPaths, spec.Table, "")
	for _, c := range spec.Columns {
		if f, _ := b.App.Project.FieldAt(spec.Table, c.Path); f == nil {
			b.Broken("column", c.Path, cond.Problem{Message: "The field of one of its columns is gone.", Length: 1})
			continue
		}
		b.NeedShown(b.Element.RowPaths, spec.Table, c.Path)
	}
	if spec.Group != "" {
		if f, _ := b.App.Project.FieldAt(spec.Table, spec.Group); f == nil {
			b.Broken("list", spec.Group, cond.Problem{Message: "The field that its rows stand under is gone.", Length: 1})
		} else {
			b.NeedShown(b.Element.RowPaths, spec.Table, spec.Group)
		}
	}
	planRowFaces(b, spec.Faces)
}

// Ask reads a stretch of it, where it was left or from the beginning, and counts it.
func (spec *List) Ask(round *ask.Round, o *use.Opening, e *plan.Element) error {
	if o.App.Project.Tables[spec.Table] == nil || !o.Rights.On(spec.Table).View {
		return nil
	}
	if spec.Relation != "" && o.World.Record == nil {
		return nil
	}
	if err := spec.askMore(round, o, e); err != nil {
		return err
	}
	start := func() error {
		return o.AskList(round, e, "", false, func(err error) error {
			if err != nil {
				return err
			}
			if o.Pages[e.ID].Next == "" {
				o.Counts[e.ID] = ask.Count{N: len(o.Pages[e.ID].Rows)}
				return nil
			}
			return o.AskCount(round, e)
		})
	}
	left := func(cursor string) error {
		if cursor == "" {
			return start()
		}
		// Where it was left: if nothing is there any more, or the order is another, it begins anew.
		return o.AskList(round, e, cursor, false, func(err error) error {
			if err == nil && len(o.Pages[e.ID].Rows) > 0 {
				return o.AskCount(round, e)
			}
			if err != nil && !use.IsBadCursor(err) {
				return err
			}
			return start()
		})
	}
	if at := o.At.Look[e.ID].Start; at != "" {
		return left(at)
	}
	return o.AskStart(round, e, left)
}

// More fetches a further stretch of a list of the screen: after a cursor, or back from it.
func More(ctx context.Context, o *use.Opening, src use.Sources, element, cursor string, back bool) (*ListView, error) {
	e := o.ListAt(element)
	if e == nil || !o.Rights.On(e.Listing().Table).View {
		return nil, ask.Refuse("no-element", "This list is not on the screen any more.", "Load the screen again.")
	}
	var round ask.Round
	if err := o.AskList(&round, e, cursor, back, func(err error) error { return err }); err != nil {
		return nil, err
	}
	if err := round.Run(ctx, src.Records); err != nil {
		return nil, err
	}
	var ev use.ElementView
	plan.KindOf[use.ElementKind](e.Spec).View(o, e, &ev)
	return ev.View.(*ListView), nil
}

// NewView gives an empty view of it.
func (*List) NewView() any { return &ListView{} }

// View draws it.
func (spec *List) View(o *use.Opening, e *plan.Element, into *use.ElementView) {
	lv := &ListView{Table: spec.Table, Label: spec.Label, Columns: []ColumnView{}, Rows: []RowView{}, Sort: []ask.Sort{}}
	into.View = lv
	t := o.App.Project.Tables[spec.Table]
	if t == nil {
		lv.Refused = "The table of this list is gone."
		return
	}
	if lv.Label == "" {
		lv.Label = t.Label
		if f := t.Fields[spec.Relation]; f != nil && f.Back != "" {
			lv.Label = english.Capital(f.Back)
		}
	}
	if !o.Rights.On(spec.Table).View {
		lv.Refused = o.MayNot("view", t)
		return
	}
	main := o.Plan.Screen.MainList()
	lv.Main = main != nil && main.ID == e.ID
	lv.Sort = append(lv.Sort, o.ShownOrder(&spec.List, lv.Main)...)
	lv.InPlace, lv.Adds = o.EditsInPlace(&spec.List), o.MayAddRow(e) == ""
	edits, adds := o.RowColumns(&spec.List, false), o.RowColumns(&spec.List, true)
	lv.Choose = o.Plan.Chosen[e.ID] || lv.InPlace
	look := o.At.Look[e.ID]
	lv.Chosen, lv.Top = look.Row, look.Top
	lv.Several = severalViews(o, e)
	var columns []*project.ListColumn
	for _, c := range project.Ordered(spec.Columns) {
		f, _ := o.App.Project.FieldAt(spec.Table, c.Path)
		if f == nil || !o.MaySee(spec.Table, c.Path) {
			continue
		}
		columns = append(columns, c)
		cv := ColumnView{Path: c.Path, Label: c.Label, Type: f.Type, Choices: f.Choices, Graded: f.Graded, Unit: f.Unit, Width: c.Width, Table: f.References, Nullable: f.Nullable}
		cv.Align, cv.Look, cv.Format = c.Align, c.Look, c.Format
		if n := o.Groups[totalOf(e.ID, c.ID)]; len(n) == 1 {
			cv.Total, cv.TotalOf = &n[0].N, c.Total
		}
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
	lv.Menu = use.Entries(spec.Menu)
	lv.Cards, lv.Height = spec.Cards, spec.Height
	grouped := spec.Group != "" && o.MaySee(spec.Table, spec.Group) && len(e.Broken) == 0
	if grouped {
		lv.Groups = map[string]int{}
		for _, g := range o.Groups[groupsOf(e.ID)] {
			if g.Rest == 0 {
				lv.Groups[o.GroupWords(spec.Table, spec.Group, g.Value, g.Row)] += int(g.N)
			}
		}
	}
	for _, r := range o.Pages[e.ID].Rows {
		row := RowView{Key: r.Key, Title: o.World.Title(r, r.Table, ""), Cursor: r.Cursor, Cells: make([]CellView, len(columns))}
		if lv.InPlace {
			_, closed := o.ShutToChanges(r)
			row.Edits, row.Version = !closed, r.Version
		}
		if grouped {
			row.Group = o.GroupWords(spec.Table, spec.Group, r.Values[spec.Group], r)
		}
		if len(spec.Faces) > 0 {
			world := *o.World
			world.Row = r
			row.Face = rowFace(o, e, spec.Faces, &world)
		}
		for i, c := range columns {
			row.Cells[i] = cell(o, r, spec.Table, c)
			if v := r.Values[c.Path]; lv.InPlace && v.Kind() == cond.Moment {
				row.Cells[i].Value = use.Editing(v, o.World.Moment.Location())
			}
		}
		if gate != nil {
			v := o.Judge(gate, use.Aim{Row: r, Element: e.ID})
			row.Open, row.Reason = v.Open(), v.Reason
			lv.Opens = lv.Opens || v.Open()
			if p := v.PlainLink(gate); p != nil {
				row.Href = p.Address(o.App.Project)
			}
		}
		row.Menu = o.MenuOf(e, spec.Menu, use.Aim{Row: r, Element: e.ID, Several: true})
		lv.Rows = append(lv.Rows, row)
	}
	lv.Before, lv.Next = o.Pages[e.ID].Before, o.Pages[e.ID].Next
	lv.Count, lv.More = o.Counts[e.ID].N, o.Counts[e.ID].More
}

// severalViews gives what the user's role can do with chosen rows; the rows themselves are judged
// when it is pressed.
func severalViews(o *use.Opening, e *plan.Element) []use.SeveralView {
	spec := e.Listing()
	rights := o.Rights.On(spec.Table)
	var out []use.SeveralView
	for _, a := range project.Ordered(spec.Several) {
		gate := e.Gates[project.SeveralTrigger(a.ID)]
		if _, closed := o.JudgeRoles(gate.Roles); closed {
			continue
		}
		v := use.SeveralView{ID: a.ID, Words: a.Words, State: use.StateShown}
		for _, c := range gate.Cases {
			for _, effect := range c.Effects {
				if effect.Kind == "set" && !rights.Edit || effect.Kind == "delete" && !rights.Delete {
					v.State, v.Reason = "greyed", o.MayNot(map[string]string{"set": "change", "delete": "delete"}[effect.Kind], o.App.Project.Tables[spec.Table])
				}
			}
		}
		out = append(out, v)
	}
	return out
}

func cell(o *use.Opening, r *ask.Row, table string, c *project.ListColumn) CellView {
	path := c.Path
	f, _ := o.App.Project.FieldAt(table, path)
	v := r.Values[path]
	switch {
	case !v.Known():
		return CellView{Words: v.Why()}
	case v.IsNull():
		return CellView{}
	case f.Type == ask.PictureType:
		return CellView{Words: "picture"}
	case f.References != "":
		return CellView{Words: o.World.Title(r, f.References, path), Value: v.Wire()}
	}
	return CellView{Words: o.World.SayAs(v, c.Format), Value: v.Wire()}
}

// groupsCounted is how many groups of a list are counted at most.
const groupsCounted = 500

// Names under which an opening keeps what a list asks for besides its rows.
func totalOf(element, column string) string { return element + "/" + column }
func groupsOf(element string) string        { return element + "/" }

// askMore asks for the totals at the foot and for how many rows each group has: over all rows that the list would show.
func (spec *List) askMore(round *ask.Round, o *use.Opening, e *plan.Element) error {
	q, _, err := o.ListQuery(e, "")
	if err != nil {
		return err
	}
	of := ask.GroupQuery{Table: q.Table, Match: q.Match, Find: q.Find, Rights: q.Rights}
	for _, c := range spec.Columns {
		f, _ := o.App.Project.FieldAt(spec.Table, c.Path)
		number := f != nil && (f.Type == "whole" || f.Type == "number" || f.Type == "decimal")
		if c.Total == "" || f == nil || !number && c.Total != "count" || !o.MaySee(spec.Table, c.Path) {
			continue
		}
		one := of
		if one.Measure = c.Total; c.Total != "count" {
			one.Of = c.Path
		}
		round.Group(one, func(groups []ask.Group) { o.Groups[totalOf(e.ID, c.ID)] = groups })
	}
	if f, _ := o.App.Project.FieldAt(spec.Table, spec.Group); f != nil && o.MaySee(spec.Table, spec.Group) {
		of.By, of.Limit = spec.Group, groupsCounted
		if f.References != "" {
			set := plan.Paths{}
			(&plan.Planner{App: o.App}).NeedTitle(set, f.References, spec.Group)
			of.Title, _ = o.Visible(spec.Table, set.Sorted())
		}
		round.Group(of, func(groups []ask.Group) { o.Groups[groupsOf(e.ID)] = groups })
	}
	return nil
}
