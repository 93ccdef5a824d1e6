package move

import (
	"ambergate/core/plan"
	"ambergate/core/project"
	"ambergate/core/use"
	"ambergate/core/words"
)

// Screen opens a screen of this project.
type Screen struct {
	project.MoveHead
	project.Lead
}

// Validate refuses what its lead refuses.
func (spec *Screen) Validate() error { return spec.Lead.Validate() }

func (spec *Screen) Plan(b *plan.Planner, m *plan.Move) {
	m.To = []*plan.Lead{b.Lead(&spec.MoveHead, &spec.Lead)}
}

func (*Screen) Aim(o *use.Opening, v *use.Verdict, m *plan.Move, w *use.World, at use.Aim) {
	o.AimLead(v, m.To[0], w, at)
}

func (*Screen) Now(v use.Verdict) string {
	if v.Lead != nil && v.Lead.Target != nil {
		return "opens " + v.Lead.Target.Title
	}
	return "opens a screen"
}

func (*Screen) Say(w *words.Writer, c *plan.Case) {
	m := c.Move.To[0]
	w.Plain("open ")
	if m.Target == nil {
		w.Out = append(w.Out, words.Chunk{Text: "a screen that is gone", Part: words.PartTarget, Tone: "target", Case: c.ID, Bad: true})
		return
	}
	w.Out = append(w.Out, words.Chunk{Text: m.Target.Title, Part: words.PartTarget, Tone: "target", Case: c.ID})
	w.Bindings(c.ID, m)
	w.Carries(c)
	w.Arrive(c)
	w.Opened(c, m.Target.Type == "form" && m.Mode != "add")
}

func (*Screen) Plate(w *words.Writer, plate *words.Plate, c *plan.Case) {
	m := c.Move.To[0]
	if m.Target == nil {
		plate.Title, plate.Glyph = "a screen that is gone", "none"
		return
	}
	plate.Target, plate.Title, plate.Glyph = m.Target.ID, m.Target.Title, m.Target.Type
	plate.How = m.Mode
	if plate.How == "" {
		plate.How = "view"
	}
	if m.Target.Type != "form" {
		plate.How = m.Target.Type
	}
	if as := map[string]string{"dialog": ", dialog", "drawer": ", drawer", "tab": ", new tab"}[m.As]; as != "" {
		plate.How += as
	}
	plate.Brings = w.Brings(m)
}
