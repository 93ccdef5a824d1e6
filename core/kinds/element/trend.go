package element

import (
	"fmt"

	"ambergate/core/ask"
	"ambergate/core/cond"
	"ambergate/core/plan"
	"ambergate/core/project"
	"ambergate/core/use"
)

// TrendView is live numbers over time; their history is asked for apart.
type TrendView struct {
	Words   string     `json:"words"`
	Minutes int        `json:"minutes"`
	Lines   []LineView `json:"lines"`
}

// LineView is one line of a trend with its value of now.
type LineView struct {
	ID    string   `json:"id"`
	Words string   `json:"words"`
	Unit  string   `json:"unit,omitempty"`
	Value *float64 `json:"value,omitempty"`
	Limit *float64 `json:"limit,omitempty"`
	Max   float64  `json:"max"`
}

// Line is one line of a trend.
type Line struct {
	project.Item
	Words string   `json:"words"`
	Value string   `json:"value"` // expression: the path of a tag
	Unit  string   `json:"unit,omitempty"`
	Limit *float64 `json:"limit,omitempty"`
	Max   float64  `json:"max"` // top of its own scale, from 0
}

// Trend draws live numbers over the last minutes.
type Trend struct {
	project.ElementHead
	use.NothingToFetch
	Words   string           `json:"words"`
	Minutes int              `json:"minutes"`
	Lines   map[string]*Line `json:"lines"`
}

// Validate bounds the time and asks for lines.
func (spec *Trend) Validate() error {
	if spec.Minutes < 1 || spec.Minutes > 60 {
		return fmt.Errorf("a trend shows 1 to 60 minutes")
	}
	if len(spec.Lines) == 0 || len(spec.Lines) > 6 {
		return fmt.Errorf("a trend has one to six lines")
	}
	for id, l := range spec.Lines {
		l.ID = id
	}
	return nil
}

// Gates gives none.
func (spec *Trend) Gates() map[string]*project.Gate { return nil }

// Called names it.
func (*Trend) Called(plan.Scene, *plan.Element) string { return "trend" }

func (spec *Trend) Plan(b *plan.Planner) {
	for id, l := range spec.Lines {
		b.Element.Exprs[id] = b.Expression("line", l.Value)
	}
}

// NewView gives an empty view of it.
func (*Trend) NewView() any { return &TrendView{} }

func (spec *Trend) View(o *use.Opening, e *plan.Element, into *use.ElementView) {
	tv := &TrendView{Words: spec.Words, Minutes: spec.Minutes, Lines: []LineView{}}
	into.View = tv
	for _, l := range project.Ordered(spec.Lines) {
		tv.Lines = append(tv.Lines, LineView{ID: l.ID, Words: l.Words, Unit: l.Unit, Value: o.Number(e, l.ID), Limit: l.limit(o, e), Max: l.Max})
	}
}

// limit gives where a line is drawn across: as it says, else the high limit of its tag.
func (l *Line) limit(o *use.Opening, e *plan.Element) *float64 {
	if limits := o.Limits(e.Exprs[l.ID]); l.Limit == nil && limits != nil {
		return limits.High
	}
	return l.Limit
}

// Sampled says that its history is kept.
func (*Trend) Sampled() {}

// Samples gives the live value behind each of its lines, by line id.
func (*Trend) Samples(o *use.Opening, e *plan.Element) map[string]ask.TagRef {
	out := map[string]ask.TagRef{}
	for id, expr := range e.Exprs {
		if expr == nil || expr.Root.Op != cond.OpPath {
			continue
		}
		if ref, ok := o.RefOf(expr.Root.Path); ok {
			out[id] = ref
		}
	}
	return out
}
