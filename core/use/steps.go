package use

import (
	"context"
	"fmt"
	"maps"
	"strings"
	"time"

	"ambergate/core/ask"
	"ambergate/core/cond"
	"ambergate/core/english"
	"ambergate/core/place"
	"ambergate/core/plan"
	"ambergate/core/project"
)

// At gives the record of a step; with the policy round that at the other end.
func (s *Neighbours) At(step, none string) *ask.Row {
	row := s.to[step]
	if row == nil && none == "round" {
		row = s.to[map[string]string{"previous": "last", "next": "first"}[step]]
	}
	return row
}

// Neighbours is where the screen's record can be stepped to in the list that one came from.
type Neighbours struct {
	to   map[string]*ask.Row // first, previous, next, last; nil where there is none
	List string              // what the list is called
	Slow bool                // they could not be found in time: no index serves the order

	along  ask.Query // the list
	wanted plan.Names
}

// stepLimit is how long the neighbours of a record, or its position, may take to be found when a
// screen is shown.
const stepLimit = 300 * time.Millisecond

// StepView tells the neighbours of the screen's record, and which buttons lead there.
type StepView struct {
	Previous   string `json:"previous,omitempty"` // title
	Next       string `json:"next,omitempty"`
	PreviousBy string `json:"previousBy,omitempty"` // element that steps there
	NextBy     string `json:"nextBy,omitempty"`
	Slow       bool   `json:"slow,omitempty"` // they could not be found in time
}

// cameFrom notes on a place that is led to which list it is stepped along.
func (o *Opening) cameFrom(to *place.Place, target *plan.Target, at Aim) {
	table := target.RecordTable()
	if table == "" || to.Mode == "add" {
		return
	}
	key := to.Inputs[target.Record]
	switch {
	case at.Row != nil && at.Row.Table == table && at.Row.Key == key:
		to.From = &place.From{Screen: o.At.Screen, Element: at.Element, Inputs: o.At.Inputs, Filters: o.At.Filters, Sort: o.At.Sort, Find: o.At.Find, At: at.Row.Cursor, Key: key}
	case o.World.Record != nil && o.World.Record.Table == table && o.World.Record.Key == key:
		to.From = o.At.From
	}
}

// listing opens the list that was come from, without fetching it.
func (o *Opening) listing() (ask.Query, string) {
	table := o.Plan.Screen.RecordTable()
	t := o.App.Project.Tables[table]
	whole := ask.Query{Table: t, Order: o.order(table, t.Order), Rights: o.Rights}
	from := o.At.From
	shown := (*plan.Screen)(nil)
	if from != nil {
		shown = o.App.Screens[from.Screen]
	}
	if shown == nil {
		return whole, t.Label
	}
	var element *plan.Element
	for _, e := range shown.Elements {
		if l := e.Listing(); l != nil && e.ID == from.Element && l.Table == table {
			element = e
		}
	}
	place := place.Place{Screen: from.Screen, Mode: "view", Inputs: from.Inputs, Filters: from.Filters, Sort: from.Sort, Find: from.Find}
	inputs, err := place.Check(o.App.Project)
	if element == nil || err != nil {
		return whole, t.Label // the list has changed since: all records then
	}
	l := &Opening{App: o.App, Plan: shown, At: place, Rights: o.Rights, World: &World{App: o.App, User: o.World.User, Moment: o.World.Moment, onTime: o.World.onTime, Inputs: inputs, InputRows: map[string]*ask.Row{}}}
	if key := inputs[shown.Screen.Record]; !key.IsNull() && key.Known() {
		l.World.Record = &ask.Row{Table: shown.Screen.RecordTable(), Key: key.KeyOf(), Values: map[string]cond.Value{}}
	}
	q, _, err := l.ListQuery(element, "")
	if err != nil {
		return whole, t.Label
	}
	spec := element.Listing()
	if spec.Relation != "" && spec.Label != "" {
		return q, spec.Label
	}
	return q, shown.Screen.Title
}

// seekSteps prepares the search for the neighbours that are wanted, and gives the order in which the record's
// own place has to be read; nil when it was noted on arrival, or nothing is wanted.
func (o *Opening) seekSteps(src Sources) []ask.Sort {
	wanted := o.needs(src).Steps
	if !src.Bare && o.Plan.Screen.Position {
		wanted = wanted.With("previous", "next")
	}
	if len(wanted) == 0 || len(o.App.Project.Tables[o.Plan.Screen.RecordTable()].Key) == 0 {
		return nil
	}
	q, list := o.listing()
	o.Steps = &Neighbours{to: map[string]*ask.Row{}, List: list, along: q, wanted: wanted}
	if from := o.At.From; from != nil && from.At != "" && from.Key == o.World.Inputs[o.Plan.Screen.Record].KeyOf() {
		return nil
	}
	return q.Order
}

// FetchSteps finds the neighbours of the screen's record. The place in the order is the one on
// arrival, so that stepping goes on from there when the record has changed meanwhile.
func (o *Opening) FetchSteps(ctx context.Context, src Sources) error {
	if o.World.Record == nil {
		o.Steps = nil // it was refused
	}
	if o.Steps == nil {
		return nil
	}
	o.placed()
	if src.Bare || src.Held { // a press may take its time: it goes where it was said to go
		return o.fetchNeighbours(ctx, src)
	}
	within, cancel := context.WithTimeout(ctx, stepLimit)
	defer cancel()
	err := o.fetchNeighbours(within, src)
	if err != nil && within.Err() != nil && ctx.Err() == nil {
		o.Steps.Slow, err = true, nil
	}
	return err
}

func (o *Opening) fetchNeighbours(ctx context.Context, src Sources) error {
	set := plan.Paths{}
	(&plan.Planner{App: o.App}).NeedTitle(set, o.Steps.along.Table.ID, "")
	var round ask.Round
	var seek func(name, end string) error
	seek = func(name, end string) error {
		if !o.Steps.wanted[name] {
			return nil
		}
		step := o.Steps.along
		step.Back = name == "previous" || name == "last"
		if end != "" {
			step.After, step.Except = o.At.From.At, o.World.Record.Key
		}
		return o.askOne(&round, step, set, func(row *ask.Row) error {
			o.Steps.to[name] = row
			if row == nil || end == "" {
				return nil
			}
			return seek(end, "") // the ends are asked for only where there is something between
		})
	}
	if err := seek("previous", "first"); err != nil {
		return err
	}
	if err := seek("next", "last"); err != nil {
		return err
	}
	return round.Run(ctx, src.Records)
}

// placed notes the record's place in the order, unless it was noted on arrival.
func (o *Opening) placed() {
	from := place.From{}
	if o.At.From != nil {
		from = *o.At.From
	}
	row := o.World.Record
	if from.At == "" || from.Key != row.Key {
		from.At, from.Key = row.Cursor, row.Key
	}
	o.At.From = &from
}

// AimStep works out where a step leads.
func (o *Opening) AimStep(v *Verdict, m *project.MoveHead, step, list string) {
	if list != "" {
		o.aimRowStep(v, m, step, list)
		return
	}
	if o.Steps == nil {
		*v = Verdict{State: StateGreyed, By: "record", Reason: "This record is in no list yet.", Part: v.Part, Chosen: v.Chosen}
		return
	}
	if o.Steps.Slow {
		*v = Verdict{State: StateGreyed, By: "record", Reason: "The neighbours cannot be found quickly enough: no index serves the order of “" + o.Steps.List + "”.", Part: v.Part, Chosen: v.Chosen}
		return
	}
	row := o.Steps.At(step, m.None)
	if row == nil {
		end := "first"
		if step == "next" || step == "last" {
			end = "last"
		}
		o.EndOfSteps(v, m, "This is the "+end+" of “"+o.Steps.List+"”.")
		return
	}
	to := o.At
	to.Inputs = maps.Clone(o.At.Inputs)
	to.Inputs[o.Plan.Screen.Record] = row.Key
	if m.Mode != "" {
		to.Mode = m.Mode
	}
	to.Look = nil
	from := *o.At.From
	from.At, from.Key = row.Cursor, row.Key
	to.From = &from
	v.To, v.As = &to, m.As
}

// EndOfSteps does what a step says for the end of the list.
func (o *Opening) EndOfSteps(v *Verdict, m *project.MoveHead, reason string) {
	if m.Reason != "" {
		reason = m.Reason
	}
	if m.None == "stay" {
		v.Stay = reason
		return
	}
	*v = Verdict{State: StateGreyed, By: "record", Reason: reason, Part: v.Part, Chosen: v.Chosen}
}

// stepView tells the neighbours by title, and the buttons that lead there.
func (o *Opening) stepView() *StepView {
	if o.Steps == nil || !o.Plan.Screen.Position {
		return nil
	}
	v := &StepView{Slow: o.Steps.Slow}
	if r := o.Steps.to["previous"]; r != nil {
		v.Previous, v.PreviousBy = o.World.Title(r, r.Table, ""), o.stepsBy("previous")
	}
	if r := o.Steps.to["next"]; r != nil {
		v.Next, v.NextBy = o.World.Title(r, r.Table, ""), o.stepsBy("next")
	}
	return v
}

// stepsBy gives the button that steps in a direction, if one is open to the user here.
func (o *Opening) stepsBy(step string) string {
	for _, e := range o.Plan.Elements {
		for _, g := range e.Gates {
			if _, here := o.There(e); !here || g.Writes() {
				continue
			}
			v := o.Judge(g, Aim{})
			if v.Open() && plan.StepOf(v.Chosen.Move) == step {
				return e.ID
			}
		}
	}
	return ""
}

// Position is where a record stands in the list that one came from.
type Position struct {
	List string `json:"list"` // what the list is called, with what narrows it
	At   int    `json:"at"`   // from 1; 0 when it is not in the list any more
	Past bool   `json:"past"` // it is further on than counted
	Of   int    `json:"of"`
	More bool   `json:"more"` // there are more than Of
	Gone bool   `json:"gone"` // the record is not in this list any more
	Slow bool   `json:"slow"` // it could not be counted in time
}

// Position counts where the screen's record stands in the list that one came from. It is asked
// for after the screen is shown.
func (o *Opening) Position(ctx context.Context, src Sources) (*Position, error) {
	if o.World.Record == nil || o.At.Mode == "add" || len(o.App.Project.Tables[o.World.Record.Table].Key) == 0 {
		return nil, ask.Refuse("no-record", "This screen shows no record of a list.", "Open one from its list.")
	}
	q, list := o.listing()
	p := &Position{List: list + o.narrowedBy(ctx, src, q)}
	within, cancel := context.WithTimeout(ctx, stepLimit)
	defer cancel()
	err := o.count(within, src, q, p)
	if err != nil && within.Err() != nil && ctx.Err() == nil {
		return &Position{List: p.List, Slow: true}, nil
	}
	return p, err
}

// count counts a list up to where its record stands.
func (o *Opening) count(ctx context.Context, src Sources, q ask.Query, p *Position) error {
	var round ask.Round
	here := q
	here.Key, here.Limit = o.World.Record.Key, 1
	before := func(cursor string) {
		part := q
		part.After, part.Back = cursor, true
		round.Count(part, func(n ask.Count) {
			if p.Past = n.More; !p.Gone {
				p.At = n.N + 1
			}
		})
	}
	round.Fetch(here, func(page ask.Page, err error) error {
		p.Gone = len(page.Rows) == 0
		return err
	})
	round.Count(q, func(all ask.Count) { p.Of, p.More = all.N, all.More })
	if from := o.At.From; from != nil && from.At != "" && from.Key == o.World.Record.Key {
		before(from.At)
		return round.Run(ctx, src.Records)
	}
	// Its place is that among all records: it may be out of the list.
	err := o.askOne(&round, ask.Query{Table: q.Table, Key: o.World.Record.Key, Order: q.Order}, plan.Paths{}, func(row *ask.Row) error {
		if row != nil {
			before(row.Cursor)
		}
		return nil
	})
	if err != nil {
		return err
	}
	return round.Run(ctx, src.Records)
}

// narrowedBy says what narrows the list come from, in a few words.
func (o *Opening) narrowedBy(ctx context.Context, src Sources, q ask.Query) string {
	from := o.At.From
	if from == nil {
		return ""
	}
	var words []string
	if s := o.App.Project.Screens[from.Screen]; s != nil {
		for _, in := range project.Ordered(s.Inputs) {
			if in.Filter != "" && from.Inputs[in.ID] != "" {
				of := place.Place{Inputs: from.Inputs}
				if several := of.Several(in); len(several) > 1 {
					words = append(words, fmt.Sprintf("%d of %s", len(several), english.Lower(in.Label)))
					continue
				}
				words = append(words, o.TitleOf(ctx, src, in.Table, from.Inputs[in.ID]))
			}
		}
	}
	for _, f := range from.Filters {
		if c, _ := o.App.Project.FieldAt(q.Table.ID, f.Path); c != nil && o.MaySee(q.Table.ID, f.Path) {
			words = append(words, f.Words(c, o.App.Language, o.zone()))
		}
	}
	if from.Find != "" {
		words = append(words, "“"+from.Find+"”")
	}
	if len(words) == 0 {
		return ""
	}
	return ", " + strings.Join(words, ", ")
}
