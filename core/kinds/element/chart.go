package element

import (
	"fmt"
	"slices"

	"ambergate/core/ask"
	"ambergate/core/cond"
	"ambergate/core/local"
	"ambergate/core/plan"
	"ambergate/core/project"
	"ambergate/core/use"
)

// ChartView is a chart as it is drawn: its points, largest first.
type ChartView struct {
	Label   string      `json:"label"`
	By      string      `json:"by"`
	Measure string      `json:"measure"`
	Splits  []PartView  `json:"splits,omitempty"` // in order of rank
	Points  []PointView `json:"points"`
	Span    string      `json:"span,omitempty"`    // points are spans of time: day, week, month; or of numbers: range
	Shows   string      `json:"shows,omitempty"`   // its measure in words
	Against string      `json:"against,omitempty"` // of dots: what puts them higher, in words
	Size    string      `json:"size,omitempty"`    // of dots: how large they are, in words

	AgainstUnit string     `json:"againstUnit,omitempty"`
	Unit        string     `json:"unit,omitempty"`
	Chooses     bool       `json:"chooses,omitempty"` // a point leads somewhere
	Again       bool       `json:"again,omitempty"`   // choosing the chosen point again shows all
	Input       string     `json:"input,omitempty"`   // of its own screen, that a chosen point narrows
	Several     bool       `json:"several,omitempty"` // several points can be chosen
	Refused     string     `json:"refused,omitempty"`
	Shape       string     `json:"shape,omitempty"`
	Beyond      int        `json:"beyond,omitempty"` // so many values are not shown
	Rest        *PointView `json:"rest,omitempty"`   // all of them as one, which cannot be chosen
}

// PointView is one bar with its parts.
type PointView struct {
	Value  string             `json:"value"`
	Label  string             `json:"label"`
	N      float64            `json:"n"`
	Parts  map[string]float64 `json:"parts,omitempty"`
	Chosen bool               `json:"chosen,omitempty"` // the screen shows just that
	Menu   []use.EntryView    `json:"menu,omitempty"`
	Before *float64           `json:"before,omitempty"` // what it was a year before
	More   []float64          `json:"more,omitempty"`   // of dots: how high, how large
}

// Chart counts or sums records by one field.
type Chart struct {
	project.ElementHead
	project.PointSource
	Label     string        `json:"label,omitempty"`
	Measure   string        `json:"measure,omitempty" jsonschema:"enum=count,enum=sum,enum=mean,enum=most,enum=least"`                                 // count (default), sum, mean, most, least
	Of        string        `json:"of,omitempty"`                                                                                                      // of the others than count: the field
	Split     string        `json:"split,omitempty"`                                                                                                   // path: each bar is divided by it
	SplitSpan string        `json:"splitSpan,omitempty" jsonschema:"enum=day,enum=week,enum=month,enum=quarter,enum=year"`                             // of a date or moment: how it is cut
	Shape     string        `json:"shape,omitempty" jsonschema:"enum=bars,enum=columns,enum=line,enum=area,enum=share,enum=grid,enum=dots,enum=table"` // how it is drawn; bars (default), along time columns
	Against   *Measured     `json:"against,omitempty"`                                                                                                 // of dots: what puts them higher or lower; the first measure goes from left to right
	Size      *Measured     `json:"size,omitempty"`                                                                                                    // of dots: how large they are
	Before    bool          `json:"before,omitempty"`                                                                                                  // of spans of time: also what it was a year before
	Rest      bool          `json:"rest,omitempty"`                                                                                                    // what is beyond the points is one more
	Points    int           `json:"points,omitempty"`                                                                                                  // at most; default 12
	Chosen    *project.Gate `json:"chosen,omitempty"`                                                                                                  // a point is chosen

	Menu map[string]*project.Entry `json:"menu,omitempty"` // what a point's menu offers
}

// shapes are how a chart can be drawn.
var shapes = []string{"bars", "columns", "line", "area", "share", "grid", "dots", "table"}

// Validate asks for a table and a field to count by.
func (spec *Chart) Validate() error {
	if spec.Table == "" || spec.By == "" {
		return fmt.Errorf("a chart needs a table and a field to count by")
	}
	if spec.Step < 0 || spec.Step > 0 && spec.Span != "" {
		return fmt.Errorf("ranges of a chart are wider than nothing, and of numbers alone")
	}
	if (spec.Shape == "dots") != (spec.Against != nil) || spec.Size != nil && spec.Against == nil {
		return fmt.Errorf("dots need two measures, and nothing else has a second one")
	}
	if spec.Against != nil && spec.Split != "" {
		return fmt.Errorf("dots have no parts")
	}
	for _, m := range []*Measured{spec.Against, spec.Size} {
		if err := m.validate(); err != nil {
			return err
		}
	}
	if spec.Points < 0 || spec.Points > 100 {
		return fmt.Errorf("a chart has 1 to 100 points")
	}
	if err := project.OneOf("span", spec.Span, append([]string{""}, project.Spans...)...); err != nil {
		return err
	}
	if err := project.OneOf("span of the parts", spec.SplitSpan, append([]string{""}, project.Spans...)...); err != nil {
		return err
	}
	if err := project.OneOf("shape", spec.Shape, append([]string{""}, shapes...)...); err != nil {
		return err
	}
	if err := project.ValidateMenu(spec.Menu); err != nil {
		return err
	}
	if spec.Split != "" && (spec.Measure == "mean" || spec.Measure == "most" || spec.Measure == "least") {
		return fmt.Errorf("only a count or a sum can be divided into parts")
	}
	if spec.Measure != "" && spec.Measure != "count" && spec.Of == "" {
		return fmt.Errorf("a %s needs its field", spec.Measure)
	}
	return project.OneOf("measure", spec.Measure, append([]string{""}, project.Measures...)...)
}

// Gates gives the gate of a chosen point, and those of a point's menu.
func (spec *Chart) Gates() map[string]*project.Gate {
	return project.WithMenu(project.GatesOn("point", spec.Chosen), spec.Menu)
}

// MenuEntries gives what a point's menu offers.
func (spec *Chart) MenuEntries() map[string]*project.Entry { return spec.Menu }

// Called names a point of it.
func (*Chart) Called(plan.Scene, *plan.Element) string { return "a point of the chart" }

func (spec *Chart) Plan(b *plan.Planner) {
	for _, path := range spec.paths() {
		if f, _ := b.App.Project.FieldAt(spec.Table, path); f == nil && path != "" {
			b.Broken("chart", path, cond.Problem{Message: "A field that it counts by is gone.", Length: 1})
		}
	}
}

func (spec *Chart) Ask(round *ask.Round, o *use.Opening, e *plan.Element) error {
	if len(e.Broken) > 0 || slices.ContainsFunc(spec.paths(), func(path string) bool { return path != "" && !o.MaySee(spec.Table, path) }) {
		return nil
	}
	match, err := o.Match(e.ID, spec.Table, false)
	if err != nil {
		return err
	}
	match = withoutOwn(o, e, spec, match)
	q := ask.GroupQuery{Table: o.App.Project.Tables[spec.Table], By: spec.By, Measure: spec.Measure, Of: spec.Of, More: spec.more(), Span: spec.Span, Step: spec.Step, Zone: o.World.Moment.Location().String(), Match: match, Limit: spec.Points, Rights: o.Rights}
	if q.Limit == 0 {
		q.Limit = 12
	}
	spec.askParts(o, &q)
	if f, _ := o.App.Project.FieldAt(spec.Table, spec.By); f.References != "" {
		set := plan.Paths{}
		(&plan.Planner{App: o.App}).NeedTitle(set, f.References, spec.By)
		q.Title, _ = o.Visible(spec.Table, set.Sorted())
	}
	if !spec.Before || spec.Span == "" {
		round.Group(q, func(groups []ask.Group) { o.Groups[e.ID] = groups })
		return nil
	}
	shown := q.Limit
	q.Limit += spansOfAYear[spec.Span]
	round.Group(q, func(groups []ask.Group) {
		o.Groups[yearBefore(e.ID)] = groups
		o.Groups[e.ID] = groups[max(0, len(groups)-shown):]
	})
	return nil
}

// NewView gives an empty view of it.
func (*Chart) NewView() any { return &ChartView{} }

func (spec *Chart) View(o *use.Opening, e *plan.Element, into *use.ElementView) {
	cv := &ChartView{Label: spec.Label, Measure: spec.Measure, Span: spec.Span, Shape: spec.Shape, Points: []PointView{}}
	if cv.Measure == "" {
		cv.Measure = "count"
	}
	if spec.Step > 0 {
		cv.Span = "range"
	}
	cv.Unit, cv.Shows = spec.measured(o, &Measured{spec.Measure, spec.Of})
	if spec.Against != nil {
		cv.AgainstUnit, cv.Against = spec.measured(o, spec.Against)
	}
	if spec.Size != nil {
		_, cv.Size = spec.measured(o, spec.Size)
	}
	into.View = cv
	f, _ := o.App.Project.FieldAt(spec.Table, spec.By)
	if f == nil || len(e.Broken) > 0 {
		cv.Refused = "A field that this chart counts by is gone."
		return
	}
	cv.By = f.Label
	if !o.MaySee(spec.Table, spec.By) {
		cv.Refused = "You may not view what this chart counts."
		return
	}
	var others map[string]bool
	cv.Splits, others = spec.parts(o, e)
	before := spec.yearBefore(o.Groups[yearBefore(e.ID)])
	for _, g := range o.Groups[e.ID] {
		if g.Rest > 0 {
			cv.Beyond = g.Rest
			if spec.Rest && (cv.Measure == "count" || cv.Measure == "sum") { // of others a sum says nothing
				cv.Rest = &PointView{Label: fmt.Sprintf("the rest (%d)", g.Rest), N: g.N, Parts: partsOf(g, others)}
			}
			continue
		}
		p := PointView{Value: g.Value.Wire(), Label: o.GroupWords(spec.Table, spec.By, g.Value, g.Row), N: g.N}
		if spec.Span != "" && g.Value.Known() && !g.Value.IsNull() {
			p.Label = spanWords(o.App.Language, g.Value, spec.Span)
		}
		if from, ok := g.Value.Float64(); ok && spec.Step > 0 {
			p.Label = numberWords(o.App.Language, from) + " to " + numberWords(o.App.Language, from+spec.Step)
		}
		p.Parts, p.Before, p.More = partsOf(g, others), before(g.Value), g.More
		cv.Points = append(cv.Points, p)
	}
	gate := e.Gates["point"]
	own := o.OwnInput(gate)
	if cv.Again = own != ""; cv.Again {
		cv.Input, cv.Several = own, o.Plan.Screen.Inputs[own].Several
	}
	for i := range cv.Points {
		p := &cv.Points[i]
		at := use.Aim{Point: p.Value, Span: spec.Span, Step: spec.Step}
		p.Chosen = own != "" && p.Value != "" && o.IsChosen(own, p.Value, cv.Span)
		p.Menu = o.MenuOf(e, spec.Menu, at)
		if gate != nil && i == 0 {
			cv.Chooses = o.Judge(gate, at).Open()
		}
	}
}

// withoutOwn leaves a chart whole that the screen is narrowed by: its other points stay there to be chosen.
func withoutOwn(o *use.Opening, e *plan.Element, spec *Chart, match []ask.Match) []ask.Match {
	gate := e.Gates["point"]
	if o.OwnInput(gate) == "" {
		return match
	}
	own := map[string]bool{}
	for id, b := range gate.Cases[0].Move.Only().Bind {
		if in := o.Plan.Screen.Inputs[id]; in != nil && use.ChoosesPoint(b) {
			if path, _ := o.App.Project.Narrows(in, spec.Table); path == spec.By {
				own[path] = true
			}
		}
	}
	return slices.DeleteFunc(slices.Clone(match), func(m ask.Match) bool { return own[m.Path] })
}

// spanWords says a span of time by its first day.
func spanWords(l *local.Language, v cond.Value, span string) string {
	day, ok := v.Time()
	if !ok {
		return v.Wire()
	}
	switch end := use.SpanEnd(day, span); {
	case span == "month":
		return l.Month(day)
	case span == "quarter":
		return fmt.Sprintf("%d/%d", (int(day.Month())+2)/3, day.Year())
	case span == "year":
		return day.Format("2006")
	case span == "week":
		return l.Days(day, end)
	}
	return l.Date(day)
}
