package use

// What an unattended display is not asked to do: there is nobody who would have the file, the paper, or a way back from
// elsewhere. Such ways are not there at all, as whoever stands before it can do nothing about it.

// KeptIn hides a way that leads out of the application, where a display may not follow it; else it does nothing.
func (o *Opening) KeptIn(v *Verdict) bool {
	if d := o.World.User.Display; d == nil || d.Leaves {
		return false
	}
	*v = hiddenOnDisplay("This display stays in its application.")
	return true
}

// SavesFiles says whether lists may be saved as files, and pictures chosen; if not, v hides what would.
func (o *Opening) SavesFiles() (v Verdict, saves bool) {
	if d := o.World.User.Display; d == nil || d.Files {
		return Verdict{}, true
	}
	return hiddenOnDisplay("This display saves no files."), false
}

// Prints says whether the screen may be printed; if not, v hides what would.
func (o *Opening) Prints() (v Verdict, prints bool) {
	if d := o.World.User.Display; d == nil || d.Prints {
		return Verdict{}, true
	}
	return hiddenOnDisplay("This display does not print."), false
}

func hiddenOnDisplay(reason string) Verdict {
	return Verdict{State: StateHidden, By: "display", Reason: reason}
}
