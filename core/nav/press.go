package nav

import (
	"context"
	"fmt"
	"strings"

	"ambergate/core/cond"
	"ambergate/core/project"
)

// Press is what the browser says was set off. It decides nothing.
type Press struct {
	Element   string            // id
	Row       string            // key of the clicked row
	Point     string            // value of the chosen point
	Values    map[string]string // typed and not saved, by field id
	Base      map[string]string // what those fields were when the form was opened
	Version   string            // of the record when the form was opened
	Confirmed bool              // the gate's question was answered with yes
	Unsaved   string            // what to do with what was typed: save, drop; "" not asked yet
	Keep      map[string]string // after a conflict: mine or theirs, by field id
}

// Outcome is what a press came to.
type Outcome struct {
	Kind     string     // move, stay, question
	Move     string     // screen, back, forward, home, up, close
	To       *Place     // of a move to a screen
	As       string     // full, dialog, replace
	Message  string     // of stay
	Question *Question  // what the user is asked before anything is done
	Writes   []TagWrite // to be sent after the transaction was committed
	Saved    string     // key of the record that was saved
}

// Question is put to the user; nothing has been done yet.
type Question struct {
	Kind   string          `json:"kind"` // confirm, unsaved, conflict
	Words  string          `json:"words"`
	Fields []ConflictField `json:"fields,omitempty"`
}

// ConflictField is a field that was changed here and, meanwhile, by somebody else.
type ConflictField struct {
	Field  string `json:"field"`
	Label  string `json:"label"`
	Mine   string `json:"mine"`
	Theirs string `json:"theirs"`
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
	for _, e := range o.plan.Elements {
		if e.ID != p.Element {
			continue
		}
		ev, shown := o.elementForPress(e)
		if !shown {
			return nil, Verdict{}, aim{}, refuse("hidden", "This is not open to you here.", ev.Reason)
		}
		for trigger, gate := range e.Gates {
			at, err := o.aimAt(ctx, e, trigger, p, src)
			if err != nil {
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

// elementForPress says whether the element itself is there: its mode and its own condition.
func (o *Opening) elementForPress(e *ElementPlan) (ElementView, bool) {
	var ev ElementView
	if e.Modes != nil && !e.Modes[o.place.Mode] {
		return ev, false
	}
	if e.Shown != "" && (e.ShownWhile == nil || !e.ShownWhile.Root.Eval(o.world).True()) {
		return ev, false
	}
	return ev, true
}

// aimAt fetches the clicked row, as the list would: a row the list does not hold cannot be pressed.
func (o *Opening) aimAt(ctx context.Context, e *ElementPlan, trigger string, p Press, src Changer) (aim, error) {
	if trigger != "row" {
		return aim{point: p.Point}, nil
	}
	spec := e.Spec.(*project.List)
	if !o.rights.On(spec.Table).View {
		return aim{}, refuse("no-grant", "Your role may not view these records.", "")
	}
	if p.Row == "" {
		return aim{}, refuse("no-record", "No row was named.", "Choose a row of the list.")
	}
	q, hidden, err := o.listQuery(e, "")
	if err != nil {
		return aim{}, err
	}
	q.Key, q.Limit, q.Order = p.Row, 1, nil
	page, err := src.Fetch(ctx, q)
	if err != nil {
		return aim{}, err
	}
	if len(page.Rows) == 0 {
		return aim{}, refuse("no-record", "This row is not in the list any more.", "The list has been loaded again.")
	}
	hide(page.Rows[0], hidden)
	return aim{row: page.Rows[0]}, nil
}

// Writes says whether the ways of an element change records or the plant.
func (a *App) Writes(screen, element string) bool {
	e := a.element(screen, element)
	if e == nil {
		return false
	}
	for _, g := range e.Gates {
		if g.Writes() {
			return true
		}
	}
	return false
}

// Follow does a press on an open screen: judges the gate, asks what must be asked, does the
// effects in order through the changer, and works out the move with the new values. Errors
// are *Refusal, *FieldErrors or the changer's own; after any of them nothing may be kept.
func (o *Opening) Follow(ctx context.Context, p Press, src Changer) (Outcome, error) {
	gate, verdict, at, err := o.gateOf(ctx, p, src)
	if err != nil {
		return Outcome{}, err
	}
	c := verdict.chosen
	if q := o.question(gate, c, p, at); q != nil {
		return Outcome{Kind: "question", Question: q}, nil
	}
	w := *o.world
	w.row = at.row
	out := Outcome{Kind: "stay"}
	effects := c.Effects
	if p.Unsaved == "save" && !saves(c) {
		effects = append([]*EffectPlan{{Effect: &project.Effect{Kind: "save", Spec: &project.Save{}}}}, effects...)
	}
	for _, e := range effects {
		q, err := effectKinds[e.Kind].do(ctx, effectRun{o: o, w: &w, plan: e, press: p, records: src, out: &out})
		if err != nil {
			return Outcome{}, err
		}
		if q != nil {
			return Outcome{Kind: "question", Question: q}, nil
		}
	}
	return out, o.followMove(c, verdict, &w, at, &out)
}

func saves(c *CasePlan) bool {
	for _, e := range c.Effects {
		if e.Kind == "save" {
			return true
		}
	}
	return false
}

// question gives what must be asked before anything is done; nil when nothing is.
func (o *Opening) question(g *GatePlan, c *CasePlan, p Press, at aim) *Question {
	leaves := c.Move != nil && c.Move.As != "dialog"
	if len(p.Values) > 0 && leaves && !saves(c) && g.Unsaved == "" && p.Unsaved == "" {
		return &Question{Kind: "unsaved", Words: "What you typed here is not saved yet."}
	}
	if g.Question != nil && !p.Confirmed {
		w := *o.world
		w.row = at.row
		return &Question{Kind: "confirm", Words: g.Question.Say(&w, w.say)}
	}
	return nil
}

func (o *Opening) followMove(c *CasePlan, v Verdict, w *world, at aim, out *Outcome) error {
	if v.stay != "" {
		out.Message = v.stay
		return nil
	}
	if c.Move == nil {
		return nil
	}
	out.Kind, out.Move, out.As = "move", c.Move.Kind, c.Move.As
	if c.Move.Kind == "up" {
		if o.plan.Screen.Up == "" {
			out.Move = "home"
			return nil
		}
		out.Move, out.To = "screen", &Place{Screen: o.plan.Screen.Up, Mode: "view", Inputs: map[string]string{}}
		return nil
	}
	if c.Move.Kind != "screen" {
		return nil
	}
	// Once more, with the values as they are after the effects.
	after := v
	if len(c.Effects) > 0 {
		after = Verdict{State: "open", chosen: c}
		o.aimMove(&after, c.Move, w, at)
		if !after.Open() {
			return refuse("greyed", "Where this leads cannot be worked out now.", after.Reason)
		}
	}
	out.To, out.As = after.To, after.As
	if out.To == nil {
		out.Kind, out.Message = "stay", after.stay
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
}

// effectKind is what nav does with one kind of effect.
type effectKind interface {
	plan(b *planner, e *EffectPlan)
	// do makes the change; a question instead of it means that nothing was changed.
	do(ctx context.Context, r effectRun) (*Question, error)
}

// effectKinds is the registry of effects.
var effectKinds map[string]effectKind

func init() {
	effectKinds = map[string]effectKind{"save": saveEffect{}, "set": setEffect{}, "write": writeEffect{}}
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
	return nil
}

func lowerLabel(s string) string { return strings.ToLower(s) }
