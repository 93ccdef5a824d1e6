package check

import (
	"bytes"
	"encoding/json"

	"ambergate/core/plan"
	"ambergate/core/project"
)

var sameWords = &Check{Name: "same-words", Doc: "two buttons of one screen with the same words that lead to different places", Local: true, Run: func(ix *Index, report func(Finding)) {
	ix.pairs(func(a, b *labelled) bool {
		alike := a.words == b.words && a.target != b.target
		if alike {
			report(Finding{Severity: Doubtful, Screen: a.screen, Element: b.element, Words: "Two things on this screen are called “" + a.words + "”: one opens “" + ix.title(a.target) + "”, the other “" + ix.title(b.target) + "”."})
		}
		return alike
	})
}}

var copyNotChanged = &Check{Name: "copy-not-changed", Doc: "two buttons of one screen that do exactly the same; words that name another screen than the one that opens", Local: true, Run: func(ix *Index, report func(Finding)) {
	ix.pairs(func(a, b *labelled) bool {
		alike := a.words != b.words && a.same(b)
		if alike {
			report(Finding{Severity: Note, Screen: a.screen, Element: b.element, Words: "“" + a.words + "” and “" + b.words + "” do exactly the same.", Evidence: "Perhaps one was copied from the other and not wired anew."})
		}
		return alike
	})
	titles := map[string]string{}
	for id, s := range ix.App.Project.Screens {
		if other := titles[s.Title]; other == "" || id < other {
			titles[s.Title] = id
		}
	}
	for _, id := range ix.screens() {
		for _, l := range ix.labelledOn(id) {
			if other := titles[l.words]; other != "" && other != l.target && l.target != id && ix.title(l.target) != l.words {
				report(Finding{Severity: Doubtful, Screen: id, Element: l.element, Words: "“" + l.words + "” opens “" + ix.title(l.target) + "”, though another screen is called “" + l.words + "”."})
			}
		}
	}
}}

// labelled is a button with fixed words and one case, which opens a screen.
type labelled struct {
	screen, element string
	words, target   string
	gate            *project.Gate
}

// same says whether two do the same.
func (l *labelled) same(other *labelled) bool {
	if l.target != other.target {
		return false
	}
	a, err := json.Marshal(l.gate)
	b, errB := json.Marshal(other.gate)
	return err == nil && errB == nil && bytes.Equal(a, b)
}

// labelledOn gives those of a screen, its rails apart.
func (ix *Index) labelledOn(screen string) []*labelled {
	if known, is := ix.labels[screen]; is {
		return known
	}
	var out []*labelled
	s := ix.App.Screens[screen]
	for _, w := range s.Ways() {
		if w.Rail != nil || w.Element.Kind != "button" || len(w.Gate.Cases) != 1 || plan.IsBack(w.Trigger) {
			continue
		}
		m := w.Gate.Cases[0].Move.Only()
		said := ix.words(w.Screen, w.Element)
		if m == nil || m.Target == nil || said == "" {
			continue
		}
		out = append(out, &labelled{screen, w.Element.ID, said, m.Target.ID, w.Element.Spec.Gates()[w.Trigger]})
	}
	if ix.labels == nil {
		ix.labels = map[string][]*labelled{}
	}
	ix.labels[screen] = out
	return out
}

// pairs gives each two of them on one screen, the second one until it was told of.
func (ix *Index) pairs(do func(a, b *labelled) (told bool)) {
	for _, id := range ix.screens() {
		all := ix.labelledOn(id)
		for i, b := range all {
			for _, a := range all[:i] {
				if !ix.apart(id, a.element, b.element) && do(a, b) {
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

func (ix *Index) title(screen string) string {
	if s := ix.App.Project.Screens[screen]; s != nil {
		return s.Title
	}
	return "a screen that is gone"
}
