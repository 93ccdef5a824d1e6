package element

import (
	"fmt"

	"ambergate/core/plan"
	"ambergate/core/project"
	"ambergate/core/use"
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
	Way   bool   `json:"way,omitempty"` // that it is opened sets something off
}

// TabTrigger names the trigger of a tab that is opened.
func TabTrigger(id string) string { return "tab." + id }

// Tabs is a block of tabs: of the elements that name one of them, those of the open tab show.
type Tabs struct {
	project.ElementHead
	use.NothingToFetch
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

// Gates gives those of its tabs. Opening one is a place of its own; what is wired to it comes after that.
func (spec *Tabs) Gates() map[string]*project.Gate {
	var all map[string]*project.Gate
	for id, t := range spec.Tabs {
		if t == nil || t.Opened == nil {
			continue
		}
		if all == nil {
			all = map[string]*project.Gate{}
		}
		all[TabTrigger(id)] = t.Opened
	}
	return all
}

// TabList gives its tabs.
func (spec *Tabs) TabList() map[string]*project.Tab { return spec.Tabs }

// Called names it.
func (*Tabs) Called(plan.Scene, *plan.Element) string { return "tabs" }

// Plan reads nothing.
func (*Tabs) Plan(*plan.Planner) {}

// NewView gives an empty view of it.
func (*Tabs) NewView() any { return &TabsView{} }

func (spec *Tabs) View(o *use.Opening, e *plan.Element, into *use.ElementView) {
	v := &TabsView{Tabs: []TabView{}, Open: o.OpenTab(e.ID)}
	for _, t := range project.Ordered(spec.Tabs) {
		tab := TabView{ID: t.ID, Label: t.Label}
		if gate := e.Gates[TabTrigger(t.ID)]; gate != nil {
			tab.Way = o.Judge(gate, use.Aim{}).Open()
		}
		v.Tabs = append(v.Tabs, tab)
	}
	into.View = v
}
