package reach

// state is a screen as somebody stands on it: in a mode, in full or as a dialog or drawer. Its number is that of the
// screen times the variants, and that of the variant.
type state int

// variants is in how many ways one can stand on a screen.
const variants = 6

var modeNames = [...]string{"view", "edit", "add"}

func stateOf(screen int, mode string, over bool) state {
	s := state(screen * variants)
	switch mode {
	case "edit":
		s += 2
	case "add":
		s += 4
	}
	if over {
		s++
	}
	return s
}

func (s state) screen() int  { return int(s) / variants }
func (s state) mode() string { return modeNames[int(s)%variants/2] }
func (s state) adds() bool   { return int(s)%variants >= 4 }
func (s state) over() bool   { return s%2 == 1 }

// of gives all ways to stand on a screen.
func variantsOf(screen int) [variants]state {
	var out [variants]state
	for i := range out {
		out[i] = state(screen*variants + i)
	}
	return out
}
