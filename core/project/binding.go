package project

import (
	"encoding/json"
	"fmt"
)

// Binding says how an input of the target gets its value. What it needs to know stands in Spec, by rule.
type Binding struct {
	*BindingHead
	Spec RuleSpec
}

// BindingHead is what bindings of all rules have. Each rule begins with it.
type BindingHead struct {
	Rule   string `json:"rule"`
	None   string `json:"none,omitempty" jsonschema:"enum=grey,enum=list,enum=add,enum=stay,enum=round"` // what if there is none: grey (default), list, add, stay; of next and previous also round
	Screen string `json:"screen,omitempty"`                                                              // of none list: the screen opened instead
	Reason string `json:"reason,omitempty"`                                                              // of none grey and stay: the words
}

// Head gives what bindings of all rules have.
func (h *BindingHead) Head() *BindingHead { return h }

// RuleSpec is what one rule holds.
type RuleSpec interface {
	Head() *BindingHead
	// Validate refuses what cannot be read as this rule at all.
	Validate() error
}

// NewBinding makes a binding of what it holds.
func NewBinding(spec RuleSpec) *Binding { return &Binding{spec.Head(), spec} }

// UnmarshalJSON reads the binding by the rule that it names.
func (b *Binding) UnmarshalJSON(data []byte) error {
	spec, err := Rules.decode(data)
	if err == nil {
		*b = *NewBinding(spec)
	}
	return err
}

// MarshalJSON writes it as its rule does.
func (b *Binding) MarshalJSON() ([]byte, error) { return json.Marshal(b.Spec) }

// Validate refuses what cannot be read as a binding at all.
func (b *Binding) Validate() error {
	if err := OneOf("policy", b.None, "", "grey", "list", "add", "stay", "round"); err != nil {
		return err
	}
	return b.Spec.Validate()
}

// ValidateBindings refuses inputs whose bindings cannot be read.
func ValidateBindings(bind map[string]*Binding) error {
	for id, b := range bind {
		if err := b.Validate(); err != nil {
			return fmt.Errorf("input %s: %w", id, err)
		}
	}
	return nil
}
