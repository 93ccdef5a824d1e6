package element

import (
	"fmt"
	"maps"
	"slices"

	"ambergate/core/cond"
	"ambergate/core/plan"
	"ambergate/core/project"
	"ambergate/core/use"
)

// RowTones are how a row of a list, a point of a site plan or a symbol can stand out.
var RowTones = []string{"", "good", "warn", "stop", "strong", "quiet"}

// RowFace is how a row, point or symbol looks while a condition holds: the first that holds is shown, and none while
// that is not known.
type RowFace struct {
	project.Item
	When  string `json:"when,omitempty"`                                                                   // condition, of a row on its record; empty: always
	Tone  string `json:"tone,omitempty" jsonschema:"enum=good,enum=warn,enum=stop,enum=strong,enum=quiet"` // plain, if none
	Words string `json:"words,omitempty"`                                                                  // what it means, for people; template
}

// RowFaceView is the face that a row shows.
type RowFaceView struct {
	Tone  string `json:"tone,omitempty"`
	Words string `json:"words,omitempty"`
}

func validRowFaces(faces map[string]*RowFace) error {
	for id, f := range faces {
		if f == nil {
			return fmt.Errorf("face %s is empty", id)
		}
		f.ID = id
		if err := project.OneOf("tone", f.Tone, RowTones...); err != nil {
			return fmt.Errorf("face %s: %w", id, err)
		}
	}
	return nil
}

// planRowFaces compiles them; what they speak of is the row.
func planRowFaces(b *plan.Planner, faces map[string]*RowFace) {
	for _, f := range project.Ordered(faces) {
		if f.When != "" {
			b.Element.Exprs["face."+f.ID] = b.Condition("face", f.When)
		}
		b.Element.Texts["face."+f.ID] = b.Template("face", f.Words)
	}
}

// rowFace gives the face that a row shows; nil for none.
func rowFace(o *use.Opening, e *plan.Element, faces map[string]*RowFace, row *use.World) *RowFaceView {
	face, _ := faceOf(o, e, faces, row)
	return face
}

// faceOf gives the first face that holds; nil for none. Where it cannot be known which that is, it says why.
func faceOf(o *use.Opening, e *plan.Element, faces map[string]*RowFace, world *use.World) (face *RowFaceView, why string) {
	for _, f := range project.Ordered(faces) {
		if f.When != "" {
			c := e.Exprs["face."+f.ID]
			if c == nil {
				return nil, "its condition cannot be read"
			}
			switch holds := c.Root.Eval(world); {
			case !holds.Known():
				return nil, holds.Why()
			case !holds.True():
				continue
			}
		}
		v := &RowFaceView{Tone: f.Tone}
		if t := e.Texts["face."+f.ID]; t != nil {
			v.Words = t.Say(world, world.Say)
		}
		return v, ""
	}
	return nil, ""
}

// Tones are how a button is dressed.
var Tones = []string{"", "plain", "main", "strong", "sign", "quiet", "good", "warn", "stop"}

// Face is how a button looks in one condition: the first whose condition holds is shown. A face
// of a state, without a condition, changes how the shown one looks in that state.
type Face struct {
	project.Item
	When    string `json:"when,omitempty"`  // condition
	State   string `json:"state,omitempty"` // hover, pressed, greyed, focus; on, off, unknown: of what is turned on and off; empty: normal
	Words   string `json:"words,omitempty"` // template; empty: the button's own
	Icon    string `json:"icon,omitempty"`
	Picture string `json:"picture,omitempty"`
	Tone    string `json:"tone,omitempty"`
	Colour  string `json:"colour,omitempty"` // in the stead of the tone's ground, as project.ValidColour has it
}

// Validate refuses states, tones and colours that do not exist.
func (f *Face) Validate() error {
	if err := project.OneOf("state", f.State, "", "hover", "pressed", "greyed", "focus", "on", "off", "unknown"); err != nil {
		return err
	}
	if err := project.ValidColour(f.Colour); err != nil {
		return err
	}
	return project.OneOf("tone", f.Tone, Tones...)
}

// FaceView is what a face changes.
type FaceView struct {
	Words   string           `json:"words,omitempty"`
	Icon    string           `json:"icon,omitempty"`
	Tone    string           `json:"tone,omitempty"`
	Colour  string           `json:"colour,omitempty"`
	Picture *use.PictureView `json:"picture,omitempty"`
}

// face shows the first face whose condition holds. One that cannot be decided shows the face for
// what is unknown, never the next one.
func face(o *use.Opening, e *plan.Element, spec *Button, v *ButtonView) {
	unknown, shown := v.Turned == "unknown", (*Face)(nil)
	for _, f := range project.Ordered(spec.Faces) {
		if f.State != "" && f.State == v.Turned && shown == nil && f.When == "" {
			shown = f
			continue
		}
		if f.State != "" || shown != nil || unknown {
			continue
		}
		if f.When == "" {
			shown = f
			continue
		}
		c := e.Exprs["face."+f.ID]
		value := cond.UnknownBecause("its condition cannot be read")
		if c != nil {
			value = c.Root.Eval(o.World)
		}
		switch {
		case !value.Known():
			unknown = true
		case value.True():
			shown = f
		}
	}
	for _, f := range project.Ordered(spec.Faces) {
		if f.When != "" && f.State != "" {
			if c := e.Exprs["face."+f.ID]; c == nil || !c.Root.Eval(o.World).True() {
				continue
			}
		}
		if f.State == "unknown" && unknown {
			shown = f
		} else if slices.Contains([]string{"hover", "pressed", "greyed", "focus"}, f.State) {
			if v.States == nil {
				v.States = map[string]*FaceView{}
			}
			v.States[f.State] = &FaceView{Words: o.Text(e, "face."+f.ID), Icon: f.Icon, Tone: f.Tone, Colour: f.Colour, Picture: o.PictureView(f.Picture)}
		}
	}
	if shown == nil {
		if unknown {
			v.Tone, v.Colour = "unknown", ""
		}
		return
	}
	if words := o.Text(e, "face."+shown.ID); words != "" {
		v.Words = words
	}
	if shown.Icon != "" {
		v.Icon = shown.Icon
	}
	if shown.Tone != "" || shown.Colour != "" {
		v.Colour = shown.Colour // a face with a tone shows that, not the button's own colour
	}
	if shown.Tone != "" {
		v.Tone = shown.Tone
	}
	if p := o.PictureView(shown.Picture); p != nil {
		v.Picture = p
	}
}

// FaceTried is a face as it is tried: the first that holds is shown.
type FaceTried struct {
	ID     string
	Always bool // it has no condition
}

// FaceOrder gives the faces of each state in the order in which they are tried.
func (spec *Button) FaceOrder() [][]FaceTried {
	by := map[string][]FaceTried{}
	for _, f := range project.Ordered(spec.Faces) {
		by[f.State] = append(by[f.State], FaceTried{f.ID, f.When == ""})
	}
	var out [][]FaceTried
	for _, state := range slices.Sorted(maps.Keys(by)) {
		out = append(out, by[state])
	}
	return out
}

// rowFaceOrder gives faces of rows, of marks or of a symbol in the order in which they are tried.
func rowFaceOrder(faces map[string]*RowFace) [][]FaceTried {
	var out []FaceTried
	for _, f := range project.Ordered(faces) {
		out = append(out, FaceTried{f.ID, f.When == ""})
	}
	return [][]FaceTried{out}
}

// FaceOrder gives the faces of its rows.
func (spec *List) FaceOrder() [][]FaceTried { return rowFaceOrder(spec.Faces) }

// FaceOrder gives the faces of its marks.
func (spec *SitePlan) FaceOrder() [][]FaceTried { return rowFaceOrder(spec.Faces) }

// FaceOrder gives its faces.
func (spec *Symbol) FaceOrder() [][]FaceTried { return rowFaceOrder(spec.Faces) }
