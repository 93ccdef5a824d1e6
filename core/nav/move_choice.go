package nav

import (
	"fmt"

	"ambergate/core/cond"
	"ambergate/core/project"
)

// choiceMove opens one of a named set of screens, by what an expression comes to.
type choiceMove struct {
	project.MoveHead
	By    string             `json:"by"`
	Among map[string]*Target `json:"among"`
}

// Target is one screen that a move chooses from, with what it brings there.
type Target struct {
	ID     string                      `json:"-"`
	Pos    float64                     `json:"pos"`
	Is     string                      `json:"is,omitempty"` // the value, as the wire writes it; empty: any other
	Target string                      `json:"target"`       // screen
	Bind   map[string]*project.Binding `json:"bind,omitempty"`
}

// Position gives the place among others.
func (t *Target) Position() float64 { return t.Pos }

// Validate asks for the expression and the screens.
func (spec *choiceMove) Validate() error {
	if spec.By == "" || len(spec.Among) == 0 {
		return fmt.Errorf("a target that is worked out needs an expression and the screens it chooses from")
	}
	for id, t := range spec.Among {
		if t == nil {
			return fmt.Errorf("target %s is empty", id)
		}
		t.ID = id
		if err := project.ValidateBindings(t.Bind); err != nil {
			return fmt.Errorf("target %s: %w", id, err)
		}
	}
	return project.OneOf("policy", spec.None, "", "grey", "stay")
}

func (spec *choiceMove) Plan(b *planner, m *MovePlan) {
	m.Exprs = map[string]*cond.Expr{"by": b.expression("target", spec.By)}
	for _, t := range project.Ordered(spec.Among) {
		lead := b.lead(&spec.MoveHead, &project.Lead{Target: t.Target, Bind: t.Bind})
		lead.ID, lead.Is = t.ID, t.Is
		m.To = append(m.To, lead)
	}
}

func (spec *choiceMove) Aim(o *Opening, v *Verdict, m *MovePlan, w *world, at aim) {
	by := m.Exprs["by"]
	if by == nil {
		*v = Verdict{State: "greyed", By: "broken", Reason: "What decides where it leads cannot be read.", Part: v.Part}
		return
	}
	value := by.Root.Eval(w)
	if !value.Known() {
		*v = Verdict{State: "greyed", By: "unknown", Reason: "Value not available: " + value.Why() + ".", Part: v.Part, chosen: v.chosen}
		return
	}
	for _, c := range m.To {
		if c.Is == "" || !value.IsNull() && c.Is == value.Wire() {
			o.aimLead(v, c, w, at)
			return
		}
	}
	reason := spec.Reason
	if reason == "" {
		reason = "No screen is named for “" + w.say(value, by.Root.Type) + "”."
		if value.IsNull() {
			reason = "No screen is named for what is empty."
		}
	}
	if spec.None == "stay" {
		v.stay = reason
		return
	}
	*v = Verdict{State: "greyed", By: "record", Reason: reason, Part: v.Part, chosen: v.chosen}
}

func (*choiceMove) Now(Verdict) string { return "opens the screen that fits" }

func (spec *choiceMove) Say(w *sentenceWriter, c *CasePlan) {
	m := c.Move
	w.plain("open, by ")
	by := Chunk{Text: "“" + spec.By + "”, which cannot be read", Part: "by", Case: c.ID, Bad: true}
	if x := m.Exprs["by"]; x != nil {
		by.Text, by.Bad = w.valueWords(x, ""), false
	}
	w.out = append(w.out, by)
	for i, t := range m.To {
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

func (*choiceMove) Plate(w *sentenceWriter, plate *Plate, c *CasePlan) {
	plate.Title, plate.Glyph, plate.How = "one of several screens", "choice", "worked out"
	if x := c.Move.Exprs["by"]; x != nil {
		plate.Brings = "by " + w.valueWords(x, "")
	}
}
