package element

import (
	"fmt"

	"ambergate/core/plan"
	"ambergate/core/project"
	"ambergate/core/use"
)

// SymbolShapes are what a symbol can be drawn as.
var SymbolShapes = []string{"motor", "pump", "fan", "valve", "tank", "belt", "door", "heater", "light", "brake"}

// SymbolView is a thing of a plant as it is drawn: its shape, and how it is with it.
type SymbolView struct {
	Shape string   `json:"shape"`
	Words string   `json:"words"`
	State string   `json:"state"`          // known, unknown
	Tone  string   `json:"tone,omitempty"` // of the face that is shown
	Says  string   `json:"says,omitempty"` // what that face means
	Turn  int      `json:"turn,omitempty"` // degrees, clockwise
	Fill  *float64 `json:"fill,omitempty"` // how full it is, in hundredths; none: it has no level, or it is not known
	Way   bool     `json:"way,omitempty"`  // it leads somewhere
	Href  string   `json:"href,omitempty"`
}

// Symbol stands for a thing of the plant on an operator screen: a pump, a valve, a tank. The first face whose condition
// holds says how it is with it; while that cannot be known, none of them is shown.
type Symbol struct {
	project.ElementHead
	use.NothingToFetch
	Shape string              `json:"shape" jsonschema:"enum=motor,enum=pump,enum=fan,enum=valve,enum=tank,enum=belt,enum=door,enum=heater,enum=light,enum=brake"`
	Words string              `json:"words"` // template
	Turn  int                 `json:"turn,omitempty" jsonschema:"enum=0,enum=90,enum=180,enum=270"`
	Faces map[string]*RowFace `json:"faces,omitempty"`
	Level string              `json:"level,omitempty"` // expression: how full it is
	Min   *float64            `json:"min,omitempty"`   // the level at which it is empty; 0
	Max   *float64            `json:"max,omitempty"`   // and full; 100
	Gate  *project.Gate       `json:"gate,omitempty"`
}

// Validate refuses shapes, turns and faces that do not exist, and a range that is none.
func (spec *Symbol) Validate() error {
	if err := project.OneOf("shape", spec.Shape, SymbolShapes...); err != nil {
		return err
	}
	if spec.Turn%90 != 0 || spec.Turn < 0 || spec.Turn > 270 {
		return fmt.Errorf("a symbol is turned by 90, 180 or 270 degrees")
	}
	if edge(spec.Max, 100) <= edge(spec.Min, 0) {
		return fmt.Errorf("a symbol is full at more than at what it is empty")
	}
	return validRowFaces(spec.Faces)
}

// Gates gives the gate of a pressed symbol.
func (spec *Symbol) Gates() map[string]*project.Gate { return project.GatesOn("release", spec.Gate) }

// Called names it.
func (spec *Symbol) Called(_ plan.Scene, e *plan.Element) string {
	if t := e.Texts["words"]; t != nil && spec.Words != "" {
		return t.Phrase()
	}
	return spec.Shape
}

// Pressed says what sets off its way.
func (*Symbol) Pressed() string { return "the symbol is pressed" }

// Plan notes what it reads.
func (spec *Symbol) Plan(b *plan.Planner) {
	b.Element.Texts["words"] = b.Template("words", spec.Words)
	if spec.Level != "" {
		b.Element.Exprs["level"] = b.Expression("level", spec.Level)
	}
	planRowFaces(b, spec.Faces)
}

// NewView gives an empty view of it.
func (*Symbol) NewView() any { return &SymbolView{} }

// View draws it.
func (spec *Symbol) View(o *use.Opening, e *plan.Element, into *use.ElementView) {
	v := &SymbolView{Shape: spec.Shape, Words: o.Text(e, "words"), State: "known", Turn: spec.Turn}
	into.View = v
	if spec.Level != "" {
		if n := o.Number(e, "level"); n == nil {
			v.State, into.Reason = "unknown", o.Why(e, "level")
		} else {
			full := min(100, max(0, percent(*n, spec.Min, spec.Max)))
			v.Fill = &full
		}
	}
	switch face, why := faceOf(o, e, spec.Faces, o.World); {
	case why != "":
		v.State, into.Reason = "unknown", why
	case face != nil:
		v.Tone, v.Says = face.Tone, face.Words
	case o.OutOfLimits(append(use.TagsIn(e, "words"), use.TagsIn(e, "level")...)):
		v.Tone, v.Says = "stop", "outside its limits"
	}
	if gate := e.Gates["release"]; gate != nil {
		verdict := o.Judge(gate, use.Aim{})
		v.Way = verdict.Open()
		into.By = verdict.By
		if verdict.Reason != "" {
			into.Reason = verdict.Reason
		}
		if p := verdict.PlainLink(gate); p != nil {
			v.Href = p.Address(o.App.Project)
		}
	}
}
