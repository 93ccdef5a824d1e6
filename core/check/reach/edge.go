package reach

import (
	"ambergate/core/cond"
	"ambergate/core/plan"
	"ambergate/core/project"
)

// Edge is one thing that leads from a screen to another: one case of a way with one of its targets, a call-up, or the
// next screen of a round.
type Edge struct {
	From    *project.Screen
	To      *plan.Target
	Mode    string // the target is opened to: view, edit, add
	As      string // "", dialog, drawer, replace, tab
	Presses int    // 0: it comes by itself; 2: a dialog is closed first
	Way     plan.Way
	Case    *plan.Case
	CallUp  *project.CallUp // that it is; nil for none
	Round   *project.Role   // whose round it belongs to; nil for none
	Along   *project.Rail   // whose order it follows; nil for none
	Exit    string          // home, back or close: it leads to no screen that is named; "" for all others

	at       state    // that it leads to, where it leads to a screen
	parts    []Part   // what has to hold, in the names of From
	roles    []roles  // each of which lets through
	modes    []roles  // of From: each of which must hold the one it is open to
	rows     string   // table whose records are shown, to be pressed
	field    string   // path that is shown, to be pressed
	record   bool     // there has to be a record: From is not one that is just being added
	given    []string // what has to be there
	unsure   []string // why it cannot be proven, even so
	records  []brought
	tables   map[string]bool // whose records its conditions and bindings look at
	asks     bool            // a condition asks for roles
	reads    []read          // relations that lead to what is brought
	shut     bool            // it never opens: something that it needs cannot be read, or is not brought
	beside   bool            // it is not there where From lies over another screen
	policy   bool            // what happens where a record is missing
	changes  bool            // records and variables may be others once the target opens
	bottom   bool            // it is back, where nothing lies behind: up from there
	restarts bool            // back does not lead to where it was pressed: a new tab
}

// roles is a set of roles, or modes; nil for all.
type roles = map[string]bool

// read is a path of a table's records that has to be seen.
type read struct {
	table string
	segs  []string
}

// brought is a record that the target is opened with.
type brought struct {
	table string
	same  bool // it is shown already, so it may be seen
	own   bool // the target is about it
}

// Part is one condition of an edge.
type Part struct {
	Node *cond.Node // in the names of the screen it starts at
	Says *cond.Node // as it was written
	Of   string     // way, shown, rail, case, choice, guard
	Not  bool       // that it does not hold is what is asked
}

// Words says the part.
func (p Part) Words() string {
	if p.Not {
		return p.Says.Negated()
	}
	return p.Says.Phrase()
}

// ByHand says whether users set it off.
func (e *Edge) ByHand() bool { return e.Presses > 0 }

// Over says whether the target lies over the screen that it is opened from.
func (e *Edge) Over() bool { return e.As == "dialog" || e.As == "drawer" }

// Bottom says whether the edge is going back where nothing lies behind, which leads up: it is no way of its own.
func (e *Edge) Bottom() bool { return e.bottom }
