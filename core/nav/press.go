package nav

import (
	"context"
	"fmt"
	"maps"
	"slices"
	"strings"

	"ambergate/core/cond"
	"ambergate/core/project"
)

// Press is what the browser says was set off. It decides nothing.
type Press struct {
	Element   string            // id
	Trigger   string            // of an element with several ways: which of them; "" for the usual one
	Row       string            // key of the clicked row
	Rows      []string          // keys of the rows that were chosen, for what is done with several
	Point     string            // value of the chosen point
	Result    string            // of a dialog that came back: what with
	Values    map[string]string // typed and not saved, by field id
	Base      map[string]string // what those fields were when the form was opened
	Version   string            // of the record when the form was opened
	Confirmed bool              // the gate's question was answered with yes
	Unsaved   string            // what to do with what was typed: save, drop; "" not asked yet
	Keep      map[string]string // after a conflict: mine or theirs, by field id
	// Answered holds the digests of the questions that were put to the user and answered; an answer
	// to any other is not believed: it is asked again. nil: answers are believed as they are.
	Answered map[string]bool
	Picked   map[string]string // records that the user was asked for, by input
}

// Outcome is what a press came to.
type Outcome struct {
	Kind     string            // move, stay, question
	Move     string            // screen, step, back, forward, home, up, close, arrange (this screen, looked at otherwise), out (sign out), address
	To       *Place            // of a move to a screen, or of a step
	As       string            // full, dialog, drawer, replace, tab
	Message  string            // of stay
	Question *Question         // what the user is asked before anything is done
	Writes   []TagWrite        // to be sent after the transaction was committed
	Saved    string            // key of the record that was saved
	Title    string            // of the record that was saved
	Deleted  string            // key of the screen's record, when it was deleted
	Choose   *Choice           // a row of a list is to be the chosen one
	Done     int               // of what is done with several rows: how many
	Forget   bool              // what was typed is saved, or is to be forgotten
	Leave    string            // of a move out of the project: the address
	Does     []Act             // what the browser is to do itself
	Vars     map[string]string // variables that were set, by id, as the wire writes them; empty: nothing is in it any more
	look     *Place            // this screen as effects want it looked at
	Back     string            // of a dialog that opens: the trigger that it comes back through; "" for none
	Result   string            // of a dialog that closes: what it comes back with
	Return   *Return           // of a dialog that closes: what is pressed on the screen below, and gets the result
	Into     string            // of a dialog: the field of the screen below that gets the record saved here
}

// Act is something that only the browser can do.
type Act struct {
	What string `json:"what"`           // export, print, drawer
	List string `json:"list,omitempty"` // of export
	Rail string `json:"rail,omitempty"` // of drawer
	How  string `json:"how,omitempty"`  // of drawer: open, close, toggle
}

// Choice is the row of a list that is chosen from now on; Adding is a row that is yet to be written.
type Choice struct {
	List   string `json:"list"`
	Row    string `json:"row,omitempty"`
	Adding bool   `json:"adding,omitempty"`
}

// TagWrite is one value to be written to the plant.
type TagWrite struct {
	Ref   TagRef
	Tag   *project.Tag
	Label string
	Value cond.Value
}

// FieldErrors says what is wrong with what was typed, by field id.
type FieldErrors struct{ Fields map[string]string }

// Error names the fields.
func (e *FieldErrors) Error() string {
	return fmt.Sprintf("%d fields need another value", len(e.Fields))
}

// gateOf finds the gate of a press and judges it. A hidden or greyed gate refuses.
func (o *Opening) gateOf(ctx context.Context, p Press, src Changer) (*GatePlan, Verdict, aim, error) {
	for _, e := range o.elements() {
		if e.ID != p.Element {
			continue
		}
		ev, shown := o.elementForPress(e)
		if !shown {
			return nil, Verdict{}, aim{}, refuse("hidden", "This is not open to you here.", ev.Reason)
		}
		trigger, gate := e.gateOn(p.Trigger)
		if gate != nil {
			at, err := o.aimAt(ctx, e, trigger, p, src)
			if err != nil {
				return nil, Verdict{}, aim{}, err
			}
			if err := o.fetchLate(ctx, Sources{Records: src}, gate, at); err != nil {
				return nil, Verdict{}, aim{}, err
			}
			v := o.judge(gate, at)
			if !v.Open() {
				code := map[string]string{"hidden": "hidden", "greyed": "greyed"}[v.State]
				r := refuse(code, "This cannot be pressed now.", v.Reason)
				r.Part = v.Part
				return nil, v, at, r
			}
			return gate, v, at, nil
		}
		return nil, Verdict{}, aim{}, refuse("greyed", "Nothing is wired to this yet.", "")
	}
	return nil, Verdict{}, aim{}, refuse("no-element", "What you pressed is not on this screen any more.", "The screen has been loaded again.")
}

// gateOn gives the gate of a trigger; without one that of the element's usual trigger.
func (e *ElementPlan) gateOn(trigger string) (string, *GatePlan) {
	if trigger != "" {
		return trigger, e.Gates[trigger]
	}
	for _, name := range slices.Sorted(maps.Keys(e.Gates)) {
		kind, _ := project.TriggerOf(name)
		if _, named := kind.(interface{ ByNameOnly() }); !named && !isBack(name) {
			return name, e.Gates[name]
		}
	}
	return "", nil
}

// elementForPress says whether the element itself is there: its mode and its own condition.
func (o *Opening) elementForPress(e *ElementPlan) (ElementView, bool) {
	var ev ElementView
	if o.aside(e) {
		return ev, false
	}
	if e.Shown != "" && (e.ShownWhile == nil || !e.ShownWhile.Root.Eval(o.world).True()) {
		return ev, false
	}
	return ev, true
}

// aimAt finds what a press was set off on.
func (o *Opening) aimAt(ctx context.Context, e *ElementPlan, trigger string, p Press, src Changer) (aim, error) {
	if kind, _ := project.TriggerOf(trigger); kind != nil {
		if aimed, ok := kind.(AimedTrigger); ok {
			return aimed.Aim(ctx, o, e, e.Gates[trigger], p, src)
		}
	}
	return aim{point: p.Point, picked: p.Picked, result: p.Result}, nil
}

// aimRow fetches the row of a press, as the list would: a row the list does not hold cannot be pressed.
func (o *Opening) aimRow(ctx context.Context, e *ElementPlan, p Press, src Changer, several, lock bool) (aim, error) {
	if p.Row == "" {
		return aim{}, refuse("no-record", "No row was named.", "Choose a row of the list.")
	}
	row, err := o.rowOf(ctx, e, p.Row, src, lock)
	if err != nil {
		return aim{}, err
	}
	at := aim{point: p.Point, picked: p.Picked, result: p.Result, row: row, element: e.ID, several: several}
	return at, o.fetchChildrenOf(ctx, src, row)
}

// rowOf fetches a row of a list by its key, as the list would, with its place in the list's order.
func (o *Opening) rowOf(ctx context.Context, e *ElementPlan, key string, records Records, lock bool) (*Row, error) {
	spec := e.listing()
	if !o.rights.On(spec.Table).View {
		return nil, refuse("no-grant", "Your role may not view these records.", "")
	}
	q, hidden, err := o.listQuery(e, "")
	if err != nil {
		return nil, err
	}
	q.Key, q.Limit, q.Lock, q.Ask = key, 1, lock, o.asks(spec.Table)
	page, err := records.Fetch(ctx, q)
	if err != nil {
		return nil, err
	}
	if len(page.Rows) == 0 {
		return nil, refuse("no-record", "This row is not in the list any more.", "The list has been loaded again.")
	}
	hide(page.Rows[0], hidden)
	return page.Rows[0], nil
}

// Writes says whether the ways of an element change records or the plant.
func (a *App) Writes(screen, element string) bool {
	e := a.element(screen, element)
	if e == nil {
		return false
	}
	if l := e.listing(); l != nil && l.InPlace {
		return true
	}
	for _, g := range e.Gates {
		if g.Writes() || g.Unsaved == "save" {
			return true
		}
	}
	return false
}

// OnLeaving says whether an element is a way that is set off when its screen is left: it may be
// pressed after that.
func (a *App) OnLeaving(screen, element string) bool {
	e := a.element(screen, element)
	if e == nil {
		return false
	}
	w := project.WayOf(e.Element)
	return w != nil && w.OnLeaving()
}

// Follow does a press on an open screen: judges the gate, asks what must be asked, does the
// effects in order through the changer, and works out the move with the new values. Errors
// are *Refusal, *FieldErrors or the changer's own; after any of them nothing may be kept.
func (o *Opening) Follow(ctx context.Context, p Press, src Changer) (Outcome, error) {
	if kind, _ := project.TriggerOf(p.Trigger); !isBack(p.Trigger) {
		if own, ok := kind.(FollowedTrigger); ok {
			return own.Follow(ctx, o, p, src)
		}
	}
	gate, verdict, at, err := o.gateOf(ctx, p, src)
	if err != nil {
		return Outcome{}, err
	}
	c := verdict.chosen
	if verdict.pick != nil {
		return Outcome{Kind: "question", Question: &Question{Kind: "pick", Words: "Which " + verdict.pick.One + "?", Pick: verdict.pick}}, nil
	}
	q, err := o.question(ctx, gate, c, p, at, src)
	if err != nil {
		return Outcome{}, err
	}
	if q != nil {
		return Outcome{Kind: "question", Question: q}, nil
	}
	w := *o.world
	w.row = at.row
	w = *o.given(gate, &w, at)
	keeps := p.Unsaved == "save" || gate.Unsaved == "save" && len(p.Values) > 0
	out := Outcome{Kind: "stay", Forget: keeps || saves(c) || p.Unsaved == "drop" || gate.Unsaved == "drop"}
	effects := c.Effects
	if keeps && !saves(c) {
		effects = append([]*EffectPlan{saving()}, effects...)
	}
	for _, e := range effects {
		q, err := kindOf[DoneEffect](e.Spec).Do(ctx, effectRun{o: o, w: &w, plan: e, press: p, records: src, out: &out, row: entryRow(p, at)})
		if err != nil {
			return Outcome{}, err
		}
		if q != nil {
			return Outcome{Kind: "question", Question: q}, nil
		}
	}
	err = o.followMove(p, c, verdict, &w, at, &out)
	return out, err
}

// replaces says whether a trigger leads on by itself: going back does not end up there again.
func replaces(trigger string) bool {
	kind, _ := project.TriggerOf(trigger)
	_, does := kind.(interface{ Replaces() })
	return does
}

// entryRow is what an entry of a row's menu acts on; nil for the screen's own record.
func entryRow(p Press, at aim) *Row {
	if strings.HasPrefix(p.Trigger, "menu.") {
		return at.row
	}
	return nil
}

// saving is the effect that keeps what was typed.
func saving() *EffectPlan {
	spec, err := project.Effects.New("save")
	if err != nil {
		panic(err.Error()) // it is added when the program starts
	}
	return &EffectPlan{Effect: project.NewEffect(spec)}
}

// saves says whether a case keeps what was typed.
func saves(c *CasePlan) bool {
	for _, e := range c.Effects {
		if _, keeps := e.Spec.(Keeps); keeps {
			return true
		}
	}
	return false
}

func (o *Opening) followMove(p Press, c *CasePlan, v Verdict, w *world, at aim, out *Outcome) error {
	if v.stay != "" {
		out.Message = v.stay
		return nil
	}
	if c.Move == nil {
		switch {
		case out.Deleted != "":
			out.Kind, out.Move = "move", "back" // there is nothing to stay on
		case out.look != nil:
			out.Kind, out.Move, out.To = "move", "arrange", out.look
			o.keepVars(out)
			if replaces(p.Trigger) {
				out.As = "replace"
			}
		}
		return nil
	}
	if v.choose != nil {
		out.Choose = v.choose
		return nil
	}
	after := v
	if len(c.Effects) > 0 && !isStep(c.Move) || v.later {
		// Once more, with the values as they are after the effects.
		after = Verdict{State: "open", chosen: c}
		kindOf[AimedMove](c.Move.Spec).Aim(o, &after, c.Move, w, at)
		if !after.Open() || after.later {
			return refuse("greyed", "Where this leads cannot be worked out now.", after.Reason)
		}
	}
	if after.stay != "" {
		out.Message = after.stay
		return nil
	}
	out.Kind, out.Move, out.As, out.To, out.Leave = "move", c.Move.Kind, c.Move.As, after.To, after.Leave
	if at.point != "" || isStep(c.Move) {
		o.keepVars(out) // one stays on the screen, and looks at it otherwise
	}
	if replaces(p.Trigger) && out.As == "" {
		out.As = "replace" // going back does not end up here again
	}
	if c.Back != nil && out.To != nil {
		trigger, _ := o.pressed(p)
		out.Back = project.BackTrigger(trigger, c.ID)
	}
	if out.Move == "close" {
		if err := o.comesBackWith(c.Move, w, at, out); err != nil {
			return err
		}
	}
	switch {
	case out.Leave != "":
		out.Move = "address"
	case out.Move == "up" && out.To == nil:
		out.Move = "home"
	case out.To != nil && out.Move != "step":
		out.Move = "screen"
	}
	return nil
}

// effectRun is one effect of one press at work.
type effectRun struct {
	o       *Opening
	w       *world
	plan    *EffectPlan
	press   Press
	records Changer
	out     *Outcome
	row     *Row // one of several that were chosen; nil: what is changed is the screen's record
}

// subject gives the record that is changed.
func (r effectRun) subject() *Row {
	if r.row != nil {
		return r.row
	}
	return r.w.record
}

func (r effectRun) table() *project.Table {
	return r.o.app.Project.Tables[r.o.plan.Screen.RecordTable()]
}

// reload reads the record again after it was changed, so that what follows sees the new values.
func (r effectRun) reload(ctx context.Context, key string) error {
	set := pathSet{}
	for p := range r.o.plan.record {
		set[p] = true
	}
	row, err := r.o.one(ctx, Sources{Records: r.records}, Query{Table: r.table(), Key: key, Ask: r.o.asks(r.table().ID)}, set)
	if err != nil {
		return err
	}
	r.w.record, r.out.Saved = row, key
	if row != nil {
		r.out.Title = r.w.title(row, row.Table, "")
	}
	return nil
}
