package nav

import (
	"strings"

	"ambergate/core/cond"
	"ambergate/core/project"
)

// closeMove closes a dialog or drawer, and may say what it comes back with.
type closeMove struct {
	trailMove
	Result *project.Binding `json:"result,omitempty"`
}

// resultRules are the rules by which a dialog can say what it comes back with.
var resultRules = []string{"this", "row", "saved", "parent", "user", "input", "expression"}

// Validate refuses rules that have nothing to say when a dialog closes.
func (spec *closeMove) Validate() error {
	if spec.Result == nil {
		return nil
	}
	if err := project.OneOf("rule for what it comes back with", spec.Result.Rule, resultRules...); err != nil {
		return err
	}
	return spec.Result.Validate()
}

// Gives says what it comes back with; nil for what was saved.
func (spec *closeMove) Gives() *project.Binding { return spec.Result }

func (spec *closeMove) Plan(b *planner, m *MovePlan) {
	if spec.Result == nil {
		return
	}
	if x := ruleOf(spec.Result).Plan(b); x != nil {
		m.Exprs = map[string]*cond.Expr{"result": x}
	}
}

func (spec *closeMove) Say(w *sentenceWriter, c *CasePlan) {
	spec.trailMove.Say(w, c)
	if spec.Result == nil {
		return
	}
	w.plain(" with ")
	w.out = append(w.out, Chunk{Text: w.bindingWords(spec.Result, nil), Part: "result", Tone: "record", Case: c.ID})
}

// backWords says in short what happens when a dialog comes back; false when nothing does yet.
func (w *sentenceWriter) backWords(g *GatePlan) (string, bool) {
	switch {
	case g.Gone:
		return "a shared gate that is gone", false
	case g.Shared != nil && !g.inner:
		return "“" + g.Shared.Name + "”", true
	case len(g.Cases) == 0:
		return "choose what happens", false
	}
	c, parts := g.Cases[0], []string{}
	for _, e := range c.Effects {
		parts = append(parts, w.effect(e))
	}
	if c.Move != nil {
		var plate Plate
		saidMove(c).Plate(w, &plate, c)
		parts = append(parts, "open "+plate.Title)
	}
	if len(parts) == 0 {
		return "choose what happens", false
	}
	return strings.Join(parts, ", "), true
}

// resultInput stands for the input that a result goes to: which one, only the screen below knows.
var resultInput = &project.Input{ID: "result", Label: "Result", Type: "text"}

// comesBackWith works out what a dialog comes back with: what its gate says, else what was saved.
func (o *Opening) comesBackWith(m *MovePlan, w *world, at aim, out *Outcome) error {
	result := givenBack(m)
	if result == nil {
		out.Result = out.Saved
		return nil
	}
	x := binding{o: o, in: resultInput, b: result, expr: m.Exprs["result"], w: w, at: at}
	switch v := x.value(); {
	case !v.Known():
		return refuse("unknown", "What this comes back with is not available: "+v.Why()+".", "Try again in a moment.")
	case v.IsNull():
	case v.Kind() == cond.Record:
		out.Result = v.KeyOf()
	default:
		out.Result = v.Wire()
	}
	return nil
}

// pressed gives the element and the trigger of a press, with the usual one where none was named.
func (o *Opening) pressed(p Press) (trigger string, e *ElementPlan) {
	if e = o.app.element(o.plan.Screen.ID, p.Element); e == nil {
		return p.Trigger, nil
	}
	trigger, _ = e.gateOn(p.Trigger)
	return trigger, e
}

// resultRule is what the dialog came back with.
type resultRule struct {
	project.BindingHead
	ruleBase
}

// Give gives it as the input takes it.
func (*resultRule) Give(x *binding) cond.Value {
	if x.at.result == "" {
		x.later = true
		return cond.NullValue
	}
	v, err := cond.Parse(x.in.TypeOf(), x.at.result)
	if err != nil {
		return cond.UnknownBecause(err.Error())
	}
	return v
}

func (*resultRule) Say(*sentenceWriter, *project.Input) string {
	return "what it came back with"
}

// givenBack gives what a move that closes a dialog says it comes back with; nil for what was saved,
// and for any other move.
func givenBack(m *MovePlan) *project.Binding {
	if c, ok := m.Spec.(interface{ Gives() *project.Binding }); ok {
		return c.Gives()
	}
	return nil
}

// ResultTables gives the tables of the records that a screen, opened as a dialog, can come back
// with; plain says whether something else may come.
func (a *App) ResultTables(screen string) (tables map[string]bool, plain bool) {
	tables = map[string]bool{}
	plan := a.Screens[screen]
	if plan == nil {
		return tables, false
	}
	for _, w := range plan.Ways() {
		for _, c := range w.Gate.Cases {
			if c.Move == nil || c.Move.Kind != "close" {
				continue
			}
			b := givenBack(c.Move)
			switch {
			case b == nil && saves(c):
				tables[plan.Screen.RecordTable()] = true
			case b == nil:
			default:
				table, known, _ := a.BindingTable(w, b, c.Move.Exprs["result"])
				if known && table != "" {
					tables[table] = true
				} else {
					plain = true
				}
			}
		}
	}
	delete(tables, "")
	return tables, plain
}

// opens gives the screens whose dialog a way comes back from; none for any other way.
func (w Way) opens() []string {
	opened, back := project.OpenedBy(w.Trigger)
	if !back {
		return nil
	}
	g := w.Element.Gates[opened]
	if g == nil {
		return nil
	}
	var out []string
	for _, c := range g.Cases {
		if project.BackTrigger(opened, c.ID) != w.Trigger {
			continue
		}
		for _, m := range c.Move.Leads() {
			out = append(out, m.Lead.Target)
		}
	}
	return out
}

// Results gives the tables of the records that the dialog of a way comes back with; false for a
// way that no dialog comes back through. Plain says whether something else may come.
func (a *App) Results(w Way) (tables map[string]bool, plain, back bool) {
	tables = map[string]bool{}
	for _, screen := range w.opens() {
		of, p := a.ResultTables(screen)
		plain = plain || p
		for t := range of {
			tables[t] = true
		}
	}
	return tables, plain, isBack(w.Trigger)
}

// dialogWords names the screens that a way comes back from.
func (a *App) dialogWords(w Way) string {
	var titles []string
	for _, id := range w.opens() {
		if s := a.Project.Screens[id]; s != nil {
			titles = append(titles, "“"+s.Title+"”")
		}
	}
	return strings.Join(titles, " or ")
}
