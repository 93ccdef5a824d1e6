package propose

import (
	"encoding/json"
	"fmt"
	"maps"
	"slices"
	"strings"

	"ambergate/core/catalogue"
	"ambergate/core/english"
	"ambergate/core/patch"
	"ambergate/core/project"
)

// The kinds of differences between a project and its database as it is now.
const (
	Gone    = "gone"    // what the project names is not there, or may not be read
	Changed = "changed" // it is there, and is otherwise
	New     = "new"     // the database has it, the project has not
)

// Difference is one of them, as a sentence, with a mend where there is a safe one.
type Difference struct {
	Kind  string     `json:"kind"`
	Table string     `json:"table,omitempty"` // id; "" for a table that is not taken in
	Words string     `json:"words"`
	Mend  string     `json:"mend,omitempty"` // what the patch does
	Patch []patch.Op `json:"patch,omitempty"`
}

// Again compares the tables of one source of a project with its database as it was read now. Nothing is changed by it.
func Again(p *project.Project, source string, d *catalogue.Database) []Difference {
	a := again{project: p, source: source, database: d}
	schema := p.Sources[source].Schema
	taken := map[string]bool{}
	for _, id := range slices.SortedFunc(maps.Keys(p.Tables), func(x, y string) int { return strings.Compare(p.Tables[x].Label, p.Tables[y].Label) }) {
		if t := p.Tables[id]; t.Source == source {
			taken[t.Relation] = true
			a.table(t, d.Find(schema, t.Relation))
		}
	}
	for _, t := range d.Tables {
		if t.Schema == schema && !taken[t.Name] && t.Select {
			a.say(New, "", "The database has the table “"+t.Name+"”, which is not taken in.", "Take it in", a.takeIn(t))
		}
	}
	return a.out
}

type again struct {
	project  *project.Project
	source   string
	database *catalogue.Database
	out      []Difference
}

func (a *again) say(kind, table, words, mend string, ops []patch.Op) {
	if len(ops) == 0 {
		mend = ""
	}
	a.out = append(a.out, Difference{kind, table, words, mend, ops})
}

func replace(table, field, member string, value any) []patch.Op {
	text, err := json.Marshal(value)
	if err != nil {
		panic("a part of a field does not encode: " + err.Error())
	}
	return []patch.Op{{Op: "replace", Path: "/" + table + "/fields/" + field + "/" + member, Value: text}}
}

// emptiness lets a field be empty, or no more; a member that is false is not written.
func emptiness(table, field string, may bool) []patch.Op {
	path := "/" + table + "/fields/" + field + "/nullable"
	if may {
		return []patch.Op{{Op: "add", Path: path, Value: json.RawMessage("true")}}
	}
	return []patch.Op{{Op: "remove", Path: path}}
}

func (a *again) table(t *project.Table, is *catalogue.Table) {
	switch {
	case is == nil:
		a.say(Gone, t.ID, t.Label+": the table “"+t.Relation+"” is gone from the database.", "", nil)
		return
	case !is.Select:
		a.say(Gone, t.ID, t.Label+": the login may not read it any more.", "", nil)
		return
	}
	a.rights(t, is)
	named := map[string]bool{}
	for _, f := range project.Ordered(t.Fields) {
		column := is.Column(f.Column)
		if column == nil {
			a.missing(t, f, is, named)
			continue
		}
		named[f.Column] = true
		a.field(t, f, is, column)
	}
	a.key(t, is)
	for _, c := range is.Columns {
		if k := kindOf(c); !named[c.Name] && k.of != "" && c.Select {
			a.say(New, t.ID, t.Label+": the database has the column “"+c.Name+"” ("+c.Type+"), which is not taken in.", "Take it in", a.column(t, is, c))
		}
	}
}

// rights says which changes the login may not make that some role may.
func (a *again) rights(t *project.Table, is *catalogue.Table) {
	var lost []string
	for _, verb := range []struct {
		may   bool
		name  string
		words string
	}{{is.Insert, "add", "added"}, {is.Update, "edit", "changed"}, {is.Delete, "delete", "deleted"}} {
		granted := false
		for _, g := range a.project.Grants {
			granted = granted || g.Table == t.ID && g.May(verb.name)
		}
		if granted && !verb.may {
			lost = append(lost, verb.words)
		}
	}
	if len(lost) > 0 {
		a.say(Changed, t.ID, t.Label+": the database lets records be "+english.List(lost, "or")+" no more, though roles may.", "", nil)
	}
}

// missing says that a column is not there any more under its name; by its number it may be known again.
func (a *again) missing(t *project.Table, f *project.Column, is *catalogue.Table, named map[string]bool) {
	for _, c := range is.Columns {
		if f.Number > 0 && c.Number == f.Number && !slices.ContainsFunc(project.Ordered(t.Fields), func(other *project.Column) bool { return other.Column == c.Name }) {
			named[c.Name] = true
			a.say(Changed, t.ID, t.Label+", "+f.Label+": the column “"+f.Column+"” is called “"+c.Name+"” now.", "Follow it", replace(t.ID, f.ID, "column", c.Name))
			return
		}
	}
	a.say(Gone, t.ID, t.Label+", "+f.Label+": the column “"+f.Column+"” is gone from the database.", "", nil)
}

func (a *again) field(t *project.Table, f *project.Column, is *catalogue.Table, c *catalogue.Column) {
	at := t.Label + ", " + f.Label + ": "
	if !c.Select {
		a.say(Gone, t.ID, at+"the login may not read it any more.", "", nil)
		return
	}
	k := kindOf(c)
	if f.Type != k.of && f.References == "" && !(k.of == "" || similar(f.Type, k.of)) {
		a.say(Changed, t.ID, at+"it was a "+typeWords[f.Type]+", and is a "+typeWords[k.of]+" now.", "Make it that", replace(t.ID, f.ID, "type", k.of))
		return
	}
	if f.Nullable == c.NotNull && !t.View {
		words := map[bool]string{true: "it may not be empty any more.", false: "it may be empty now."}[f.Nullable]
		a.say(Changed, t.ID, at+words, "Make it so", emptiness(t.ID, f.ID, !c.NotNull))
	}
	now := &project.Column{Type: f.Type}
	conditions(is, c, now)
	if len(c.Enum) > 0 && !c.Array {
		now.Choices = c.Enum
	}
	if len(f.Choices) > 0 && len(now.Choices) > 0 && !sameChoices(f.Choices, now.Choices) {
		a.say(Changed, t.ID, at+fmt.Sprintf("its values are %s now.", english.List(quotedAll(now.Choices), "and")), "Take them", replace(t.ID, f.ID, "choices", now.Choices))
	}
}

// similar says whether a field may well be of another type than would be proposed: a builder chose it.
func similar(is, proposed string) bool {
	numbers := []string{"whole", "number", "decimal"}
	return slices.Contains(numbers, is) && slices.Contains(numbers, proposed) || is == "text" && proposed == "json" || is == "picture"
}

// sameChoices compares what can be chosen, in whatever order: the builder's is the order of rank.
func sameChoices(a, b []string) bool {
	return slices.Equal(slices.Sorted(slices.Values(a)), slices.Sorted(slices.Values(b)))
}

func quotedAll(texts []string) (out []string) {
	for _, t := range texts {
		out = append(out, "“"+t+"”")
	}
	return out
}

func (a *again) key(t *project.Table, is *catalogue.Table) {
	if len(t.Key) == 0 || t.View || is.IsView() {
		return
	}
	var columns []string
	for _, id := range t.Key {
		if f := t.Fields[id]; f != nil {
			columns = append(columns, f.Column)
		}
	}
	renamed := slices.ContainsFunc(columns, func(c string) bool { return is.Column(c) == nil })
	switch {
	case renamed, sameChoices(columns, is.Primary), is.HasKey(columns):
	case len(is.Primary) == 0:
		a.say(Changed, t.ID, t.Label+": it has no key any more: nothing keeps two records from having the same one.", "", nil)
	default:
		a.say(Changed, t.ID, t.Label+": its key is "+english.List(quotedAll(is.Primary), "and")+" now.", "", nil)
	}
}
