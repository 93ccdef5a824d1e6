package nav

import "ambergate/core/project"

// TextView is a text as it is drawn.
type TextView struct {
	Words string `json:"words"`
	Style string `json:"style"`
}

type textKind struct{ nothingToFetch }

func (textKind) plan(b *planner, e *project.Element) {
	b.element.Texts["words"] = b.template("words", e.Spec.(*project.Words).Words)
}

func (textKind) view(o *Opening, e *ElementPlan, into *ElementView) {
	into.Text = &TextView{Words: o.text(e, "words"), Style: e.Spec.(*project.Words).Style}
	if into.Text.Style == "" {
		into.Text.Style = "plain"
	}
}
