package build

import (
	"context"
	"errors"
	"fmt"

	"ambergate/core/ask"
	"ambergate/core/cond"
	"ambergate/core/cond/prove"
	"ambergate/core/english"
	"ambergate/core/plan"
	"ambergate/core/project"
	"ambergate/core/use"
	"ambergate/core/words"
)

// entry says how the screen itself was judged, up to what refused it.
func entry(ctx context.Context, o *use.Opening, src use.Sources, err error) ([]Judged, *ask.Refusal, error) {
	var refusal *ask.Refusal
	if err != nil && !errors.As(err, &refusal) {
		return nil, nil, err
	}
	code := ""
	if refusal != nil {
		code = refusal.Code
	}
	out := []Judged{}
	s := o.Plan.Screen
	if t := o.App.Project.Tables[s.RecordTable()]; t != nil {
		verb := map[string]string{"edit": "change", "add": "add"}[o.At.Mode]
		if verb == "" {
			verb = "view"
		}
		j := Judged{What: "grant", State: "passes", Words: fmt.Sprintf("%s may %s %s", o.World.User.Name, verb, english.Lower(t.Label))}
		if code == "no-grant" || code == "broken" {
			j.State, j.Words = "refuses", refusal.What
			return append(out, j), refusal, nil
		}
		out = append(out, j)
		j, err := judgedRows(ctx, o, src, t, code)
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
	return append(out, judgedGuard(o)), refusal, nil
}

// judgedRows says how the row rules took the screen's own record, part by part where it is there.
func judgedRows(ctx context.Context, o *use.Opening, src use.Sources, t *project.Table, code string) (Judged, error) {
	verb := "view"
	if o.At.Mode == "edit" {
		verb = "edit"
	}
	rule := ruleNode(o.App, o.World.User.Roles, t.ID, verb)
	words := "no row rule on " + english.Lower(t.Label) + " for " + o.World.User.Name
	if rule != nil {
		words = map[string]string{"view": "to be viewed: ", "edit": "to be changed: "}[verb] + rule.Phrase()
	}
	j := Judged{What: "row-rule", State: "passes", Words: words}
	switch code {
	case "row-rule":
		j.State = "refuses"
	case "no-record":
		j.State = "refuses"
		page, err := src.Records.Fetch(ctx, ask.Query{Table: t, Key: o.World.Inputs[o.Plan.Screen.Record].KeyOf(), Limit: 1, Rights: ask.EveryRow})
		if err != nil {
			return j, err
		}
		if len(page.Rows) == 0 {
			j.What, j.Words = "record", "there is no such "+t.One
		}
	}
	if rule == nil || o.World.Record == nil {
		return j, nil
	}
	w, err := ruleWorld(ctx, o, src, t, rule)
	if err != nil || w == nil {
		return j, err
	}
	part := rule.Explain(w)
	j.Part, j.turns = &part, prove.Turns(rule, w)
	return j, nil
}

// ruleWorld is the user and the screen's record with all that a rule reads and the user may see.
func ruleWorld(ctx context.Context, o *use.Opening, src use.Sources, t *project.Table, rule *cond.Node) (*use.World, error) {
	set := plan.Paths{}
	for _, p := range rule.Paths() {
		if p.Root == "record" && p.Key != "" {
			set[p.Key] = true
		}
	}
	row, err := o.FetchOne(ctx, src, ask.Query{Table: t, Key: o.World.Record.Key}, set)
	if row == nil {
		return nil, err
	}
	of := o.Rights.Asker()
	return &use.World{App: o.App, User: of.User, Moment: of.Day, UserRow: of.Own, Record: row}, nil
}

// ruleNode gives what row rules ask of a record for a verb, for a set of roles; nil for nothing.
func ruleNode(a *plan.App, roles map[string]bool, table, verb string) *cond.Node {
	var any []*cond.Node
	for _, g := range a.Project.GrantsOf(roles, table) {
		if !g.May(verb) {
			continue
		}
		rule := a.Rules[g.ID]
		one := plan.RootOf(rule.Rows)
		if verb != "view" {
			one = cond.Every(one, plan.RootOf(rule.Changes))
		}
		if one == nil {
			return nil
		}
		any = append(any, one)
	}
	return cond.Any(any...)
}

func judgedGuard(o *use.Opening) Judged {
	s := o.Plan.Screen
	j := Judged{What: "guard", State: "passes", Words: "“" + s.Title + "” is for " + words.Roles(o.App, s.Roles)}
	if _, closed := o.JudgeRoles(s.Roles); closed {
		j.State = "refuses"
	}
	if asked := cond.Every(rolesNode(o.App, s.Roles), plan.RootOf(o.Plan.Guard)); asked != nil {
		j.turns = prove.Turns(asked, o.World)
	}
	switch {
	case o.Plan.BadGuard:
		j.State, j.Words = "refuses", "its guard cannot be read"
	case o.Plan.Guard != nil:
		part := o.Plan.Guard.Root.Explain(o.World)
		j.Part = &part
		j.Words += ", while " + o.Plan.Guard.Root.Phrase()
		if part.State != "yes" && j.State == "passes" {
			j.State = map[string]string{"no": "refuses", "unknown": "unknown"}[part.State]
		}
	}
	return j
}
