package element

import (
	"ambergate/core/plan"
	"ambergate/core/project"
	"ambergate/core/use"
)

// TextView is a text as it is drawn.
type TextView struct {
	Words string `json:"words"`
	Style string `json:"style"`
}

// Text is a text on a screen.
type Text struct {
	project.ElementHead
	use.NothingToFetch
	Words string `json:"words"`                                                          // template
	Style string `json:"style,omitempty" jsonschema:"enum=plain,enum=heading,enum=note"` // plain (default), heading, note
}

// Validate refuses a style that does not exist.
func (spec *Text) Validate() error {
	return project.OneOf("style", spec.Style, "", "plain", "heading", "note")
}

// Gates gives none.
func (spec *Text) Gates() map[string]*project.Gate { return nil }

// FitsRails says that it can stand on rails.
func (*Text) FitsRails() {}

// Called names it.
func (*Text) Called(plan.Scene, *plan.Element) string { return "text" }

func (spec *Text) Plan(b *plan.Planner) {
	b.Element.Texts["words"] = b.Template("words", spec.Words)
}

// NewView gives an empty view of it.
func (*Text) NewView() any { return &TextView{} }

func (spec *Text) View(o *use.Opening, e *plan.Element, into *use.ElementView) {
	tv := &TextView{Words: o.Text(e, "words"), Style: spec.Style}
	into.View = tv
	if tv.Style == "" {
		tv.Style = "plain"
	}
}
