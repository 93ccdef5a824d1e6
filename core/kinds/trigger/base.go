package trigger

// onGate stands at the end of the pointer to the gate of an element that has one.
type onGate struct{}

// Place gives it.
func (onGate) Place(string) string { return "gate" }

// byNameOnly is part of triggers that a press must name: an element's usual one is another.
type byNameOnly struct{}

// ByNameOnly marks them.
func (byNameOnly) ByNameOnly() {}
