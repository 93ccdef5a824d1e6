package project

import "encoding/json"

// Effect is something a gate does before it moves. What it is stands in Spec, by kind.
type Effect struct {
	*EffectHead
	Spec EffectSpec
}

// EffectHead is what every effect has. Each kind begins with it.
type EffectHead struct {
	Item
	Kind string `json:"kind"`
}

// Head gives what every effect has.
func (h *EffectHead) Head() *EffectHead { return h }

// EffectSpec is what one kind of effect holds.
type EffectSpec interface {
	Head() *EffectHead
	// Validate refuses what cannot be read as this kind at all.
	Validate() error
	// Writes says whether it changes records or the plant; if not, only what one looks at.
	Writes() bool
}

// Changes is part of effects that change records or the plant.
type Changes struct{}

// Writes says that it does.
func (Changes) Writes() bool { return true }

// Commander is an effect that may write to the plant.
type Commander interface{ Commands() }

// LooksOnly is part of effects that only change what one looks at: no record, no tag.
type LooksOnly struct{}

// Writes says that it does not.
func (LooksOnly) Writes() bool { return false }

// NewEffect makes an effect of what it holds.
func NewEffect(spec EffectSpec) *Effect { return &Effect{spec.Head(), spec} }

// UnmarshalJSON reads the effect as the kind that it names.
func (e *Effect) UnmarshalJSON(data []byte) error {
	spec, err := Effects.decode(data)
	if err == nil {
		*e = *NewEffect(spec)
	}
	return err
}

// MarshalJSON writes it as its kind does.
func (e *Effect) MarshalJSON() ([]byte, error) { return json.Marshal(e.Spec) }
