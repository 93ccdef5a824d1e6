package prove

import (
	"slices"

	"ambergate/core/cond"
)

// set is values of one path: some of its declared choices, or intervals of an order; with or without empty.
type set struct {
	empty   bool   // the empty value is in it
	choices []bool // by rank; nil for intervals
	spans   []span // disjoint, in order
	steps   bool   // whole numbers and dates: nothing lies between two neighbours
}

// span is one interval; a nil end is open to that side for ever.
type span struct {
	from, to       *cond.Value
	fromOut, toOut bool // the end itself is not in it
}

// point is the interval of one value.
func point(v cond.Value) span { return span{from: &v, to: &v} }

func (s span) isEmpty(steps bool) bool {
	if s.from == nil || s.to == nil {
		return false
	}
	c, _ := cond.Compare(*s.from, *s.to)
	switch {
	case c > 0:
		return true
	case c == 0:
		return s.fromOut || s.toOut
	case !steps:
		return false
	}
	return s.firstStep() > s.lastStep()
}

// firstStep and lastStep give the ends of an interval of whole steps.
func (s span) firstStep() int64 {
	i, exact := stepsOf(*s.from)
	if !exact || s.fromOut {
		i++ // floor(x) + 1, which is also the next one after an end that is out
	}
	return i
}

func (s span) lastStep() int64 {
	i, exact := stepsOf(*s.to)
	if exact && s.toOut {
		i--
	}
	return i
}

// stepsOf rounds a number or date down to a whole step.
func stepsOf(v cond.Value) (int64, bool) {
	if n, whole := v.Steps(); whole {
		return n, true
	}
	f, _ := v.Float64()
	i := int64(f)
	if float64(i) > f {
		i--
	}
	return i, cond.Equal(cond.Int(i), v)
}

func (s span) meet(t span) span {
	if t.from != nil {
		if s.from == nil {
			s.from, s.fromOut = t.from, t.fromOut
		} else if c, _ := cond.Compare(*t.from, *s.from); c > 0 || c == 0 && t.fromOut {
			s.from, s.fromOut = t.from, t.fromOut
		}
	}
	if t.to != nil {
		if s.to == nil {
			s.to, s.toOut = t.to, t.toOut
		} else if c, _ := cond.Compare(*t.to, *s.to); c < 0 || c == 0 && t.toOut {
			s.to, s.toOut = t.to, t.toOut
		}
	}
	return s
}

// meet gives what is in both sets.
func (s set) meet(t set) set {
	out := set{empty: s.empty && t.empty, steps: s.steps}
	if s.choices != nil {
		out.choices = make([]bool, len(s.choices))
		for i := range s.choices {
			out.choices[i] = s.choices[i] && t.choices[i]
		}
		return out
	}
	for _, a := range s.spans {
		for _, b := range t.spans {
			if m := a.meet(b); !m.isEmpty(s.steps) {
				out.spans = append(out.spans, m)
			}
		}
	}
	return out
}

// without gives the rest: everything that is not in the set, the empty value too where there can be one.
func (s set) without(nullable bool) set {
	out := set{empty: nullable && !s.empty, steps: s.steps}
	if s.choices != nil {
		out.choices = make([]bool, len(s.choices))
		for i, in := range s.choices {
			out.choices[i] = !in
		}
		return out
	}
	out.spans = []span{{}}
	for _, a := range s.spans {
		var rest []span
		for _, gap := range []span{{to: a.from, toOut: !a.fromOut}, {from: a.to, fromOut: !a.toOut}} {
			if gap.from == nil && gap.to == nil {
				continue // the interval is open to that side
			}
			for _, b := range out.spans {
				if m := b.meet(gap); !m.isEmpty(s.steps) {
					rest = append(rest, m)
				}
			}
		}
		out.spans = rest
	}
	return out
}

// nothing says whether no value at all is in the set.
func (s set) nothing() bool {
	return !s.empty && len(s.spans) == 0 && !slices.Contains(s.choices, true)
}

// surely says whether some value is in the set for certain: between two texts there need not be one.
func (s set) surely(kind cond.Kind) bool {
	if s.empty || slices.Contains(s.choices, true) {
		return true
	}
	for _, a := range s.spans {
		dense := kind == cond.Decimal || s.steps
		if dense || a.to == nil || a.from != nil && !a.fromOut || a.to != nil && !a.toOut {
			return true
		}
	}
	return false
}
