// Package nav decides what each user sees and where each press leads. It works on plain
// values: what it needs of records and tags it asks through two small interfaces.
package nav

import (
	"fmt"
	"maps"
	"slices"
	"sort"
	"strings"

	"ambergate/core/cond"
	"ambergate/core/project"
)

// App is a project compiled for use: built once for a release, shared by all its users.
// It is never changed after Compile.
type App struct {
	Project  *project.Project
	Compiler *cond.Compiler
	Screens  map[string]*ScreenPlan
	Problems []Problem // expressions that cannot be compiled
	titles   map[string]*cond.Template
	rules    map[string]rowRule // by grant
	tallies  map[string]rowRule // by table and figure
	uses     map[string][]Use   // of shared conditions
	ruleUser pathSet            // what rules ask of the user's own record
}

// Problem is an expression of the project that cannot be read, and where it stands.
type Problem struct {
	Screen, Element, Where string
	Entity                 string // where it is no screen: a grant, table or condition
	Text                   string
	Problem                cond.Problem
}

// ScreenPlan is a screen with its expressions compiled and the paths that it reads.
type ScreenPlan struct {
	Screen   *project.Screen
	Heading  *cond.Template
	Guard    *cond.Expr
	BadGuard bool // there is a guard that cannot be read: nobody is let in
	Elements []*ElementPlan
	Off      []*ElementPlan // what sets off no element: swipes, entering, time
	Rails    []*RailPlan
	record   pathSet               // of the screen's own record
	inputs   map[string]pathSet    // of records given as inputs
	user     pathSet               // of the user's own record
	vars     map[string]pathSet    // of records that variables hold
	tags     []*cond.Path          // live values, in order of appearance
	needs                          // of all its gates
	adds     stepSet               // the tables that its ways add records to
	kin      map[string]*childPlan // by child rule
	late     []*GatePlan           // shared gates that read of records which are found late
}

// needs is what gates ask for besides the records that the screen reads anyway.
type needs struct {
	steps    stepSet // where they step to in the list come from
	chosen   stepSet // the lists whose chosen row they ask for
	children stepSet // the child rules they use
}

// stepSet is a set of names: of steps, or of lists.
type stepSet map[string]bool

func (s stepSet) with(names ...string) stepSet {
	out := maps.Clone(s)
	if out == nil {
		out = stepSet{}
	}
	for _, name := range names {
		out[name] = true
	}
	return out
}

// ElementPlan is an element with its expressions compiled.
type ElementPlan struct {
	*project.Element
	ShownWhile *cond.Expr
	Texts      map[string]*cond.Template
	Exprs      map[string]*cond.Expr
	Gates      map[string]*GatePlan
	Broken     []cond.Problem
	row        pathSet // of a list's rows
	needs              // of its own gates
}

// GatePlan is a gate with its conditions compiled.
type GatePlan struct {
	*project.Gate
	Condition *cond.Expr
	Grey      *cond.Template
	Question  *cond.Template
	Cases     []*CasePlan
	Broken    bool // a part cannot be read: it never opens

	Shared *project.SharedGate         // the shared gate that it is; nil for one of its own
	Use    *project.Gate               // of a shared one: how the element uses it
	Given  map[string]*project.Binding // of a shared one: what the element gives it
	Exprs  map[string]*cond.Expr       // of a shared one: given expressions, by input
	Late   map[string]pathSet          // of a shared one: what it reads of records that are found late, by input
	Gone   bool                        // the shared gate is gone
	inner  bool                        // it stands inside a shared gate: a dialog of that comes back through it
}

// CasePlan is one case of a gate, compiled.
type CasePlan struct {
	*project.Case
	Condition *cond.Expr
	Effects   []*EffectPlan
	Move      *MovePlan
	Back      *GatePlan // what happens when the dialog that it opens comes back; nil for nothing
}

// EffectPlan is an effect with its expressions, by field id or by "tag" and "value".
type EffectPlan struct {
	*project.Effect
	Exprs map[string]*cond.Expr
}

// MovePlan is a move with the screens that it may lead to, and the expressions that its kind names.
type MovePlan struct {
	*project.Move
	To    []*Lead
	Exprs map[string]*cond.Expr
}

// Leads gives the screens that a move may lead to: one, those that it chooses from, or none.
func (m *MovePlan) Leads() []*Lead {
	if m == nil {
		return nil
	}
	return m.To
}

// Only gives the one screen that a move can lead to; nil where it is none, or one of several.
func (m *MovePlan) Only() *Lead {
	if m == nil || len(m.To) != 1 || m.To[0].ID != "" {
		return nil
	}
	return m.To[0]
}

// Lead is a screen that a move may lead to, with what is brought there compiled.
type Lead struct {
	*project.Lead
	Mode, As string
	Target   *project.Screen       // nil: it is gone
	Exprs    map[string]*cond.Expr // by input
	Set      map[string]*cond.Expr // by field
	Carried  map[string]string     // input of the target → that of this screen which is passed on
	Row      *cond.Expr            // the row that one is led to, where that is worked out
	ID, Is   string                // of one of a choice: its id, and the value it is for
}

// pathSet is dotted paths of field ids to fetch from one record.
type pathSet map[string]bool

func (s pathSet) sorted() []string {
	out := make([]string, 0, len(s))
	for p := range s {
		out = append(out, p)
	}
	sort.Strings(out)
	return out
}

// Compile builds an App. What cannot be compiled is listed in Problems and never opens anything;
// an error means that no expression at all could be compiled.
func Compile(p *project.Project) (*App, error) {
	compiler, err := cond.NewCompiler(p.Schema())
	if err != nil {
		return nil, fmt.Errorf("compile the project's names: %w", err)
	}
	a := &App{Project: p, Compiler: compiler, Screens: map[string]*ScreenPlan{}, titles: map[string]*cond.Template{}, uses: map[string][]Use{}}
	for id, t := range p.Tables {
		scope := cond.Scope{"record": id}
		title, problem := compiler.Template(scope, t.Title)
		if problem != nil {
			a.Problems = append(a.Problems, Problem{Where: "title of " + t.Label, Text: t.Title, Problem: *problem})
			continue
		}
		a.titles[id] = title
	}
	a.compileRules()
	for _, id := range slices.Sorted(maps.Keys(p.Screens)) {
		b := planner{app: a, plan: &ScreenPlan{Screen: p.Screens[id], record: pathSet{}, inputs: map[string]pathSet{}, user: pathSet{}}}
		b.screen()
		a.Screens[id] = b.plan
	}
	return a, nil
}

// planner compiles one screen and collects what it reads.
type planner struct {
	app        *App
	plan       *ScreenPlan
	element    *ElementPlan
	scope      cond.Scope
	via        map[string]via      // inside a shared gate: where its inputs' records come from
	sharedGate *project.SharedGate // inside one
	rail       *project.Rail       // on one
}

func (b *planner) screen() {
	s := b.plan.Screen
	b.scope = b.app.Project.Scope(s, "")
	b.plan.Heading = b.template("heading", s.Heading)
	if s.Guard != "" {
		b.plan.Guard = b.condition("guard", s.Guard)
		b.plan.BadGuard = b.plan.Guard == nil
	}
	for _, id := range slices.Sorted(maps.Keys(s.Inputs)) {
		if in := s.Inputs[id]; in.Type == "record" {
			b.plan.inputs[id] = pathSet{}
			b.needTitle(b.plan.inputs[id], in.Table, "")
		}
	}
	if t := s.RecordTable(); t != "" {
		b.needTitle(b.plan.record, t, "")
	}
	for _, id := range slices.Sorted(maps.Keys(s.Elements)) {
		b.plan.Elements = append(b.plan.Elements, b.planElement(s.Elements[id]))
	}
	for _, w := range project.Ordered(s.Ways) {
		b.element = newElementPlan(w.Element())
		b.plan.Off = append(b.plan.Off, b.element)
		b.scope = b.app.Project.Scope(s, "")
		b.gates()
	}
	b.rails()
	b.element = nil
	slices.SortFunc(b.plan.Elements, func(x, y *ElementPlan) int {
		if d := x.Cell.Row - y.Cell.Row; d != 0 {
			return d
		}
		if d := x.Cell.Col - y.Cell.Col; d != 0 {
			return d
		}
		return strings.Compare(x.ID, y.ID)
	})
}

// listing gives the list that the element is; nil when it is none.
func (e *ElementPlan) listing() *project.List { return project.ListOf(e.Element) }

func newElementPlan(e *project.Element) *ElementPlan {
	return &ElementPlan{Element: e, Texts: map[string]*cond.Template{}, Exprs: map[string]*cond.Expr{}, Gates: map[string]*GatePlan{}, row: pathSet{}}
}

func (b *planner) planElement(e *project.Element) *ElementPlan {
	b.element = newElementPlan(e)
	b.scope = b.app.Project.Scope(b.plan.Screen, "")
	if e.Shown != "" {
		b.element.ShownWhile = b.condition("shown while", e.Shown)
	}
	kindOf[ElementKind](e.Spec).Plan(b)
	b.gates()
	return b.element
}

func (b *planner) gates() {
	gates := b.element.Spec.Gates()
	for _, trigger := range slices.Sorted(maps.Keys(gates)) {
		b.putGate(trigger, b.gate(gates[trigger]))
	}
}

// putGate notes a gate of the element, with those that its dialogs come back through.
func (b *planner) putGate(trigger string, g *GatePlan) {
	b.element.Gates[trigger] = g
	for _, c := range g.Cases {
		if c.Back != nil {
			b.putGate(project.BackTrigger(trigger, c.ID), c.Back)
		}
	}
}

func (b *planner) gate(g *project.Gate) *GatePlan {
	if g.Use != "" {
		return b.shared(g)
	}
	plan := &GatePlan{Gate: g}
	if g.While != "" {
		plan.Condition = b.condition("while", g.While)
		plan.Broken = plan.Condition == nil
	}
	plan.Grey = b.template("reason", g.Otherwise.Grey)
	plan.Question = b.template("confirm", g.Confirm)
	for _, c := range project.Ordered(g.Cases) {
		cp := &CasePlan{Case: c}
		if c.When != "" {
			cp.Condition = b.condition("when", c.When)
			plan.Broken = plan.Broken || cp.Condition == nil
		}
		for _, e := range project.Ordered(c.Do) {
			ep := &EffectPlan{Effect: e, Exprs: map[string]*cond.Expr{}}
			kindOf[EffectKind](e.Spec).Plan(b, ep)
			cp.Effects = append(cp.Effects, ep)
		}
		if c.Move != nil {
			cp.Move = &MovePlan{Move: c.Move}
			kindOf[MoveKind](c.Move.Spec).Plan(b, cp.Move)
			b.addedBefore(cp)
			if c.Move.Back != nil {
				cp.Back = b.gate(c.Move.Back)
			}
		}
		plan.Cases = append(plan.Cases, cp)
	}
	return plan
}

func (b *planner) condition(where, text string) *cond.Expr {
	e, problem := b.app.Compiler.Condition(b.scope, text)
	return b.keep(where, text, e, problem)
}

func (b *planner) expression(where, text string) *cond.Expr {
	e, problem := b.app.Compiler.Expression(b.scope, text)
	return b.keep(where, text, e, problem)
}

func (b *planner) keep(where, text string, e *cond.Expr, problem *cond.Problem) *cond.Expr {
	if problem != nil {
		b.broken(where, text, *problem)
		return nil
	}
	b.reads(e.Root.Paths())
	b.app.used(e.Root, b.at(where))
	return e
}

// at says where the planner stands. What an element is called is said by who tells of it.
func (b *planner) at(where string) Use {
	if b.plan == nil {
		return Use{Words: where}
	}
	if b.rail != nil {
		return Use{Entity: b.rail.ID, Words: where + " of the rail “" + b.rail.Name + "”"}
	}
	use := Use{Screen: b.plan.Screen.ID, Words: where + " of “" + b.plan.Screen.Title + "”"}
	if b.element != nil {
		use.Element = b.element.ID
	}
	return use
}

func (b *planner) template(where, text string) *cond.Template {
	if text == "" {
		return nil
	}
	t, problem := b.app.Compiler.Template(b.scope, text)
	if problem != nil {
		b.broken(where, text, *problem)
		return nil
	}
	b.reads(t.Paths())
	return t
}

func (b *planner) broken(where, text string, problem cond.Problem) {
	p := Problem{Screen: b.plan.Screen.ID, Where: where, Text: text, Problem: problem}
	if b.rail != nil {
		p.Screen, p.Entity = "", b.rail.ID
	}
	if b.element != nil {
		p.Element = b.element.ID
		b.element.Broken = append(b.element.Broken, problem)
	}
	b.app.Problems = append(b.app.Problems, p)
}
