package nav

import "ambergate/core/project"

// ButtonView is a button as it is drawn.
type ButtonView struct {
	Words   string `json:"words"`
	Note    string `json:"note,omitempty"`
	Icon    string `json:"icon,omitempty"`
	Tone    string `json:"tone"`
	Trigger string `json:"trigger"`
	Href    string `json:"href,omitempty"` // it is a plain link too
	Writes  bool   `json:"writes,omitempty"`
	Saves   bool   `json:"saves,omitempty"` // it keeps what was typed
	Drops   bool   `json:"drops,omitempty"` // it gives up what was typed
	Plate   string `json:"plate,omitempty"` // kind of the screen it leads to, for signs
}

type buttonKind struct{ nothingToFetch }

func (buttonKind) plan(b *planner, e *project.Element) {
	spec := e.Spec.(*project.Button)
	b.element.Texts["words"] = b.template("words", spec.Words)
	b.element.Texts["note"] = b.template("note", spec.Note)
}

func (buttonKind) view(o *Opening, e *ElementPlan, into *ElementView) {
	spec := e.Spec.(*project.Button)
	into.Button = &ButtonView{Words: o.text(e, "words"), Note: o.text(e, "note"), Icon: spec.Icon, Tone: spec.Tone, Trigger: spec.TriggerName()}
	if into.Button.Tone == "" {
		into.Button.Tone = "plain"
	}
	gate := e.Gates[spec.TriggerName()]
	if gate == nil {
		into.State, into.By, into.Reason = "greyed", "case", "Nothing is wired to it yet."
		return
	}
	v := o.judge(gate, aim{})
	into.take(v)
	into.Button.Writes, into.Button.Drops = gate.Writes(), gate.Unsaved == "drop"
	if p := v.plainLink(gate); p != nil {
		into.Button.Href = o.app.Address(*p)
	}
	for _, c := range gate.Cases {
		for _, effect := range c.Effects {
			into.Button.Saves = into.Button.Saves || effect.Kind == "save"
		}
		if c.Move != nil && c.Move.Target != nil {
			into.Button.Plate = c.Move.Target.Type
		}
	}
}

// take shows a gate's verdict on the element that sets it off.
func (ev *ElementView) take(v Verdict) {
	ev.By, ev.Reason = v.By, v.Reason
	ev.State = map[string]string{"open": "shown", "greyed": "greyed", "hidden": "hidden"}[v.State]
}

// text says one of the element's templates.
func (o *Opening) text(e *ElementPlan, name string) string {
	t := e.Texts[name]
	if t == nil {
		return ""
	}
	return t.Say(o.world, o.world.say)
}
