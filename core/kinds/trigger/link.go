package trigger

import "ambergate/core/project"

// Link is a link of a text that is pressed.
type Link struct{ byNameOnly }

// Place gives where the text keeps the gate of the link.
func (Link) Place(id string) string { return "links/" + id + "/gate" }

// Say says it with the words of the link.
func (Link) Say(e *project.Element, id string) string {
	if l, ok := e.Spec.(interface{ LinkWords(id string) string }); ok && l.LinkWords(id) != "" {
		return "its link “" + l.LinkWords(id) + "” is pressed"
	}
	return "a link that is gone is pressed"
}
