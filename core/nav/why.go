package nav

import (
	"context"
	"errors"
	"fmt"
	"strings"

	"ambergate/core/cond"
	"ambergate/core/project"
)

// Explanation says of one way, for one user at one place: whether it is open, what was judged and
// in which order, where it would lead, who would see it, and what would have to change.
type Explanation struct {
	State  string      `json:"state"` // open, greyed, hidden, shut: the screen itself is
	Reason string      `json:"reason,omitempty"`
	Judged []Judged    `json:"judged"`
	Leads  *Leads      `json:"leads,omitempty"`
	Roles  []SeenBy    `json:"roles"`           // each role alone
	Turns  []cond.Turn `json:"turns,omitempty"` // the fewest parts that would have to change for it to be open
}

// Judged is one thing that was judged.
type Judged struct {
	What  string      `json:"what"`  // grant, row-rule, guard, shown, roles, while, case, target
	State string      `json:"state"` // passes, refuses, unknown
	Words string      `json:"words"`
	Part  *cond.Part  `json:"part,omitempty"`
	turns []cond.Turn // what would have to change of it
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
	Role   string `json:"role"`
	Name   string `json:"name"`
	State  string `json:"state"` // open, greyed, hidden, shut
	Reason string `json:"reason,omitempty"`
}

// Aim names what a way is asked about: an element and its trigger, and for rows and points which one.
type Aim struct {
	Element, Trigger, Row, Point string
}

// Why explains a way for a user at a place. An error means that the explanation itself failed: a
// refusal is what is explained.
func (a *App) Why(ctx context.Context, user *User, place Place, at Aim, src Sources) (*Explanation, error) {
	src.Ghosts, src.Bare, src.Lock = true, false, false
	x, err := a.why(ctx, user, place, at, src)
	if err != nil {
		return nil, err
	}
	for _, r := range project.Ordered(a.Project.Roles) {
		alone := *user
		alone.Name, alone.Roles = "Any "+r.Name, map[string]bool{r.ID: true}
		one, err := a.why(ctx, &alone, place, at, src)
		if err != nil {
			return nil, err
		}
		x.Roles = append(x.Roles, SeenBy{Role: r.ID, Name: r.Name, State: one.State, Reason: one.Reason})
	}
	return x, nil
}

// asking is one explanation in the making.
type asking struct {
	app   *App
	src   Sources
	out   *Explanation
	open  *Opening
	world *world
	asked []*cond.Node // the conditions that must all hold
}

func (a *App) why(ctx context.Context, user *User, place Place, at Aim, src Sources) (*Explanation, error) {
	q := asking{app: a, src: src, out: &Explanation{State: "open", Judged: []Judged{}, Roles: []SeenBy{}}}
	o, err := a.enter(ctx, user, place, src)
	if o == nil {
		return nil, err
	}
	q.open, q.world = o, o.world
	judged, refusal, err := o.entry(ctx, src, err)
	if err != nil {
		return nil, err
	}
	q.out.Judged = judged
	if refusal != nil {
		q.out.State, q.out.Reason = "shut", refusal.What
	}
	q.askGuard(o.plan)
	return q.out, q.way(ctx, at, refusal == nil)
}

// askGuard notes what a screen's guard asks for.
func (q *asking) askGuard(plan *ScreenPlan) {
	q.ask(q.app.rolesNode(plan.Screen.Roles), rootOf(plan.Guard))
}

func (q *asking) ask(parts ...*cond.Node) {
	for _, p := range parts {
		if p != nil {
			q.asked = append(q.asked, p)
		}
	}
}

// rolesNode gives a set of roles as a condition; nil for everyone.
func (a *App) rolesNode(roles map[string]bool) *cond.Node {
	if roles == nil {
		return nil
	}
	var parts []*cond.Node
	for _, r := range project.Ordered(a.Project.Roles) {
		if roles[r.ID] {
			parts = append(parts, cond.AsksRole(cond.Role{ID: r.ID, Name: r.Name}))
		}
	}
	return cond.Any(parts...)
}

// entry says how the screen itself was judged, up to what refused it.
func (o *Opening) entry(ctx context.Context, src Sources, err error) ([]Judged, *Refusal, error) {
	var refusal *Refusal
	if err != nil && !errors.As(err, &refusal) {
		return nil, nil, err
	}
	code := ""
	if refusal != nil {
		code = refusal.Code
	}
	out := []Judged{}
	s := o.plan.Screen
	if t := o.app.Project.Tables[s.RecordTable()]; t != nil {
		verb := map[string]string{"edit": "change", "add": "add"}[o.place.Mode]
		if verb == "" {
			verb = "view"
		}
		j := Judged{What: "grant", State: "passes", Words: fmt.Sprintf("%s may %s %s", o.world.user.Name, verb, lowerLabel(t.Label))}
		if code == "no-grant" || code == "broken" {
			j.State, j.Words = "refuses", refusal.What
			return append(out, j), refusal, nil
		}
		out = append(out, j)
		j, err := o.judgedRows(ctx, src, t, code)
		if err != nil {
			return nil, nil, err
		}
		if out = append(out, j); j.State == "refuses" {
			return out, refusal, nil
		}
	}
	if refusal != nil && code != "guard" {
		return append(out, Judged{What: "record", State: "refuses", Words: refusal.What}), refusal, nil
	}
	if s.Roles == nil && s.Guard == "" {
		return append(out, Judged{What: "guard", State: "passes", Words: "“" + s.Title + "” has no guard"}), nil, nil
	}
	return append(out, o.judgedGuard()), refusal, nil
}

// judgedRows says how the row rules took the screen's own record, part by part where it is there.
func (o *Opening) judgedRows(ctx context.Context, src Sources, t *project.Table, code string) (Judged, error) {
	verb := "view"
	if o.place.Mode == "edit" {
		verb = "edit"
	}
	rule := o.app.ruleNode(o.world.user.Roles, t.ID, verb)
	words := "no row rule on " + lowerLabel(t.Label) + " for " + o.world.user.Name
	if rule != nil {
		words = map[string]string{"view": "to be viewed: ", "edit": "to be changed: "}[verb] + rule.Phrase()
	}
	j := Judged{What: "row-rule", State: "passes", Words: words}
	switch code {
	case "row-rule":
		j.State = "refuses"
	case "no-record":
		j.State = "refuses"
		page, err := src.Records.Fetch(ctx, Query{Table: t, Key: o.world.inputs[o.plan.Screen.Record].KeyOf(), Limit: 1, Rights: EveryRow})
		if err != nil {
			return j, err
		}
		if len(page.Rows) == 0 {
			j.What, j.Words = "record", "there is no such "+t.One
		}
	}
	if rule == nil || o.world.record == nil {
		return j, nil
	}
	w, err := o.ruleWorld(ctx, src, t, rule)
	if err != nil || w == nil {
		return j, err
	}
	part := rule.Explain(w)
	j.Part, j.turns = &part, rule.Turns(w)
	return j, nil
}

// ruleWorld is the user and the screen's record with all that a rule reads and the user may see.
func (o *Opening) ruleWorld(ctx context.Context, src Sources, t *project.Table, rule *cond.Node) (*world, error) {
	set := pathSet{}
	for _, p := range rule.Paths() {
		if p.Root == "record" && p.Key != "" {
			set[p.Key] = true
		}
	}
	row, err := o.one(ctx, src, Query{Table: t, Key: o.world.record.Key}, set)
	if row == nil {
		return nil, err
	}
	w := *o.rights.world
	w.record = row
	return &w, nil
}

// ruleNode gives what row rules ask of a record for a verb, for a set of roles; nil for nothing.
func (a *App) ruleNode(roles map[string]bool, table, verb string) *cond.Node {
	var any []*cond.Node
	for _, g := range a.Project.GrantsOf(roles, table) {
		if !g.May(verb) {
			continue
		}
		rule := a.rules[g.ID]
		one := rootOf(rule.rows)
		if verb != "view" {
			one = cond.Every(one, rootOf(rule.changes))
		}
		if one == nil {
			return nil
		}
		any = append(any, one)
	}
	return cond.Any(any...)
}

func (o *Opening) judgedGuard() Judged {
	s := o.plan.Screen
	j := Judged{What: "guard", State: "passes", Words: "“" + s.Title + "” is for " + o.app.roleWords(s.Roles)}
	if _, closed := o.judgeRoles(s.Roles); closed {
		j.State = "refuses"
	}
	if asked := cond.Every(o.app.rolesNode(s.Roles), rootOf(o.plan.Guard)); asked != nil {
		j.turns = asked.Turns(o.world)
	}
	switch {
	case o.plan.BadGuard:
		j.State, j.Words = "refuses", "its guard cannot be read"
	case o.plan.Guard != nil:
		part := o.plan.Guard.Root.Explain(o.world)
		j.Part = &part
		j.Words += ", while " + o.plan.Guard.Root.Phrase()
		if part.State != "yes" && j.State == "passes" {
			j.State = map[string]string{"no": "refuses", "unknown": "unknown"}[part.State]
		}
	}
	return j
}

// way explains the element and its gate; entered says whether the screen let the user in.
func (q *asking) way(ctx context.Context, at Aim, entered bool) error {
	e := q.app.element(q.open.plan.Screen.ID, at.Element)
	if e == nil {
		return refuse("no-element", "This is not on the screen any more.", "Choose something else.")
	}
	gate := e.Gates[at.Trigger]
	if gate == nil {
		q.close("greyed", "Nothing is wired to it yet.")
		return nil
	}
	target, err := q.aim(ctx, e, at)
	if err != nil {
		return err
	}
	q.shown(e)
	q.gate(gate)
	if entered && target != nil {
		v := q.open.judge(gate, *target)
		if !v.Open() {
			q.close(v.State, v.Reason)
			q.closedBy(v)
		}
		if err := q.leads(ctx, gate, v); err != nil {
			return err
		}
	}
	if q.out.State != "open" {
		q.turns()
	}
	return nil
}

// close notes that the way is not open; what closed it first is kept.
func (q *asking) close(state, reason string) {
	if q.out.State == "open" {
		q.out.State, q.out.Reason = state, reason
	}
}

// aim finds the row or point that is asked about; the first of the list or chart if none is named.
func (q *asking) aim(ctx context.Context, e *ElementPlan, at Aim) (*aim, error) {
	out := aim{point: at.Point}
	list, ok := e.Spec.(*project.List)
	if at.Trigger != "row" || !ok || q.out.State == "shut" || !q.open.rights.On(list.Table).View {
		return &out, nil
	}
	query, hidden, err := q.open.listQuery(e, "")
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
		q.close("hidden", "This row is not in the list for them.")
		return nil, nil
	}
	hide(page.Rows[0], hidden)
	out.row = page.Rows[0]
	w := *q.world
	w.row = out.row
	q.world = &w
	return &out, nil
}

func (q *asking) shown(e *ElementPlan) {
	if e.Modes != nil && !e.Modes[q.open.place.Mode] {
		q.out.Judged = append(q.out.Judged, Judged{What: "shown", State: "refuses", Words: "it is not there in mode " + q.open.place.Mode})
		q.close("hidden", "It is not there in mode "+q.open.place.Mode+".")
	}
	if e.ShownWhile == nil {
		return
	}
	q.ask(e.ShownWhile.Root)
	if j := q.condition("shown", "it shows while ", e.ShownWhile.Root); j.State != "passes" {
		q.close("hidden", upperFirst(j.Words)+".")
	}
}

// condition notes how a condition was decided, part by part.
func (q *asking) condition(what, lead string, n *cond.Node) Judged {
	part := n.Explain(q.world)
	j := Judged{What: what, State: map[string]string{"yes": "passes", "no": "refuses", "unknown": "unknown"}[part.State], Words: lead + n.Phrase(), Part: &part}
	q.out.Judged = append(q.out.Judged, j)
	return j
}

func (q *asking) gate(g *GatePlan) {
	if g.Roles != nil {
		j := Judged{What: "roles", State: "passes", Words: "the way is for " + q.app.roleWords(g.Roles)}
		if _, closed := q.open.judgeRoles(g.Roles); closed {
			j.State = "refuses"
		}
		q.out.Judged = append(q.out.Judged, j)
		q.ask(q.app.rolesNode(g.Roles))
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
func (q *asking) closedBy(v Verdict) {
	switch v.By {
	case "record", "broken", "row-rule", "grant":
		q.out.Judged = append(q.out.Judged, Judged{What: "target", State: "refuses", Words: lowerFirst(strings.TrimSuffix(v.Reason, "."))})
	case "unknown":
		if v.Part == nil {
			q.out.Judged = append(q.out.Judged, Judged{What: "target", State: "unknown", Words: lowerFirst(strings.TrimSuffix(v.Reason, "."))})
		}
	}
}

// leads says where the way goes and what the target says to that.
func (q *asking) leads(ctx context.Context, g *GatePlan, v Verdict) error {
	to, as := v.To, v.As
	if to == nil {
		// Closed: where it would lead if it were not.
		chosen, _ := chooseCase(g, q.world)
		if chosen == nil && len(g.Cases) > 0 {
			chosen = g.Cases[0]
		}
		if chosen == nil || chosen.Move == nil || chosen.Move.Kind != "screen" || chosen.Move.Target == nil {
			return nil
		}
		would := Verdict{State: "open", chosen: chosen}
		q.open.aimMove(&would, chosen.Move, q.world, aim{row: q.world.row})
		if would.To == nil {
			return nil
		}
		to, as, v = would.To, would.As, would
	}
	there, err := q.app.enter(ctx, q.open.world.user, *to, q.src)
	if there == nil {
		var refusal *Refusal
		if errors.As(err, &refusal) {
			q.close("greyed", refusal.What)
			return nil
		}
		return err
	}
	judged, refusal, err := there.entry(ctx, q.src, err)
	if err != nil {
		return err
	}
	target := q.app.Project.Screens[to.Screen]
	q.out.Leads = &Leads{Screen: to.Screen, Title: target.Title, Mode: to.Mode, As: as, Address: q.app.Address(*to), Judged: judged, Opens: refusal == nil, Inputs: []LedInput{}}
	for _, in := range project.Ordered(target.Inputs) {
		value, given := to.Inputs[in.ID]
		if !given {
			continue
		}
		led := LedInput{Label: in.Label, Value: value, Words: value, From: q.from(v, in.ID)}
		if row := there.world.inputRows[in.ID]; row != nil {
			led.Words = there.world.title(row, in.Table, "")
		} else if parsed, err := cond.Parse(in.TypeOf(), value); err == nil && in.Table == "" {
			led.Words = there.world.say(parsed, in.TypeOf())
		}
		q.out.Leads.Inputs = append(q.out.Leads.Inputs, led)
	}
	if refusal != nil {
		q.close("refused", refusal.What)
	}
	return nil
}

// from says how an input of the target gets its value.
func (q *asking) from(v Verdict, input string) string {
	if v.chosen == nil || v.chosen.Move == nil || v.chosen.Move.Bind[input] == nil {
		return ""
	}
	b := v.chosen.Move.Bind[input]
	switch b.Rule {
	case "parent":
		table := q.open.plan.Screen.RecordTable()
		if b.From == "row" && q.world.row != nil {
			table = q.world.row.Table
		}
		return "its " + q.app.pathWords(table, b.Path)
	case "expression":
		if e := v.chosen.Move.Exprs[input]; e != nil {
			return e.Root.Phrase()
		}
	case "input":
		if in := q.open.plan.Screen.Inputs[b.Value]; in != nil {
			return "this screen’s " + lowerLabel(in.Label)
		}
	}
	return map[string]string{"this": "this record", "row": "the clicked row", "point": "the chosen point", "user": "the user", "value": "always this"}[b.Rule]
}

func (a *App) pathWords(table, path string) string {
	var out []string
	for _, part := range strings.Split(path, ".") {
		f, _ := a.Project.FieldAt(table, part)
		if f == nil {
			return path
		}
		out = append(out, lowerLabel(f.Label))
		table = f.References
	}
	return strings.Join(out, "’s ")
}

// turns works out the fewest parts that would have to change: of the conditions all together, and
// of the grants and row rules that refuse, here and at the target.
func (q *asking) turns() {
	q.turnsOf(q.out.Judged, false)
	if q.out.Leads != nil {
		q.turnsOf(q.out.Leads.Judged, true)
	}
	if all := cond.Every(q.asked...); all != nil {
		q.out.Turns = append(q.out.Turns, all.Turns(q.world)...)
	}
}

// turnsOf adds what would have to change of what was judged; the guard of this screen is asked with the conditions.
func (q *asking) turnsOf(judged []Judged, guards bool) {
	for _, j := range judged {
		switch {
		case j.State == "passes":
		case j.What == "grant":
			q.out.Turns = append(q.out.Turns, cond.Turn{Words: "a grant for one of their roles (" + lowerFirst(strings.TrimSuffix(j.Words, ".")) + ")", Is: "no"})
		case j.What == "row-rule" && len(j.turns) == 0:
			q.out.Turns = append(q.out.Turns, cond.Turn{Words: j.Words, Is: "no"})
		case j.What == "row-rule" || j.What == "guard" && guards:
			q.out.Turns = append(q.out.Turns, j.turns...)
		}
	}
}

func lowerFirst(s string) string {
	if s == "" {
		return s
	}
	return strings.ToLower(s[:1]) + s[1:]
}

func upperFirst(s string) string {
	if s == "" {
		return s
	}
	return strings.ToUpper(s[:1]) + s[1:]
}
