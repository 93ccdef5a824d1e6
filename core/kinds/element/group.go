package element

import (
	"fmt"

	"ambergate/core/plan"
	"ambergate/core/project"
	"ambergate/core/use"
)

// GroupView is a group as it is drawn; what it holds stands within its cell.
type GroupView struct {
	Words string `json:"words"`
}

// Group is a heading, with a frame around the cells below it: its own cell is heading and frame together. What stands
// within it is there only while it is.
type Group struct {
	project.ElementHead
	use.NothingToFetch
	Words string `json:"words"` // template
}

// Validate asks for its heading.
func (spec *Group) Validate() error {
	if spec.Words == "" {
		return fmt.Errorf("a group needs a heading")
	}
	return nil
}

// Gates gives none.
func (spec *Group) Gates() map[string]*project.Gate { return nil }

// Frames says that others stand within it.
func (*Group) Frames() {}

// Called names it by its heading.
func (spec *Group) Called(plan.Scene, *plan.Element) string { return spec.Words }

func (spec *Group) Plan(b *plan.Planner) {
	b.Element.Texts["words"] = b.Template("heading", spec.Words)
}

// NewView gives an empty view of it.
func (*Group) NewView() any { return &GroupView{} }

func (spec *Group) View(o *use.Opening, e *plan.Element, into *use.ElementView) {
	into.View = &GroupView{Words: o.Text(e, "words")}
}
