package element

import (
	"fmt"

	"ambergate/core/ask"
	"ambergate/core/cond"
	"ambergate/core/plan"
	"ambergate/core/project"
	"ambergate/core/use"
)

// SitePlanView is a site plan as it is drawn: its points are records, and fixed marks.
type SitePlanView struct {
	Label   string      `json:"label"`
	Words   string      `json:"words"`            // what the picture shows
	Digest  string      `json:"digest,omitempty"` // of the picture; "" where it is gone, or there is none and no words for it
	Table   string      `json:"table,omitempty"`  // what one record is called
	Points  []SitePoint `json:"points"`
	More    bool        `json:"more,omitempty"`  // there are records beyond those that are shown
	Off     int         `json:"off,omitempty"`   // records that have no place on the picture
	Again   bool        `json:"again,omitempty"` // choosing the chosen point again shows all
	Input   string      `json:"input,omitempty"` // of its own screen, that a chosen point narrows
	Refused string      `json:"refused,omitempty"`
}

// SitePoint is one point, at a place in hundredths of the picture's width and height.
type SitePoint struct {
	ID     string          `json:"id"` // the record's key, or the mark's id
	Mark   bool            `json:"mark,omitempty"`
	X      float64         `json:"x"`
	Y      float64         `json:"y"`
	Words  string          `json:"words"`
	Face   *RowFaceView    `json:"face,omitempty"`
	Open   bool            `json:"open,omitempty"`
	Reason string          `json:"reason,omitempty"`
	Href   string          `json:"href,omitempty"`
	Chosen bool            `json:"chosen,omitempty"` // the screen shows just that
	Menu   []use.EntryView `json:"menu,omitempty"`
}

// SiteMark is a fixed mark on a site plan, at a place in hundredths of the picture's width and height.
type SiteMark struct {
	project.Item
	X     float64       `json:"x"`
	Y     float64       `json:"y"`
	Words string        `json:"words"` // template
	Gate  *project.Gate `json:"gate,omitempty"`
}

// MarkTrigger names the trigger of a mark that is pressed.
func MarkTrigger(id string) string { return "mark." + id }

// SitePlan is a picture with records placed on it by two of their numbers, and fixed marks. Each is a point: it can be
// opened or chosen, has a menu, and a face.
type SitePlan struct {
	project.ElementHead
	Label    string               `json:"label,omitempty"`
	Picture  string               `json:"picture,omitempty"`  // none: its points lie on plain ground
	Table    string               `json:"table,omitempty"`    // of the records; none: marks alone
	Relation string               `json:"relation,omitempty"` // field of the table that names the screen's record
	Across   string               `json:"across,omitempty"`   // path of the number that says how far to the right
	Down     string               `json:"down,omitempty"`     // path of the number that says how far down
	Left     *float64             `json:"left,omitempty"`     // what Across is at the left edge; 0
	Right    *float64             `json:"right,omitempty"`    // at the right one; 100
	Top      *float64             `json:"top,omitempty"`      // what Down is at the upper edge; 0
	Bottom   *float64             `json:"bottom,omitempty"`   // at the lower one; 100
	Faces    map[string]*RowFace  `json:"faces,omitempty"`
	Marks    map[string]*SiteMark `json:"marks,omitempty"`
	Opened   *project.Gate        `json:"opened,omitempty"` // a point of a record is pressed

	Menu map[string]*project.Entry `json:"menu,omitempty"` // what the menu of a record's point offers
}

// pointsShown is how many records are placed at most.
const pointsShown = 500

// Listing gives what it shows as a list does; nil where it shows fixed marks alone.
func (spec *SitePlan) Listing() *project.List {
	if spec.Table == "" {
		return nil
	}
	return &project.List{Table: spec.Table, Relation: spec.Relation, Label: spec.Label, Opened: spec.Opened, Rows: pointsShown, Menu: spec.Menu}
}

// BesideLists says that what a place filters, sorts and looks for is never meant for it.
func (*SitePlan) BesideLists() {}

// Member says what one of its records is shown as.
func (*SitePlan) Member() string { return "point" }

// NarrowsOwn says that a point may be chosen to narrow its own screen, and again to show all.
func (*SitePlan) NarrowsOwn() {}

// Validate asks for a picture or records, for what places the records, and for edges that differ.
func (spec *SitePlan) Validate() error {
	if spec.Picture == "" && spec.Table == "" {
		return fmt.Errorf("a site plan needs a picture, or records")
	}
	if spec.Table != "" && (spec.Across == "" || spec.Down == "") {
		return fmt.Errorf("a site plan with records needs the two numbers that place them")
	}
	if edge(spec.Left, 0) == edge(spec.Right, 100) || edge(spec.Top, 0) == edge(spec.Bottom, 100) {
		return fmt.Errorf("opposite edges of a site plan need different numbers")
	}
	for id, m := range spec.Marks {
		if m == nil || m.Words == "" {
			return fmt.Errorf("mark %s needs words", id)
		}
		m.ID = id
	}
	if err := validRowFaces(spec.Faces); err != nil {
		return err
	}
	return project.ValidateMenu(spec.Menu)
}

// Gates gives the gate of an opened record, those of its menu, and those of the marks.
func (spec *SitePlan) Gates() map[string]*project.Gate {
	all := project.WithMenu(project.GatesOn("row", spec.Opened), spec.Menu)
	for id, m := range spec.Marks {
		if m.Gate == nil {
			continue
		}
		if all == nil {
			all = map[string]*project.Gate{}
		}
		all[MarkTrigger(id)] = m.Gate
	}
	return all
}

// MenuEntries gives what a point's menu offers.
func (spec *SitePlan) MenuEntries() map[string]*project.Entry { return spec.Menu }

// MarkWords gives the words of a mark.
func (spec *SitePlan) MarkWords(id string) string {
	if m := spec.Marks[id]; m != nil {
		return m.Words
	}
	return ""
}

// Called names a point of it.
func (spec *SitePlan) Called(s plan.Scene, _ *plan.Element) string {
	if spec.Label != "" {
		return "a point of “" + spec.Label + "”"
	}
	return "a point of the site plan"
}

// Plan notes what its points read.
func (spec *SitePlan) Plan(b *plan.Planner) {
	b.Picture(spec.Picture)
	for _, m := range project.Ordered(spec.Marks) {
		b.Element.Texts["mark."+m.ID] = b.Template("mark", m.Words)
	}
	if spec.Table == "" {
		return
	}
	if b.App.Project.Tables[spec.Table] == nil {
		b.Broken("site plan", spec.Table, cond.Problem{Message: "The table whose records it placed is gone.", Length: 1})
		return
	}
	b.Scope = b.App.Project.Scope(b.Plan.Screen, spec.Table)
	b.NeedTitle(b.Element.RowPaths, spec.Table, "")
	for _, path := range []string{spec.Across, spec.Down} {
		f, _ := b.App.Project.FieldAt(spec.Table, path)
		switch {
		case f == nil:
			b.Broken("site plan", path, cond.Problem{Message: "A field that placed its records is gone.", Length: 1})
		case f.Type != "whole" && f.Type != "number" && f.Type != "decimal":
			b.Broken("site plan", path, cond.Problem{Message: "“" + f.Label + "” is no number: it places nothing.", Length: 1})
		default:
			b.NeedShown(b.Element.RowPaths, spec.Table, path)
		}
	}
	planRowFaces(b, spec.Faces)
}

// Ask reads the records.
func (spec *SitePlan) Ask(round *ask.Round, o *use.Opening, e *plan.Element) error {
	if o.App.Project.Tables[spec.Table] == nil || !o.Rights.On(spec.Table).View || spec.Relation != "" && o.World.Record == nil {
		return nil
	}
	return o.AskList(round, e, "", false, func(err error) error { return err })
}

// NewView gives an empty view of it.
func (*SitePlan) NewView() any { return &SitePlanView{} }

// View draws it.
func (spec *SitePlan) View(o *use.Opening, e *plan.Element, into *use.ElementView) {
	v := &SitePlanView{Label: spec.Label, Points: []SitePoint{}}
	into.View = v
	if spec.Picture != "" {
		v.Words = "the picture is gone"
	}
	if p := o.PictureView(spec.Picture); p != nil {
		v.Digest, v.Words = p.Digest, p.Words
	}
	for _, m := range project.Ordered(spec.Marks) {
		p := SitePoint{ID: m.ID, Mark: true, X: m.X, Y: m.Y, Words: o.Text(e, "mark."+m.ID)}
		if gate := e.Gates[MarkTrigger(m.ID)]; gate != nil {
			p.judged(o, gate, use.Aim{})
		}
		v.Points = append(v.Points, p)
	}
	t := o.App.Project.Tables[spec.Table]
	switch {
	case spec.Table == "":
		return
	case t == nil || len(e.Broken) > 0:
		v.Refused = "What placed its records is gone."
		return
	case !o.Rights.On(spec.Table).View:
		v.Refused = o.MayNot("view", t)
		return
	case !o.MaySee(spec.Table, spec.Across) || !o.MaySee(spec.Table, spec.Down):
		v.Refused = "You may not view where these records lie."
		return
	}
	v.Table, v.More = t.One, o.Pages[e.ID].Next != ""
	gate := e.Gates["row"]
	if len(t.Key) == 0 {
		gate = nil // without a key no record can be named
	}
	own := o.OwnInput(gate)
	v.Again, v.Input = own != "", own
	for _, r := range o.Pages[e.ID].Rows {
		x, across := r.Values[spec.Across].Float64()
		y, down := r.Values[spec.Down].Float64()
		if x, y = percent(x, spec.Left, spec.Right), percent(y, spec.Top, spec.Bottom); !across || !down || x < 0 || x > 100 || y < 0 || y > 100 {
			v.Off++
			continue
		}
		at := use.Aim{Row: r, Element: e.ID}
		world := *o.World
		world.Row = r
		p := SitePoint{ID: r.Key, X: x, Y: y, Words: o.World.Title(r, r.Table, ""), Face: rowFace(o, e, spec.Faces, &world), Menu: o.MenuOf(e, spec.Menu, use.Aim{Row: r, Element: e.ID, Several: true})}
		p.Chosen = own != "" && o.IsChosen(own, r.Key, "")
		if gate != nil {
			p.judged(o, gate, at)
		}
		v.Points = append(v.Points, p)
	}
}

// judged says whether the point opens.
func (p *SitePoint) judged(o *use.Opening, gate *plan.Gate, at use.Aim) {
	v := o.Judge(gate, at)
	p.Open, p.Reason = v.Open(), v.Reason
	if link := v.PlainLink(gate); link != nil {
		p.Href = link.Address(o.App.Project)
	}
}

func edge(given *float64, otherwise float64) float64 {
	if given == nil {
		return otherwise
	}
	return *given
}

// percent gives where a number lies between two edges.
func percent(n float64, from, to *float64) float64 {
	a, b := edge(from, 0), edge(to, 100)
	return 100 * (n - a) / (b - a)
}
