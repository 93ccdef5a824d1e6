package project

import (
	"fmt"
	"strings"
)

// Way is a trigger that no element of the screen sets off: a swipe, entering, a time after
// entering, a key. It goes through a gate like any other.
type Way struct {
	ID      string  `json:"-"`
	Pos     float64 `json:"pos"`
	Trigger string  `json:"trigger"`         // swipe, entered, left, time, keys
	Side    string  `json:"side,omitempty"`  // of a swipe, where the finger goes: left, right, up, down
	After   float64 `json:"after,omitempty"` // of a time: seconds
	Keys    string  `json:"keys,omitempty"`  // of keys: as in Ctrl+E
	Gate    *Gate   `json:"gate,omitempty"`
}

// Position gives the place among others.
func (w *Way) Position() float64 { return w.Pos }

// Validate refuses triggers that do not exist, or lack what they need.
func (w *Way) Validate() error {
	if err := oneOf("trigger", w.Trigger, "swipe", "entered", "left", "time", "keys"); err != nil {
		return err
	}
	switch w.Trigger {
	case "swipe":
		if err := oneOf("direction", w.Side, "left", "right", "up", "down"); err != nil {
			return err
		}
	case "time":
		if w.After < 1 || w.After > 86400 {
			return fmt.Errorf("a time is 1 second to a day")
		}
	case "keys":
		if w.Keys == "" {
			return fmt.Errorf("it needs its keys")
		}
	}
	if err := ValidKeys(w.Keys); err != nil {
		return err
	}
	if w.Gate == nil {
		return nil
	}
	for _, c := range w.Gate.Cases {
		if w.Trigger == "left" && c != nil && c.Move != nil {
			return fmt.Errorf("what is done when a screen is left cannot lead anywhere")
		}
	}
	return w.Gate.validate()
}

// Gates gives the one gate, by the trigger.
func (w *Way) Gates() map[string]*Gate { return gates(w.Trigger, w.Gate) }

// ValidKeys refuses a shortcut that is no key with Ctrl, Alt or Shift before it, or a single
// character alone, which typing would set off.
func ValidKeys(keys string) error {
	if keys == "" {
		return nil
	}
	parts := strings.Split(keys, "+")
	key := parts[len(parts)-1]
	held := false
	for _, p := range parts[:len(parts)-1] {
		if err := oneOf("key to hold", p, "Ctrl", "Alt", "Shift"); err != nil {
			return err
		}
		held = held || p != "Shift"
	}
	if key == "" || !held && len(key) < 2 {
		return fmt.Errorf("a shortcut is Ctrl or Alt and a key, or a key like F8")
	}
	return nil
}

// GatePlace gives where in its element, or way, the gate of a trigger stands: the end of a JSON Pointer.
func GatePlace(trigger string) string {
	if opened, back := OpenedBy(trigger); back {
		return GatePlace(opened) + "/cases/" + trigger[len(opened)+1:] + "/move/back"
	}
	if what, id, ok := strings.Cut(trigger, "."); ok && (what == "several" || what == "menu") {
		return what + "/" + id + "/gate"
	}
	if name := map[string]string{"row": "opened", "point": "chosen", "changed": "changed"}[trigger]; name != "" {
		return name
	}
	return "gate"
}
