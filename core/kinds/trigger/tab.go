package trigger

import "ambergate/core/project"

// Tab is a tab that was opened.
type Tab struct{ byNameOnly }

// Place gives where the block of tabs keeps the gate of the tab.
func (Tab) Place(id string) string { return "tabs/" + id + "/opened" }

// Say says it with the words of the tab.
func (Tab) Say(e *project.Element, id string) string {
	if t := project.TabsOf(e)[id]; t != nil {
		return "the tab “" + t.Label + "” is opened"
	}
	return "a tab that is gone is opened"
}
