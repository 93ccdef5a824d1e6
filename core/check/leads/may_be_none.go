package leads

import (
	"maps"
	"slices"
	"strings"

	"ambergate/core/check"
	"ambergate/core/patch"
	"ambergate/core/project"
)

var MayBeNone = &check.Check{Name: "may-be-none", Doc: "a record that may be missing, and nothing says what then", Local: true, Run: func(ix *check.Index, report func(check.Finding)) {
	for _, w := range ix.Ways {
		for _, m := range w.Targets() {
			for _, input := range slices.Sorted(maps.Keys(m.Bind)) {
				b, in := m.Bind[input], m.Target.Inputs[input]
				if in == nil || b.None != "" {
					continue
				}
				if _, _, none := ix.App.BindingTable(w.Way, b, m.Exprs[input]); !none || !in.Required && passesOn(b) {
					continue
				}
				f := w.Finding(check.Doubtful, "There may be no "+strings.ToLower(in.Label)+", and nothing says what then.")
				changes := []patch.Op{{Op: "add", Path: w.BindPath(m) + "/" + input + "/none", Value: check.Encode("grey")}}
				if b.Reason == "" {
					changes = append(changes, patch.Op{Op: "add", Path: w.BindPath(m) + "/" + input + "/reason", Value: check.Encode("There is no " + strings.ToLower(in.Label) + " here.")})
				}
				f.Mends = []check.Mend{{Words: "grey it, with the reason", Patch: changes}}
				report(f)
			}
		}
	}
}}

// passesOn says whether a binding passes on what was given: then it is missing only where it was.
func passesOn(b *project.Binding) bool {
	_, does := b.Spec.(interface{ PassesOn() string })
	return does
}
