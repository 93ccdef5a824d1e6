package trigger

import "ambergate/core/project"

// Mark is a fixed mark of a site plan that is pressed.
type Mark struct{ byNameOnly }

// Place gives where the site plan keeps the gate of the mark.
func (Mark) Place(id string) string { return "marks/" + id + "/gate" }

// Say says it with the words of the mark.
func (Mark) Say(e *project.Element, id string) string {
	if m, ok := e.Spec.(interface{ MarkWords(id string) string }); ok && m.MarkWords(id) != "" {
		return "the mark “" + m.MarkWords(id) + "” is pressed"
	}
	return "a mark that is gone is pressed"
}
