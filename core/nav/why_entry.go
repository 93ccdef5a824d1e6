package nav

import (
	"context"
	"errors"
	"fmt"

	"ambergate/core/cond"
	"ambergate/core/english"
	"ambergate/core/project"
)

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
		j := Judged{What: "grant", State: "passes", Words: fmt.Sprintf("%s may %s %s", o.world.user.Name, verb, english.Lower(t.Label))}
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
	words := "no row rule on " + english.Lower(t.Label) + " for " + o.world.user.Name
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
	of := o.rights.Asker()
	return &world{app: o.app, user: of.User, now: of.Day, userRow: of.Own, record: row}, nil
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
