package nav

import (
	"context"
	"fmt"
	"maps"
	"slices"
	"strings"
	"time"

	"ambergate/core/cond"
	"ambergate/core/project"
)

// Sources is what a screen is drawn from.
type Sources struct {
	Records Records
	Tags    Tags // nil: no plant
	Now     time.Time
	Ghosts  bool                   // for builders: hidden elements stay in the view, marked
	Bare    bool                   // for a press: only the screen's own records are fetched, no lists and charts
	Pressed string                 // for a press: the element, whose gates alone will be judged; "" for all
	Others  func(slug string) *App // other projects, as released; nil: none can be reached
	Vars    map[string]string      // what the tab keeps in variables of the project, by id
	Rights  *Rights                // whose rights count; nil: those that this release gives the user
	Lock    bool                   // for a press that writes: the screen's own record is locked until the transaction ends
}

// Opening is a screen open for one user at one place: everything it shows has been fetched.
// View can be called again when live values change.
type Opening struct {
	app      *App
	plan     *ScreenPlan
	place    Place
	world    *world
	rights   *Rights
	grant    project.Grant // on the screen's own table
	pages    map[string]stretch
	counts   map[string]Count
	groups   map[string][]Group
	filled   map[string]*Row // mode add: the records that the address fills in, by field
	steps    *steps          // nil where nothing steps
	chosen   map[string]*chosenRow
	others   func(slug string) *App // other projects, as released; nil: none can be reached
	children map[string]*Row        // by child rule and record
	late     map[string]*Row        // what shared gates are given by other rules
	ghosts   bool
	// explains says whether conditions are explained part by part: for builders, and for a
	// press that is refused. What users are shown only needs the decision.
	explains bool
	called   *called // titles of constants, in build
}

// Open judges whether the user may be at the place and fetches what the screen shows.
// The order of judgement: screen, inputs, grant, row rule, guard. A no is a *Refusal.
func (a *App) Open(ctx context.Context, user *User, place Place, src Sources) (*Opening, error) {
	o, err := a.enter(ctx, user, place, src)
	if err != nil {
		return nil, err
	}
	if err := o.fetchFilled(ctx, src); err != nil {
		return nil, err
	}
	if err := o.fetchSteps(ctx, src); err != nil {
		return nil, fmt.Errorf("find the neighbours of a record: %w", err)
	}
	if err := o.fetchChildren(ctx, src); err != nil {
		return nil, fmt.Errorf("find what hangs on a record: %w", err)
	}
	if err := o.fetchChosen(ctx, src); err != nil {
		return nil, fmt.Errorf("find the chosen rows: %w", err)
	}
	if err := o.fetchAllLate(ctx, src); err != nil {
		return nil, fmt.Errorf("find what shared gates are given: %w", err)
	}
	if src.Bare {
		return o, nil // a press looks at one element; lists are fetched by who needs them
	}
	for _, e := range o.plan.Elements {
		if o.aside(e) {
			continue
		}
		if err := kindOf[DrawnElement](e.Spec).Fetch(ctx, o, e, src); err != nil {
			return nil, fmt.Errorf("fetch %s of screen %s: %w", e.ID, o.plan.Screen.ID, err)
		}
	}
	return o, nil
}

// Enter judges whether the user may be at the place, as Open does, and fetches no more than that
// takes. A no is a *Refusal.
func (a *App) Enter(ctx context.Context, user *User, place Place, src Sources) error {
	_, err := a.enter(ctx, user, place, src)
	return err
}

// needs gives what the gates that will be judged ask for.
func (o *Opening) needs(src Sources) needs {
	if src.Pressed == "" {
		return o.plan.needs
	}
	for _, e := range o.elements() {
		if e.ID == src.Pressed {
			return e.needs
		}
	}
	return needs{}
}

// enter judges whether the user may be at the place. With a *Refusal comes the opening as far as it
// got, for explanations; nil when there is no such screen or place.
func (a *App) enter(ctx context.Context, user *User, place Place, src Sources) (*Opening, error) {
	plan := a.Screens[place.Screen]
	if plan == nil {
		return nil, refuse("no-screen", "This screen does not exist any more.", "Go home and start from there.")
	}
	if place.Mode == "" {
		place.Mode = "view"
	}
	place = place.spotted()
	inputs, err := place.check(a.Project)
	if err != nil {
		return nil, err
	}
	o := &Opening{
		app: a, plan: plan, place: place, ghosts: src.Ghosts, explains: src.Ghosts || src.Bare,
		world:  &world{app: a, user: user, now: src.Now, inputs: inputs, inputRows: map[string]*Row{}, tags: src.Tags, vars: a.vars(place, src.Vars)},
		pages:  map[string]stretch{},
		counts: map[string]Count{},
		groups: map[string][]Group{},
		chosen: map[string]*chosenRow{}, children: map[string]*Row{}, others: src.Others,
	}
	if o.rights = src.Rights; o.rights == nil {
		if o.rights, err = a.RightsOf(ctx, user, src.Records, src.Now); err != nil {
			return nil, err
		}
	}
	if err := o.mayBeHere(); err != nil {
		return o, err
	}
	if err := o.fetchRecords(ctx, src); err != nil {
		return o, err
	}
	if err := o.fetchVars(ctx, src); err != nil {
		return o, err
	}
	return o, o.guard()
}

func (o *Opening) mayBeHere() error {
	table := o.plan.Screen.RecordTable()
	if table == "" {
		return nil
	}
	o.grant = o.rights.On(table).Grant
	t := o.app.Project.Tables[table]
	if t == nil {
		return refuse("broken", "The table behind this screen is gone.", "Tell the person who builds this application.")
	}
	verb, may := "view", o.grant.View
	switch o.place.Mode {
	case "edit":
		verb, may = "change", o.grant.Edit
	case "add":
		verb, may = "add", o.grant.Add
	}
	if !may {
		return refuse("no-grant", fmt.Sprintf("Your role may not %s %s.", verb, strings.ToLower(t.Label)), "Ask a shift lead or the office if you need to.")
	}
	return nil
}

func (o *Opening) fetchRecords(ctx context.Context, src Sources) error {
	w := o.world
	if w.user.Record != "" && len(o.plan.user) > 0 {
		row, err := o.one(ctx, src, Query{Table: o.app.Project.Tables[o.app.Project.Settings.UserTable], Key: w.user.Record, Rights: ownRows{o.rights}}, o.plan.user)
		if err != nil {
			return err
		}
		w.userRow = row
	}
	for _, id := range slices.Sorted(maps.Keys(o.plan.inputs)) {
		in := o.plan.Screen.Inputs[id]
		key := w.inputs[id]
		if key.IsNull() || in.Table == "" {
			continue
		}
		if id == o.plan.Screen.Record && o.place.Mode == "add" {
			continue
		}
		set := o.plan.inputs[id]
		own := id == o.plan.Screen.Record
		if own {
			set = pathSet{}
			for p := range o.plan.inputs[id] {
				set[p] = true
			}
			for p := range o.plan.record {
				set[p] = true
			}
		}
		t := o.app.Project.Tables[in.Table]
		q := Query{Table: t, Key: key.KeyOf(), Lock: own && src.Lock}
		if own {
			q.Ask = o.asks(in.Table)
		}
		row, err := o.one(ctx, src, q, set)
		if err != nil {
			return err
		}
		if row == nil {
			return refuse("no-record", fmt.Sprintf("This %s is not there, or not open to you.", t.One), "Go back, or pick another from the list.")
		}
		w.inputRows[id] = row
		if own {
			w.record = row
		}
		if own && o.place.Mode == "edit" && !row.May["edit"] {
			return refuse("row-rule", fmt.Sprintf("You may view this %s, but not change it.", t.One), "Ask a shift lead or the office if you need to.")
		}
	}
	return nil
}

// fetchFilled gets the titles of the records that the address fills a new one in with.
func (o *Opening) fetchFilled(ctx context.Context, src Sources) error {
	if o.place.Mode != "add" {
		return nil
	}
	o.filled = map[string]*Row{}
	for _, field := range slices.Sorted(maps.Keys(o.place.Set)) {
		f, _ := o.app.Project.FieldAt(o.plan.Screen.RecordTable(), field)
		if f == nil || f.References == "" || !o.maySee(o.plan.Screen.RecordTable(), field) {
			continue
		}
		set := pathSet{}
		(&planner{app: o.app}).needTitle(set, f.References, "")
		row, err := o.one(ctx, src, Query{Table: o.app.Project.Tables[f.References], Key: o.place.Set[field]}, set)
		if err != nil {
			return err
		}
		o.filled[field] = row
	}
	return nil
}

// asks gives what is to be told of a record: whether it may be changed, and deleted.
func (o *Opening) asks(table string) map[string]*cond.Pred {
	rights := o.rights.On(table)
	out := map[string]*cond.Pred{}
	if rights.Edit {
		out["edit"] = rights.Rows("edit")
	}
	if rights.Delete {
		out["delete"] = rights.Rows("delete")
	}
	return out
}

// one fetches a record with what a set of paths asks for, leaving out what the user's roles may
// not see; nil when there is none, or none for this user.
func (o *Opening) one(ctx context.Context, src Sources, q Query, set pathSet) (*Row, error) {
	if q.Table == nil {
		return nil, refuse("broken", "A table that this screen needs is gone.", "Tell the person who builds this application.")
	}
	var hidden []string
	q.Paths, hidden = o.visible(q.Table.ID, set.sorted())
	q.Limit = 1
	if q.Rights == nil {
		q.Rights = o.rights
	}
	page, err := src.Records.Fetch(ctx, q)
	if err != nil {
		return nil, err
	}
	if len(page.Rows) == 0 {
		return nil, nil
	}
	hide(page.Rows[0], hidden)
	return page.Rows[0], nil
}

// visible splits paths into those the user's roles may see and those they may not,
// be it a hidden field or a table along the way without the right to view it.
func (o *Opening) visible(table string, paths []string) (allowed, hidden []string) {
	for _, path := range paths {
		if o.maySee(table, path) {
			allowed = append(allowed, path)
		} else {
			hidden = append(hidden, path)
		}
	}
	return allowed, hidden
}

func (o *Opening) maySee(table, path string) bool { return o.rights.MaySee(table, path) }

func hide(row *Row, hidden []string) {
	for _, path := range hidden {
		row.Values[path] = cond.UnknownBecause("not visible to you")
	}
}

func (o *Opening) guard() error {
	if verdict, closed := o.judgeRoles(o.plan.Screen.Roles); closed {
		return refuse("guard", "“"+o.plan.Screen.Title+"” is not for you: "+verdict.Reason, "Go back or home.")
	}
	if o.plan.BadGuard {
		return refuse("guard", "The condition for being on this screen cannot be read.", "Tell the person who builds this application.")
	}
	if o.plan.Guard == nil {
		return nil
	}
	v := o.plan.Guard.Root.Eval(o.world)
	if v.Known() && v.True() {
		return nil
	}
	part := o.plan.Guard.Root.Explain(o.world)
	r := refuse("guard", "“"+o.plan.Screen.Title+"” is open only while "+o.plan.Guard.Root.Phrase()+".", "Go back or home.")
	r.Part = &part
	return r
}

// StillOpen judges the guard again, with the live values of now.
func (o *Opening) StillOpen() error { return o.guard() }

// Live says whether anything on the screen depends on live values.
func (o *Opening) Live() bool { return len(o.plan.tags) > 0 }

// Place gives the place that is open.
func (o *Opening) Place() Place { return o.place }
