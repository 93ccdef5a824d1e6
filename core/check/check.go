// Package check proves things about a project without running it. Each check is a value with a name, a line of
// documentation and a function over an index that all share: one file, in the folder of what it is about, one line in
// core/checks, which has all of them, and test projects there in testdata under its name.
//
//   - leads: where ways lead, on which record, and what they do there
//   - gets: who gets where, and away again
//   - asks: what conditions ask
//   - looks: what stands where, and what it says
//   - comes: what comes by itself: call-ups, rounds, rests
//   - outside: what stands outside the project and is gone or changed
//   - reach: what leads where for whom
//
// What they have in common is here:
//
//   - check.go: what a finding, a mend and a check are
//   - run.go, after.go: running checks, and again after an edit
//   - accepted.go: findings that somebody lives with
//   - shut.go: why something does not lead somebody on
//   - index.go, mends.go: every way of a project, and what many checks ask and mend
//   - conditions.go, hidden.go: every condition of a project, whether it can hold or fail, and what of it is hidden
//   - reach.go: who can be on a screen at all
//   - reached.go, expect.go: who there is, what leads where, paths in words, and what is expected of them
//   - placed.go, labelled.go, does.go: buttons by where they stand and by what they are called; what is done to records
package check

import (
	"ambergate/core/patch"
)

// Severity says how bad a finding is.
type Severity string

// Broken does not work; doubtful may be meant; a note is worth knowing.
const (
	Broken   Severity = "broken"
	Doubtful Severity = "doubtful"
	Note     Severity = "note"
)

// Finding is something that a check proved, with its evidence and, where there is one, a mend.
type Finding struct {
	Check    string   `json:"check"`
	Severity Severity `json:"severity"`
	Screen   string   `json:"screen"`
	Entity   string   `json:"entity,omitempty"` // where it is not on a screen: a grant, table or condition; of a rail: that, and the first screen it is found on
	Element  string   `json:"element,omitempty"`
	Trigger  string   `json:"trigger,omitempty"`
	Words    string   `json:"words"`
	Evidence string   `json:"evidence,omitempty"`
	Mends    []Mend   `json:"mends,omitempty"`
	// Accepted is why somebody lives with it; nil where nobody said so, or where it says something else by now.
	Accepted *Accepted `json:"accepted,omitempty"`
	Before   string    `json:"before,omitempty"` // why it was accepted while it said something else; "" where it was not

	Once string `json:"-"` // of those that have the same, only the first is told; "" for all
}

// Accepted is why somebody lives with a finding.
type Accepted struct {
	ID      string `json:"id"` // of the acceptance
	Because string `json:"because"`
	By      string `json:"by"`
	At      string `json:"at"` // RFC 3339
}

// Mend is a safe change that makes the finding go away. Without a patch it names what the builder is to choose.
type Mend struct {
	Words string     `json:"words"`
	Patch []patch.Op `json:"patch,omitempty"`
	Chip  string     `json:"chip,omitempty"` // part of the sentence to be chosen: target, record, while
}

// Check is one thing that is looked for.
type Check struct {
	Name string // with dashes: it is told with each finding, and names the folder of its test projects
	Doc  string // what it finds, in one line
	// Run looks at a whole project and tells what it finds, each with its severity, place and words.
	Run func(*Index, func(Finding))
	// Outside says that it compares the project with what stands outside it, which changes while the
	// project does not: it is quick, and run at each look.
	Outside bool
	// Local says that what it finds on a screen hangs on that screen alone, on what its ways lead to, and on what all
	// have in common: after an edit of others it is still so. What it finds that is on no screen is found anew each time.
	Local bool
	// ByReach says so as long as everybody gets just where they did.
	ByReach bool
}
