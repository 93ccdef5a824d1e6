package project

import "strings"

// Trigger is a kind of thing that sets off a gate: of an element, or, as a way, of the screen itself.
type Trigger interface {
	// Place gives where in its element, or way, the gate stands: the end of a JSON Pointer. The id
	// is that of an entry of a menu or the like.
	Place(id string) string
}

// TriggerOf gives the kind of a trigger, and the id after its name: menu and m_1 of menu.m_1. For
// what follows on a dialog it is the trigger that opened the first.
func TriggerOf(trigger string) (kind Trigger, id string) {
	name, id, _ := strings.Cut(FirstTrigger(trigger), ".")
	kind, err := Triggers.New(name)
	if err != nil {
		return nil, id
	}
	return kind, id
}

// GatePlace gives where in its element, or way, the gate of a trigger stands: the end of a JSON Pointer.
func GatePlace(trigger string) string {
	if opened, back := OpenedBy(trigger); back {
		return GatePlace(opened) + "/cases/" + trigger[len(opened)+1:] + "/move/back"
	}
	kind, id := TriggerOf(trigger)
	if kind == nil {
		return "gate"
	}
	return kind.Place(id)
}
