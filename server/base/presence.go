package base

import (
	"cmp"
	"maps"
	"slices"
	"sync"
)

// Present is where in the builder somebody is, in one tab.
type Present struct {
	Account string `json:"account"`
	Name    string `json:"name"`
	View    string `json:"view"`
	Screen  string `json:"screen,omitempty"`
	Element string `json:"element,omitempty"`
}

// Presence knows which builders are where, as long as their tabs listen. Safe for use by many at once.
type Presence struct {
	*Watchers
	mu   sync.Mutex
	tabs map[string]map[string]Present // project → tab
	n    int64
}

func newPresence() *Presence {
	return &Presence{Watchers: NewWatchers(), tabs: map[string]map[string]Present{}}
}

// Come notes a tab that listens; what is given ends that.
func (p *Presence) Come(project, tab string, who Present) (leave func()) {
	p.change(project, func(tabs map[string]Present) bool {
		tabs[tab] = who
		return true
	})
	return func() {
		p.change(project, func(tabs map[string]Present) bool {
			delete(tabs, tab)
			return true
		})
	}
}

// Move notes where a tab is; one that does not listen is nowhere.
func (p *Presence) Move(project, tab string, to Present) {
	p.change(project, func(tabs map[string]Present) bool {
		was, there := tabs[tab]
		if !there || was.Account != to.Account || was == to {
			return false
		}
		tabs[tab] = to
		return true
	})
}

func (p *Presence) change(project string, change func(tabs map[string]Present) bool) {
	p.mu.Lock()
	tabs := p.tabs[project]
	if tabs == nil {
		tabs = map[string]Present{}
		p.tabs[project] = tabs
	}
	changed := change(tabs)
	if len(tabs) == 0 {
		delete(p.tabs, project)
	}
	p.n++
	n := p.n
	p.mu.Unlock()
	if changed {
		p.Tell(project, n)
	}
}

// Others gives where the other builders of a project are, by name: each place of theirs once.
func (p *Presence) Others(project, account string) []Present {
	p.mu.Lock()
	defer p.mu.Unlock()
	seen := map[Present]bool{}
	for _, of := range p.tabs[project] {
		if of.Account != account {
			seen[of] = true
		}
	}
	return slices.AppendSeq([]Present{}, slices.Values(slices.SortedFunc(maps.Keys(seen), func(a, b Present) int {
		return cmp.Or(cmp.Compare(a.Name, b.Name), cmp.Compare(a.Account, b.Account), cmp.Compare(a.View, b.View), cmp.Compare(a.Screen, b.Screen), cmp.Compare(a.Element, b.Element))
	})))
}
