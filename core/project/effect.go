package project

import "fmt"

// Effect is something a gate does before it moves. What it is stands in Spec, by kind.
type Effect struct {
	ID   string
	Kind string
	Pos  float64
	Spec EffectSpec
}

// EffectSpec is what one kind of effect holds.
type EffectSpec interface {
	// Validate refuses what cannot be read as this kind at all.
	Validate() error
}

// looksOnly marks effects that only change what one looks at: no record, no tag.
type looksOnly interface{ looksOnly() }

// effectKinds is the registry of effects; each kind has a file or a place in one here and in core/nav.
var effectKinds = map[string]func() EffectSpec{
	"save":    func() EffectSpec { return &Save{} },
	"set":     func() EffectSpec { return &Set{} },
	"write":   func() EffectSpec { return &Write{} },
	"delete":  func() EffectSpec { return &Delete{} },
	"add":     func() EffectSpec { return &Add{} },
	"addRow":  func() EffectSpec { return &AddRow{} },
	"filter":  func() EffectSpec { return &Narrow{} },
	"clear":   func() EffectSpec { return &Widen{} },
	"sort":    func() EffectSpec { return &Sort{} },
	"find":    func() EffectSpec { return &Find{} },
	"tab":     func() EffectSpec { return &ShowTab{} },
	"refresh": func() EffectSpec { return &Refresh{} },
	"export":  func() EffectSpec { return &Export{} },
	"print":   func() EffectSpec { return &Print{} },
	"setVar":  func() EffectSpec { return &SetVariable{} },
	"drawer":  func() EffectSpec { return &Drawer{} },
}

// Position gives the place among others.
func (e *Effect) Position() float64 { return e.Pos }

type effectHead struct {
	Kind string  `json:"kind"`
	Pos  float64 `json:"pos"`
}

// UnmarshalJSON reads the common part and then what the kind holds.
func (e *Effect) UnmarshalJSON(data []byte) error {
	var head effectHead
	spec, err := splitKind(data, &head, []string{"kind", "pos"}, func() (EffectSpec, error) {
		make, ok := effectKinds[head.Kind]
		if !ok {
			return nil, fmt.Errorf("there is no action %q", head.Kind)
		}
		return make(), nil
	})
	if err != nil {
		return err
	}
	*e = Effect{ID: e.ID, Kind: head.Kind, Pos: head.Pos, Spec: spec}
	return nil
}

// MarshalJSON writes both parts into one object.
func (e *Effect) MarshalJSON() ([]byte, error) { return joinKind(effectHead{e.Kind, e.Pos}, e.Spec) }

// Effects gives the kinds of effects, in order.
func Effects() []string { return sortedIDs(effectKinds) }
