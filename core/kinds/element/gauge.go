package element

import (
	"fmt"
	"strconv"

	"ambergate/core/plan"
	"ambergate/core/project"
	"ambergate/core/use"
)

// GaugeView is a live number as a bar. State is known or unknown; nothing stands for a value that is not good.
type GaugeView struct {
	Words string   `json:"words"`
	State string   `json:"state"`
	Value *float64 `json:"value,omitempty"`
	Shown string   `json:"shown"`
	Set   *float64 `json:"set,omitempty"`
	Unit  string   `json:"unit,omitempty"`
	Min   float64  `json:"min"`
	Max   float64  `json:"max"`
	Low   float64  `json:"low"`
	High  float64  `json:"high"`
	Out   bool     `json:"out,omitempty"` // outside the band
}

// Gauge shows one live number as a bar, with the band it should be in.
type Gauge struct {
	project.ElementHead
	use.NothingToFetch
	Words string  `json:"words"`
	Value string  `json:"value"`         // expression
	Set   string  `json:"set,omitempty"` // expression: where it should be
	Unit  string  `json:"unit,omitempty"`
	Min   float64 `json:"min"`
	Max   float64 `json:"max"`
	Low   float64 `json:"low,omitempty"` // none of both: the limits that its tag says
	High  float64 `json:"high,omitempty"`
	Digit int     `json:"digits,omitempty"`
}

// Validate asks for a value and a range.
func (spec *Gauge) Validate() error {
	if spec.Value == "" {
		return fmt.Errorf("a gauge needs a value")
	}
	if spec.Max <= spec.Min {
		return fmt.Errorf("a gauge’s range ends above where it begins")
	}
	return nil
}

// Gates gives none.
func (spec *Gauge) Gates() map[string]*project.Gate { return nil }

// Called names it.
func (*Gauge) Called(plan.Scene, *plan.Element) string { return "gauge" }

func (spec *Gauge) Plan(b *plan.Planner) {
	b.Element.Exprs["value"] = b.Expression("value", spec.Value)
	if spec.Set != "" {
		b.Element.Exprs["set"] = b.Expression("set value", spec.Set)
	}
}

// NewView gives an empty view of it.
func (*Gauge) NewView() any { return &GaugeView{} }

func (spec *Gauge) View(o *use.Opening, e *plan.Element, into *use.ElementView) {
	gv := &GaugeView{Words: spec.Words, State: "unknown", Shown: "–", Unit: spec.Unit, Min: spec.Min, Max: spec.Max, Low: spec.Low, High: spec.High}
	into.View = gv
	if l := o.Limits(e.Exprs["value"]); l != nil && spec.High <= spec.Low {
		gv.Low, gv.High = spec.Min, spec.Max // as its tag has it
		if l.Low != nil {
			gv.Low = *l.Low
		}
		if l.High != nil {
			gv.High = *l.High
		}
	}
	if v := o.Number(e, "value"); v != nil {
		gv.State, gv.Value, gv.Shown = "known", v, o.App.Language.Decimal(strconv.FormatFloat(*v, 'f', spec.Digit, 64))
		gv.Out = gv.High > gv.Low && (*v < gv.Low || *v > gv.High)
	} else {
		into.Reason = o.Why(e, "value")
	}
	gv.Set = o.Number(e, "set")
}
