package nav

import (
	"fmt"
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

// Gauge shows one live number as a bar, with the band it should be in.
type Gauge struct {
	project.ElementHead
	nothingToFetch
	Words string  `json:"words"`
	Value string  `json:"value"`         // expression
	Set   string  `json:"set,omitempty"` // expression: where it should be
	Unit  string  `json:"unit,omitempty"`
	Min   float64 `json:"min"`
	Max   float64 `json:"max"`
	Low   float64 `json:"low,omitempty"`
	High  float64 `json:"high,omitempty"`
	Digit int     `json:"digits,omitempty"`
}

// Validate asks for a value and a range.
func (spec *Gauge) Validate() error {
	if spec.Value == "" {
		return fmt.Errorf("a gauge needs a value")
	}
	if spec.Max <= spec.Min {
		return fmt.Errorf("a gauge's range ends above where it begins")
	}
	return nil
}

// Gates gives none.
func (spec *Gauge) Gates() map[string]*project.Gate { return nil }

// Called names it.
func (*Gauge) Called(scene, *ElementPlan) string { return "gauge" }

func (spec *Gauge) Plan(b *planner) {
	b.element.Exprs["value"] = b.expression("value", spec.Value)
	if spec.Set != "" {
		b.element.Exprs["set"] = b.expression("set value", spec.Set)
	}
}

// NewView gives an empty view of it.
func (*Gauge) NewView() any { return &GaugeView{} }

func (spec *Gauge) View(o *Opening, e *ElementPlan, into *ElementView) {
	gv := &GaugeView{Words: spec.Words, State: "unknown", Shown: "–", Unit: spec.Unit, Min: spec.Min, Max: spec.Max, Low: spec.Low, High: spec.High}
	into.View = gv
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

// Lamp shows a live yes or no.
type Lamp struct {
	project.ElementHead
	nothingToFetch
	Words    string `json:"words"`
	Value    string `json:"value"` // condition
	On       string `json:"on"`
	Off      string `json:"off"`
	Abnormal string `json:"abnormal,omitempty"` // on, off: the state that is to be noticed
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
func (*Lamp) Called(scene, *ElementPlan) string { return "lamp" }

func (spec *Lamp) Plan(b *planner) {
	b.element.Exprs["value"] = b.condition("value", spec.Value)
}

// NewView gives an empty view of it.
func (*Lamp) NewView() any { return &LampView{} }

func (spec *Lamp) View(o *Opening, e *ElementPlan, into *ElementView) {
	lv := &LampView{Words: spec.Words, State: "unknown", Shown: "not available"}
	into.View = lv
	if e.Exprs["value"] == nil {
		return
	}
	switch v := e.Exprs["value"].Root.Eval(o.world); {
	case !v.Known():
		into.Reason = v.Why()
	case v.True():
		lv.State, lv.Shown, lv.Abnormal = "on", spec.On, spec.Abnormal == "on"
	default:
		lv.State, lv.Shown, lv.Abnormal = "off", spec.Off, spec.Abnormal == "off"
	}
}

// Line is one line of a trend.
type Line struct {
	ID    string   `json:"-"`
	Pos   float64  `json:"pos"`
	Words string   `json:"words"`
	Value string   `json:"value"` // expression: the path of a tag
	Unit  string   `json:"unit,omitempty"`
	Limit *float64 `json:"limit,omitempty"`
	Max   float64  `json:"max"` // top of its own scale, from 0
}

// Position gives the place among others.
func (l *Line) Position() float64 { return l.Pos }

// Trend draws live numbers over the last minutes.
type Trend struct {
	project.ElementHead
	nothingToFetch
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
func (*Trend) Called(scene, *ElementPlan) string { return "trend" }

func (spec *Trend) Plan(b *planner) {
	for id, l := range spec.Lines {
		b.element.Exprs[id] = b.expression("line", l.Value)
	}
}

// NewView gives an empty view of it.
func (*Trend) NewView() any { return &TrendView{} }

func (spec *Trend) View(o *Opening, e *ElementPlan, into *ElementView) {
	tv := &TrendView{Words: spec.Words, Minutes: spec.Minutes, Lines: []LineView{}}
	into.View = tv
	for _, l := range project.Ordered(spec.Lines) {
		tv.Lines = append(tv.Lines, LineView{ID: l.ID, Words: l.Words, Unit: l.Unit, Value: o.number(e, l.ID), Limit: l.Limit, Max: l.Max})
	}
}

// Samples gives the live value behind each of its lines, by line id.
func (*Trend) Samples(o *Opening, e *ElementPlan) map[string]TagRef {
	out := map[string]TagRef{}
	for id, expr := range e.Exprs {
		if expr == nil || expr.Root.Op != cond.OpPath {
			continue
		}
		if ref, ok := o.refOf(expr.Root.Path); ok {
			out[id] = ref
		}
	}
	return out
}

// Mark is a live text on a figure, at a place in hundredths of its width and height.
type Mark struct {
	ID       string  `json:"-"`
	Pos      float64 `json:"pos"`
	X        float64 `json:"x"`
	Y        float64 `json:"y"`
	Words    string  `json:"words"`              // template
	Abnormal string  `json:"abnormal,omitempty"` // condition
}

// Position gives the place among others.
func (m *Mark) Position() float64 { return m.Pos }

// Figure is a picture with live words at places on it.
type Figure struct {
	project.ElementHead
	nothingToFetch
	Words   string           `json:"words,omitempty"`
	Picture string           `json:"picture"` // name of a picture that the project brings
	Marks   map[string]*Mark `json:"marks,omitempty"`
}

// Validate asks for a picture.
func (spec *Figure) Validate() error {
	if spec.Picture == "" {
		return fmt.Errorf("a figure needs a picture")
	}
	for id, m := range spec.Marks {
		m.ID = id
	}
	return nil
}

// Gates gives none.
func (spec *Figure) Gates() map[string]*project.Gate { return nil }

// Called names it.
func (*Figure) Called(scene, *ElementPlan) string { return "figure" }

func (spec *Figure) Plan(b *planner) {
	for id, m := range spec.Marks {
		b.element.Texts[id] = b.template("mark", m.Words)
		if m.Abnormal != "" {
			b.element.Exprs[id] = b.condition("abnormal", m.Abnormal)
		}
	}
}

// NewView gives an empty view of it.
func (*Figure) NewView() any { return &FigureView{} }

func (spec *Figure) View(o *Opening, e *ElementPlan, into *ElementView) {
	fv := &FigureView{Words: spec.Words, Picture: spec.Picture, Marks: []MarkView{}}
	into.View = fv
	for _, m := range project.Ordered(spec.Marks) {
		mv := MarkView{X: m.X, Y: m.Y, Words: o.text(e, m.ID)}
		if c := e.Exprs[m.ID]; c != nil {
			mv.Abnormal = c.Root.Eval(o.world).True()
		}
		fv.Marks = append(fv.Marks, mv)
	}
}
