package project

import "fmt"

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
