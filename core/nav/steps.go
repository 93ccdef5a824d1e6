package nav

import (
	"context"
	"maps"
	"slices"
	"time"

	"ambergate/core/cond"
	"ambergate/core/project"
)

// steps is where the screen's record can be stepped to in the list that one came from.
type steps struct {
	to   map[string]*Row // first, previous, next, last; nil where there is none
	list string          // what the list is called
	slow bool            // they could not be found in time: no index serves the order
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

// StepsAlong gives the table whose list a place is stepped along, or "" when nothing there asks for it.
func (a *App) StepsAlong(p Place) string {
	plan := a.Screens[p.Screen]
	if plan == nil || p.Mode == "add" || len(plan.steps) == 0 && !plan.Screen.Position {
		return ""
	}
	return plan.Screen.RecordTable()
}

// TablesOf gives the tables that a screen is about: that of its record, that of its main list.
func (a *App) TablesOf(screen string) []string {
	s := a.Project.Screens[screen]
	if s == nil {
		return nil
	}
	tables := []string{s.RecordTable(), s.ListTable()}
	if plan := a.Screens[screen]; plan != nil {
		tables = append(tables, slices.Sorted(maps.Keys(plan.adds))...)
	}
	return tables
}

// writtenBy gives the table whose database the presses of a screen change; "" where it shows none.
func writtenBy(s *project.Screen) string {
	if table := s.RecordTable(); table != "" {
		return table
	}
	return s.ListTable()
}

// AsksChosen says whether ways of a screen depend on the chosen rows of its lists.
func (a *App) AsksChosen(screen string) bool {
	plan := a.Screens[screen]
	return plan != nil && len(plan.chosen) > 0
}

// cameFrom notes on a place that is led to which list it is stepped along.
func (o *Opening) cameFrom(to *Place, target *project.Screen, at aim) {
	table := target.RecordTable()
	if table == "" || to.Mode == "add" {
		return
	}
	key := to.Inputs[target.Record]
	switch {
	case at.row != nil && at.row.Table == table && at.row.Key == key:
		to.From = &From{Screen: o.place.Screen, Element: at.element, Inputs: o.place.Inputs, Filters: o.place.Filters, Sort: o.place.Sort, Find: o.place.Find, At: at.row.Cursor, Key: key}
	case o.world.record != nil && o.world.record.Table == table && o.world.record.Key == key:
		to.From = o.place.From
	}
}

// listing opens the list that was come from, without fetching it.
func (o *Opening) listing(ctx context.Context, src Sources) (Query, string, error) {
	table := o.world.record.Table
	t := o.app.Project.Tables[table]
	whole := Query{Table: t, Order: o.order(table, t.Order), Rights: o.rights}
	from := o.place.From
	shown := (*ScreenPlan)(nil)
	if from != nil {
		shown = o.app.Screens[from.Screen]
	}
	if shown == nil {
		return whole, t.Label, nil
	}
	var element *ElementPlan
	for _, e := range shown.Elements {
		if l := e.listing(); l != nil && e.ID == from.Element && l.Table == table {
			element = e
		}
	}
	place := Place{Screen: from.Screen, Mode: "view", Inputs: from.Inputs, Filters: from.Filters, Sort: from.Sort, Find: from.Find}
	inputs, err := place.check(o.app.Project)
	if element == nil || err != nil {
		return whole, t.Label, nil // the list has changed since: all records then
	}
	l := &Opening{app: o.app, plan: shown, place: place, rights: o.rights, world: &world{app: o.app, user: o.world.user, now: o.world.now, inputs: inputs, inputRows: map[string]*Row{}}}
	if key := inputs[shown.Screen.Record]; !key.IsNull() && key.Known() {
		l.world.record = &Row{Table: shown.Screen.RecordTable(), Key: key.KeyOf(), Values: map[string]cond.Value{}}
	}
	q, _, err := l.listQuery(element, "")
	if err != nil {
		return whole, t.Label, nil
	}
	spec := element.listing()
	if spec.Relation != "" && spec.Label != "" {
		return q, spec.Label, nil
	}
	return q, shown.Screen.Title, nil
}

// fetchSteps finds the neighbours of the screen's record. The place in the order is the one on
// arrival, so that stepping goes on from there when the record has changed meanwhile.
func (o *Opening) fetchSteps(ctx context.Context, src Sources) error {
	wanted := o.needs(src).steps
	if !src.Bare && o.plan.Screen.Position {
		wanted = wanted.with("previous", "next")
	}
	if len(wanted) == 0 || o.world.record == nil || o.place.Mode == "add" || len(o.app.Project.Tables[o.world.record.Table].Key) == 0 {
		return nil
	}
	q, list, err := o.listing(ctx, src)
	if err != nil {
		return err
	}
	o.steps = &steps{to: map[string]*Row{}, list: list}
	if src.Bare { // a press may take its time: it goes where it was said to go
		return o.fetchNeighbours(ctx, src, q, wanted)
	}
	within, cancel := context.WithTimeout(ctx, stepLimit)
	defer cancel()
	err = o.fetchNeighbours(within, src, q, wanted)
	if err != nil && within.Err() != nil && ctx.Err() == nil {
		o.steps.slow, err = true, nil
	}
	return err
}

func (o *Opening) fetchNeighbours(ctx context.Context, src Sources, q Query, wanted stepSet) error {
	if err := o.placeInList(ctx, src, q); err != nil {
		return err
	}
	set := pathSet{}
	(&planner{app: o.app}).needTitle(set, q.Table.ID, "")
	for _, name := range []string{"previous", "next", "first", "last"} {
		if !wanted[name] || name == "first" && o.steps.to["previous"] == nil || name == "last" && o.steps.to["next"] == nil {
			continue
		}
		step := q
		step.Back = name == "previous" || name == "last"
		if name == "previous" || name == "next" {
			step.After, step.Except = o.place.From.At, o.world.record.Key
		}
		row, err := o.one(ctx, src, step, set)
		if err != nil {
			return err
		}
		o.steps.to[name] = row
	}
	return nil
}

// placeInList notes the record's place in the order, unless it was noted on arrival.
func (o *Opening) placeInList(ctx context.Context, src Sources, q Query) error {
	from := From{}
	if o.place.From != nil {
		from = *o.place.From
	}
	key := o.world.record.Key
	if from.At != "" && from.Key == key {
		return nil
	}
	row, err := o.one(ctx, src, Query{Table: q.Table, Key: key, Order: q.Order}, pathSet{})
	if err != nil {
		return err
	}
	if row != nil {
		from.At, from.Key = row.Cursor, key
	}
	o.place.From = &from
	return nil
}

// aimStep works out where a step leads.
func (o *Opening) aimStep(v *Verdict, m *project.MoveHead, step, list string) {
	if list != "" {
		o.aimRowStep(v, m, step, list)
		return
	}
	if o.steps == nil {
		*v = Verdict{State: "greyed", By: "record", Reason: "This record is in no list yet.", Part: v.Part, chosen: v.chosen}
		return
	}
	if o.steps.slow {
		*v = Verdict{State: "greyed", By: "record", Reason: "The neighbours cannot be found quickly enough: no index serves the order of “" + o.steps.list + "”.", Part: v.Part, chosen: v.chosen}
		return
	}
	row := o.steps.at(step, m.None)
	if row == nil {
		end := "first"
		if step == "next" || step == "last" {
			end = "last"
		}
		o.endOfSteps(v, m, "This is the "+end+" of “"+o.steps.list+"”.")
		return
	}
	to := o.place
	to.Inputs = maps.Clone(o.place.Inputs)
	to.Inputs[o.plan.Screen.Record] = row.Key
	if m.Mode != "" {
		to.Mode = m.Mode
	}
	to.Look = nil
	from := *o.place.From
	from.At, from.Key = row.Cursor, row.Key
	to.From = &from
	v.To, v.As = &to, m.As
}

// endOfSteps does what a step says for the end of the list.
func (o *Opening) endOfSteps(v *Verdict, m *project.MoveHead, reason string) {
	if m.Reason != "" {
		reason = m.Reason
	}
	if m.None == "stay" {
		v.stay = reason
		return
	}
	*v = Verdict{State: "greyed", By: "record", Reason: reason, Part: v.Part, chosen: v.chosen}
}

// stepView tells the neighbours by title, and the buttons that lead there.
func (o *Opening) stepView() *StepView {
	if o.steps == nil || !o.plan.Screen.Position {
		return nil
	}
	v := &StepView{Slow: o.steps.slow}
	if r := o.steps.to["previous"]; r != nil {
		v.Previous, v.PreviousBy = o.world.title(r, r.Table, ""), o.stepsBy("previous")
	}
	if r := o.steps.to["next"]; r != nil {
		v.Next, v.NextBy = o.world.title(r, r.Table, ""), o.stepsBy("next")
	}
	return v
}

// stepsBy gives the button that steps in a direction, if one is open to the user here.
func (o *Opening) stepsBy(step string) string {
	for _, e := range o.plan.Elements {
		for _, g := range e.Gates {
			if _, here := o.elementForPress(e); !here || g.Writes() {
				continue
			}
			v := o.judge(g, aim{})
			if v.Open() && stepOf(v.chosen.Move) == step {
				return e.ID
			}
		}
	}
	return ""
}

// Steps is answered by moves that step along a list.
type Steps interface {
	// StepsTo gives the step along the list come from; "" for one in a list of the screen.
	StepsTo() string
}

// isStep says whether a move steps along a list.
func isStep(m *MovePlan) bool {
	_, is := m.Spec.(Steps)
	return is
}

// stepOf gives the step of a move along the list come from; "" for any other.
func stepOf(m *MovePlan) string {
	if m == nil {
		return ""
	}
	if s, is := m.Spec.(Steps); is {
		return s.StepsTo()
	}
	return ""
}
