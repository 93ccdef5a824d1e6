// Package check proves things about a project without running it. Each check is a value with
// a name, a line of documentation and a function over a shared index; a new one is a new file
// and a line in All.
package check

import (
	"context"
	"sort"

	"ambergate/core/patch"
	"ambergate/core/plan"
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
	Entity   string   `json:"entity,omitempty"` // where it is not on a screen: a grant, table or condition
	Element  string   `json:"element,omitempty"`
	Trigger  string   `json:"trigger,omitempty"`
	Words    string   `json:"words"`
	Evidence string   `json:"evidence,omitempty"`
	Mends    []Mend   `json:"mends,omitempty"`
}

// Mend is a safe change that makes the finding go away. Without a patch it names what the builder is to choose.
type Mend struct {
	Words string     `json:"words"`
	Patch []patch.Op `json:"patch,omitempty"`
	Chip  string     `json:"chip,omitempty"` // part of the sentence to be chosen: target, record, while
}

// Check is one thing that is looked for.
type Check struct {
	Name string
	Doc  string
	run  func(*index, func(Finding))
}

// All is every check, in the order in which findings of one place are told.
var All = []*Check{brokenTarget, noWayBehind, missingInput, wrongRecord, mayBeNone, noWayBack, deadPress, unreadableRight, neverShown, alwaysShown, emptyEqualsEmpty, asksHidden, comesBack}

// Run runs all checks over a compiled project. The same project gives the same list in the same order.
func Run(app *plan.App) []Finding {
	out, _ := RunUntil(context.Background(), app)
	return out
}

// RunUntil does so until a context ends; then the error is the context's, and nothing is found.
func RunUntil(ctx context.Context, app *plan.App) ([]Finding, error) {
	ix := newIndex(app)
	out := []Finding{}
	for _, c := range All {
		if err := ctx.Err(); err != nil {
			return nil, err
		}
		c.run(ix, func(f Finding) {
			f.Check = c.Name
			out = append(out, f)
		})
	}
	rank := map[Severity]int{Broken: 0, Doubtful: 1, Note: 2}
	sort.SliceStable(out, func(i, j int) bool {
		a, b := out[i], out[j]
		if rank[a.Severity] != rank[b.Severity] {
			return rank[a.Severity] < rank[b.Severity]
		}
		if a.Screen != b.Screen {
			return a.Screen < b.Screen
		}
		if a.Entity != b.Entity {
			return a.Entity < b.Entity
		}
		return a.Element < b.Element
	})
	return out, nil
}
