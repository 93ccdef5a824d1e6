package project

import (
	"encoding/json"
	"fmt"
	"strings"
)

// Way is a trigger that no element of the screen sets off: a swipe, entering, a time after
// entering, a key. It goes through a gate like any other. What it needs to know stands in Spec, by trigger.
type Way struct {
	*WayHead
	Spec WaySpec
}

// WayHead is what every way has. Each trigger begins with it.
type WayHead struct {
	Item
	Trigger string `json:"trigger"`
	Gate    *Gate  `json:"gate,omitempty"`
}

// Head gives what every way has.
func (h *WayHead) Head() *WayHead { return h }

// WaySpec is what one trigger holds.
type WaySpec interface {
	Head() *WayHead
	// Validate refuses what cannot be read as this trigger at all.
	Validate() error
}

// NewWay makes a way of what it holds.
func NewWay(spec WaySpec) *Way { return &Way{spec.Head(), spec} }

// UnmarshalJSON reads the way by the trigger that it names.
func (w *Way) UnmarshalJSON(data []byte) error {
	spec, err := Ways.decode(data)
	if err == nil {
		*w = *NewWay(spec)
	}
	return err
}

// MarshalJSON writes it as its trigger does.
func (w *Way) MarshalJSON() ([]byte, error) { return json.Marshal(w.Spec) }

func (w *Way) validate() error {
	if err := w.Spec.Validate(); err != nil || w.Gate == nil {
		return err
	}
	return w.Gate.validate()
}

// Gates gives the one gate, by the trigger.
func (w *Way) Gates() map[string]*Gate { return GatesOn(w.Trigger, w.Gate) }

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
		if err := OneOf("key to hold", p, "Ctrl", "Alt", "Shift"); err != nil {
			return err
		}
		held = held || p != "Shift"
	}
	if key == "" || !held && len(key) < 2 {
		return fmt.Errorf("a shortcut is Ctrl or Alt and a key, or a key like F8")
	}
	return nil
}

// OnLeaving says whether it is set off when the screen is left: then it leads nowhere.
func (w *Way) OnLeaving() bool { return w.Trigger == "left" }

// wayElement is a way where elements are spoken of: it has an id and gates as they do.
type wayElement struct {
	ElementHead
	way *Way
}

// Validate was done with the way.
func (*wayElement) Validate() error { return nil }

// Gates gives the gate of the way.
func (e *wayElement) Gates() map[string]*Gate { return e.way.Gates() }

// Element gives the way in the form of an element of kind way.
func (w *Way) Element() *Element {
	return NewElement(&wayElement{ElementHead{Item: w.Item, Kind: "way"}, w})
}

// WayOf gives the way that an element stands for; nil for an element of the screen.
func WayOf(e *Element) *Way {
	if w, ok := e.Spec.(*wayElement); ok {
		return w.way
	}
	return nil
}
