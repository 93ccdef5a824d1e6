package use

import (
	"ambergate/core/cond"
	"ambergate/core/plan"
	"ambergate/core/project"
)

// The limits that tags say for themselves: what shows them marks what is outside, without a condition written by hand.

// Limits gives those of the one tag that an expression is; nil where it is none, or has none.
func (o *Opening) Limits(x *cond.Expr) *project.Limits {
	if x == nil || x.Root.Op != cond.OpPath {
		return nil
	}
	if tag := o.App.Project.TagAt(x.Root.Path); tag != nil {
		return tag.Alarm
	}
	return nil
}

// OutOfLimits says whether one of the tags that paths name is outside its limits now. What is not known is not.
func (o *Opening) OutOfLimits(paths []*cond.Path) bool {
	for _, p := range paths {
		tag := o.App.Project.TagAt(p)
		if tag == nil || tag.Alarm == nil {
			continue
		}
		if f, ok := o.World.Reading(p).Value.Float64(); ok && tag.Alarm.Out(f) {
			return true
		}
	}
	return false
}

// TagsIn gives the paths of what an element's text or expression of a name asks for; none where there is neither.
func TagsIn(e *plan.Element, name string) []*cond.Path {
	if t := e.Texts[name]; t != nil {
		return t.Paths()
	}
	if x := e.Exprs[name]; x != nil {
		return x.Root.Paths()
	}
	return nil
}
