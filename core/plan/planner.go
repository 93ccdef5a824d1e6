package plan

import (
	"maps"
	"slices"
	"strings"

	"ambergate/core/cond"
	"ambergate/core/project"
)

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
	b.Plan.frame()
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

// frame notes which frame each element stands in: of several, the narrowest.
func (s *Screen) frame() {
	for _, f := range s.Elements {
		if !project.Frames(f.Element) {
			continue
		}
		for _, e := range s.Elements {
			if f.Cell.Holds(e.Cell) && (e.Around == nil || e.Around.Cell.W >= f.Cell.W && e.Around.Cell.Holds(f.Cell)) {
				e.Around = f
			}
		}
	}
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
	if kind, is := e.Spec.(Readied); is {
		b.Element.Ready = kind.Ready(b.Element)
	}
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
			asks := b.Plan.AsksUser
			KindOf[EffectKind](e.Spec).Plan(b, ep)
			b.Plan.AsksUser = asks // what is done shows only once it is done
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

// Condition compiles a text that comes to yes or no; nil, with the problem noted, where it cannot be
// read. Where says for people which text it is.
func (b *Planner) Condition(where, text string) *cond.Expr {
	e, problem := b.App.Compiler.Condition(b.Scope, text)
	return b.keep(where, text, e, problem)
}

// ConditionOrLimits compiles a condition, or the name of a number of the plant that has limits: what that comes to is the
// number.
func (b *Planner) ConditionOrLimits(where, text string) *cond.Expr {
	if e, problem := b.App.Compiler.Expression(b.Scope, text); problem == nil && e.Root.Op == cond.OpPath {
		if tag := b.App.Project.TagAt(e.Root.Path); tag != nil && tag.Alarm != nil {
			return b.keep(where, text, e, nil)
		}
	}
	return b.Condition(where, text)
}

// Expression compiles a text that comes to any value; nil, with the problem noted, where it cannot be
// read.
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

// Template compiles words with values in them; nil for none, and where it cannot be read.
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

// Broken notes a text that cannot be read, at the place that is being compiled.
func (b *Planner) Broken(where, text string, problem cond.Problem) {
	p := Problem{Screen: b.Plan.Screen.ID, on: b.Plan.Screen.ID, Where: where, Text: text, Problem: problem}
	if b.rail != nil {
		p.Screen, p.Entity = "", b.rail.ID
	}
	if b.Element != nil {
		p.Element = b.Element.ID
		b.Element.Broken = append(b.Element.Broken, problem)
	}
	b.App.Problems = append(b.App.Problems, p)
}
