package element

import (
	"context"
	"fmt"
	"strings"

	"ambergate/core/ask"
	"ambergate/core/cond"
	"ambergate/core/place"
	"ambergate/core/plan"
	"ambergate/core/project"
	"ambergate/core/use"
)

// FieldView is a field as it is drawn: its value for people and as the wire writes it.
type FieldView struct {
	Path     string   `json:"path"`
	Label    string   `json:"label"`
	Type     string   `json:"type"`
	Value    string   `json:"value"`
	Words    string   `json:"words"`
	State    string   `json:"state"` // known, empty, unknown
	Choices  []string `json:"choices,omitempty"`
	Unit     string   `json:"unit,omitempty"`
	Table    string   `json:"table,omitempty"` // of a relation
	Long     bool     `json:"long,omitempty"`
	Required bool     `json:"required,omitempty"`
	Editable bool     `json:"editable,omitempty"`
	Min      *float64 `json:"min,omitempty"`
	Max      *float64 `json:"max,omitempty"`
	Longest  int      `json:"longest,omitempty"`
	Example  string   `json:"example,omitempty"`
	Secret   bool     `json:"secret,omitempty"`
	Add      bool     `json:"add,omitempty"`     // a record that is missing can be added in a dialog
	Changed  bool     `json:"changed,omitempty"` // another value sets something off
	Way      bool     `json:"way,omitempty"`     // its value leads somewhere
	Href     string   `json:"href,omitempty"`    // as a plain link
	Hint     string   `json:"hint,omitempty"`
	Place    string   `json:"place,omitempty"` // of its label: above, beside
}

// Field shows, and on a form in edit mode edits, one field of the screen's record.
type Field struct {
	project.ElementHead
	use.NothingToFetch
	Path     string        `json:"path"` // field ids joined by dots
	Label    string        `json:"label,omitempty"`
	ReadOnly bool          `json:"readOnly,omitempty"`
	Gate     *project.Gate `json:"gate,omitempty"`                                      // its value is a way, where it has one
	Changed  *project.Gate `json:"changed,omitempty"`                                   // set off when another value was given
	Hint     string        `json:"hint,omitempty"`                                      // what to type, below the field while it is edited
	Place    string        `json:"place,omitempty" jsonschema:"enum=above,enum=beside"` // of its label; beside while viewed and above while edited, if none is said
	Format   string        `json:"format,omitempty"`                                    // how its value is written while viewed, of cond.Formats; as usual, if none is said
	Default  string        `json:"default,omitempty"`                                   // expression: what a new record begins with here
	Required bool          `json:"required,omitempty"`                                  // here it may not be left empty, though its table allows that
	Add      string        `json:"add,omitempty"`                                       // of a relation: the form that a missing record can be added with, in a dialog
}

// Validate asks for a path.
func (spec *Field) Validate() error {
	if spec.Path == "" {
		return fmt.Errorf("a field element needs the path of its field")
	}
	if err := project.OneOf("format", spec.Format, append([]string{""}, cond.FormatNames()...)...); err != nil {
		return err
	}
	return project.OneOf("place of the label", spec.Place, "", "above", "beside")
}

// Gates gives the gate of the field's value, and that of its change.
func (spec *Field) Gates() map[string]*project.Gate {
	all := project.GatesOn("release", spec.Gate)
	if spec.Changed != nil {
		if all == nil {
			all = map[string]*project.Gate{}
		}
		all["changed"] = spec.Changed
	}
	return all
}

// FieldPath gives the path of the field that it shows.
func (spec *Field) FieldPath() string { return spec.Path }

// Edits gives the field of the screen's record that it edits here; nil where it only shows it.
func (spec *Field) Edits(o *use.Opening) *project.Column {
	t := o.App.Project.Tables[o.Plan.Screen.RecordTable()]
	if t == nil || spec.Modes != nil && !spec.Modes[o.At.Mode] {
		return nil
	}
	if f := t.Fields[spec.Path]; f != nil && spec.editable(o, f) {
		return spec.here(f)
	}
	return nil
}

// here gives the field as this screen asks for it.
func (spec *Field) here(f *project.Column) *project.Column {
	if !spec.Required || !f.Nullable {
		return f
	}
	needed := *f
	needed.Nullable, needed.Default = false, ""
	return &needed
}

// Called names it by its field.
func (spec *Field) Called(s plan.Scene, _ *plan.Element) string {
	if f, _ := s.App.Project.FieldAt(s.Screen.RecordTable(), spec.Path); f != nil {
		return f.Label
	}
	return "field"
}

// Pressed says what sets off the way of its value.
func (*Field) Pressed() string { return "its value is pressed" }

func (spec *Field) Plan(b *plan.Planner) {
	path := spec.Path
	table := b.Scope["record"]
	if f, _ := b.App.Project.FieldAt(table, path); f == nil {
		b.Broken("field", path, cond.Problem{Message: "The field it showed is gone.", Length: 1})
		return
	}
	b.NeedShown(b.Plan.RecordPaths, table, path)
	if spec.Default == "" {
		return
	}
	f, _ := b.App.Project.FieldAt(table, path)
	switch e := b.Expression("default", spec.Default); {
	case e == nil:
	case !plan.Fits(f.TypeOf(), e.Root.Type):
		b.Broken("default", spec.Default, cond.Problem{Message: "“" + f.Label + "” cannot begin with that: it is of another kind.", Length: 1})
	default:
		b.Element.Exprs["default"] = e
	}
}

// NewView gives an empty view of it.
func (*Field) NewView() any { return &FieldView{} }

func (spec *Field) View(o *use.Opening, e *plan.Element, into *use.ElementView) {
	table := o.Plan.Screen.RecordTable()
	f, _ := o.App.Project.FieldAt(table, spec.Path)
	if f == nil {
		into.View = &FieldView{Path: spec.Path, Label: spec.Label, Type: "text", State: "unknown", Words: "the field is gone"}
		return
	}
	if !o.MaySee(table, spec.Path) {
		into.State, into.By, into.Reason = "hidden", "grant", "The role may not see this field."
	}
	f = spec.here(f)
	fv := &FieldView{
		Path: spec.Path, Label: spec.Label, Type: f.Type, Choices: f.Choices, Unit: f.Unit,
		Long: f.Long, Table: f.References, Required: !f.Nullable && f.Default == "", Editable: spec.editable(o, f),
		Min: f.Min, Max: f.Max, Longest: f.Longest, Example: f.Example, Secret: f.Secret,
		Hint: spec.Hint, Place: spec.Place,
	}
	fv.Add = fv.Editable && spec.mayAddParent(o, f)
	if fv.Label == "" {
		fv.Label = f.Label
	}
	into.View = fv
	v := fieldValue(o, spec.Path, f)
	fv.State = map[bool]string{true: "known", false: "unknown"}[v.Known()]
	switch {
	case !v.Known():
		fv.Words = v.Why()
	case v.IsNull():
		fv.State = "empty"
	default:
		fv.Value, fv.Words = v.Wire(), o.World.SayAs(v, spec.Format)
		if f.Type == ask.PictureType {
			fv.Words = "picture"
		} else if fv.Editable {
			fv.Value = use.Editing(v, o.World.Moment.Location())
		}
		if f.References != "" && o.World.Record != nil {
			fv.Words = o.World.Title(o.World.Record, f.References, spec.Path)
		} else if row := o.Filled[spec.Path]; row != nil {
			fv.Words = o.World.Title(row, f.References, "")
		}
	}
	if gate := e.Gates["changed"]; gate != nil && fv.Editable {
		fv.Changed = o.Judge(gate, use.Aim{}).Open()
	}
	if gate := e.Gates["release"]; gate != nil && into.State == use.StateShown && !fv.Editable {
		verdict := o.Judge(gate, use.Aim{})
		fv.Way = verdict.Open()
		into.By, into.Reason = verdict.By, verdict.Reason
		if p := verdict.PlainLink(gate); p != nil {
			fv.Href = p.Address(o.App.Project)
		}
	}
}

// fieldValue gives the stored value, or what a new record is filled in with.
func fieldValue(o *use.Opening, path string, f *project.Column) cond.Value {
	if o.At.Mode != "add" {
		return o.World.From(o.World.Record, strings.Split(path, "."), path)
	}
	if wire, ok := o.FilledIn()[path]; ok {
		if v, err := cond.Parse(f.TypeOf(), wire); err == nil {
			return v
		}
	}
	return cond.NullValue
}

// mayAddParent says whether a missing record of a relation can be added from here.
func (spec *Field) mayAddParent(o *use.Opening, f *project.Column) bool {
	s := o.App.Project.Screens[spec.Add]
	return s != nil && f.References != "" && s.RecordTable() == f.References && o.Rights.On(f.References).Add
}

// AddParent gives the place of the form that a missing record of a relation is added with.
func AddParent(o *use.Opening, path string) (*place.Place, error) {
	for _, e := range o.Plan.Elements {
		spec, ok := e.Spec.(*Field)
		if !ok || spec.Path != path {
			continue
		}
		if f, _ := o.App.Project.FieldAt(o.Plan.Screen.RecordTable(), path); f != nil && spec.editable(o, f) && spec.mayAddParent(o, f) {
			return &place.Place{Screen: spec.Add, Mode: "add", Inputs: map[string]string{}}, nil
		}
	}
	return nil, ask.Refuse("no-grant", "Nothing can be added from this field.", "Choose one that is there.")
}

// editable says whether this screen, mode and user may change the field here.
func (spec *Field) editable(o *use.Opening, f *project.Column) bool {
	if o.At.Mode == "view" || spec.ReadOnly || f.ReadOnly || f.Type == "json" || f.Tally != nil || strings.Contains(spec.Path, ".") {
		return false
	}
	if _, saves := o.SavesFiles(); f.Type == ask.PictureType && !saves {
		return false
	}
	return !o.Grant.ReadOnly[spec.Path] && !o.Grant.Hidden[spec.Path]
}

// Picture gives the picture of a field that the screen shows the user, and its media type.
func Picture(ctx context.Context, o *use.Opening, from ask.Pictures, path string) ([]byte, string, error) {
	none := ask.Refuse("no-picture", "There is no such picture.", "Load the screen again.")
	if o.World.Record == nil || !showsField(o, path) {
		return nil, "", none
	}
	t := o.App.Project.Tables[o.World.Record.Table]
	if f := t.Fields[path]; f == nil || f.Type != ask.PictureType || !o.MaySee(t.ID, path) {
		return nil, "", none
	}
	data, err := from.Picture(ctx, t, o.World.Record.Key, path)
	if err != nil {
		return nil, "", err
	}
	media := ask.MediaOf(data)
	if media == "" {
		return nil, "", none
	}
	return data, media, nil
}

func showsField(o *use.Opening, path string) bool {
	for _, e := range o.Plan.Elements {
		if f, ok := e.Spec.(interface{ FieldPath() string }); ok && f.FieldPath() == path {
			if _, here := o.There(e); here {
				return true
			}
		}
	}
	return false
}
