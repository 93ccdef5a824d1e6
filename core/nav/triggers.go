package nav

import (
	"context"

	"ambergate/core/project"
)

// SaidTrigger is what sentences ask of a trigger.
type SaidTrigger interface {
	// Say says it as it stands after “When”: “a row is opened”; id is that of an entry of a menu or the like.
	Say(e *project.Element, id string) string
}

// AimedTrigger is answered by triggers that are set off on something: a row, a point.
type AimedTrigger interface {
	// Aim finds what a press was set off on. A row that the list does not hold cannot be pressed.
	Aim(ctx context.Context, o *Opening, e *ElementPlan, g *GatePlan, p Press, src Changer) (aim, error)
}

// FollowedTrigger is answered by triggers that go another way than through one gate.
type FollowedTrigger interface {
	Follow(ctx context.Context, o *Opening, p Press, src Changer) (Outcome, error)
}

// triggerWords says what sets off a gate.
func triggerWords(trigger string, e *project.Element) string {
	if isBack(trigger) {
		return "the dialog comes back"
	}
	kind, id := project.TriggerOf(trigger)
	if kind == nil {
		return trigger
	}
	return kindOf[SaidTrigger](kind).Say(e, id)
}

// onGate stands at the end of the pointer to the gate of an element that has one.
type onGate struct{}

// Place gives it.
func (onGate) Place(string) string { return "gate" }

// byNameOnly is part of triggers that a press must name: an element's usual one is another.
type byNameOnly struct{}

// ByNameOnly marks them.
func (byNameOnly) ByNameOnly() {}

// releaseTrigger is a press that is let go on the element.
type releaseTrigger struct{ onGate }

// Say says it.
func (releaseTrigger) Say(e *project.Element, _ string) string {
	if p, ok := e.Spec.(interface{ Pressed() string }); ok {
		return p.Pressed()
	}
	return "released"
}

// pressTrigger is a finger or button going down on the element.
type pressTrigger struct{ onGate }

// Say says it.
func (pressTrigger) Say(*project.Element, string) string { return "pressed" }

// rowTrigger is a row that is opened.
type rowTrigger struct{}

// Place gives where the list keeps the gate of its rows.
func (rowTrigger) Place(string) string { return "opened" }

// Say says it.
func (rowTrigger) Say(*project.Element, string) string { return "a row is opened" }

// Aim fetches the clicked row, as the list would.
func (rowTrigger) Aim(ctx context.Context, o *Opening, e *ElementPlan, _ *GatePlan, p Press, src Changer) (aim, error) {
	return o.aimRow(ctx, e, p, src, false, false)
}

// Sample stands the first row for whichever is opened.
func (rowTrigger) Sample(o *Opening, e *ElementPlan) aim { return o.firstRow(e, false) }

// pointTrigger is a point that is chosen.
type pointTrigger struct{}

// Place gives where the chart keeps the gate of its points.
func (pointTrigger) Place(string) string { return "chosen" }

// Say says it.
func (pointTrigger) Say(*project.Element, string) string { return "a bar is chosen" }

// Aim takes the point as it was chosen.
func (pointTrigger) Aim(_ context.Context, _ *Opening, e *ElementPlan, _ *GatePlan, p Press, _ Changer) (aim, error) {
	return aimPoint(e, p), nil
}

// Sample stands the first point for whichever is chosen.
func (pointTrigger) Sample(o *Opening, e *ElementPlan) aim { return o.firstPoint(e) }

func aimPoint(e *ElementPlan, p Press) aim {
	at := aim{point: p.Point, picked: p.Picked, result: p.Result}
	if s := project.PointsOf(e.Element); s != nil {
		at.span = s.Span
	}
	return at
}

// changedTrigger is a field that got another value.
type changedTrigger struct{ byNameOnly }

// Place gives where the field keeps the gate.
func (changedTrigger) Place(string) string { return "changed" }

// Say says it.
func (changedTrigger) Say(*project.Element, string) string { return "its value is changed" }

// menuTrigger is an entry of a row's or point's menu that is chosen.
type menuTrigger struct{ byNameOnly }

// Place gives where the menu keeps the gate of the entry.
func (menuTrigger) Place(id string) string { return "menu/" + id + "/gate" }

// Say says it with the words of the entry.
func (menuTrigger) Say(e *project.Element, id string) string {
	words := "an entry that is gone"
	if m, ok := e.Spec.(interface {
		MenuEntries() map[string]*project.Entry
	}); ok && m.MenuEntries()[id] != nil {
		words = "“" + m.MenuEntries()[id].Words + "”"
	}
	if project.ListOf(e) != nil {
		return words + " of a row’s menu is chosen"
	}
	return words + " of a bar’s menu is chosen"
}

// Aim finds the row or the point whose menu it is.
func (menuTrigger) Aim(ctx context.Context, o *Opening, e *ElementPlan, g *GatePlan, p Press, src Changer) (aim, error) {
	if e.listing() == nil {
		return aimPoint(e, p), nil
	}
	return o.aimRow(ctx, e, p, src, true, g.Writes())
}

// Sample stands the first row or point for whichever it is.
func (menuTrigger) Sample(o *Opening, e *ElementPlan) aim {
	if e.listing() == nil {
		return o.firstPoint(e)
	}
	return o.firstRow(e, true)
}

// severalTrigger is something that is done with chosen rows.
type severalTrigger struct{ byNameOnly }

// Place gives where the list keeps the gate.
func (severalTrigger) Place(id string) string { return "several/" + id + "/gate" }

// Say says it with its words.
func (severalTrigger) Say(e *project.Element, id string) string {
	if l := project.ListOf(e); l != nil && l.Several[id] != nil {
		return "“" + l.Several[id].Words + "” is pressed for chosen rows"
	}
	return "something that is gone is pressed for chosen rows"
}

// Sample stands the first row for those that are chosen.
func (severalTrigger) Sample(o *Opening, e *ElementPlan) aim { return o.firstRow(e, true) }

// Follow does it with each of the rows.
func (severalTrigger) Follow(ctx context.Context, o *Opening, p Press, src Changer) (Outcome, error) {
	return o.followSeveral(ctx, p, src)
}

// keepRowTrigger is set off by a row that was edited where it stands, when one leaves it.
type keepRowTrigger struct{ byNameOnly }

// Place gives nothing: no gate is behind it.
func (keepRowTrigger) Place(string) string { return "" }

// Say says it.
func (keepRowTrigger) Say(*project.Element, string) string { return "a row was edited" }

// Follow writes the row.
func (keepRowTrigger) Follow(ctx context.Context, o *Opening, p Press, src Changer) (Outcome, error) {
	return o.keepRow(ctx, p, src)
}

// firstRow stands the first row that is shown for whichever is pressed.
func (o *Opening) firstRow(e *ElementPlan, several bool) aim {
	if rows := o.pages[e.ID].rows; len(rows) > 0 {
		return aim{row: rows[0], element: e.ID, several: several}
	}
	return aim{}
}

// firstPoint stands the first point that is shown for whichever is chosen.
func (o *Opening) firstPoint(e *ElementPlan) aim {
	if groups := o.groups[e.ID]; len(groups) > 0 {
		return aim{point: groups[0].Value.Wire(), span: project.PointsOf(e.Element).Span}
	}
	return aim{}
}
