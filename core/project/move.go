package project

import (
	"bytes"
	"encoding/json"
	"fmt"
	"net/url"
	"slices"
	"strings"
)

// Move is where a gate leads.
type Move struct {
	Kind    string              `json:"kind"`              // see Moves
	Step    string              `json:"step,omitempty"`    // of a step: first, previous, next, last; of along: previous, next
	List    string              `json:"list,omitempty"`    // of a step: a list of the screen, whose chosen row steps; empty: the screen's record
	None    string              `json:"none,omitempty"`    // of a step or along, at the end: grey (default), round, stay; of a choice: grey, stay
	Reason  string              `json:"reason,omitempty"`  // where there is none: the words
	Target  string              `json:"target,omitempty"`  // screen
	Bind    map[string]*Binding `json:"bind,omitempty"`    // input of the target → how it gets its value
	Carry   *Carry              `json:"carry,omitempty"`   // what is passed on by name
	Mode    string              `json:"mode,omitempty"`    // view (default), edit, add
	As      string              `json:"as,omitempty"`      // full (default), dialog, drawer, replace, tab
	Set     map[string]string   `json:"set,omitempty"`     // mode add: field id → expression
	Spot    string              `json:"spot,omitempty"`    // element of the target that one is led to, or element.tab
	SpotRow *Binding            `json:"spotRow,omitempty"` // of a spot that is a list: the row that one is led to
	Back    *Gate               `json:"back,omitempty"`    // of a dialog or drawer: what happens when it comes back with something
	Result  *Binding            `json:"result,omitempty"`  // of a close: what the dialog comes back with
	Arrive  *Arrive             `json:"arrive,omitempty"`  // how the target's list is narrowed and ordered at first

	By    string             `json:"by,omitempty"`    // of a choice: the expression that the target is worked out by
	Among map[string]*Target `json:"among,omitempty"` // of a choice: the screens it chooses from

	Address string            `json:"address,omitempty"` // of a web address: a URI Template (RFC 6570)
	With    map[string]string `json:"with,omitempty"`    // of a web address: variable → expression; of another project: input → expression

	Project string `json:"project,omitempty"` // of another project: its slug
	Entry   string `json:"entry,omitempty"`   // of another project: the slug of a screen that it offers
	Rail    string `json:"rail,omitempty"`    // of along: the rail whose order it follows
}

// Target is one screen that a move chooses from, with what it brings there.
type Target struct {
	ID     string              `json:"-"`
	Pos    float64             `json:"pos"`
	Is     string              `json:"is,omitempty"` // the value, as the wire writes it; empty: any other
	Target string              `json:"target"`       // screen
	Bind   map[string]*Binding `json:"bind,omitempty"`
}

// Position gives the place among others.
func (t *Target) Position() float64 { return t.Pos }

// Carry passes on what this screen was given, to inputs of the target with the same name and type.
type Carry struct {
	All   bool            `json:"all,omitempty"`   // whatever the target takes, also inputs that it gets later
	Names map[string]bool `json:"names,omitempty"` // inputs of the target
}

// Arrive is what is set on the target when one gets there.
type Arrive struct {
	Filters map[string]*ArriveFilter `json:"filters,omitempty"`
	Sort    map[string]*Order        `json:"sort,omitempty"`
}

// ArriveFilter is one filter of the target's list.
type ArriveFilter struct {
	Pos     float64 `json:"pos"`
	Path    string  `json:"path"`
	Compare string  `json:"compare"`
	Value   string  `json:"value,omitempty"`
}

// Position gives the place among others.
func (f *ArriveFilter) Position() float64 { return f.Pos }

// Moves are the kinds of moves.
var Moves = []string{"screen", "choice", "step", "along", "back", "forward", "home", "up", "close", "address", "project", "out"}

// Steps are the ways along a list.
var Steps = []string{"first", "previous", "next", "last"}

// schemes are those of addresses that a gate may lead to.
var schemes = []string{"https", "http", "mailto", "tel"}

func (m *Move) validate() error {
	if err := oneOf("move", m.Kind, Moves...); err != nil {
		return err
	}
	if err := oneOf("mode", m.Mode, "", "view", "edit", "add"); err != nil {
		return err
	}
	if err := oneOf("presentation", m.As, "", "full", "dialog", "drawer", "replace", "tab"); err != nil {
		return err
	}
	if check := moveChecks[m.Kind]; check != nil {
		if err := check(m); err != nil {
			return err
		}
	}
	if m.SpotRow != nil {
		if m.Spot == "" {
			return fmt.Errorf("a row to be led to needs the list that it is in")
		}
		if err := m.SpotRow.validate(); err != nil {
			return fmt.Errorf("the row to be led to: %w", err)
		}
	}
	if err := m.validateBack(); err != nil {
		return err
	}
	return validateBindings(m.Bind)
}

// moveChecks refuses what cannot be read as a move of its kind at all.
var moveChecks = map[string]func(*Move) error{
	"step": func(m *Move) error {
		if err := oneOf("step", m.Step, Steps...); err != nil {
			return err
		}
		return oneOf("policy at the end", m.None, "", "grey", "round", "stay")
	},
	"along": func(m *Move) error {
		if err := oneOf("step along", m.Step, "previous", "next"); err != nil {
			return err
		}
		return oneOf("policy at the end", m.None, "", "grey", "round", "stay")
	},
	"choice": func(m *Move) error {
		if m.By == "" || len(m.Among) == 0 {
			return fmt.Errorf("a target that is worked out needs an expression and the screens it chooses from")
		}
		for id, t := range m.Among {
			if t == nil {
				return fmt.Errorf("target %s is empty", id)
			}
			t.ID = id
			if err := validateBindings(t.Bind); err != nil {
				return fmt.Errorf("target %s: %w", id, err)
			}
		}
		return oneOf("policy", m.None, "", "grey", "stay")
	},
	"address": func(m *Move) error {
		scheme, _, ok := strings.Cut(m.Address, ":")
		if !ok || !slices.Contains(schemes, scheme) {
			return fmt.Errorf("a web address begins with https:, http:, mailto: or tel:")
		}
		if head, _, _ := strings.Cut(m.Address, "{"); strings.HasPrefix(scheme, "http") {
			if u, err := url.Parse(head); err != nil || u.Host == "" || u.Path == "" && strings.Contains(m.Address, "{") {
				return fmt.Errorf("a web address says its host in full before anything is filled in: https://host/…")
			}
		}
		return nil
	},
	"project": func(m *Move) error {
		if m.Project == "" || m.Entry == "" {
			return fmt.Errorf("a screen of another project needs that project and one of the screens it offers")
		}
		return nil
	},
}

func strictUnmarshal(data []byte, into any) error {
	d := json.NewDecoder(bytes.NewReader(data))
	d.DisallowUnknownFields()
	return d.Decode(into)
}
