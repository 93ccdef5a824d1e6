package use

import (
	"context"
	"fmt"
	"maps"
	"slices"
	"time"

	"ambergate/core/ask"
	"ambergate/core/cond"
	"ambergate/core/english"
	"ambergate/core/place"
	"ambergate/core/plan"
	"ambergate/core/project"
	"ambergate/core/rights"
)

// Sources is what a screen is drawn from.
type Sources struct {
	Records ask.Records
	Tags    ask.Tags // nil: no plant
	Now     time.Time
	OnTime  func()                      // told when what is shown hangs on the moment, and not on the day alone; nil: nobody asks
	Ghosts  bool                        // for builders: hidden elements stay in the view, marked
	Bare    bool                        // for a press: only the screen's own records are fetched, no lists and charts
	Pressed string                      // for a press: the element, whose gates alone will be judged; "" for all
	Others  func(slug string) *plan.App // other projects, as released; nil: none can be reached
	Vars    map[string]string           // what the tab keeps in variables of the project, by id
	Typed   map[string]string           // what was typed and not saved, by field, of a screen with a guided task
	Begun   []Begun                     // guided tasks that the user has begun, of screens that list such
	Held    bool                        // within a transaction: a part of it that is given up would end it all
	Lock    bool                        // for a press that writes: the screen's own record is locked until the transaction ends
}

// Opening is a screen open for one user at one place: everything it shows has been fetched.
// View can be called again when live values change.
type Opening struct {
	App      *plan.App
	Plan     *plan.Screen
	At       place.Place
	World    *World
	Rights   *rights.Rights
	Grant    project.Grant // on the screen's own table
	Pages    map[string]stretch
	Counts   map[string]ask.Count
	Groups   map[string][]ask.Group
	Filled   map[string]*ask.Row // mode add: the records that the address fills in, by field
	Steps    *Neighbours         // nil where nothing steps
	Chosen   map[string]*ChosenRow
	Others   func(slug string) *plan.App // other projects, as released; nil: none can be reached
	Children map[string]*ask.Row         // by child rule and record
	filled   map[string]string           // see FilledIn
	Typed    map[string]string           // what was typed and not saved, by field; of screens with a guided task
	task     *Task
	begun    []Begun
	late     map[string]*ask.Row // what shared gates are given by other rules
	ghosts   bool
	// explains says whether conditions are explained part by part: for builders, and for a
	// press that is refused. What users are shown only needs the decision.
	explains bool
}

// Open judges whether the user may be at the place and fetches what the screen shows.
// The order of judgement: screen, inputs, grant, row rule, guard. A no is a *Refusal.
func Open(ctx context.Context, a *plan.App, user *ask.User, place place.Place, src Sources) (*Opening, error) {
	o, err := Enter(ctx, a, user, place, src)
	if err != nil {
		return nil, err
	}
	if err := o.FetchSteps(ctx, src); err != nil {
		return nil, fmt.Errorf("find the neighbours of a record: %w", err)
	}
	var round ask.Round
	if err := o.askAll(&round, src); err != nil {
		return nil, err
	}
	if err := round.Run(ctx, src.Records); err != nil {
		return nil, fmt.Errorf("fetch what screen %s shows: %w", o.Plan.Screen.ID, err)
	}
	if err := o.fetchAllLate(ctx, src); err != nil {
		return nil, fmt.Errorf("find what shared gates are given: %w", err)
	}
	return o, nil
}

// askAll asks for what a screen shows beyond its own records, all of it at once.
func (o *Opening) askAll(round *ask.Round, src Sources) error {
	if err := o.askFilled(round); err != nil {
		return err
	}
	o.AskChildren(round, src)
	if err := o.AskChosen(round, src); err != nil {
		return err
	}
	if src.Bare {
		return nil // a press looks at one element; lists are fetched by who needs them
	}
	for _, e := range o.Plan.Elements {
		if o.aside(e) {
			continue
		}
		if err := elementKind(e).Ask(round, o, e); err != nil {
			return fmt.Errorf("fetch %s of screen %s: %w", e.ID, o.Plan.Screen.ID, err)
		}
	}
	return nil
}

// Check judges whether the user may be at the place, as Open does, and fetches no more than that
// takes. A no is a *Refusal.
func Check(ctx context.Context, a *plan.App, user *ask.User, place place.Place, src Sources) error {
	_, err := Enter(ctx, a, user, place, src)
	return err
}

// needs gives what the gates that will be judged ask for.
func (o *Opening) needs(src Sources) plan.Needs {
	if src.Pressed == "" {
		return o.Plan.Needs
	}
	for _, e := range o.Pressable() {
		if e.ID == src.Pressed {
			return e.Needs
		}
	}
	return plan.Needs{}
}

// Enter judges whether the user may be at the place. With a *Refusal comes the opening as far as it
// got, for explanations; nil when there is no such screen or place.
func Enter(ctx context.Context, a *plan.App, user *ask.User, place place.Place, src Sources) (*Opening, error) {
	plan := a.Screens[place.Screen]
	if plan == nil {
		return nil, ask.Refuse("no-screen", "This screen does not exist any more.", "Go home and start from there.")
	}
	if place.Mode == "" {
		place.Mode = "view"
	}
	place = place.Spotted()
	inputs, err := place.Check(a.Project)
	if err != nil {
		return nil, err
	}
	o := &Opening{
		App: a, Plan: plan, At: place, ghosts: src.Ghosts, explains: src.Ghosts || src.Bare,
		World:  &World{App: a, User: user, Moment: src.Now, onTime: src.OnTime, Inputs: inputs, InputRows: map[string]*ask.Row{}, tags: src.Tags, Vars: Vars(a, place, src.Vars)},
		Pages:  map[string]stretch{},
		Counts: map[string]ask.Count{},
		Groups: map[string][]ask.Group{},
		Chosen: map[string]*ChosenRow{}, Children: map[string]*ask.Row{}, Others: src.Others, Typed: src.Typed, begun: src.Begun,
	}
	if o.Rights, err = rights.Of(ctx, a, user, src.Records, src.Now); err != nil {
		return nil, err
	}
	if err := o.mayBeHere(); err != nil {
		return o, err
	}
	var round ask.Round
	if err := o.askRecords(&round, src); err != nil {
		return o, err
	}
	if err := o.askVars(&round); err != nil {
		return o, err
	}
	if err := round.Run(ctx, src.Records); err != nil {
		return o, err
	}
	return o, o.guard()
}

func (o *Opening) mayBeHere() error {
	table := o.Plan.Screen.RecordTable()
	if table == "" {
		return nil
	}
	o.Grant = o.Rights.On(table).Grant
	t := o.App.Project.Tables[table]
	if t == nil {
		return ask.Refuse("broken", "The table behind this screen is gone.", "Tell the person who builds this application.")
	}
	verb, may := "view", o.Grant.View
	switch o.At.Mode {
	case "edit":
		verb, may = "change", o.Grant.Edit
	case "add":
		verb, may = "add", o.Grant.Add
	}
	if !may {
		return o.Refused(verb, t)
	}
	return nil
}

func (o *Opening) askRecords(round *ask.Round, src Sources) error {
	w := o.World
	if w.User.Record != "" && len(o.Plan.UserPaths) > 0 {
		q := ask.Query{Table: o.App.Project.Tables[o.App.Project.Settings.UserTable], Key: w.User.Record, Rights: rights.OwnRows{Rights: o.Rights}}
		err := o.askOne(round, q, o.Plan.UserPaths, func(row *ask.Row) error {
			w.UserRow = row
			return nil
		})
		if err != nil {
			return err
		}
	}
	for _, id := range slices.Sorted(maps.Keys(o.Plan.InputPaths)) {
		in := o.Plan.Screen.Inputs[id]
		key := w.Inputs[id]
		if key.IsNull() || !key.Known() || in.Table == "" {
			continue
		}
		if id == o.Plan.Screen.Record && o.At.Mode == "add" {
			continue
		}
		set := o.Plan.InputPaths[id]
		own := id == o.Plan.Screen.Record
		if own {
			set = plan.Paths{}
			for p := range o.Plan.InputPaths[id] {
				set[p] = true
			}
			for p := range o.Plan.RecordPaths {
				set[p] = true
			}
		}
		t := o.App.Project.Tables[in.Table]
		q := ask.Query{Table: t, Key: key.KeyOf(), Lock: own && src.Lock}
		if own {
			q.Ask, q.Order = o.Asks(in.Table), o.seekSteps(src)
		}
		err := o.askOne(round, q, set, func(row *ask.Row) error {
			if row == nil {
				return ask.Refuse("no-record", fmt.Sprintf("This %s is not there, or not open to you.", t.One), "Go back, or pick another from the list.")
			}
			w.InputRows[id] = row
			if own {
				w.Record = row
			}
			if own && o.At.Mode == "edit" && !row.May["edit"] {
				return ask.Refuse("row-rule", fmt.Sprintf("You may view this %s, but not change it.", t.One), "Ask the person who runs this application for the right.")
			}
			return nil
		})
		if err != nil {
			return err
		}
	}
	return nil
}

// Asks gives what is to be told of a record: whether it may be changed, and deleted.
func (o *Opening) Asks(table string) map[string]*cond.Pred {
	rights := o.Rights.On(table)
	out := map[string]*cond.Pred{}
	if rights.Edit {
		out["edit"] = rights.Rows("edit")
	}
	if rights.Delete {
		out["delete"] = rights.Rows("delete")
	}
	return out
}

// FetchOne fetches a record with what a set of paths asks for, leaving out what the user's roles may
// not see; nil when there is none, or none for this user.
func (o *Opening) FetchOne(ctx context.Context, src Sources, q ask.Query, set plan.Paths) (*ask.Row, error) {
	var round ask.Round
	var found *ask.Row
	err := o.askOne(&round, q, set, func(row *ask.Row) error {
		found = row
		return nil
	})
	if err != nil {
		return nil, err
	}
	return found, round.Run(ctx, src.Records)
}

// askOne asks for what FetchOne fetches.
func (o *Opening) askOne(round *ask.Round, q ask.Query, set plan.Paths, then func(*ask.Row) error) error {
	if q.Table == nil {
		return ask.Refuse("broken", "A table that this screen needs is gone.", "Tell the person who builds this application.")
	}
	allowed, hidden := o.Visible(q.Table.ID, set.Sorted())
	q.Paths, q.Limit = allowed, 1
	if q.Rights == nil {
		q.Rights = o.Rights
	}
	round.Fetch(q, func(page ask.Page, err error) error {
		if err != nil {
			return err
		}
		if len(page.Rows) == 0 {
			return then(nil)
		}
		Hide(page.Rows[0], hidden)
		return then(page.Rows[0])
	})
	return nil
}

// Visible splits paths into those the user's roles may see and those they may not,
// be it a hidden field or a table along the way without the right to view it.
func (o *Opening) Visible(table string, paths []string) (allowed, hidden []string) {
	for _, path := range paths {
		if o.MaySee(table, path) {
			allowed = append(allowed, path)
		} else {
			hidden = append(hidden, path)
		}
	}
	return allowed, hidden
}

// MaySee says whether the user may see a path of a table's records.
func (o *Opening) MaySee(table, path string) bool { return o.Rights.MaySee(table, path) }

// Hide makes values of a record unknown.
func Hide(row *ask.Row, hidden []string) {
	for _, path := range hidden {
		row.Values[path] = cond.UnknownBecause("not visible to you")
	}
}

func (o *Opening) guard() error {
	if verdict, closed := o.JudgeRoles(o.Plan.Screen.Roles); closed {
		who := "you"
		if o.ghosts {
			who = o.World.User.Name // the builder is told of whom is walked as
		}
		return ask.Refuse("guard", "“"+o.Plan.Screen.Title+"” is not for "+who+": "+english.Small(verdict.Reason), "Go back or home.")
	}
	if o.Plan.BadGuard {
		return ask.Refuse("guard", "The condition for being on this screen cannot be read.", "Tell the person who builds this application.")
	}
	if o.Plan.Guard == nil {
		return nil
	}
	v := o.Plan.Guard.Root.Eval(o.World)
	if v.Known() && v.True() {
		return nil
	}
	part := o.Plan.Guard.Root.Explain(o.World)
	r := ask.Refuse("guard", "“"+o.Plan.Screen.Title+"” is open only while "+o.Plan.Guard.Root.Phrase()+".", "Go back or home.")
	r.Part = &part
	return r
}

// StillOpen judges the guard again, with the live values of now.
func (o *Opening) StillOpen() error { return o.guard() }

// Live says whether anything on the screen depends on live values.
func (o *Opening) Live() bool { return len(o.Plan.Tags) > 0 }

// Place gives the place that is open.
func (o *Opening) Place() place.Place { return o.At }
