package plan

import (
	"fmt"
	"maps"
	"slices"
	"sort"
	"strings"

	"ambergate/core/cond"
	"ambergate/core/cond/compile"
	"ambergate/core/project"
)

// App is a project compiled for use: built once for a release, shared by all its users.
// It is never changed after Compile.
type App struct {
	Project  *project.Project
	Compiler *compile.Compiler
	Screens  map[string]*Screen
	Problems []Problem // expressions that cannot be compiled
	Titles   map[string]*cond.Template
	Rules    map[string]rowRule // by grant
	Tallies  map[string]rowRule // by table and figure
	Uses     map[string][]Use   // of shared conditions
	RuleUser Paths              // what rules ask of the user's own record
}

// Problem is an expression of the project that cannot be read, and where it stands.
type Problem struct {
	Screen, Element, Where string
	Entity                 string // where it is no screen: a grant, table or condition
	Text                   string
	Problem                cond.Problem
}

// Screen is a screen with its expressions compiled and the paths that it reads.
type Screen struct {
	Screen      *project.Screen
	Heading     *cond.Template
	Guard       *cond.Expr
	BadGuard    bool // there is a guard that cannot be read: nobody is let in
	Elements    []*Element
	Off         []*Element // what sets off no element: swipes, entering, time
	Rails       []*Rail
	RecordPaths Paths             // of the screen's own record
	InputPaths  map[string]Paths  // of records given as inputs
	UserPaths   Paths             // of the user's own record
	VarPaths    map[string]Paths  // of records that variables hold
	Tags        []*cond.Path      // live values, in order of appearance
	Needs                         // of all its gates
	Adds        Names             // the tables that its ways add records to
	Found       map[string]*Child // by child rule
	Late        []*Gate           // shared gates that read of records which are found late
}

// Needs is what gates ask for besides the records that the screen reads anyway.
type Needs struct {
	Steps    Names // where they step to in the list come from
	Chosen   Names // the lists whose chosen row they ask for
	Children Names // the child rules they use
}

// Names is a set of names: of steps, or of lists.
type Names map[string]bool

func (s Names) With(names ...string) Names {
	out := maps.Clone(s)
	if out == nil {
		out = Names{}
	}
	for _, name := range names {
		out[name] = true
	}
	return out
}

// Element is an element with its expressions compiled.
type Element struct {
	*project.Element
	ShownWhile *cond.Expr
	Texts      map[string]*cond.Template
	Exprs      map[string]*cond.Expr
	Gates      map[string]*Gate
	Broken     []cond.Problem
	RowPaths   Paths // of a list's rows
	Needs            // of its own gates
}

// Gate is a gate with its conditions compiled.
type Gate struct {
	*project.Gate
	Condition *cond.Expr
	Grey      *cond.Template
	Question  *cond.Template
	Cases     []*Case
	Broken    bool // a part cannot be read: it never opens

	Shared *project.SharedGate         // the shared gate that it is; nil for one of its own
	Use    *project.Gate               // of a shared one: how the element uses it
	Given  map[string]*project.Binding // of a shared one: what the element gives it
	Exprs  map[string]*cond.Expr       // of a shared one: given expressions, by input
	Late   map[string]Paths            // of a shared one: what it reads of records that are found late, by input
	Gone   bool                        // the shared gate is gone
	Inner  bool                        // it stands inside a shared gate: a dialog of that comes back through it
}

// Case is one case of a gate, compiled.
type Case struct {
	*project.Case
	Condition *cond.Expr
	Effects   []*Effect
	Move      *Move
	Back      *Gate // what happens when the dialog that it opens comes back; nil for nothing
}

// Effect is an effect with its expressions, by field id or by "tag" and "value".
type Effect struct {
	*project.Effect
	Exprs map[string]*cond.Expr
}

// Move is a move with the screens that it may lead to, and the expressions that its kind names.
type Move struct {
	*project.Move
	To    []*Lead
	Exprs map[string]*cond.Expr
}

// Leads gives the screens that a move may lead to: one, those that it chooses from, or none.
func (m *Move) Leads() []*Lead {
	if m == nil {
		return nil
	}
	return m.To
}

// Only gives the one screen that a move can lead to; nil where it is none, or one of several.
func (m *Move) Only() *Lead {
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

// Paths is dotted paths of field ids to fetch from one record.
type Paths map[string]bool

func (s Paths) Sorted() []string {
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
	compiler, err := compile.New(p.Schema())
	if err != nil {
		return nil, fmt.Errorf("compile the project's names: %w", err)
	}
	a := &App{Project: p, Compiler: compiler, Screens: map[string]*Screen{}, Titles: map[string]*cond.Template{}, Uses: map[string][]Use{}}
	for id, t := range p.Tables {
		scope := cond.Scope{"record": id}
		title, problem := compiler.Template(scope, t.Title)
		if problem != nil {
			a.Problems = append(a.Problems, Problem{Where: "title of " + t.Label, Text: t.Title, Problem: *problem})
			continue
		}
		a.Titles[id] = title
	}
	a.compileRules()
	for _, id := range slices.Sorted(maps.Keys(p.Screens)) {
		b := Planner{App: a, Plan: &Screen{Screen: p.Screens[id], RecordPaths: Paths{}, InputPaths: map[string]Paths{}, UserPaths: Paths{}}}
		b.screen()
		a.Screens[id] = b.Plan
	}
	return a, nil
}

// Planner compiles one screen and collects what it reads.
type Planner struct {
	App        *App
	Plan       *Screen
	Element    *Element
	Scope      cond.Scope
	via        map[string]Via      // inside a shared gate: where its inputs' records come from
	sharedGate *project.SharedGate // inside one
	rail       *project.Rail       // on one
}

func (b *Planner) screen() {
	s := b.Plan.Screen
	b.Scope = b.App.Project.Scope(s, "")
	b.Plan.Heading = b.Template("heading", s.Heading)
	if s.Guard != "" {
		b.Plan.Guard = b.Condition("guard", s.Guard)
		b.Plan.BadGuard = b.Plan.Guard == nil
	}
	for _, id := range slices.Sorted(maps.Keys(s.Inputs)) {
		if in := s.Inputs[id]; in.Type == "record" {
			b.Plan.InputPaths[id] = Paths{}
			b.NeedTitle(b.Plan.InputPaths[id], in.Table, "")
		}
	}
	if t := s.RecordTable(); t != "" {
		b.NeedTitle(b.Plan.RecordPaths, t, "")
	}
	for _, id := range slices.Sorted(maps.Keys(s.Elements)) {
		b.Plan.Elements = append(b.Plan.Elements, b.planElement(s.Elements[id]))
	}
	for _, w := range project.Ordered(s.Ways) {
		b.Element = newElementPlan(w.Element())
		b.Plan.Off = append(b.Plan.Off, b.Element)
		b.Scope = b.App.Project.Scope(s, "")
		b.gates()
	}
	b.rails()
	b.Element = nil
	slices.SortFunc(b.Plan.Elements, func(x, y *Element) int {
		if d := x.Cell.Row - y.Cell.Row; d != 0 {
			return d
		}
		if d := x.Cell.Col - y.Cell.Col; d != 0 {
			return d
		}
		return strings.Compare(x.ID, y.ID)
	})
}

// Listing gives the list that the element is; nil when it is none.
func (e *Element) Listing() *project.List { return project.ListOf(e.Element) }

func newElementPlan(e *project.Element) *Element {
	return &Element{Element: e, Texts: map[string]*cond.Template{}, Exprs: map[string]*cond.Expr{}, Gates: map[string]*Gate{}, RowPaths: Paths{}}
}

func (b *Planner) planElement(e *project.Element) *Element {
	b.Element = newElementPlan(e)
	b.Scope = b.App.Project.Scope(b.Plan.Screen, "")
	if e.Shown != "" {
		b.Element.ShownWhile = b.Condition("shown while", e.Shown)
	}
	KindOf[ElementKind](e.Spec).Plan(b)
	b.gates()
	return b.Element
}

func (b *Planner) gates() {
	gates := b.Element.Spec.Gates()
	for _, trigger := range slices.Sorted(maps.Keys(gates)) {
		b.putGate(trigger, b.gate(gates[trigger]))
	}
}

// putGate notes a gate of the element, with those that its dialogs come back through.
func (b *Planner) putGate(trigger string, g *Gate) {
	b.Element.Gates[trigger] = g
	for _, c := range g.Cases {
		if c.Back != nil {
			b.putGate(project.BackTrigger(trigger, c.ID), c.Back)
		}
	}
}

func (b *Planner) gate(g *project.Gate) *Gate {
	if g.Use != "" {
		return b.shared(g)
	}
	plan := &Gate{Gate: g}
	if g.While != "" {
		plan.Condition = b.Condition("while", g.While)
		plan.Broken = plan.Condition == nil
	}
	plan.Grey = b.Template("reason", g.Otherwise.Grey)
	plan.Question = b.Template("confirm", g.Confirm)
	for _, c := range project.Ordered(g.Cases) {
		cp := &Case{Case: c}
		if c.When != "" {
			cp.Condition = b.Condition("when", c.When)
			plan.Broken = plan.Broken || cp.Condition == nil
		}
		for _, e := range project.Ordered(c.Do) {
			ep := &Effect{Effect: e, Exprs: map[string]*cond.Expr{}}
			KindOf[EffectKind](e.Spec).Plan(b, ep)
			cp.Effects = append(cp.Effects, ep)
		}
		if c.Move != nil {
			cp.Move = &Move{Move: c.Move}
			KindOf[MoveKind](c.Move.Spec).Plan(b, cp.Move)
			b.addedBefore(cp)
			if c.Move.Back != nil {
				cp.Back = b.gate(c.Move.Back)
			}
		}
		plan.Cases = append(plan.Cases, cp)
	}
	return plan
}

func (b *Planner) Condition(where, text string) *cond.Expr {
	e, problem := b.App.Compiler.Condition(b.Scope, text)
	return b.keep(where, text, e, problem)
}

func (b *Planner) Expression(where, text string) *cond.Expr {
	e, problem := b.App.Compiler.Expression(b.Scope, text)
	return b.keep(where, text, e, problem)
}

func (b *Planner) keep(where, text string, e *cond.Expr, problem *cond.Problem) *cond.Expr {
	if problem != nil {
		b.Broken(where, text, *problem)
		return nil
	}
	b.reads(e.Root.Paths())
	b.App.used(e.Root, b.at(where))
	return e
}

// at says where the planner stands. What an element is called is said by who tells of it.
func (b *Planner) at(where string) Use {
	if b.Plan == nil {
		return Use{Words: where}
	}
	if b.rail != nil {
		return Use{Entity: b.rail.ID, Words: where + " of the rail “" + b.rail.Name + "”"}
	}
	use := Use{Screen: b.Plan.Screen.ID, Words: where + " of “" + b.Plan.Screen.Title + "”"}
	if b.Element != nil {
		use.Element = b.Element.ID
	}
	return use
}

func (b *Planner) Template(where, text string) *cond.Template {
	if text == "" {
		return nil
	}
	t, problem := b.App.Compiler.Template(b.Scope, text)
	if problem != nil {
		b.Broken(where, text, *problem)
		return nil
	}
	b.reads(t.Paths())
	return t
}

func (b *Planner) Broken(where, text string, problem cond.Problem) {
	p := Problem{Screen: b.Plan.Screen.ID, Where: where, Text: text, Problem: problem}
	if b.rail != nil {
		p.Screen, p.Entity = "", b.rail.ID
	}
	if b.Element != nil {
		p.Element = b.Element.ID
		b.Element.Broken = append(b.Element.Broken, problem)
	}
	b.App.Problems = append(b.App.Problems, p)
}

// TitlePath gives the path that stands first in the titles of a relation's records: what they are
// sorted and searched by.
func (a *App) TitlePath(table, relation string) string {
	if title := a.Titles[table]; title != nil {
		for _, p := range title.Paths() {
			if f, _ := a.Project.FieldAt(table, p.Key); f != nil && f.References == "" {
				return project.JoinPath(relation, p.Key)
			}
		}
	}
	return relation
}

func RootOf(e *cond.Expr) *cond.Node {
	if e == nil {
		return nil
	}
	return e.Root
}

// SpotList gives the table of the list that a move leads to a row of; "" where it is none.
func SpotList(m *Lead) string {
	if e := m.Target.Elements[m.Spot]; e != nil {
		if l := project.ListOf(e); l != nil {
			return l.Table
		}
	}
	return ""
}

// SpotInput stands for the row of a list that one is led to.
func SpotInput(table string) *project.Input {
	return &project.Input{Item: project.Item{ID: "spot"}, Label: "Row", Type: "record", Table: table}
}
