package element

import (
	"fmt"
	"time"

	"ambergate/core/ask"
	"ambergate/core/cond"
	"ambergate/core/plan"
	"ambergate/core/project"
	"ambergate/core/use"
)

// TotalView is one number as it is drawn.
type TotalView struct {
	Words   string   `json:"words"`
	Value   *float64 `json:"value,omitempty"` // none: there is nothing to measure
	Unit    string   `json:"unit,omitempty"`
	Of      string   `json:"of,omitempty"`     // the span of time that it is of: November 2026
	Before  *float64 `json:"before,omitempty"` // what it was in the span before
	Then    string   `json:"then,omitempty"`   // that span
	Refused string   `json:"refused,omitempty"`
	Way     bool     `json:"way,omitempty"` // it leads somewhere
	Href    string   `json:"href,omitempty"`
}

// Total is one number over records: how many there are, or what one of their fields comes to; of the span of time that
// is now, with that of the one before, where a date is named.
type Total struct {
	project.ElementHead
	Words    string        `json:"words"`
	Table    string        `json:"table"`
	Relation string        `json:"relation,omitempty"`                                                                // field of the table that names the screen's record
	Measure  string        `json:"measure,omitempty" jsonschema:"enum=count,enum=sum,enum=mean,enum=most,enum=least"` // count (default), sum, mean, most, least
	Of       string        `json:"of,omitempty"`                                                                      // of the others than count: the field
	When     string        `json:"when,omitempty"`                                                                    // path of a date or moment: only what is of the span that is now
	Span     string        `json:"span,omitempty" jsonschema:"enum=day,enum=week,enum=month,enum=quarter,enum=year"`  // of When
	Gate     *project.Gate `json:"gate,omitempty"`
}

// Validate asks for words, a table and what the measure is of.
func (spec *Total) Validate() error {
	if spec.Words == "" || spec.Table == "" {
		return fmt.Errorf("a number needs words, and a table")
	}
	if spec.Measure != "" && spec.Measure != "count" && spec.Of == "" {
		return fmt.Errorf("a %s needs its field", spec.Measure)
	}
	if (spec.When == "") != (spec.Span == "") {
		return fmt.Errorf("a date and the span of time go together")
	}
	if err := project.OneOf("span", spec.Span, append([]string{""}, project.Spans...)...); err != nil {
		return err
	}
	return project.OneOf("measure", spec.Measure, append([]string{""}, project.Measures...)...)
}

// Gates gives the gate of the pressed number.
func (spec *Total) Gates() map[string]*project.Gate { return project.GatesOn("release", spec.Gate) }

// Called names it by its words.
func (spec *Total) Called(plan.Scene, *plan.Element) string { return spec.Words }

// Pressed says what sets off its way.
func (*Total) Pressed() string { return "the number is pressed" }

func (spec *Total) Plan(b *plan.Planner) {
	for _, path := range []string{spec.Of, spec.When, spec.Relation} {
		if f, _ := b.App.Project.FieldAt(spec.Table, path); f == nil && path != "" {
			b.Broken("number", path, cond.Problem{Message: "A field that it measures by is gone.", Length: 1})
		}
	}
	if b.App.Project.Tables[spec.Table] == nil {
		b.Broken("number", spec.Table, cond.Problem{Message: "The table that it measures is gone.", Length: 1})
	}
}

// seen says whether the user may see all that it is made of.
func (spec *Total) seen(o *use.Opening) bool {
	for _, path := range []string{spec.Of, spec.When, spec.Relation} {
		if path != "" && !o.MaySee(spec.Table, path) {
			return false
		}
	}
	return o.App.Project.Tables[spec.Table] != nil && o.Rights.On(spec.Table).View
}

// Ask asks for the number, or for those of the spans of time.
func (spec *Total) Ask(round *ask.Round, o *use.Opening, e *plan.Element) error {
	if len(e.Broken) > 0 || !spec.seen(o) || spec.Relation != "" && o.World.Record == nil {
		return nil
	}
	match, err := o.Match(e.ID, spec.Table, false)
	if err != nil {
		return err
	}
	if spec.Relation != "" {
		match = append(match, ask.Match{Path: spec.Relation, Compare: "is", Value: cond.Key(o.World.Record.Key)})
	}
	q := ask.GroupQuery{Table: o.App.Project.Tables[spec.Table], By: spec.When, Span: spec.Span, Measure: spec.Measure, Of: spec.Of, Zone: o.World.Moment.Location().String(), Match: match, Rights: o.Rights, Limit: 1}
	if spec.When != "" {
		now, then := spec.spans(o)
		f, _ := o.App.Project.FieldAt(spec.Table, spec.When)
		days, err := o.Days(spec.When, f.TypeOf(), then, use.SpanEnd(now, spec.Span))
		if err != nil {
			return err
		}
		q.Match, q.Limit = append(q.Match, days...), 2
	}
	round.Group(q, func(groups []ask.Group) { o.Groups[e.ID] = groups })
	return nil
}

// spans gives the first days of the span that is now, and of the one before.
func (spec *Total) spans(o *use.Opening) (now, then time.Time) {
	today := o.World.Moment
	day := time.Date(today.Year(), today.Month(), today.Day(), 0, 0, 0, 0, time.UTC)
	now = use.SpanStart(day, spec.Span)
	return now, use.SpanStart(now.AddDate(0, 0, -1), spec.Span)
}

// NewView gives an empty view of it.
func (*Total) NewView() any { return &TotalView{} }

func (spec *Total) View(o *use.Opening, e *plan.Element, into *use.ElementView) {
	tv := &TotalView{Words: spec.Words}
	into.View = tv
	switch {
	case len(e.Broken) > 0:
		tv.Refused = "What this number is made of is gone."
		return
	case !spec.seen(o):
		tv.Refused = "You may not view what this number is made of."
		return
	}
	if of, _ := o.App.Project.FieldAt(spec.Table, spec.Of); of != nil {
		tv.Unit = of.Unit
	}
	groups := o.Groups[e.ID]
	if spec.When == "" {
		tv.Value = spec.number(groups)
	} else {
		now, then := spec.spans(o)
		tv.Value, tv.Before = spec.number(on(groups, now)), spec.number(on(groups, then))
		tv.Of, tv.Then = spanWords(o.App.Language, cond.DateOf(now), spec.Span), spanWords(o.App.Language, cond.DateOf(then), spec.Span)
	}
	if gate := e.Gates["release"]; gate != nil {
		v := o.Judge(gate, use.Aim{})
		tv.Way = v.Open()
		into.By, into.Reason = v.By, v.Reason
		if p := v.PlainLink(gate); p != nil {
			tv.Href = p.Address(o.App.Project)
		}
	}
}

// number is what the groups come to: of nothing there is no average, but a count of none.
func (spec *Total) number(groups []ask.Group) *float64 {
	n := 0.0
	switch {
	case len(groups) > 0:
		n = groups[0].N
	case spec.Measure != "" && spec.Measure != "count" && spec.Measure != "sum":
		return nil
	}
	return &n
}

// on gives the group of one day.
func on(groups []ask.Group, day time.Time) []ask.Group {
	for i, g := range groups {
		if at, ok := g.Value.Time(); ok && at.Equal(day) {
			return groups[i : i+1]
		}
	}
	return nil
}
