package build

import (
	"context"
	"strings"

	"ambergate/core/ask"
	"ambergate/core/cond"
	"ambergate/core/cond/prove"
	"ambergate/core/english"
	"ambergate/core/place"
	"ambergate/core/plan"
	"ambergate/core/project"
	"ambergate/core/use"
	"ambergate/core/words"
)

// Explanation says of one way, for one user at one place: whether it is open, what was judged and
// in which order, where it would lead, who would see it, and what would have to change.
type Explanation struct {
	State  use.State    `json:"state"` // open, greyed, hidden, shut: the screen itself is
	Reason string       `json:"reason,omitempty"`
	Judged []Judged     `json:"judged"`
	Leads  *Leads       `json:"leads,omitempty"`
	Roles  []SeenBy     `json:"roles"`           // each role alone
	Turns  []prove.Turn `json:"turns,omitempty"` // the fewest parts that would have to change for it to be open
}

// Judged is one thing that was judged.
type Judged struct {
	What  string       `json:"what"`  // grant, row-rule, guard, shown, roles, while, case, target
	State string       `json:"state"` // passes, refuses, unknown
	Words string       `json:"words"`
	Part  *cond.Part   `json:"part,omitempty"`
	turns []prove.Turn // what would have to change of it
}

// Leads is where a way leads, with every input, and what the target says to that.
type Leads struct {
	Screen  string     `json:"screen"`
	Title   string     `json:"title"`
	Mode    string     `json:"mode"`
	As      string     `json:"as,omitempty"`
	Address string     `json:"address"`
	Inputs  []LedInput `json:"inputs"`
	Judged  []Judged   `json:"judged"`
	Opens   bool       `json:"opens"`
}

// LedInput is one input of the target with its value and where that comes from.
type LedInput struct {
	Label string `json:"label"`
	Value string `json:"value"`
	Words string `json:"words"` // the record's title, or the value for people
	From  string `json:"from"`
}

// SeenBy is how a role alone would see the way here.
type SeenBy struct {
	Role   string    `json:"role"`
	Name   string    `json:"name"`
	State  use.State `json:"state"` // open, greyed, hidden, shut
	Reason string    `json:"reason,omitempty"`
}

// Aim names what a way is asked about: an element and its trigger, and for rows and points which one.
type Aim struct {
	Element, Trigger, Row, Point string
}

// Why explains a way for a user at a place. An error means that the explanation itself failed: a
// refusal is what is explained.
func Why(ctx context.Context, a *plan.App, user *ask.User, place place.Place, at Aim, src use.Sources) (*Explanation, error) {
	src.Ghosts, src.Bare, src.Lock = true, false, false
	x, err := why(ctx, a, user, place, at, src)
	if err != nil {
		return nil, err
	}
	for _, r := range project.Ordered(a.Project.Roles) {
		alone := *user
		alone.Name, alone.Roles = "Any "+r.Name, map[string]bool{r.ID: true}
		one, err := why(ctx, a, &alone, place, at, src)
		if err != nil {
			return nil, err
		}
		x.Roles = append(x.Roles, SeenBy{Role: r.ID, Name: r.Name, State: one.State, Reason: one.Reason})
	}
	return x, nil
}

// asking is one explanation in the making.
type asking struct {
	app      *plan.App
	src      use.Sources
	out      *Explanation
	open     *use.Opening
	world    *use.World
	element  *plan.Element
	gatePlan *plan.Gate
	asked    []*cond.Node // the conditions that must all hold
}

func why(ctx context.Context, a *plan.App, user *ask.User, place place.Place, at Aim, src use.Sources) (*Explanation, error) {
	q := asking{app: a, src: src, out: &Explanation{State: use.StateOpen, Judged: []Judged{}, Roles: []SeenBy{}}}
	o, err := use.Enter(ctx, a, user, place, src)
	if o == nil {
		return nil, err
	}
	q.open, q.world = o, o.World
	judged, refusal, err := entry(ctx, o, src, err)
	if err != nil {
		return nil, err
	}
	q.out.Judged = judged
	if refusal != nil {
		q.out.State, q.out.Reason = use.StateShut, refusal.What
	}
	q.askGuard(o.Plan)
	return q.out, q.way(ctx, at, refusal == nil)
}

// way explains the element and its gate; entered says whether the screen let the user in.
func (q *asking) way(ctx context.Context, at Aim, entered bool) error {
	e := q.app.ElementAt(q.open.Plan.Screen.ID, at.Element)
	if e == nil {
		return ask.Refuse("no-element", "This is not on the screen any more.", "Choose something else.")
	}
	gate := e.Gates[at.Trigger]
	if gate == nil {
		q.close(use.StateGreyed, "Nothing is wired to it yet.")
		return nil
	}
	q.element, q.gatePlan = e, gate
	target, err := q.aim(ctx, e, at)
	if err != nil {
		return err
	}
	if entered {
		if err := q.neighbours(ctx, target); err != nil {
			return err
		}
	}
	if target != nil {
		q.world = q.open.Given(gate, q.world, *target)
	}
	q.shown(e)
	q.gate(gate)
	if entered && target != nil {
		v := q.open.Judge(gate, *target)
		if !v.Open() {
			q.close(v.State, v.Reason)
			q.closedBy(v)
		}
		if err := q.leads(ctx, gate, v); err != nil {
			return err
		}
	}
	if q.out.State != use.StateOpen {
		q.turns()
	}
	return nil
}

// neighbours finds what record rules ask for beyond the screen's own record.
func (q *asking) neighbours(ctx context.Context, at *use.Aim) error {
	if err := q.open.FetchSteps(ctx, q.src); err != nil {
		return err
	}
	var round ask.Round
	if err := q.open.AskChosen(&round, q.src); err != nil {
		return err
	}
	q.open.AskChildren(&round, q.src)
	if err := round.Run(ctx, q.src.Records); err != nil {
		return err
	}
	if at != nil && at.Row != nil {
		return q.open.FetchChildrenOf(ctx, q.src.Records, at.Row)
	}
	return nil
}

// close notes that the way is not open; what closed it first is kept.
func (q *asking) close(state use.State, reason string) {
	if q.out.State == use.StateOpen {
		q.out.State, q.out.Reason = state, reason
	}
}

// aim finds the row or point that is asked about; the first of the list or chart if none is named.
func (q *asking) aim(ctx context.Context, e *plan.Element, at Aim) (*use.Aim, error) {
	out := use.Aim{Point: at.Point}
	list := e.Listing()
	if p := project.PointsOf(e.Element); p != nil {
		out.Span, out.Step = p.Span, p.Step
	}
	if at.Trigger != "row" && !strings.HasPrefix(at.Trigger, "menu.") || list == nil || q.out.State == use.StateShut || !q.open.Rights.On(list.Table).View {
		return &out, nil
	}
	query, hidden, err := q.open.ListQuery(e, "")
	if err != nil {
		return nil, err
	}
	query.Limit = 1
	if at.Row != "" {
		query.Key, query.Order = at.Row, nil
	}
	page, err := q.src.Records.Fetch(ctx, query)
	if err != nil {
		return nil, err
	}
	if len(page.Rows) == 0 {
		q.close(use.StateHidden, "This row is not in the list for them.")
		return nil, nil
	}
	use.Hide(page.Rows[0], hidden)
	out.Row = page.Rows[0]
	w := *q.world
	w.Row = out.Row
	q.world = &w
	return &out, nil
}

// shown notes whether the element is there by itself, and by the frame that it stands in.
func (q *asking) shown(e *plan.Element) {
	for ; e != nil; e = e.Around {
		if e.Modes != nil && !e.Modes[q.open.At.Mode] {
			q.out.Judged = append(q.out.Judged, Judged{What: "shown", State: "refuses", Words: "it is not there in mode " + q.open.At.Mode})
			q.close(use.StateHidden, "It is not there in mode "+q.open.At.Mode+".")
		}
		if e.ShownWhile == nil {
			continue
		}
		q.ask(e.ShownWhile.Root)
		if j := q.condition("shown", "it shows while ", e.ShownWhile.Root); j.State != "passes" {
			q.close(use.StateHidden, english.Capital(j.Words)+".")
		}
	}
}

// condition notes how a condition was decided, part by part.
func (q *asking) condition(what, lead string, n *cond.Node) Judged {
	part := n.Explain(q.world)
	j := Judged{What: what, State: map[string]string{"yes": "passes", "no": "refuses", "unknown": "unknown"}[part.State], Words: lead + n.Phrase(), Part: &part}
	q.out.Judged = append(q.out.Judged, j)
	return j
}

func (q *asking) gate(g *plan.Gate) {
	if g.Roles != nil {
		j := Judged{What: "roles", State: "passes", Words: "the way is for " + words.Roles(q.app, g.Roles)}
		if _, closed := q.open.JudgeRoles(g.Roles); closed {
			j.State = "refuses"
		}
		q.out.Judged = append(q.out.Judged, j)
		q.ask(rolesNode(q.app, g.Roles))
	}
	if g.Condition != nil {
		q.ask(g.Condition.Root)
		q.condition("while", "while ", g.Condition.Root)
	}
	var cases []*cond.Node
	for _, c := range g.Cases {
		if c.Condition == nil {
			return // some case always holds
		}
		cases = append(cases, c.Condition.Root)
	}
	if any := cond.Any(cases...); any != nil {
		q.ask(any)
		q.condition("case", "one of its cases must hold: ", any)
	}
}

// closedBy notes what closed a gate besides its own conditions.
func (q *asking) closedBy(v use.Verdict) {
	switch v.By {
	case "record", "broken", "row-rule", "grant":
		q.out.Judged = append(q.out.Judged, Judged{What: "target", State: "refuses", Words: english.Small(strings.TrimSuffix(v.Reason, "."))})
	case "unknown":
		if v.Part == nil {
			q.out.Judged = append(q.out.Judged, Judged{What: "target", State: "unknown", Words: english.Small(strings.TrimSuffix(v.Reason, "."))})
		}
	}
}
