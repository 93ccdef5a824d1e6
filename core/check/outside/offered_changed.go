package outside

import (
	"maps"
	"slices"

	"ambergate/core/check"
	"ambergate/core/plan"
	"ambergate/core/project"
)

// leadsOut is answered by moves to another project: its slug, that of its screen, and what is brought.
type leadsOut interface {
	LeadsOut() (slug, entry string, with map[string]string)
}

var OfferedChanged = &check.Check{Name: "offered-changed", Doc: "a way to a screen of another application that it does not offer like that any more", Outside: true, Run: func(ix *check.Index, report func(check.Finding)) {
	if ix.Outside.Others == nil {
		return
	}
	for _, w := range ix.Ways {
		if w.Of == nil || w.Of.Move == nil {
			continue
		}
		spec, leaves := w.Of.Move.Spec.(leadsOut)
		if !leaves {
			continue
		}
		slug, entry, with := spec.LeadsOut()
		for _, words := range changedOffer(ix.Outside.Others(slug), w.Of.Move, slug, entry, with) {
			f := w.Finding(check.Broken, words)
			f.Mends = []check.Mend{{Words: "choose another", Chip: "target"}}
			report(f)
		}
	}
}}

// changedOffer says in words what a project does not offer as a move takes it.
func changedOffer(other *plan.App, m *plan.Move, slug, entry string, with map[string]string) (out []string) {
	if other == nil {
		return []string{"The application “" + slug + "” has no release, so nothing of it can be opened."}
	}
	title := other.Project.Settings.Title
	s := other.Project.ScreenBySlug(entry)
	if s == nil || !s.Offered {
		return []string{"“" + title + "” does not offer “" + entry + "” any more."}
	}
	taken := map[string]bool{}
	for _, in := range project.Ordered(s.Inputs) {
		taken[in.Alias] = true
		if in.Required && with[in.Alias] == "" && (in.ID != s.Record || m.Mode != "add") {
			out = append(out, "“"+s.Title+"” of “"+title+"” needs to know which "+in.Alias+" by now; nothing says which.")
		}
		if e := m.Exprs[in.Alias]; e != nil && in.Table == "" && !plan.Fits(in.TypeOf(), e.Root.Type) {
			out = append(out, "“"+s.Title+"” of “"+title+"” takes "+in.Alias+" as another kind of value than this brings.")
		}
	}
	for _, name := range slices.Sorted(maps.Keys(with)) {
		if !taken[name] {
			out = append(out, "“"+s.Title+"” of “"+title+"” takes nothing called “"+name+"” any more.")
		}
	}
	return out
}
