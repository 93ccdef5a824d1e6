package check

import (
	"ambergate/core/cond"
	"ambergate/core/project"
)

var asksHidden = &Check{Name: "asks-hidden", Doc: "a condition looks at a field that a role it is for may not see: for them it is never known", Local: true, Run: func(ix *Index, report func(Finding)) {
	var narrowed []*project.Role // from whom something is kept
	for _, r := range project.Ordered(ix.App.Project.Roles) {
		if ix.keptFrom(r.ID) {
			narrowed = append(narrowed, r)
		}
	}
	if len(narrowed) == 0 {
		return
	}
	for _, s := range ix.conditions() {
		if s.what == "row rule" {
			continue // rules are the project's own: they see everything
		}
		for _, r := range narrowed {
			if s.roles != nil && !s.roles[r.ID] {
				continue
			}
			if field := ix.hiddenFor(s, r.ID); field != "" {
				f := s.finding
				f.Severity, f.Evidence = Doubtful, s.node.Phrase()
				f.Words = "The condition of " + s.words + " looks at " + field + ", which is hidden from " + r.Name + ": for them it is never known."
				report(f)
			}
		}
	}
}}

// keptFrom says whether there is anything that a role may not see.
func (ix *Index) keptFrom(role string) bool {
	for id := range ix.App.Project.Tables {
		if g := ix.grant(role, id); !g.View || len(g.Hidden) > 0 {
			return true
		}
	}
	return false
}

// hiddenAsk is one question to hiddenFor, which many ways with the same condition ask.
type hiddenAsk struct {
	node              *cond.Node
	role, record, row string
}

// hiddenFor gives the words of a field that a condition reads and a role that may view the record may not see.
func (ix *Index) hiddenFor(s stated, role string) string {
	scope := ix.App.Project.Scope(ix.App.Screens[s.finding.Screen].Screen, ix.App.RowTable(s.finding.Screen, s.finding.Element))
	ask := hiddenAsk{s.node, role, scope["record"], scope["row"]}
	words, known := ix.hidden[ask]
	if !known {
		words = ix.findHidden(s, role, scope)
		if ix.hidden == nil {
			ix.hidden = map[hiddenAsk]string{}
		}
		ix.hidden[ask] = words
	}
	return words
}

func (ix *Index) findHidden(s stated, role string, scope cond.Scope) string {
	for _, p := range s.node.Paths() {
		table := scope[p.Root]
		if p.Root != "record" && p.Root != "row" || !ix.grant(role, table).View {
			continue
		}
		for _, seg := range p.Segs {
			grant := ix.grant(role, table)
			if !grant.View || grant.Hidden[seg] {
				return p.Words()
			}
			f, _ := ix.App.Project.FieldAt(table, seg)
			if f == nil || f.References == "" {
				break
			}
			table = f.References
		}
	}
	return ""
}
