package nav

import (
	"fmt"
	"strings"

	"ambergate/core/project"
)

// TabsView is a block of tabs as it is drawn.
type TabsView struct {
	Tabs []TabView `json:"tabs"`
	Open string    `json:"open"`
}

// TabView is one tab.
type TabView struct {
	ID    string `json:"id"`
	Label string `json:"label"`
}

// Tabs is a block of tabs: of the elements that name one of them, those of the open tab show.
type Tabs struct {
	project.ElementHead
	nothingToFetch
	Tabs map[string]*project.Tab `json:"tabs"`
}

// Validate asks for a tab, and for words on each.
func (spec *Tabs) Validate() error {
	if len(spec.Tabs) == 0 {
		return fmt.Errorf("a block of tabs needs a tab")
	}
	for id, tab := range spec.Tabs {
		if tab == nil || tab.Label == "" {
			return fmt.Errorf("tab %s needs words", id)
		}
		tab.ID = id
	}
	return nil
}

// Gates gives none: opening a tab is a place of its own, not a gate.
func (spec *Tabs) Gates() map[string]*project.Gate { return nil }

// TabList gives its tabs.
func (spec *Tabs) TabList() map[string]*project.Tab { return spec.Tabs }

// Called names it.
func (*Tabs) Called(scene, *ElementPlan) string { return "tabs" }

// Plan reads nothing.
func (*Tabs) Plan(*planner) {}

// NewView gives an empty view of it.
func (*Tabs) NewView() any { return &TabsView{} }

func (spec *Tabs) View(o *Opening, e *ElementPlan, into *ElementView) {
	v := &TabsView{Tabs: []TabView{}, Open: o.openTab(e.ID)}
	for _, t := range project.Ordered(spec.Tabs) {
		v.Tabs = append(v.Tabs, TabView{ID: t.ID, Label: t.Label})
	}
	into.View = v
}

// openTab gives the open tab of a block: the one that the place says, else the first.
func (o *Opening) openTab(block string) string {
	e := o.plan.Screen.Elements[block]
	if e == nil {
		return ""
	}
	tabs := project.TabsOf(e)
	if open := o.place.Tabs[block]; tabs[open] != nil {
		return open
	}
	for _, t := range project.Ordered(tabs) {
		return t.ID
	}
	return ""
}

// aside says whether an element stands aside for another mode or tab. One of a block that is gone
// does not: nothing is to vanish by that.
func (o *Opening) aside(e *ElementPlan) bool {
	if e.Modes != nil && !e.Modes[o.place.Mode] {
		return true
	}
	block, tab, ok := strings.Cut(e.Tab, ".")
	if !ok {
		return false
	}
	open := o.openTab(block)
	return open != "" && open != tab
}
