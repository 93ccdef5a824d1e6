package plan

import (
	"ambergate/core/cond"
	"ambergate/core/project"
)

// CallUp is a compiled call-up.
type CallUp struct {
	*project.CallUp
	While *cond.Expr     // nil where it cannot be read: then it never comes
	Says  *cond.Template // nil for its name alone
	Reads Paths          // of each record
	Tags  []*cond.Path
}

func (a *App) compileCallUps() {
	for _, c := range project.Ordered(a.Project.CallUps) {
		out := &CallUp{CallUp: c, Reads: Paths{}}
		scope := a.Project.CallUpScope(c.Table)
		broken := func(where, text string, problem cond.Problem) {
			a.Problems = append(a.Problems, Problem{Entity: c.ID, Where: where + " of the call-up “" + c.Name + "”", Text: text, Problem: problem})
		}
		b := Planner{App: a, Plan: &Screen{Screen: &project.Screen{}, RecordPaths: out.Reads, InputPaths: map[string]Paths{}, UserPaths: Paths{}}, Scope: scope}
		if e, problem := a.Compiler.Condition(scope, c.While); problem != nil {
			broken("condition", c.While, *problem)
		} else {
			out.While = e
			a.used(e.Root, Use{Entity: c.ID, Words: "the call-up “" + c.Name + "”"})
			b.reads(e.Root.Paths())
		}
		if c.Words != "" {
			if t, problem := a.Compiler.Template(scope, c.Words); problem != nil {
				broken("words", c.Words, *problem)
			} else {
				out.Says = t
				b.reads(t.Paths())
			}
		}
		if c.Table != "" {
			b.NeedTitle(out.Reads, c.Table, "")
		}
		out.Tags = b.Plan.Tags
		a.callUpLeads(c, broken)
		a.CallUps = append(a.CallUps, out)
	}
}

// callUpLeads says what is wrong with where a call-up leads.
func (a *App) callUpLeads(c *project.CallUp, broken func(where, text string, problem cond.Problem)) {
	s := a.Project.Screens[c.Screen]
	if s == nil {
		broken("screen", c.Screen, cond.Problem{Message: "The screen that it brings to the front is gone.", Length: 1})
		return
	}
	if c.Input != "" && (s.Inputs[c.Input] == nil || s.Inputs[c.Input].Table != c.Table) {
		broken("record", c.Input, cond.Problem{Message: "“" + s.Title + "” does not take the record that it brings along.", Length: 1})
	}
	for id, in := range s.Inputs {
		if in.Required && id != c.Input {
			broken("record", id, cond.Problem{Message: "“" + s.Title + "” needs “" + in.Label + "”, which it does not bring along.", Length: 1})
		}
	}
}
