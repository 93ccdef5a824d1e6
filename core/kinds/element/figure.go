package element

import (
	"fmt"

	"ambergate/core/plan"
	"ambergate/core/project"
	"ambergate/core/use"
)

// FigureView is a picture with live words on it.
type FigureView struct {
	Words  string     `json:"words"`
	Digest string     `json:"digest,omitempty"` // of the picture; "" where it is gone
	Marks  []MarkView `json:"marks"`
}

// MarkView is one text on a figure.
type MarkView struct {
	ID       string  `json:"id"`
	X        float64 `json:"x"`
	Y        float64 `json:"y"`
	Words    string  `json:"words"`
	Abnormal bool    `json:"abnormal,omitempty"`
}

// Mark is a live text on a figure, at a place in hundredths of its width and height.
type Mark struct {
	project.Item
	X        float64 `json:"x"`
	Y        float64 `json:"y"`
	Words    string  `json:"words"`              // template
	Abnormal string  `json:"abnormal,omitempty"` // condition
}

// Figure is a picture with live words at places on it.
type Figure struct {
	project.ElementHead
	use.NothingToFetch
	Words   string           `json:"words,omitempty"`
	Picture string           `json:"picture"` // id of a picture of the project
	Marks   map[string]*Mark `json:"marks,omitempty"`
}

// Validate asks for a picture.
func (spec *Figure) Validate() error {
	if spec.Picture == "" {
		return fmt.Errorf("a figure needs a picture")
	}
	for id, m := range spec.Marks {
		m.ID = id
	}
	return nil
}

// Gates gives none.
func (spec *Figure) Gates() map[string]*project.Gate { return nil }

// Called names it.
func (*Figure) Called(plan.Scene, *plan.Element) string { return "figure" }

func (spec *Figure) Plan(b *plan.Planner) {
	b.Picture(spec.Picture)
	for id, m := range spec.Marks {
		b.Element.Texts[id] = b.Template("mark", m.Words)
		if m.Abnormal != "" {
			b.Element.Exprs[id] = b.Condition("abnormal", m.Abnormal)
		}
	}
}

// NewView gives an empty view of it.
func (*Figure) NewView() any { return &FigureView{} }

func (spec *Figure) View(o *use.Opening, e *plan.Element, into *use.ElementView) {
	fv := &FigureView{Words: "the picture is gone", Marks: []MarkView{}}
	if p := o.PictureView(spec.Picture); p != nil {
		fv.Digest, fv.Words = p.Digest, p.Words
	}
	if spec.Words != "" {
		fv.Words = spec.Words
	}
	into.View = fv
	for _, m := range project.Ordered(spec.Marks) {
		mv := MarkView{ID: m.ID, X: m.X, Y: m.Y, Words: o.Text(e, m.ID)}
		if c := e.Exprs[m.ID]; c != nil {
			mv.Abnormal = c.Root.Eval(o.World).True()
		} else if m.Abnormal == "" {
			mv.Abnormal = o.OutOfLimits(use.TagsIn(e, m.ID))
		}
		fv.Marks = append(fv.Marks, mv)
	}
}
