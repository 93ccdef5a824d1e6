package nav

import (
	"context"
	"errors"
	"strings"

	"ambergate/core/cond"
	"ambergate/core/project"
)

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
