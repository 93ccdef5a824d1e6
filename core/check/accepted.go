package check

import (
	"ambergate/core/project"
)

// place is what an acceptance is told by, besides the words.
type acceptedAt struct{ check, screen, entity, element, trigger string }

// accept marks what somebody lives with. Where the words or what they rest on are others by now, it is told again.
func accept(p *project.Project, found []Finding) {
	if len(p.Acceptances) == 0 {
		return
	}
	by := map[acceptedAt][]*project.Acceptance{}
	for _, a := range project.Ordered(p.Acceptances) {
		at := acceptedAt{a.Check, a.Screen, a.Entity, a.Element, a.Trigger}
		by[at] = append(by[at], a)
	}
	for i := range found {
		f := &found[i]
		for _, a := range by[acceptedAt{f.Check, f.Screen, f.Entity, f.Element, f.Trigger}] {
			if a.Words == f.Words && a.Evidence == f.Evidence {
				f.Accepted, f.Before = &Accepted{ID: a.ID, Because: a.Because, By: a.By, At: a.At}, ""
				break
			}
			f.Before = a.Because
		}
	}
}

// Open gives the findings that nobody lives with.
func Open(found []Finding) []Finding {
	out := []Finding{}
	for _, f := range found {
		if f.Accepted == nil {
			out = append(out, f)
		}
	}
	return out
}
