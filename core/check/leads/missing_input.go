package leads

import (
	"strings"

	"ambergate/core/build"
	"ambergate/core/check"
	"ambergate/core/plan"
	"ambergate/core/project"
)

var MissingInput = &check.Check{Name: "missing-input", Doc: "a required input that nothing is bound to", Local: true, Run: func(ix *check.Index, report func(check.Finding)) {
	for _, w := range ix.Ways {
		for _, m := range w.Targets() {
			for _, in := range project.Ordered(m.Target.Inputs) {
				if in.Required && m.Bind[in.ID] == nil && m.Carried[in.ID] == "" && !(in.ID == m.Target.Record && m.Mode == "add") {
					report(lacks(w, ix, m, in))
				}
			}
		}
		if g := w.Gate.Shared; g != nil && (w.Of == nil || w.Of == w.Gate.Cases[0]) {
			for _, in := range project.Ordered(g.Inputs) {
				if in.Required && w.Gate.Given[in.ID] == nil {
					f := w.Finding(check.Broken, "“"+g.Name+"” needs to know which "+strings.ToLower(in.Label)+"; nothing says which.")
					f.Mends = []check.Mend{{Words: "choose", Chip: "give"}}
					report(f)
				}
			}
		}
	}
}}

// lacks finds an input of a target that nothing is bound to, with what could be.
func lacks(w check.Way, ix *check.Index, m *plan.Lead, in *project.Input) check.Finding {
	f := w.Finding(check.Broken, "“"+m.Target.Title+"” needs to know which "+strings.ToLower(in.Label)+"; nothing says which.")
	if w.Gate.Shared == nil {
		for _, p := range build.Propose(ix.App, w.Way, m.Target.ID, in.ID) {
			if p.Binding != nil && len(f.Mends) < 2 {
				f.Mends = append(f.Mends, check.Mend{Words: p.Words, Patch: check.BindPatch(w, m, in.ID, p.Binding)})
			}
		}
	}
	f.Mends = append(f.Mends, check.Mend{Words: "choose", Chip: "record"})
	return f
}
