package press

import (
	"context"
	"strings"

	"ambergate/core/ask"
	"ambergate/core/cond"
	"ambergate/core/place"
	"ambergate/core/plan"
	"ambergate/core/project"
	"ambergate/core/use"
)

// Press is what the browser says was set off. It decides nothing.
type Press struct {
	Element   string            // id
	Trigger   string            // of an element with several ways: which of them; "" for the usual one
	Row       string            // key of the chosen row
	Rows      []string          // keys of the rows that were chosen, for what is done with several
	Point     string            // value of the chosen point
	PointTo   string            // the last of several points of time that were chosen together; "" for one
	Also      bool              // the point or row is chosen besides those that are, or no more
	Option    string            // of several values to choose from: which
	Seen      string            // of what is turned on and off: how it was drawn; "" where nothing was
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

// Came is what sort of thing a press came to.
type Came string

// A press moves the user, lets them stay, or asks first: then nothing was done yet.
const (
	Moved  Came = "move"
	Stayed Came = "stay"
	Asked  Came = "question"
)

// Outcome is what a press came to.
type Outcome struct {
	Kind     Came              // move, stay, question
	Move     string            // screen, step, back, forward, home, up, close, arrange (this screen, looked at otherwise), out (sign out), address
	To       *place.Place      // of a move to a screen, or of a step
	As       string            // full, dialog, drawer, replace, tab
	Message  string            // of stay
	Question *Question         // what the user is asked before anything is done
	Writes   []TagWrite        // to be sent after the transaction was committed
	Saved    string            // key of the record that was saved
	Title    string            // of the record that was saved
	Deleted  string            // key of the screen's record, when it was deleted
	Choose   *use.Choice       // a row of a list is to be the chosen one
	Done     int               // of what is done with several rows: how many
	Forget   bool              // what was typed is saved, or is to be forgotten
	Leave    string            // of a move out of the project: the address
	Does     []Act             // what the browser is to do itself
	Vars     map[string]string // variables that were set, by id, as the wire writes them; empty: nothing is in it any more
	look     *place.Place      // this screen as effects want it looked at
	Back     string            // of a dialog that opens: the trigger that it comes back through; "" for none
	Result   string            // of a dialog that closes: what it comes back with
	Return   *place.Return     // of a dialog that closes: what is pressed on the screen below, and gets the result
	Into     string            // of a dialog: the field of the screen below that gets the record saved here
	took     *plan.Case
}

// Took gives the case that was taken; nil where nothing was decided, and of a press whose outcome was stored.
func (o Outcome) Took() *plan.Case { return o.took }

// Act is something that only the browser can do.
type Act struct {
	What string `json:"what"`           // export, print, drawer
	List string `json:"list,omitempty"` // of export
	Rail string `json:"rail,omitempty"` // of drawer
	How  string `json:"how,omitempty"`  // of drawer: open, close, toggle
}

// TagWrite is one value to be written to the plant.
type TagWrite struct {
	Ref   ask.TagRef
	Tag   *project.Tag
	Label string
	Value cond.Value
	From  cond.Value // what it follows from: it is not sent where another value is read by then; unknown for whatever is there
	Held  bool       // it is yes as long as the button is held
	Beat  string     // of what is held: the node that is counted up all the while; "" for none
}

// gateOf finds the gate of a press and judges it. A hidden or greyed gate refuses.
func gateOf(ctx context.Context, o *use.Opening, p Press, src ask.Changer) (*plan.Gate, use.Verdict, use.Aim, error) {
	for _, e := range o.Pressable() {
		if e.ID != p.Element {
			continue
		}
		ev, shown := o.There(e)
		if !shown {
			return nil, use.Verdict{}, use.Aim{}, ask.Refuse("hidden", "This is not open to you here.", ev.Reason)
		}
		trigger, gate := e.GateOn(p.Trigger)
		if gate != nil {
			at, err := aimAt(ctx, o, e, trigger, p, src)
			if err != nil {
				return nil, use.Verdict{}, use.Aim{}, err
			}
			if err := o.FetchLate(ctx, use.Sources{Records: src}, gate, at); err != nil {
				return nil, use.Verdict{}, use.Aim{}, err
			}
			v := o.Judge(gate, at)
			if !v.Open() {
				code := string(v.State)
				r := ask.Refuse(code, "This cannot be pressed now.", v.Reason)
				r.Part = v.Part
				return nil, v, at, r
			}
			return gate, v, at, nil
		}
		return nil, use.Verdict{}, use.Aim{}, ask.Refuse("greyed", "Nothing is wired to this yet.", "Tell the person who builds this application.")
	}
	return nil, use.Verdict{}, use.Aim{}, ask.Refuse("no-element", "What you pressed is not on this screen any more.", "The screen has been loaded again.")
}

// aimAt finds what a press was set off on.
func aimAt(ctx context.Context, o *use.Opening, e *plan.Element, trigger string, p Press, src ask.Changer) (use.Aim, error) {
	if kind, _ := project.TriggerOf(trigger); kind != nil {
		if aimed, ok := kind.(AimedTrigger); ok {
			return aimed.Aim(ctx, o, e, e.Gates[trigger], p, src)
		}
	}
	return use.Aim{Point: p.Point, Picked: p.Picked, Result: p.Result}, nil
}

// AimRow fetches the row of a press, as the list would: a row the list does not hold cannot be pressed.
func AimRow(ctx context.Context, o *use.Opening, e *plan.Element, p Press, src ask.Changer, several, lock bool) (use.Aim, error) {
	if p.Row == "" {
		return use.Aim{}, ask.Refuse("no-record", "No row was named.", "Choose a row of the list.")
	}
	row, err := o.RowOf(ctx, e, p.Row, src, lock)
	if err != nil {
		return use.Aim{}, err
	}
	at := use.Aim{Point: p.Point, Also: p.Also, Picked: p.Picked, Result: p.Result, Row: row, Element: e.ID, Several: several}
	return at, o.FetchChildrenOf(ctx, src, row)
}

// Follow does a press on an open screen: judges the gate, asks what must be asked, does the
// effects in order through the changer, and works out the move with the new values. Errors
// are *Refusal, *FieldErrors or the changer's own; after any of them nothing may be kept.
func Follow(ctx context.Context, o *use.Opening, p Press, src ask.Changer) (Outcome, error) {
	if kind, _ := project.TriggerOf(p.Trigger); !plan.IsBack(p.Trigger) {
		if own, ok := kind.(FollowedTrigger); ok {
			return own.Follow(ctx, o, p, src)
		}
	}
	gate, verdict, at, err := gateOf(ctx, o, p, src)
	if err != nil {
		return Outcome{}, err
	}
	c := verdict.Chosen
	if verdict.Pick != nil {
		return Outcome{Kind: Asked, Question: &Question{Kind: "pick", Words: "Which " + verdict.Pick.One + "?", Pick: verdict.Pick}}, nil
	}
	if c.Move != nil {
		if checked, is := c.Move.Spec.(CheckedMove); is {
			if err := checked.Check(o); err != nil {
				return Outcome{}, err
			}
		}
	}
	q, err := question(ctx, o, gate, c, p, at, src)
	if err != nil {
		return Outcome{}, err
	}
	if q != nil {
		return Outcome{Kind: Asked, Question: q}, nil
	}
	w := *o.World
	w.Row = at.Row
	w = *o.Given(gate, &w, at)
	keeps := p.Unsaved == "save" || gate.Unsaved == "save" && len(p.Values) > 0
	out := Outcome{took: c, Kind: Stayed, Forget: keeps || plan.Saves(c) || p.Unsaved == "drop" || gate.Unsaved == "drop"}
	effects := c.Effects
	if keeps && !plan.Saves(c) {
		effects = append([]*plan.Effect{saving()}, effects...)
	}
	for _, e := range effects {
		q, err := plan.KindOf[EffectKind](e.Spec).Do(ctx, Run{Opening: o, World: &w, Effect: e, press: p, Records: src, Out: &out, Row: entryRow(p, at)})
		if err != nil {
			return Outcome{}, err
		}
		if q != nil {
			return Outcome{Kind: Asked, Question: q}, nil
		}
	}
	err = followMove(o, p, c, verdict, &w, at, &out)
	if out.Kind == Stayed && out.Message == "" && out.Saved != "" && (keeps || plan.Saves(c)) {
		out.Message = "Saved." // one stays on the form: it looks as before
		if out.Title != "" {
			out.Message = "“" + out.Title + "” is saved."
		}
	}
	return out, err
}

// replaces says whether a trigger leads on by itself: going back does not end up there again.
func replaces(trigger string) bool {
	kind, _ := project.TriggerOf(trigger)
	_, does := kind.(interface{ Replaces() })
	return does
}

// entryRow is what an entry of a row's menu acts on; nil for the screen's own record.
func entryRow(p Press, at use.Aim) *ask.Row {
	if strings.HasPrefix(p.Trigger, "menu.") {
		return at.Row
	}
	return nil
}

// saving is the effect that keeps what was typed.
func saving() *plan.Effect {
	spec, err := project.Effects.New("save")
	if err != nil {
		panic(err.Error()) // it is added when the program starts
	}
	return &plan.Effect{Effect: project.NewEffect(spec)}
}

func followMove(o *use.Opening, p Press, c *plan.Case, v use.Verdict, w *use.World, at use.Aim, out *Outcome) error {
	if v.Stay != "" {
		out.Message = v.Stay
		return nil
	}
	if c.Move == nil {
		switch {
		case out.Deleted != "":
			out.Kind, out.Move = Moved, "back" // there is nothing to stay on
		case out.look != nil:
			out.Kind, out.Move, out.To = Moved, "arrange", out.look
			keepVars(o, out)
			if replaces(p.Trigger) {
				out.As = "replace"
			}
		}
		return nil
	}
	if v.Choose != nil {
		out.Choose = v.Choose
		return nil
	}
	after := v
	if len(c.Effects) > 0 && !plan.IsStep(c.Move) || v.Later {
		// Once more, with the values as they are after the effects.
		after = use.Verdict{State: use.StateOpen, Chosen: c}
		plan.KindOf[use.MoveKind](c.Move.Spec).Aim(o, &after, c.Move, w, at)
		if !after.Open() || after.Later {
			return ask.Refuse("greyed", "Where this leads cannot be worked out now.", after.Reason)
		}
	}
	if after.Stay != "" {
		out.Message = after.Stay
		return nil
	}
	out.Kind, out.Move, out.As, out.To, out.Leave = Moved, c.Move.Kind, c.Move.As, after.To, after.Leave
	if at.Point != "" || plan.IsStep(c.Move) {
		keepVars(o, out) // one stays on the screen, and looks at it otherwise
	}
	if replaces(p.Trigger) && out.As == "" {
		out.As = "replace" // going back does not end up here again
	}
	if c.Back != nil && out.To != nil {
		trigger, _ := pressed(o, p)
		out.Back = project.BackTrigger(trigger, c.ID)
	}
	if out.Move == "close" {
		if err := comesBackWith(o, c.Move, w, at, out); err != nil {
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

// Run is one effect of one press at work.
type Run struct {
	Opening *use.Opening
	World   *use.World
	Effect  *plan.Effect
	press   Press
	Records ask.Changer
	Out     *Outcome
	Row     *ask.Row // one of several that were chosen; nil: what is changed is the screen's record
}

// Option is which of several values was pressed; "" for none.
func (r Run) Option() string { return r.press.Option }

// Seen is how what is turned on and off was drawn when it was pressed: on, off, unknown; "" where nothing was.
func (r Run) Seen() string { return r.press.Seen }

// Subject gives the record that is changed.
func (r Run) Subject() *ask.Row {
	if r.Row != nil {
		return r.Row
	}
	return r.World.Record
}

// Table gives the table of the screen's record; nil where it has none.
func (r Run) Table() *project.Table {
	return r.Opening.App.Project.Tables[r.Opening.Plan.Screen.RecordTable()]
}

// Reload reads the record again after it was changed, so that what follows sees the new values.
func (r Run) Reload(ctx context.Context, key string) error {
	set := plan.Paths{}
	for p := range r.Opening.Plan.RecordPaths {
		set[p] = true
	}
	row, err := r.Opening.FetchOne(ctx, use.Sources{Records: r.Records}, ask.Query{Table: r.Table(), Key: key, Ask: r.Opening.Asks(r.Table().ID)}, set)
	if err != nil {
		return err
	}
	r.World.Record, r.Out.Saved = row, key
	if row != nil {
		r.Out.Title = r.World.Title(row, row.Table, "")
	}
	return nil
}
