package project

import (
	"fmt"
	"strings"
)

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
