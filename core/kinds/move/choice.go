package move

import (
	"fmt"

	"ambergate/core/cond"
	"ambergate/core/plan"
	"ambergate/core/project"
	"ambergate/core/use"
	"ambergate/core/words"
)

// Choice opens one of a named set of screens, by what an expression comes to.
type Choice struct {
	project.MoveHead
	By    string             `json:"by"`
	Among map[string]*Target `json:"among"`
}

// Target is one screen that a move chooses from, with what it brings there.
type Target struct {
	project.Item
	Is     string                      `json:"is,omitempty"` // the value, as the wire writes it; empty: any other
	Target string                      `json:"target"`       // screen
	Bind   map[string]*project.Binding `json:"bind,omitempty"`
}

// Validate asks for the expression and the screens.
func (spec *Choice) Validate() error {
	if spec.By == "" || len(spec.Among) == 0 {
		return fmt.Errorf("a target that is worked out needs an expression and the screens it chooses from")
	}
	for id, t := range spec.Among {
		t.ID = id
		if err := project.ValidateBindings(t.Bind); err != nil {
			return fmt.Errorf("target %s: %w", id, err)
		}
	}
	return project.OneOf("policy", spec.None, "", "grey", "stay")
}

func (spec *Choice) Plan(b *plan.Planner, m *plan.Move) {
	m.Exprs = map[string]*cond.Expr{"by": b.Expression("target", spec.By)}
	for _, t := range project.Ordered(spec.Among) {
		lead := b.Lead(&spec.MoveHead, &project.Lead{Target: t.Target, Bind: t.Bind})
		lead.ID, lead.Is = t.ID, t.Is
		m.To = append(m.To, lead)
	}
}

func (spec *Choice) Aim(o *use.Opening, v *use.Verdict, m *plan.Move, w *use.World, at use.Aim) {
	by := m.Exprs["by"]
	if by == nil {
		*v = use.Verdict{State: use.StateGreyed, By: "broken", Reason: "What decides where it leads cannot be read.", Part: v.Part}
		return
	}
	value := by.Root.Eval(w)
	if !value.Known() {
		*v = use.Verdict{State: use.StateGreyed, By: "unknown", Reason: "Value not available: " + value.Why() + ".", Part: v.Part, Chosen: v.Chosen}
		return
	}
	for _, c := range m.To {
		if c.Is == "" || !value.IsNull() && c.Is == value.Wire() {
			o.AimLead(v, c, w, at)
			return
		}
	}
	reason := spec.Reason
	if reason == "" {
		reason = "No screen is named for “" + w.Say(value, by.Root.Type) + "”."
		if value.IsNull() {
			reason = "No screen is named for what is empty."
		}
	}
	if spec.None == "stay" {
		v.Stay = reason
		return
	}
	*v = use.Verdict{State: use.StateGreyed, By: "record", Reason: reason, Part: v.Part, Chosen: v.Chosen}
}

func (*Choice) Now(use.Verdict) string { return "opens the screen that fits" }

func (spec *Choice) Say(w *words.Writer, c *plan.Case) {
	m := c.Move
	w.Plain("open, by ")
	by := words.Chunk{Text: "“" + spec.By + "”, which cannot be read", Part: words.PartBy, Case: c.ID, Bad: true}
	if x := m.Exprs["by"]; x != nil {
		by.Text, by.Bad = w.ValueWords(x, ""), false
	}
	w.Out = append(w.Out, by)
	for i, t := range m.To {
		w.Plain(map[bool]string{true: ": ", false: ", "}[i == 0])
		title := words.Chunk{Text: "a screen that is gone", Part: words.PartTarget, Tone: "target", Case: c.ID, Item: t.ID, Bad: true}
		if t.Target != nil {
			title.Text, title.Bad = t.Target.Title, false
		}
		w.Out = append(w.Out, title)
		if t.Target != nil {
			w.Bindings(c.ID, t)
		}
		if t.Is == "" {
			w.Plain(" for any other")
		} else {
			w.Plain(" for “" + t.Is + "”")
		}
	}
	w.Opened(c, false)
}

func (*Choice) Plate(w *words.Writer, plate *words.Plate, c *plan.Case) {
	plate.Title, plate.Glyph, plate.How = "one of several screens", "choice", "worked out"
	if x := c.Move.Exprs["by"]; x != nil {
		plate.Brings = "by " + w.ValueWords(x, "")
	}
}
