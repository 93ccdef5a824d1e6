package nav

import (
	"ambergate/core/project"
)

// choiceMove opens one of a named set of screens, by what an expression comes to.
type choiceMove struct{}

func (choiceMove) plan(b *planner, m *MovePlan) {
	m.By = b.expression("target", m.Move.By)
	for _, t := range project.Ordered(m.Among) {
		one := *m.Move
		one.Kind, one.Target, one.Bind = "screen", t.Target, t.Bind
		plan := &MovePlan{Move: &one, Is: t.Is, ID: t.ID}
		screenMove{}.plan(b, plan)
		m.Choices = append(m.Choices, plan)
	}
}

func (choiceMove) aim(o *Opening, v *Verdict, m *MovePlan, w *world, at aim) {
	if m.By == nil {
		*v = Verdict{State: "greyed", By: "broken", Reason: "What decides where it leads cannot be read.", Part: v.Part}
		return
	}
	value := m.By.Root.Eval(w)
	if !value.Known() {
		*v = Verdict{State: "greyed", By: "unknown", Reason: "Value not available: " + value.Why() + ".", Part: v.Part, chosen: v.chosen}
		return
	}
	for _, c := range m.Choices {
		if c.Is == "" || !value.IsNull() && c.Is == value.Wire() {
			o.aimMove(v, c, w, at)
			return
		}
	}
	reason := m.Reason
	if reason == "" {
		reason = "No screen is named for “" + w.say(value, m.By.Root.Type) + "”."
		if value.IsNull() {
			reason = "No screen is named for what is empty."
		}
	}
	if m.None == "stay" {
		v.stay = reason
		return
	}
	*v = Verdict{State: "greyed", By: "record", Reason: reason, Part: v.Part, chosen: v.chosen}
}

func (choiceMove) now(Verdict) string { return "opens the screen that fits" }

func (choiceMove) words(w *sentenceWriter, c *CasePlan) {
	m := c.Move
	w.plain("open, by ")
	by := Chunk{Text: "“" + m.Move.By + "”, which cannot be read", Part: "by", Case: c.ID, Bad: true}
	if m.By != nil {
		by.Text, by.Bad = w.valueWords(m.By, ""), false
	}
	w.out = append(w.out, by)
	for i, t := range m.Choices {
		w.plain(map[bool]string{true: ": ", false: ", "}[i == 0])
		title := Chunk{Text: "a screen that is gone", Part: "target", Tone: "target", Case: c.ID, Item: t.ID, Bad: true}
		if t.Target != nil {
			title.Text, title.Bad = t.Target.Title, false
		}
		w.out = append(w.out, title)
		if t.Target != nil {
			w.bindings(c.ID, t)
		}
		if t.Is == "" {
			w.plain(" for any other")
		} else {
			w.plain(" for “" + t.Is + "”")
		}
	}
	w.opened(c, false)
}

func (choiceMove) plate(w *sentenceWriter, way *WayOut, c *CasePlan) {
	way.Title, way.Glyph, way.How = "one of several screens", "choice", "worked out"
	if c.Move.By != nil {
		way.Brings = "by " + w.valueWords(c.Move.By, "")
	}
}

// Leads gives the screens that a move may lead to: one, or those that it chooses from.
func (m *MovePlan) Leads() []*MovePlan {
	switch {
	case m == nil:
		return nil
	case m.Kind == "screen":
		return []*MovePlan{m}
	}
	return m.Choices
}
