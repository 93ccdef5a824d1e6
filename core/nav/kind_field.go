package nav

import (
	"fmt"
	"strings"

	"ambergate/core/cond"
	"ambergate/core/project"
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
}

// Field shows, and on a form in edit mode edits, one field of the screen's record.
type Field struct {
	project.ElementHead
	nothingToFetch
	Path     string        `json:"path"` // field ids joined by dots
	Label    string        `json:"label,omitempty"`
	ReadOnly bool          `json:"readOnly,omitempty"`
	Gate     *project.Gate `json:"gate,omitempty"`    // its value is a way, where it has one
	Changed  *project.Gate `json:"changed,omitempty"` // set off when another value was given
	Add      string        `json:"add,omitempty"`     // of a relation: the form that a missing record can be added with, in a dialog
}

// Validate asks for a path.
func (spec *Field) Validate() error {
	if spec.Path == "" {
		return fmt.Errorf("a field element needs the path of its field")
	}
	return nil
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
func (spec *Field) Edits(o *Opening) *project.Column {
	t := o.app.Project.Tables[o.plan.Screen.RecordTable()]
	if t == nil || spec.Modes != nil && !spec.Modes[o.place.Mode] {
		return nil
	}
	if f := t.Fields[spec.Path]; f != nil && spec.editable(o, f) {
		return f
	}
	return nil
}

// Called names it by its field.
func (spec *Field) Called(s scene, _ *ElementPlan) string {
	if f, _ := s.app.Project.FieldAt(s.screen.RecordTable(), spec.Path); f != nil {
		return f.Label
	}
	return "field"
}

// Pressed says what sets off the way of its value.
func (*Field) Pressed() string { return "its value is pressed" }

func (spec *Field) Plan(b *planner) {
	path := spec.Path
	table := b.scope["record"]
	if f, _ := b.app.Project.FieldAt(table, path); f == nil {
		b.broken("field", path, cond.Problem{Message: "The field it showed is gone.", Length: 1})
		return
	}
	b.needShown(b.plan.record, table, path)
}

// NewView gives an empty view of it.
func (*Field) NewView() any { return &FieldView{} }

func (spec *Field) View(o *Opening, e *ElementPlan, into *ElementView) {
	table := o.plan.Screen.RecordTable()
	f, _ := o.app.Project.FieldAt(table, spec.Path)
	if f == nil {
		into.View = &FieldView{Path: spec.Path, Label: spec.Label, Type: "text", State: "unknown", Words: "the field is gone"}
		return
	}
	if !o.maySee(table, spec.Path) {
		into.State, into.By, into.Reason = "hidden", "grant", "The role may not see this field."
	}
	fv := &FieldView{
		Path: spec.Path, Label: spec.Label, Type: f.Type, Choices: f.Choices, Unit: f.Unit,
		Long: f.Long, Table: f.References, Required: !f.Nullable && f.Default == "", Editable: spec.editable(o, f),
		Min: f.Min, Max: f.Max, Longest: f.Longest, Example: f.Example, Secret: f.Secret,
	}
	fv.Add = fv.Editable && spec.mayAddParent(o, f)
	if fv.Label == "" {
		fv.Label = f.Label
	}
	into.View = fv
	v := o.fieldValue(spec.Path, f)
	fv.State = map[bool]string{true: "known", false: "unknown"}[v.Known()]
	switch {
	case !v.Known():
		fv.Words = v.Why()
	case v.IsNull():
		fv.State = "empty"
	default:
		fv.Value, fv.Words = v.Wire(), o.world.say(v, f.TypeOf())
		if f.Type == PictureType {
			fv.Words = "picture"
		} else if fv.Editable {
			fv.Value = editing(v, o.world.now.Location())
		}
		if f.References != "" && o.world.record != nil {
			fv.Words = o.world.title(o.world.record, f.References, spec.Path)
		} else if row := o.filled[spec.Path]; row != nil {
			fv.Words = o.world.title(row, f.References, "")
		}
	}
	if gate := e.Gates["changed"]; gate != nil && fv.Editable {
		fv.Changed = o.judge(gate, aim{}).Open()
	}
	if gate := e.Gates["release"]; gate != nil && into.State == "shown" && !fv.Editable {
		verdict := o.judge(gate, aim{})
		fv.Way = verdict.Open()
		into.By, into.Reason = verdict.By, verdict.Reason
		if p := verdict.plainLink(gate); p != nil {
			fv.Href = p.Address(o.app.Project)
		}
	}
}

// fieldValue gives the stored value, or what a new record is filled in with.
func (o *Opening) fieldValue(path string, f *project.Column) cond.Value {
	if o.place.Mode != "add" {
		return o.world.from(o.world.record, strings.Split(path, "."), path)
	}
	if wire, ok := o.place.Set[path]; ok {
		if v, err := cond.Parse(f.TypeOf(), wire); err == nil {
			return v
		}
	}
	return cond.NullValue
}

// mayAddParent says whether a missing record of a relation can be added from here.
func (spec *Field) mayAddParent(o *Opening, f *project.Column) bool {
	s := o.app.Project.Screens[spec.Add]
	return s != nil && f.References != "" && s.RecordTable() == f.References && o.rights.On(f.References).Add
}

// AddParent gives the place of the form that a missing record of a relation is added with.
func (o *Opening) AddParent(path string) (*Place, error) {
	for _, e := range o.plan.Elements {
		spec, ok := e.Spec.(*Field)
		if !ok || spec.Path != path {
			continue
		}
		if f, _ := o.app.Project.FieldAt(o.plan.Screen.RecordTable(), path); f != nil && spec.editable(o, f) && spec.mayAddParent(o, f) {
			return &Place{Screen: spec.Add, Mode: "add", Inputs: map[string]string{}}, nil
		}
	}
	return nil, refuse("no-grant", "Nothing can be added from this field.", "Choose one that is there.")
}

// editable says whether this screen, mode and user may change the field here.
func (spec *Field) editable(o *Opening, f *project.Column) bool {
	if o.place.Mode == "view" || spec.ReadOnly || f.ReadOnly || f.Type == "json" || f.Tally != nil || strings.Contains(spec.Path, ".") {
		return false
	}
	return !o.grant.ReadOnly[spec.Path] && !o.grant.Hidden[spec.Path]
}
