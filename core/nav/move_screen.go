package nav

// screenMove opens a screen of this project.
type screenMove struct{}

func (screenMove) plan(b *planner, m *MovePlan) {
	m.Target = b.app.Project.Screens[m.Move.Target]
	m.Exprs = b.bindings(m.Bind)
	m.Set = b.exprs("filled in", m.Move.Set)
	if m.SpotRow != nil {
		m.Row = b.bindNeeds(m.SpotRow)
	}
	m.Carried = carried(b.ownInputs(), m.Move, m.Target)
}

func (screenMove) aim(o *Opening, v *Verdict, m *MovePlan, w *world, at aim) { o.aimMove(v, m, w, at) }

func (screenMove) now(v Verdict) string {
	if v.move != nil && v.move.Target != nil {
		return "opens " + v.move.Target.Title
	}
	return "opens a screen"
}

func (screenMove) words(w *sentenceWriter, c *CasePlan) {
	m := c.Move
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

func (screenMove) plate(w *sentenceWriter, way *WayOut, c *CasePlan) {
	m := c.Move
	if m.Target == nil {
		way.Title, way.Glyph = "a screen that is gone", "none"
		return
	}
	way.Target, way.Title, way.Glyph = m.Target.ID, m.Target.Title, m.Target.Type
	way.How = m.Mode
	if way.How == "" {
		way.How = "view"
	}
	if m.Target.Type != "form" {
		way.How = m.Target.Type
	}
	if as := map[string]string{"dialog": ", dialog", "drawer": ", drawer", "tab": ", new tab"}[m.As]; as != "" {
		way.How += as
	}
	way.Brings = w.brings(m)
}
