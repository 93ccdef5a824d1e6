package nav

import (
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

type fieldKind struct{ nothingToFetch }

func (fieldKind) plan(b *planner, e *project.Element) {
	path := e.Spec.(*project.Field).Path
	table := b.scope["record"]
	if f, _ := b.app.Project.FieldAt(table, path); f == nil {
		b.broken("field", path, cond.Problem{Message: "The field it showed is gone.", Length: 1})
		return
	}
	b.needShown(b.plan.record, table, path)
}

func (fieldKind) view(o *Opening, e *ElementPlan, into *ElementView) {
	spec := e.Spec.(*project.Field)
	table := o.plan.Screen.RecordTable()
	f, _ := o.app.Project.FieldAt(table, spec.Path)
	if f == nil {
		into.Field = &FieldView{Path: spec.Path, Label: spec.Label, Type: "text", State: "unknown", Words: "the field is gone"}
		return
	}
	if !o.maySee(table, spec.Path) {
		into.State, into.By, into.Reason = "hidden", "grant", "The role may not see this field."
	}
	fv := &FieldView{
		Path: spec.Path, Label: spec.Label, Type: f.Type, Choices: f.Choices, Unit: f.Unit,
		Long: f.Long, Table: f.References, Required: !f.Nullable && f.Default == "", Editable: o.editable(spec, f),
		Min: f.Min, Max: f.Max, Longest: f.Longest, Example: f.Example, Secret: f.Secret,
	}
	fv.Add = fv.Editable && o.mayAddParent(spec, f)
	if fv.Label == "" {
		fv.Label = f.Label
	}
	into.Field = fv
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
func (o *Opening) mayAddParent(spec *project.Field, f *project.Column) bool {
	s := o.app.Project.Screens[spec.Add]
	return s != nil && f.References != "" && s.RecordTable() == f.References && o.rights.On(f.References).Add
}

// AddParent gives the place of the form that a missing record of a relation is added with.
func (o *Opening) AddParent(path string) (*Place, error) {
	for _, e := range o.plan.Elements {
		spec, ok := e.Spec.(*project.Field)
		if !ok || spec.Path != path {
			continue
		}
		if f, _ := o.app.Project.FieldAt(o.plan.Screen.RecordTable(), path); f != nil && o.editable(spec, f) && o.mayAddParent(spec, f) {
			return &Place{Screen: spec.Add, Mode: "add", Inputs: map[string]string{}}, nil
		}
	}
	return nil, refuse("no-grant", "Nothing can be added from this field.", "Choose one that is there.")
}

// editable says whether this screen, mode and user may change the field here.
func (o *Opening) editable(spec *project.Field, f *project.Column) bool {
	if o.place.Mode == "view" || spec.ReadOnly || f.ReadOnly || f.Type == "json" || f.Tally != nil || strings.Contains(spec.Path, ".") {
		return false
	}
	return !o.grant.ReadOnly[spec.Path] && !o.grant.Hidden[spec.Path]
}
