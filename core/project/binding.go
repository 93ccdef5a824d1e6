package project

import "fmt"

// Binding says how an input of the target gets its value.
type Binding struct {
	Rule   string `json:"rule"`             // see Rules
	Path   string `json:"path,omitempty"`   // parent: relation ids joined by dots, from the record; child: the field of the child that names it
	From   string `json:"from,omitempty"`   // parent, child: record (default), row, or the id of an input that is a record
	Table  string `json:"table,omitempty"`  // child, picked: the table of the record that is found; saved: the table that the same press adds to
	Pick   string `json:"pick,omitempty"`   // child: first, last (default), nearest (to now)
	Order  string `json:"order,omitempty"`  // child: path it is the first or last by; empty: the table's own order
	While  string `json:"while,omitempty"`  // child: of those that meet this condition, over record and user
	Value  string `json:"value,omitempty"`  // value: as the wire writes it; input: its id; expression: its text; point: end (of a span of time)
	None   string `json:"none,omitempty"`   // what if there is none: grey (default), list, add, stay; of next and previous also round
	Screen string `json:"screen,omitempty"` // of None list: the screen opened instead
	Reason string `json:"reason,omitempty"` // of None grey and stay: the words
}

// Rules are the record rules and bindings that exist.
var Rules = []string{"this", "row", "parent", "child", "first", "previous", "next", "last", "saved", "picked", "point", "user", "value", "input", "expression", "result"}

func validateBindings(bind map[string]*Binding) error {
	for id, b := range bind {
		if b == nil {
			return fmt.Errorf("input %s: its binding is empty", id)
		}
		if err := b.validate(); err != nil {
			return fmt.Errorf("input %s: %w", id, err)
		}
	}
	return nil
}

func (b *Binding) validate() error {
	if err := oneOf("rule", b.Rule, Rules...); err != nil {
		return err
	}
	if b.Rule == "child" {
		if b.Table == "" || b.Path == "" {
			return fmt.Errorf("a child needs its table and the field that names the record")
		}
		if err := oneOf("choice among the children", b.Pick, "", "first", "last", "nearest"); err != nil {
			return err
		}
		if b.Pick == "nearest" && b.Order == "" {
			return fmt.Errorf("the nearest child needs the date it is near by")
		}
	}
	return oneOf("policy", b.None, "", "grey", "list", "add", "stay", "round")
}
