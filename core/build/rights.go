package build

import (
	"maps"
	"slices"

	"ambergate/core/cond"
	"ambergate/core/plan"
	"ambergate/core/project"
	"ambergate/core/words"
)

// RightsTable is who may do what, of the whole project at one look.
type RightsTable struct {
	Tables     []TableRow        `json:"tables"`
	Screens    []ScreenRow       `json:"screens"`
	Conditions []SharedCondition `json:"conditions"`
}

// TableRow is what each role may do with one table.
type TableRow struct {
	Table string      `json:"table"`
	Label string      `json:"label"`
	Cells []TableCell `json:"cells"` // in the order of the roles
}

// TableCell is what one role may do with one table: its grants, none or several.
type TableCell struct {
	Role   string       `json:"role"`
	Grants []GrantWords `json:"grants"`
}

// GrantWords is one grant in words; without an id it stands for none.
type GrantWords struct {
	ID       string        `json:"id,omitempty"`
	Verbs    []string      `json:"verbs"`
	Rows     string        `json:"rows,omitempty"`    // phrase
	Changes  string        `json:"changes,omitempty"` // phrase
	Hidden   int           `json:"hidden,omitempty"`
	ReadOnly int           `json:"readOnly,omitempty"`
	Sentence []words.Chunk `json:"sentence"`
}

// ScreenRow is who may be on one screen.
type ScreenRow struct {
	Screen   string        `json:"screen"`
	Title    string        `json:"title"`
	Area     string        `json:"area,omitempty"`
	Type     string        `json:"type"`
	Sentence []words.Chunk `json:"sentence"`
	Cells    []words.May   `json:"cells"`
}

// SharedCondition is a named condition with where it is used.
type SharedCondition struct {
	ID      string     `json:"id"`
	Name    string     `json:"name"`
	Alias   string     `json:"alias"`
	Table   string     `json:"table,omitempty"`
	Shown   string     `json:"shown"`
	Phrase  string     `json:"phrase,omitempty"`
	Problem string     `json:"problem,omitempty"`
	Uses    []plan.Use `json:"uses"`
}

// Rights gives everybody's rights, tables and screens in a stable order.
func Rights(a *plan.App) RightsTable {
	out := RightsTable{Tables: []TableRow{}, Screens: []ScreenRow{}, Conditions: []SharedCondition{}}
	for _, id := range slices.Sorted(maps.Keys(a.Project.Tables)) {
		row := TableRow{Table: id, Label: a.Project.Tables[id].Label, Cells: []TableCell{}}
		for _, r := range project.Ordered(a.Project.Roles) {
			row.Cells = append(row.Cells, TableCell{Role: r.ID, Grants: grantsInWords(a, r.ID, id)})
		}
		out.Tables = append(out.Tables, row)
	}
	for _, id := range slices.Sorted(maps.Keys(a.Screens)) {
		s := a.Screens[id].Screen
		out.Screens = append(out.Screens, ScreenRow{Screen: id, Title: s.Title, Area: s.Area, Type: s.Type, Sentence: words.GuardSentence(a, id), Cells: words.MayEnter(a, id)})
	}
	for _, c := range project.Ordered(a.Project.Conditions) {
		out.Conditions = append(out.Conditions, sharedCondition(a, c))
	}
	return out
}

func grantsInWords(a *plan.App, role, table string) []GrantWords {
	out := []GrantWords{}
	for _, g := range a.Project.GrantsOf(map[string]bool{role: true}, table) {
		rule := a.Rules[g.ID]
		w := GrantWords{ID: g.ID, Verbs: words.GrantVerbs(g), Hidden: len(g.Hidden), ReadOnly: len(g.ReadOnly), Sentence: words.GrantSentence(a, role, table, g)}
		if w.Verbs == nil {
			w.Verbs = []string{}
		}
		w.Rows, w.Changes = ruleWords(g.Rows, rule.Rows), ruleWords(g.Changes, rule.Changes)
		out = append(out, w)
	}
	if len(out) == 0 {
		out = append(out, GrantWords{Verbs: []string{}, Sentence: words.GrantSentence(a, role, table, nil)})
	}
	return out
}

func ruleWords(text string, e *cond.Expr) string {
	if text != "" && e == nil {
		return "cannot be read"
	}
	if e == nil {
		return ""
	}
	return e.Root.Phrase()
}

func sharedCondition(a *plan.App, c *project.Condition) SharedCondition {
	out := SharedCondition{ID: c.ID, Name: c.Name, Alias: c.Alias, Table: c.Table, Shown: c.Text, Uses: words.Uses(a, a.Uses[c.ID])}
	e, problem := a.Compiler.Condition(a.Project.RowScope(c.Table), c.Text)
	if problem != nil {
		out.Problem = problem.Message
		return out
	}
	out.Shown, out.Phrase = e.Shown, e.Root.Phrase()
	return out
}
