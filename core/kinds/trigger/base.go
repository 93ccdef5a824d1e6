package trigger

import "ambergate/core/project"

// onGate stands at the end of the pointer to the gate of an element that has one.
type onGate struct{}

// Place gives it.
func (onGate) Place(string) string { return "gate" }

// memberOf says what one of those that an element shows is called: a row, or a point.
func memberOf(e *project.Element) string {
	if p, ok := e.Spec.(interface{ Member() string }); ok {
		return p.Member()
	}
	if project.ListOf(e) != nil {
		return "row"
	}
	return "point"
}

// byNameOnly is part of triggers that a press must name: an element's usual one is another.
type byNameOnly struct{}

// ByNameOnly marks them.
func (byNameOnly) ByNameOnly() {}
