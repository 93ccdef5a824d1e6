package check

import (
	"strings"

	"ambergate/core/build"
	"ambergate/core/plan"
	"ambergate/core/project"
)

var missingInput = &Check{Name: "missing-input", Doc: "a required input that nothing is bound to", Local: true, Run: func(ix *Index, report func(Finding)) {
	for _, w := range ix.Ways {
		for _, m := range w.Targets() {
			for _, in := range project.Ordered(m.Target.Inputs) {
				if in.Required && m.Bind[in.ID] == nil && m.Carried[in.ID] == "" && !(in.ID == m.Target.Record && m.Mode == "add") {
					report(w.lacks(ix, m, in))
				}
			}
		}
		if g := w.Gate.Shared; g != nil && (w.Of == nil || w.Of == w.Gate.Cases[0]) {
			for _, in := range project.Ordered(g.Inputs) {
				if in.Required && w.Gate.Given[in.ID] == nil {
					f := w.Finding(Broken, "“"+g.Name+"” needs to know which "+strings.ToLower(in.Label)+"; nothing says which.")
					f.Mends = []Mend{{Words: "choose", Chip: "give"}}
					report(f)
				}
			}
		}
	}
}}

// lacks finds an input of a target that nothing is bound to, with what could be.
func (w Way) lacks(ix *Index, m *plan.Lead, in *project.Input) Finding {
	f := w.Finding(Broken, "“"+m.Target.Title+"” needs to know which "+strings.ToLower(in.Label)+"; nothing says which.")
	if w.Gate.Shared == nil {
		for _, p := range build.Propose(ix.App, w.Way, m.Target.ID, in.ID) {
			if p.Binding != nil && len(f.Mends) < 2 {
				f.Mends = append(f.Mends, Mend{Words: p.Words, Patch: bindPatch(w, m, in.ID, p.Binding)})
			}
		}
	}
	f.Mends = append(f.Mends, Mend{Words: "choose", Chip: "record"})
	return f
}
