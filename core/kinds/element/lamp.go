package element

import (
	"fmt"

	"ambergate/core/plan"
	"ambergate/core/project"
	"ambergate/core/use"
)

// LampView is a live yes or no.
type LampView struct {
	Words    string `json:"words"`
	State    string `json:"state"` // on, off, unknown
	Shown    string `json:"shown"`
	Abnormal bool   `json:"abnormal,omitempty"`
}

// Lamp shows a live yes or no.
type Lamp struct {
	project.ElementHead
	use.NothingToFetch
	Words    string `json:"words"`
	Value    string `json:"value"` // condition; or a number of the plant that has limits: on while it is outside
	On       string `json:"on"`
	Off      string `json:"off"`
	Abnormal string `json:"abnormal,omitempty" jsonschema:"enum=on,enum=off"` // on, off: the state that is to be noticed
}

// Validate asks for a value.
func (spec *Lamp) Validate() error {
	if spec.Value == "" {
		return fmt.Errorf("a lamp needs a condition")
	}
	return project.OneOf("abnormal state", spec.Abnormal, "", "on", "off")
}

// Gates gives none.
func (spec *Lamp) Gates() map[string]*project.Gate { return nil }

// Called names it.
func (*Lamp) Called(plan.Scene, *plan.Element) string { return "lamp" }

func (spec *Lamp) Plan(b *plan.Planner) {
	b.Element.Exprs["value"] = b.ConditionOrLimits("value", spec.Value)
}

// NewView gives an empty view of it.
func (*Lamp) NewView() any { return &LampView{} }

func (spec *Lamp) View(o *use.Opening, e *plan.Element, into *use.ElementView) {
	lv := &LampView{Words: spec.Words, State: "unknown", Shown: "not available"}
	into.View = lv
	if e.Exprs["value"] == nil {
		return
	}
	v := e.Exprs["value"].Root.Eval(o.World)
	f, number := v.Float64()
	limits := o.Limits(e.Exprs["value"])
	switch {
	case !v.Known():
		into.Reason = v.Why()
	case number && limits == nil: // its limits are gone: that is told as broken
	case number && limits.Out(f):
		lv.State, lv.Shown, lv.Abnormal = "on", spec.On, true
	case number:
		lv.State, lv.Shown = "off", spec.Off
	case v.True():
		lv.State, lv.Shown, lv.Abnormal = "on", spec.On, spec.Abnormal == "on"
	default:
		lv.State, lv.Shown, lv.Abnormal = "off", spec.Off, spec.Abnormal == "off"
	}
}
