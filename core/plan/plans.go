package plan

import (
	"maps"
	"sort"

	"ambergate/core/cond"
	"ambergate/core/project"
)

// Screen is a screen with its expressions compiled and the paths that it reads.
type Screen struct {
	Screen      *project.Screen
	Heading     *cond.Template
	Guard       *cond.Expr
	BadGuard    bool // there is a guard that cannot be read: nobody is let in
	Elements    []*Element
	Off         []*Element // what sets off no element: swipes, entering, time
	Rails       []*Rail
	RecordPaths Paths             // of the screen's own record
	InputPaths  map[string]Paths  // of records given as inputs
	UserPaths   Paths             // of the user's own record
	AsksUser    bool              // what it shows hangs on who the user is, not on their roles alone
	VarPaths    map[string]Paths  // of records that variables hold
	Tags        []*cond.Path      // live values, in order of appearance
	Needs                         // of all its gates
	Adds        Names             // the tables that its ways add records to
	Found       map[string]*Child // by child rule
	Late        []*Gate           // shared gates that read of records which are found late
}

// Needs is what gates ask for besides the records that the screen reads anyway.
type Needs struct {
	Steps    Names // where they step to in the list come from
	Chosen   Names // the lists whose chosen row they ask for
	Children Names // the child rules they use
}

// Names is a set of names: of steps, or of lists.
type Names map[string]bool

// With gives the set with further names; the set itself stays as it is.
func (s Names) With(names ...string) Names {
	out := maps.Clone(s)
	if out == nil {
		out = Names{}
	}
	for _, name := range names {
		out[name] = true
	}
	return out
}

// Element is an element with its expressions compiled.
type Element struct {
	*project.Element
	Around     *Element // the frame that it stands in; nil for none
	ShownWhile *cond.Expr
	Texts      map[string]*cond.Template
	Exprs      map[string]*cond.Expr
	Gates      map[string]*Gate
	Broken     []cond.Problem
	RowPaths   Paths // of a list's rows
	Needs            // of its own gates
	Ready      any   // what its kind worked out once, for drawing it; nil where it does nothing of the kind
}

// Gate is a gate with its conditions compiled.
type Gate struct {
	*project.Gate
	Condition *cond.Expr
	Grey      *cond.Template
	Question  *cond.Template
	Cases     []*Case
	Broken    bool // a part cannot be read: it never opens

	Shared *project.SharedGate         // the shared gate that it is; nil for one of its own
	Use    *project.Gate               // of a shared one: how the element uses it
	Given  map[string]*project.Binding // of a shared one: what the element gives it
	Exprs  map[string]*cond.Expr       // of a shared one: given expressions, by input
	Late   map[string]Paths            // of a shared one: what it reads of records that are found late, by input
	Gone   bool                        // the shared gate is gone
	Inner  bool                        // it stands inside a shared gate: a dialog of that comes back through it
}

// Case is one case of a gate, compiled.
type Case struct {
	*project.Case
	Condition *cond.Expr
	Effects   []*Effect
	Move      *Move
	Back      *Gate // what happens when the dialog that it opens comes back; nil for nothing
}

// Effect is an effect with its expressions, by field id or by "tag" and "value".
type Effect struct {
	*project.Effect
	Exprs map[string]*cond.Expr
}

// Move is a move with the screens that it may lead to, and the expressions that its kind names.
type Move struct {
	*project.Move
	To    []*Lead
	Exprs map[string]*cond.Expr
}

// Leads gives the screens that a move may lead to: one, those that it chooses from, or none.
func (m *Move) Leads() []*Lead {
	if m == nil {
		return nil
	}
	return m.To
}

// Only gives the one screen that a move can lead to; nil where it is none, or one of several.
func (m *Move) Only() *Lead {
	if m == nil || len(m.To) != 1 || m.To[0].ID != "" {
		return nil
	}
	return m.To[0]
}

// Lead is a screen that a move may lead to, with what is brought there compiled.
type Lead struct {
	*project.Lead
	Mode, As string
	Target   *Target               // nil: it is gone
	Exprs    map[string]*cond.Expr // by input
	Set      map[string]*cond.Expr // by field
	Carried  map[string]string     // input of the target → that of this screen which is passed on
	Row      *cond.Expr            // the row that one is led to, where that is worked out
	ID, Is   string                // of one of a choice: its id, and the value it is for
}

// Paths is dotted paths of field ids to fetch from one record.
type Paths map[string]bool

// Sorted gives the paths in a stable order.
func (s Paths) Sorted() []string {
	out := make([]string, 0, len(s))
	for p := range s {
		out = append(out, p)
	}
	sort.Strings(out)
	return out
}
