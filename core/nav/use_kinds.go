package nav

import "context"

// What the users' side asks of each kind.

// DrawnElement is what is asked of a kind of element.
type DrawnElement interface {
	// Fetch gets what it shows beyond the screen's own record.
	Fetch(ctx context.Context, o *Opening, e *ElementPlan, src Sources) error
	// View draws it.
	View(o *Opening, e *ElementPlan, into *ElementView)
	// NewView gives an empty view of it, to be read into.
	NewView() any
}

// ShutEffect is what is asked of a kind of effect before it is done.
type ShutEffect interface {
	// Shut says why the user may not do it here, if so; row is one of several that it is done with, or nil.
	Shut(o *Opening, e *EffectPlan, row *Row) (Verdict, bool)
}

// AimedMove is what is asked of a kind of move.
type AimedMove interface {
	// Aim works out where it leads now, or closes the way with the reason.
	Aim(o *Opening, v *Verdict, m *MovePlan, w *world, at aim)
	// Now says what it does: “goes back”.
	Now(v Verdict) string
}

// DoneEffect is what is asked of a kind of effect when it is done.
type DoneEffect interface {
	// Do makes the change; a question instead of it means that nothing was changed.
	Do(ctx context.Context, r effectRun) (*Question, error)
}

// DrawnWay is answered by triggers of ways of which browsers must know more than their name.
type DrawnWay interface{ Draw(v *WayView) }

// Sampled is answered by elements that show live values over time.
type Sampled interface {
	// Samples gives the live values, by line.
	Samples(o *Opening, e *ElementPlan) map[string]TagRef
}

// SampledTrigger is answered by triggers that are set off on something of which the first stands
// for whichever it is, where nothing is pressed.
type SampledTrigger interface {
	Sample(o *Opening, e *ElementPlan) aim
}

// TrendRefs gives the live values behind an element that shows them over time, by line.
func (o *Opening) TrendRefs(element string) map[string]TagRef {
	for _, e := range o.plan.Elements {
		if s, ok := e.Spec.(Sampled); ok && e.ID == element {
			return s.Samples(o, e)
		}
	}
	return map[string]TagRef{}
}
