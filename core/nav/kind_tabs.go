package nav

import (
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

type tabsKind struct{ nothingToFetch }

func (tabsKind) plan(*planner, *project.Element) {}

func (tabsKind) view(o *Opening, e *ElementPlan, into *ElementView) {
	v := &TabsView{Tabs: []TabView{}, Open: o.openTab(e.ID)}
	for _, t := range project.Ordered(e.Spec.(*project.Tabs).Tabs) {
		v.Tabs = append(v.Tabs, TabView{ID: t.ID, Label: t.Label})
	}
	into.Tabs = v
}

// openTab gives the open tab of a block: the one that the place says, else the first.
func (o *Opening) openTab(block string) string {
	e := o.plan.Screen.Elements[block]
	if e == nil {
		return ""
	}
	spec, ok := e.Spec.(*project.Tabs)
	if !ok {
		return ""
	}
	if open := o.place.Tabs[block]; spec.Tabs[open] != nil {
		return open
	}
	for _, t := range project.Ordered(spec.Tabs) {
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
