package check

import (
	"bytes"
	"encoding/json"

	"ambergate/core/plan"
	"ambergate/core/project"
)

// Labelled is a button with fixed words and one case, which opens a screen.
type Labelled struct {
	Screen, Element string
	Words, Target   string
	gate            *project.Gate
}

// Same says whether two do the same.
func (l *Labelled) Same(other *Labelled) bool {
	if l.Target != other.Target {
		return false
	}
	a, err := json.Marshal(l.gate)
	b, errB := json.Marshal(other.gate)
	return err == nil && errB == nil && bytes.Equal(a, b)
}

// LabelledOn gives those of a screen, its rails apart.
func (ix *Index) LabelledOn(screen string) []*Labelled {
	if known, is := ix.labels[screen]; is {
		return known
	}
	var out []*Labelled
	s := ix.App.Screens[screen]
	for _, w := range s.Ways() {
		if w.Rail != nil || w.Element.Kind != "button" || len(w.Gate.Cases) != 1 || plan.IsBack(w.Trigger) {
			continue
		}
		m := w.Gate.Cases[0].Move.Only()
		said := ix.Words(w.Screen, w.Element)
		if m == nil || m.Target == nil || said == "" {
			continue
		}
		out = append(out, &Labelled{screen, w.Element.ID, said, m.Target.ID, w.Element.Spec.Gates()[w.Trigger]})
	}
	if ix.labels == nil {
		ix.labels = map[string][]*Labelled{}
	}
	ix.labels[screen] = out
	return out
}

// Pairs gives each two of them on one screen, the second one until it was told of.
func (ix *Index) Pairs(do func(a, b *Labelled) (told bool)) {
	for _, id := range ix.Screens() {
		all := ix.LabelledOn(id)
		for i, b := range all {
			for _, a := range all[:i] {
				if !ix.apart(id, a.Element, b.Element) && do(a, b) {
					break // it is told once
				}
			}
		}
	}
}

// apart says whether two elements never show at once, by their modes or tabs: then they may be alike.
func (ix *Index) apart(screen, a, b string) bool {
	x, y := ix.App.Project.Screens[screen].Elements[a], ix.App.Project.Screens[screen].Elements[b]
	if x == nil || y == nil {
		return false
	}
	if x.Tab != "" && y.Tab != "" && x.Tab != y.Tab {
		return true
	}
	if x.Shown != "" || y.Shown != "" {
		return true // which of them is there is decided
	}
	if x.Modes == nil || y.Modes == nil {
		return false
	}
	for m := range x.Modes {
		if y.Modes[m] {
			return false
		}
	}
	return true
}
