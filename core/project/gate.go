package project

import (
	"fmt"
	"strings"
)

// Gate is a named piece of wiring: for whom, while what holds, what is done, where one is moved.
// One that stands in an element may, instead of all that, use a shared gate and give it its inputs.
type Gate struct {
	Use       string              `json:"use,omitempty"`   // shared gate
	Give      map[string]*Binding `json:"give,omitempty"`  // input of the shared gate → how it gets its value
	Roles     map[string]bool     `json:"roles,omitempty"` // absent: everyone
	While     string              `json:"while,omitempty"` // condition
	Otherwise Otherwise           `json:"otherwise,omitzero"`
	Unsaved   string              `json:"unsaved,omitempty" jsonschema:"enum=ask,enum=save,enum=keep,enum=drop"` // ask (default), save, keep (as a draft), drop
	Confirm   string              `json:"confirm,omitempty"`                                                     // template: the question put before
	Cases     map[string]*Case    `json:"cases,omitempty"`
}

// Otherwise is what shows while the condition fails.
type Otherwise struct {
	Grey string `json:"grey,omitempty"` // the reason; empty: hidden
}

// Case is what is done when its condition is the first that holds.
type Case struct {
	Item
	When string             `json:"when,omitempty"`
	Do   map[string]*Effect `json:"do,omitempty"`
	Move *Move              `json:"move,omitempty"`
}

func (g *Gate) validate() error {
	if g.Use != "" {
		if g.Roles != nil || g.While != "" || g.Otherwise != (Otherwise{}) || g.Unsaved != "" || g.Confirm != "" || g.Cases != nil {
			return fmt.Errorf("it uses a shared gate, so it has no parts of its own")
		}
		return ValidateBindings(g.Give)
	}
	if g.Give != nil {
		return fmt.Errorf("it gives inputs, but uses no shared gate")
	}
	if err := OneOf("rule for unsaved work", g.Unsaved, "", "ask", "save", "keep", "drop"); err != nil {
		return err
	}
	for id, c := range g.Cases {
		c.ID = id
		for effectID, e := range c.Do {
			e.ID = effectID
			if err := e.Spec.Validate(); err != nil {
				return fmt.Errorf("action %s: %w", effectID, err)
			}
		}
		if c.Move == nil {
			continue
		}
		if err := c.Move.validate(); err != nil {
			return err
		}
	}
	return nil
}

// Writes says whether any case changes records or the plant.
func (g *Gate) Writes() bool {
	for _, c := range g.Cases {
		for _, e := range c.Do {
			if e.Spec.Writes() {
				return true
			}
		}
	}
	return false
}

// Commands says whether any case may write to the plant.
func (g *Gate) Commands() bool {
	for _, c := range g.Cases {
		for _, e := range c.Do {
			if _, does := e.Spec.(Commander); does {
				return true
			}
		}
	}
	return false
}

// SharedGate is a gate that several elements use, with inputs of its own: it sees only those and the user.
type SharedGate struct {
	Listed
	Name   string            `json:"name"`
	Area   string            `json:"area,omitempty"`
	Inputs map[string]*Input `json:"inputs,omitempty"`
	Gate   *Gate             `json:"gate"`
}

func (g *SharedGate) called(id string) {
	g.ID = id
	call(g.Inputs)
}

func (g *SharedGate) validate() error {
	if g.Name == "" || g.Gate == nil {
		return fmt.Errorf("a shared gate needs a name and a gate")
	}
	for _, part := range AllGates(map[string]*Gate{"": g.Gate}) {
		if part.Use != "" {
			return fmt.Errorf("a shared gate cannot use another")
		}
	}
	return g.Gate.validate()
}

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

// What a dialog comes back with. A gate that closes a dialog may give something back; the gate that
// opened it may say what then happens: a press of its own, through a second gate. Its trigger is
// that of the first one with the case, between slashes: release/c_1.

// BackTrigger names what is set off when the dialog that a case opened comes back.
func BackTrigger(trigger, caseID string) string { return trigger + "/" + caseID }

// OpenedBy gives the trigger that opened the dialog which this trigger comes back from; false for
// any other trigger.
func OpenedBy(trigger string) (string, bool) {
	i := strings.LastIndex(trigger, "/")
	if i < 0 {
		return trigger, false
	}
	return trigger[:i], true
}

// FirstTrigger gives what the user set off at first: row for row/c_1/c_2.
func FirstTrigger(trigger string) string {
	first, _, _ := strings.Cut(trigger, "/")
	return first
}

// AllGates gives the gates of an element with those that its dialogs come back through, by trigger.
func AllGates(gates map[string]*Gate) map[string]*Gate {
	out := make(map[string]*Gate, len(gates))
	var add func(trigger string, g *Gate)
	add = func(trigger string, g *Gate) {
		if g == nil {
			return
		}
		out[trigger] = g
		for id, c := range g.Cases {
			if c != nil && c.Move != nil && c.Move.Back != nil {
				add(BackTrigger(trigger, id), c.Move.Back)
			}
		}
	}
	for trigger, g := range gates {
		add(trigger, g)
	}
	return out
}

func (m *Move) validateBack() error {
	if m.Back == nil {
		return nil
	}
	if m.As != "dialog" && m.As != "drawer" {
		return fmt.Errorf("only a dialog or a drawer comes back")
	}
	if err := m.Back.validate(); err != nil {
		return fmt.Errorf("when it comes back: %w", err)
	}
	return nil
}
