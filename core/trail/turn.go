package trail

import "ambergate/core/press"

// Turn is what a press makes of the trail.
type Turn string

// Stays: it is as it was. Chooses: the row of a list that was chosen is noted on the place. Looks: the place is looked at
// otherwise, which is a place of its own unless it replaces. Closes: the dialog that was pressed in, and those over it.
// Opens: a dialog or drawer over what was pressed in. Within: the dialog that was pressed in shows another place. Replaces: the
// place is another. Leaves: a guided task, for where it was begun. Adds: a further place.
const (
	Stays    Turn = "stays"
	Chooses  Turn = "chooses"
	Looks    Turn = "looks"
	Turned   Turn = "turned" // looked at otherwise in its place
	Closes   Turn = "closes"
	Back     Turn = "back"
	Forward  Turn = "forward"
	Home     Turn = "home"
	Leaves   Turn = "leaves"
	Opens    Turn = "opens"
	Within   Turn = "within"
	Replaces Turn = "replaces"
	Adds     Turn = "adds"
)

// After gives the turn that follows on what a press came to. The press was made on the place itself, at depth 0, or in one
// of the dialogs and drawers over it, of which there are some.
func After(out press.Outcome, depth, over int) Turn {
	stays := out.Kind == press.Stayed
	ended := out.Move == "task" && out.To == nil
	lies := out.As == "dialog" || out.As == "drawer"
	switch {
	case depth > over: // this very press closed the dialog, before it could be told
		return Stays
	case stays && out.Choose != nil && !out.Choose.Adding:
		return Chooses
	case stays || out.As == "tab" || out.Leave != "" || out.Move == "out":
		return Stays
	case out.Move == "arrange" && out.As == "replace" && depth == 0:
		return Turned
	case out.Move == "arrange":
		return Looks
	case depth > 0 && (out.Move == "close" || out.Move == "back" || ended):
		return Closes
	case out.Move == "close" || out.Move == "back": // closed where it stands in full, it is gone back from
		return Back
	case ended:
		return Leaves
	case out.Move == "forward":
		return Forward
	case out.Move == "home" || out.To == nil:
		return Home
	case lies:
		return Opens
	case depth > 0 && (out.As == "replace" || out.Move == "step"):
		return Within
	case out.As == "replace":
		return Replaces
	}
	return Adds
}
