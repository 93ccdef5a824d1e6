package build

import (
	"context"
	"errors"

	"ambergate/core/ask"
	"ambergate/core/cond"
	"ambergate/core/plan"
	"ambergate/core/project"
	"ambergate/core/use"
	"ambergate/core/words"
)

// leads says where the way goes and what the target says to that.
func (q *asking) leads(ctx context.Context, g *plan.Gate, v use.Verdict) error {
	to, as := v.To, v.As
	if to == nil {
		// Closed: where it would lead if it were not.
		chosen := use.ChooseCase(&use.Verdict{}, g, q.world)
		if chosen == nil && len(g.Cases) > 0 {
			chosen = g.Cases[0]
		}
		if chosen == nil || chosen.Move == nil {
			return nil
		}
		would := use.Verdict{State: use.StateOpen, Chosen: chosen}
		at := use.Aim{Row: q.world.Row}
		plan.KindOf[use.MoveKind](chosen.Move.Spec).Aim(q.open, &would, chosen.Move, q.open.Given(g, q.world, at), at)
		if would.To == nil {
			return nil
		}
		to, as, v = would.To, would.As, would
	}
	there, err := use.Enter(ctx, q.app, q.open.World.User, *to, q.src)
	if there == nil {
		var refusal *ask.Refusal
		if errors.As(err, &refusal) {
			q.close(use.StateGreyed, refusal.What)
			return nil
		}
		return err
	}
	judged, refusal, err := entry(ctx, there, q.src, err)
	if err != nil {
		return err
	}
	target := q.app.Project.Screens[to.Screen]
	q.out.Leads = &Leads{Screen: to.Screen, Title: target.Title, Mode: to.Mode, As: as, Address: to.Address(q.app.Project), Judged: judged, Opens: refusal == nil, Inputs: []LedInput{}}
	for _, in := range project.Ordered(target.Inputs) {
		value, given := to.Inputs[in.ID]
		if !given {
			continue
		}
		led := LedInput{Label: in.Label, Value: value, Words: value, From: q.from(v, in.ID)}
		if row := there.World.InputRows[in.ID]; row != nil {
			led.Words = there.World.Title(row, in.Table, "")
		} else if parsed, err := cond.Parse(in.TypeOf(), value); err == nil && in.Table == "" {
			led.Words = there.World.Say(parsed, in.TypeOf())
		}
		q.out.Leads.Inputs = append(q.out.Leads.Inputs, led)
	}
	if refusal != nil {
		q.close(use.StateRefused, refusal.What)
	}
	return nil
}

// from says how an input of the target gets its value.
func (q *asking) from(v use.Verdict, input string) string {
	m := v.Lead
	if m == nil || m.Bind[input] == nil {
		if m != nil && m.Carried[input] != "" {
			return "carried on"
		}
		return ""
	}
	b := m.Bind[input]
	if e := m.Exprs[input]; e != nil {
		return e.Root.Phrase()
	}
	if _, always := b.Spec.(interface{ Always() bool }); always {
		return "always this"
	}
	w := words.Writer{Scene: plan.Scene{App: q.app, Screen: q.open.Plan.Screen, Element: q.element}}
	if v.Chosen != nil && q.gatePlan != nil {
		w.Shared = q.gatePlan.Shared
	}
	return w.BindingWords(b, nil)
}
