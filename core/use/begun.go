package use

import (
	"time"

	"ambergate/core/place"
	"ambergate/core/project"
)

// Begun is a guided task that the user began and did not finish, in whichever tab.
type Begun struct {
	At   place.Place // where it stands
	When time.Time
}

// TaskBegun gives what the user began of the task that a place would begin: the same screen, on the same record, or a
// new one with the same filled in; with the step that it stands at, of how many. Nil for none.
func (o *Opening) TaskBegun(to place.Place) (b *Begun, step, of int) {
	s := o.App.Project.Screens[to.Screen]
	if s == nil {
		return nil, 0, 0
	}
	for i := range o.begun {
		one := &o.begun[i]
		if one.At.Screen != to.Screen || one.At.Mode != to.Mode || one.At.Inputs[s.Record] != to.Inputs[s.Record] || !fillsIn(one.At.Set, to.Set) {
			continue
		}
		if b == nil || one.When.After(b.When) {
			b = one
		}
	}
	if b != nil {
		step, of = o.stepAt(b.At)
	}
	return b, step, of
}

func fillsIn(has, wants map[string]string) bool {
	for field, value := range wants {
		if has[field] != value {
			return false
		}
	}
	return true
}

// stepAt gives the step that a place of a guided task stands at, from 1, of how many.
func (o *Opening) stepAt(at place.Place) (step, of int) {
	for _, e := range o.App.Screens[at.Screen].Elements {
		guided, is := e.Spec.(interface {
			InOrder()
			TabList() map[string]*project.Tab
		})
		if !is {
			continue
		}
		steps := project.Ordered(guided.TabList())
		for i, s := range steps {
			if s.ID == at.Tabs[e.ID] {
				return i + 1, len(steps)
			}
		}
		return 1, len(steps)
	}
	return 0, 0
}
