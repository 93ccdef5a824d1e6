package nav

import (
	"strconv"

	"ambergate/core/cond"
	"ambergate/core/project"
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

// LampView is a live yes or no.
type LampView struct {
	Words    string `json:"words"`
	State    string `json:"state"` // on, off, unknown
	Shown    string `json:"shown"`
	Abnormal bool   `json:"abnormal,omitempty"`
}

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

// FigureView is a picture with live words on it.
type FigureView struct {
	Words   string     `json:"words,omitempty"`
	Picture string     `json:"picture"`
	Marks   []MarkView `json:"marks"`
}

// MarkView is one text on a figure.
type MarkView struct {
	X        float64 `json:"x"`
	Y        float64 `json:"y"`
	Words    string  `json:"words"`
	Abnormal bool    `json:"abnormal,omitempty"`
}

type gaugeKind struct{ nothingToFetch }

func (gaugeKind) plan(b *planner, e *project.Element) {
	spec := e.Spec.(*project.Gauge)
	b.element.Exprs["value"] = b.expression("value", spec.Value)
	if spec.Set != "" {
		b.element.Exprs["set"] = b.expression("set value", spec.Set)
	}
}

func (gaugeKind) view(o *Opening, e *ElementPlan, into *ElementView) {
	spec := e.Spec.(*project.Gauge)
	gv := &GaugeView{Words: spec.Words, State: "unknown", Shown: "–", Unit: spec.Unit, Min: spec.Min, Max: spec.Max, Low: spec.Low, High: spec.High}
	into.Gauge = gv
	if v := o.number(e, "value"); v != nil {
		gv.State, gv.Value, gv.Shown = "known", v, strconv.FormatFloat(*v, 'f', spec.Digit, 64)
		gv.Out = spec.High > spec.Low && (*v < spec.Low || *v > spec.High)
	} else {
		into.Reason = o.why(e, "value")
	}
	gv.Set = o.number(e, "set")
}

// number gives one of the element's expressions as a number; nil when it is not known.
func (o *Opening) number(e *ElementPlan, name string) *float64 {
	expr := e.Exprs[name]
	if expr == nil {
		return nil
	}
	f, ok := expr.Root.Eval(o.world).Float64()
	if !ok {
		return nil
	}
	return &f
}

func (o *Opening) why(e *ElementPlan, name string) string {
	if e.Exprs[name] == nil {
		return "its expression cannot be read"
	}
	return e.Exprs[name].Root.Eval(o.world).Why()
}

type lampKind struct{ nothingToFetch }

func (lampKind) plan(b *planner, e *project.Element) {
	b.element.Exprs["value"] = b.condition("value", e.Spec.(*project.Lamp).Value)
}

func (lampKind) view(o *Opening, e *ElementPlan, into *ElementView) {
	spec := e.Spec.(*project.Lamp)
	into.Lamp = &LampView{Words: spec.Words, State: "unknown", Shown: "not available"}
	if e.Exprs["value"] == nil {
		return
	}
	switch v := e.Exprs["value"].Root.Eval(o.world); {
	case !v.Known():
		into.Reason = v.Why()
	case v.True():
		into.Lamp.State, into.Lamp.Shown, into.Lamp.Abnormal = "on", spec.On, spec.Abnormal == "on"
	default:
		into.Lamp.State, into.Lamp.Shown, into.Lamp.Abnormal = "off", spec.Off, spec.Abnormal == "off"
	}
}

type trendKind struct{ nothingToFetch }

func (trendKind) plan(b *planner, e *project.Element) {
	for id, l := range e.Spec.(*project.Trend).Lines {
		b.element.Exprs[id] = b.expression("line", l.Value)
	}
}

func (trendKind) view(o *Opening, e *ElementPlan, into *ElementView) {
	spec := e.Spec.(*project.Trend)
	into.Trend = &TrendView{Words: spec.Words, Minutes: spec.Minutes, Lines: []LineView{}}
	for _, l := range project.Ordered(spec.Lines) {
		into.Trend.Lines = append(into.Trend.Lines, LineView{ID: l.ID, Words: l.Words, Unit: l.Unit, Value: o.number(e, l.ID), Limit: l.Limit, Max: l.Max})
	}
}

// TrendRefs gives the live value behind each line of a trend on the screen, by line id.
func (o *Opening) TrendRefs(element string) map[string]TagRef {
	out := map[string]TagRef{}
	for _, e := range o.plan.Elements {
		if e.ID != element || e.Kind != "trend" {
			continue
		}
		for id, expr := range e.Exprs {
			if expr == nil || expr.Root.Op != cond.OpPath {
				continue
			}
			if ref, ok := o.refOf(expr.Root.Path); ok {
				out[id] = ref
			}
		}
	}
	return out
}

type figureKind struct{ nothingToFetch }

func (figureKind) plan(b *planner, e *project.Element) {
	for id, m := range e.Spec.(*project.Figure).Marks {
		b.element.Texts[id] = b.template("mark", m.Words)
		if m.Abnormal != "" {
			b.element.Exprs[id] = b.condition("abnormal", m.Abnormal)
		}
	}
}

func (figureKind) view(o *Opening, e *ElementPlan, into *ElementView) {
	spec := e.Spec.(*project.Figure)
	into.Figure = &FigureView{Words: spec.Words, Picture: spec.Picture, Marks: []MarkView{}}
	for _, m := range project.Ordered(spec.Marks) {
		mv := MarkView{X: m.X, Y: m.Y, Words: o.text(e, m.ID)}
		if c := e.Exprs[m.ID]; c != nil {
			mv.Abnormal = c.Root.Eval(o.world).True()
		}
		into.Figure.Marks = append(into.Figure.Marks, mv)
	}
}
