package nav

import "ambergate/core/project"

// screenMove opens a screen of this project.
type screenMove struct {
	project.MoveHead
	project.Lead
}

// Validate refuses what its lead refuses.
func (spec *screenMove) Validate() error { return spec.Lead.Validate() }

func (spec *screenMove) Plan(b *planner, m *MovePlan) {
	m.To = []*Lead{b.lead(&spec.MoveHead, &spec.Lead)}
}

func (*screenMove) Aim(o *Opening, v *Verdict, m *MovePlan, w *world, at aim) {
	o.aimLead(v, m.To[0], w, at)
}

func (*screenMove) Now(v Verdict) string {
	if v.lead != nil && v.lead.Target != nil {
		return "opens " + v.lead.Target.Title
	}
	return "opens a screen"
}

func (*screenMove) Say(w *sentenceWriter, c *CasePlan) {
	m := c.Move.To[0]
	w.plain("open ")
	if m.Target == nil {
		w.out = append(w.out, Chunk{Text: "a screen that is gone", Part: "target", Tone: "target", Case: c.ID, Bad: true})
		return
	}
	w.out = append(w.out, Chunk{Text: m.Target.Title, Part: "target", Tone: "target", Case: c.ID})
	w.bindings(c.ID, m)
	w.carries(c)
	w.arrive(c)
	w.opened(c, m.Target.Type == "form" && m.Mode != "add")
}

func (*screenMove) Plate(w *sentenceWriter, plate *Plate, c *CasePlan) {
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
	plate.Brings = w.brings(m)
}
