package reach

import (
	"maps"
	"slices"

	"ambergate/core/cond"
	"ambergate/core/kinds/effect"
	"ambergate/core/kinds/move"
	"ambergate/core/plan"
	"ambergate/core/project"
)

// collector finds the edges that start at one screen.
type collector struct {
	app    *plan.App
	screen *plan.Screen
	out    []*Edge
}

// edgesOf gives the edges of the ways of a screen, in a stable order.
func edgesOf(app *plan.App, screen *plan.Screen) []*Edge {
	c := &collector{app: app, screen: screen}
	for _, w := range screen.Ways() {
		if wayLeft(w) {
			continue
		}
		c.way(w)
	}
	if !screen.Screen.Bare {
		c.bottom(&Edge{From: screen.Screen, Presses: 1, beside: true})
	}
	for _, e := range c.out {
		e.look(app.Project)
	}
	return c.out
}

// look notes whose records an edge looks at, and whether it asks for roles.
func (e *Edge) look(p *project.Project) {
	e.tables = map[string]bool{}
	for _, part := range e.parts {
		e.asks = e.asks || len(part.Node.RolesAsked()) > 0
		for _, path := range part.Node.Paths() {
			table, segs := tableOf(e, path)
			e.through(p, table, segs)
		}
	}
	for _, r := range e.reads {
		e.through(p, r.table, r.segs)
	}
	if e.field != "" {
		e.through(p, e.From.RecordTable(), splitPath(e.field))
	}
	if e.rows != "" {
		e.tables[e.rows] = true
	}
	for _, b := range e.records {
		e.tables[b.table] = true
	}
}

// tableOf gives the table that a path of an edge begins at, and what follows; "" for none.
func tableOf(e *Edge, p *cond.Path) (string, []string) {
	switch p.Root {
	case "record":
		if e.From != nil {
			return e.From.RecordTable(), p.Segs
		}
	case "row":
		return e.rows, p.Segs
	case "inputs":
		if e.From != nil && len(p.Segs) > 1 {
			if in := e.From.Inputs[p.Segs[0]]; in != nil {
				return in.Table, p.Segs[1:]
			}
		}
	}
	return "", nil
}

// through notes the tables along a path.
func (e *Edge) through(p *project.Project, table string, segs []string) {
	for _, seg := range segs {
		if table == "" || seg == project.EquipField {
			return
		}
		e.tables[table] = true
		f, _ := p.FieldAt(table, seg)
		if f == nil {
			return
		}
		table = f.References
	}
}

// bottom leads up from where nothing lies behind, as going back does there.
func (c *collector) bottom(e *Edge) {
	up := c.app.Project.Screens[c.screen.Screen.Up]
	if up == nil {
		return
	}
	e.Exit, e.To, e.Mode, e.bottom = "", plan.TargetOf(up), "view", true
	e.unsure = append(slices.Clip(e.unsure), "nothing may lie behind")
	for _, in := range up.Inputs {
		e.shut = e.shut || in.Required
	}
	if target := c.app.Screens[up.ID]; target != nil && target.Guard != nil {
		e.parts = append(slices.Clip(e.parts), Part{Node: alone(target.Guard.Root, "up "+up.ID), Says: target.Guard.Root, Of: "guard"})
	}
	c.out = append(c.out, e)
}

// alone gives the guard of a screen that is opened with nothing.
func alone(guard *cond.Node, mark string) *cond.Node {
	return rewrite(guard, mark, func(p *cond.Path) *cond.Node {
		if p.Root == "record" || p.Root == "inputs" || p.Root == "vars" {
			return nil
		}
		return path(p)
	})
}

// wayLeft says whether a way is set off by leaving: that leads nowhere.
func wayLeft(w plan.Way) bool {
	of := project.WayOf(w.Element.Element)
	return of != nil && of.OnLeaving()
}

func (c *collector) way(w plan.Way) {
	before := []Part{}
	for _, of := range w.Gate.Cases {
		c.caseOf(w, of, before)
		if of.Condition != nil {
			before = append(before, Part{Node: of.Condition.Root, Says: of.Condition.Root, Of: "case", Not: true})
		}
	}
}

func (c *collector) caseOf(w plan.Way, of *plan.Case, before []Part) {
	if of.Move == nil {
		return
	}
	switch spec := of.Move.Spec.(type) {
	case *move.Along:
		c.along(w, of, before, spec.Rail)
		return
	case *move.Task:
		if spec.To == "leave" {
			c.exit(w, of, before, "back")
		}
		return
	case *move.Close:
		c.exit(w, of, before, "close")
		return
	case *move.Trail:
		if spec.Kind == "home" || spec.Kind == "back" {
			c.exit(w, of, before, spec.Kind)
		}
		return
	case *move.Up:
		if up := c.app.Project.Screens[c.screen.Screen.Up]; up != nil {
			e := c.base(w, of, before)
			e.To = plan.TargetOf(up)
			lead := &plan.Lead{Lead: &project.Lead{Target: up.ID}, Target: e.To}
			c.brings(e, w, lead)
			c.finish(e, lead)
		} else {
			c.exit(w, of, before, "home")
		}
		return
	}
	leads := of.Move.Leads()
	for i, lead := range leads {
		if lead.Target == nil {
			continue
		}
		e := c.base(w, of, before)
		e.To, e.Mode, e.As = lead.Target, lead.Mode, lead.As
		c.choice(e, of.Move, leads, i)
		c.brings(e, w, lead)
		c.finish(e, lead)
		c.policies(e, w, lead)
	}
}

// exit is a way that leads to no screen that is named.
func (c *collector) exit(w plan.Way, of *plan.Case, before []Part, kind string) {
	e := c.base(w, of, before)
	e.Exit = kind
	c.out = append(c.out, e)
	if kind != "home" {
		up := *e
		c.bottom(&up)
	}
}

// base is an edge of a case, with what has to hold for it whatever its target is.
func (c *collector) base(w plan.Way, of *plan.Case, before []Part) *Edge {
	e := &Edge{From: c.screen.Screen, Way: w, Case: of, Presses: presses(w), Mode: "view"}
	shared := c.within(w)
	if w.Rail != nil {
		e.beside = true
		e.roles = append(e.roles, w.Rail.Placed.Roles)
		c.placed(e, w)
	}
	e.roles = append(e.roles, w.Gate.Roles)
	e.shut = w.Gate.Broken || w.Gate.Gone
	for on := w.Element; on != nil; on = on.Around {
		if on.Modes != nil {
			e.modes = append(e.modes, on.Modes)
		}
		if on.Shown == "" {
			continue
		}
		if on.ShownWhile != nil {
			e.parts = append(e.parts, Part{Node: c.own(on.ShownWhile.Root), Says: on.ShownWhile.Root, Of: "shown"})
		} else {
			e.shut = true
		}
	}
	if w.Gate.Condition != nil {
		e.parts = append(e.parts, Part{Node: shared(w.Gate.Condition.Root), Says: w.Gate.Condition.Root, Of: "way"})
	}
	for _, p := range before {
		p.Node = shared(p.Node)
		e.parts = append(e.parts, p)
	}
	if of.Condition != nil {
		e.parts = append(e.parts, Part{Node: shared(of.Condition.Root), Says: of.Condition.Root, Of: "case"})
	}
	c.element(e, w)
	for _, effect := range of.Effects {
		if effect.Spec.Writes() {
			e.unsure = append(e.unsure, "it changes records or the plant first, which may be refused")
			e.changes = true
		}
		if setsVariable(effect.Effect) {
			e.changes = true
		}
	}
	if plan.IsBack(w.Trigger) {
		e.Presses = 2
		e.unsure = append(e.unsure, "it follows on a dialog")
		e.changes = true
	}
	return e
}

func setsVariable(e *project.Effect) bool {
	_, sets := e.Spec.(*effect.SetVariable)
	return sets
}

// placed asks what the placement of a rail asks.
func (c *collector) placed(e *Edge, w plan.Way) {
	for _, r := range c.screen.Rails {
		if r.Rail != w.Rail {
			continue
		}
		e.shut = e.shut || r.Bad
		e.record = e.record || w.Rail.Placed.Tables != nil
		if r.While != nil {
			e.parts = append(e.parts, Part{Node: c.own(r.While.Root), Says: r.While.Root, Of: "rail"})
		}
	}
}

// element notes what has to be shown for a way of an element to be there.
func (c *collector) element(e *Edge, w plan.Way) {
	s := w.Scene(c.app)
	if table := s.RowTable(); table != "" && !plan.IsBack(w.Trigger) {
		e.rows = table
		e.given = append(e.given, "a row in "+label(c.app.Project, table))
		if l := project.ListOf(w.Element.Element); l.Relation != "" {
			e.record = true
		}
	} else if points := s.Points(); points != nil {
		e.rows = points.Table
		e.given = append(e.given, "something to choose in "+label(c.app.Project, points.Table))
	}
	if of, is := w.Element.Spec.(interface{ FieldPath() string }); is {
		e.field = of.FieldPath()
		e.record = true
	}
	switch w.Element.Kind {
	case "tasks":
		e.given = append(e.given, "a task that was begun")
	case "steps":
		e.unsure = append(e.unsure, "it is there at the last of the steps")
	case "way":
		e.beside = true
	}
	if trigger := project.FirstTrigger(w.Trigger); trigger == "changed" {
		e.unsure = append(e.unsure, "something has to be typed")
	}
}

// presses says what it takes to set a way off: nothing for what comes by itself.
func presses(w plan.Way) int {
	if w.Element.Kind == "way" {
		kind, _ := project.TriggerOf(w.Trigger)
		if _, byHand := kind.(interface{ ByHand() }); !byHand {
			return 0
		}
	}
	if project.FirstTrigger(w.Trigger) == "ended" {
		return 0 // a clip that ends by itself
	}
	return 1
}

// choice asks that a worked-out target is just this one.
func (c *collector) choice(e *Edge, m *plan.Move, leads []*plan.Lead, at int) {
	if leads[at].ID == "" {
		return
	}
	by := m.Exprs["by"]
	if by == nil {
		e.shut = true
		return
	}
	is := func(lead *plan.Lead) *cond.Node {
		v, err := cond.Parse(by.Root.Type, lead.Is)
		if err != nil || by.Root.Op != cond.OpPath {
			return opaque(c.screen.Screen.ID+" "+e.Case.ID+" "+lead.ID, &cond.Node{Op: cond.OpOpaque, Source: "“" + lead.Is + "” is what it comes to"})
		}
		return &cond.Node{Op: cond.OpEq, Args: []*cond.Node{by.Root, {Op: cond.OpConst, Const: v, Type: by.Root.Type}}, Type: cond.Type{Kind: cond.YesNo}}
	}
	shared := c.within(e.Way)
	for _, earlier := range leads[:at] {
		if earlier.Is != "" && leads[at].Is == "" {
			n := is(earlier)
			e.parts = append(e.parts, Part{Node: shared(n), Says: n, Of: "choice", Not: true})
		}
	}
	if leads[at].Is != "" {
		n := is(leads[at])
		e.parts = append(e.parts, Part{Node: shared(n), Says: n, Of: "choice"})
	}
}

// finish asks what the target asks: its guard, in the names of the screen that one comes from.
func (c *collector) finish(e *Edge, lead *plan.Lead) {
	if e.Mode == "" {
		e.Mode = "view"
	}
	e.restarts = e.As == "tab"
	target := c.app.Screens[e.To.ID]
	if target != nil && target.BadGuard {
		e.shut = true
	}
	if target != nil && target.Guard != nil {
		e.parts = append(e.parts, Part{Node: c.guardHere(e, lead, target.Guard.Root), Says: target.Guard.Root, Of: "guard"})
	}
	c.out = append(c.out, e)
}

// along follows the order of a rail: it leads where the ways on it do.
func (c *collector) along(w plan.Way, of *plan.Case, before []Part, rail string) {
	for _, r := range c.screen.Rails {
		if r.Rail.ID != rail {
			continue
		}
		for _, stop := range r.Elements {
			for _, trigger := range slices.Sorted(maps.Keys(stop.Gates)) {
				g := stop.Gates[trigger]
				if plan.IsBack(trigger) || len(g.Cases) == 0 || g.Cases[0].Move.Only() == nil || g.Cases[0].Move.Only().Target == nil {
					continue
				}
				lead := g.Cases[0].Move.Only()
				through := plan.Way{Screen: w.Screen, Plan: w.Plan, Element: stop, Trigger: trigger, Gate: g}
				e := c.base(w, of, before)
				to := c.base(through, g.Cases[0], nil)
				e.Along, e.To, e.Mode, e.As = r.Rail, lead.Target, lead.Mode, lead.As
				e.parts = append(e.parts, to.parts...)
				e.roles = append(e.roles, to.roles...)
				e.unsure = append(e.unsure, "it follows the order of “"+r.Rail.Name+"”")
				c.brings(e, through, lead)
				c.finish(e, lead)
			}
		}
	}
}

func label(p *project.Project, table string) string {
	if t := p.Tables[table]; t != nil {
		return t.Label
	}
	return "a table that is gone"
}
