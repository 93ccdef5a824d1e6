package element

import (
	"fmt"

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
