package check

import (
	"ambergate/core/cond"
)

// KeptFrom says whether there is anything that a role may not see.
func (ix *Index) KeptFrom(role string) bool {
	for id := range ix.App.Project.Tables {
		if g := ix.Grant(role, id); !g.View || len(g.Hidden) > 0 {
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

// HiddenFor gives the words of a field that a condition reads and a role that may view the record may not see.
func (ix *Index) HiddenFor(s Stated, role string) string {
	scope := ix.App.Project.Scope(ix.App.Screens[s.Finding.Screen].Screen, ix.App.RowTable(s.Finding.Screen, s.Finding.Element))
	ask := hiddenAsk{s.Node, role, scope["record"], scope["row"]}
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

func (ix *Index) findHidden(s Stated, role string, scope cond.Scope) string {
	for _, p := range s.Node.Paths() {
		table := scope[p.Root]
		if p.Root != "record" && p.Root != "row" || !ix.Grant(role, table).View {
			continue
		}
		for _, seg := range p.Segs {
			grant := ix.Grant(role, table)
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
