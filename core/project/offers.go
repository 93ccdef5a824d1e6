package project

// Spans are the stretches of time that records are counted by; Measures what is told of them.
var (
	Spans    = []string{"day", "week", "month", "quarter", "year"}
	Measures = []string{"count", "sum", "mean", "most", "least"}
)

// PointSource is what the points of an element, the marks of a chart, stand for.
type PointSource struct {
	Table string  `json:"table"`
	By    string  `json:"by"`                                                                               // path of the field that the points are made by
	Span  string  `json:"span,omitempty" jsonschema:"enum=day,enum=week,enum=month,enum=quarter,enum=year"` // of a date or moment
	Step  float64 `json:"step,omitempty"`                                                                   // of a number: how wide the ranges are that it is counted by
}

// PointsBy gives it.
func (p *PointSource) PointsBy() *PointSource { return p }

// PointsOf gives what the points of an element stand for; nil when it has none.
func PointsOf(e *Element) *PointSource {
	if p, ok := e.Spec.(interface{ PointsBy() *PointSource }); ok {
		return p.PointsBy()
	}
	return nil
}

// UnwiredTrigger gives what a way of an element will be set off by where it has none yet; "" for an
// element that is complete without one.
func UnwiredTrigger(e *Element) string {
	if t, ok := e.Spec.(interface{ TriggerName() string }); ok {
		return t.TriggerName()
	}
	return ""
}

// Tab is one tab of a block.
type Tab struct {
	Item
	Label  string `json:"label"`
	Opened *Gate  `json:"opened,omitempty"` // it is opened
}

// TabsOf gives the tabs of an element that is a block of them; nil when it is none.
func TabsOf(e *Element) map[string]*Tab {
	if b, ok := e.Spec.(interface{ TabList() map[string]*Tab }); ok {
		return b.TabList()
	}
	return nil
}
