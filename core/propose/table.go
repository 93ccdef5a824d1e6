package propose

import (
	"slices"
	"strings"

	"ambergate/core/catalogue"
	"ambergate/core/english"
	"ambergate/core/project"
)

// Table is a table as it is proposed.
type Table struct {
	ID     string         `json:"id"`
	Schema string         `json:"schema"`
	Name   string         `json:"name"`
	Label  string         `json:"label"`
	One    string         `json:"one"`
	Body   *project.Table `json:"-"`               // the entity of the document
	Fields []*Field       `json:"fields"`          // in the order of the columns, also those that are left out
	Title  string         `json:"title"`           // the column that tells what a record is called; "" for the key
	Order  string         `json:"order,omitempty"` // the column that lists are in order of
	Login  string         `json:"login,omitempty"` // a column that users may sign in by: asked, never assumed
	Link   bool           `json:"link,omitempty"`  // it only joins two others
	Notes  []string       `json:"notes"`           // what cannot be done with it, and why
	Rows   int64          `json:"rows"`
	from   *catalogue.Table
	wish   *TableWish
}

// Field is a field as it is proposed.
type Field struct {
	ID     string `json:"id,omitempty"` // "": it is left out
	Column string `json:"column"`
	Label  string `json:"label"`
	What   string `json:"what"` // in words
	Why    string `json:"why"`
	Ask    bool   `json:"ask,omitempty"` // the reason is a guess
	Unit   string `json:"unit,omitempty"`
	InList bool   `json:"inList,omitempty"`
	from   *catalogue.Column
}

// relationName is what a column that names another record is called without its mark.
func relationName(column string) string {
	words := strings.Fields(inWords(column))
	if n := len(words); n > 1 && slices.Contains([]string{"id", "key", "fk", "no", "ref"}, words[n-1]) {
		words = words[:n-1]
	} else if n == 1 && strings.HasSuffix(words[0], "id") && len(words[0]) > 4 {
		words[0] = strings.TrimSuffix(words[0], "id")
	}
	return strings.Join(words, " ")
}

// propose makes a table of what was read; relations come later, when all tables are known.
func propose(from *catalogue.Table, wish *TableWish, id string, pos int) *Table {
	label := Label(from.Name)
	if c := from.Comment; c != "" && len([]rune(c)) <= 40 && !strings.ContainsAny(c, "\n.;:") {
		label = c
	}
	t := &Table{ID: id, Schema: from.Schema, Name: from.Name, Rows: from.Rows, Notes: []string{}, Fields: []*Field{}, from: from, wish: wish}
	t.Body = &project.Table{Relation: from.Name, Label: or(wish.Label, label), View: from.IsView() || from.Parts, Key: []string{}, Fields: map[string]*project.Column{}}
	t.Body.Kind = "table"
	t.Body.One = or(wish.One, one(t.Body.Label))
	t.Label, t.One = t.Body.Label, t.Body.One
	fieldNames, aliases := names{}, names{}
	for i, c := range from.Columns {
		t.field(c, i+1, fieldNames, aliases)
	}
	for _, column := range from.Primary {
		f := t.byColumn(column)
		if f == nil || f.ID == "" {
			t.Body.Key = []string{}
			t.Notes = append(t.Notes, "Its key is not taken in: records can be listed, not opened.")
			break
		}
		t.Body.Key = append(t.Body.Key, f.ID)
	}
	t.note()
	return t
}

// note says what cannot be done with the table.
func (t *Table) note() {
	switch {
	case len(t.from.Primary) == 0 && t.from.IsView():
		t.Notes = append(t.Notes, "It is a view: its records can be listed, not opened or changed.")
	case len(t.from.Primary) == 0:
		t.Notes = append(t.Notes, "It has no key: its records can be listed, not opened or changed.")
	case t.from.Parts:
		t.Notes = append(t.Notes, "The login may read only some of its columns: its records can be opened, not changed.")
	case !t.from.Insert && !t.from.Update && !t.from.Delete:
		t.Notes = append(t.Notes, "The login may only read it.")
	}
	if t.from.RowSecurity {
		t.Notes = append(t.Notes, "The database itself shows the login only some of its records.")
	}
}

func (t *Table) field(c *catalogue.Column, pos int, fieldNames, aliases names) {
	wish := t.wish.field(c.Name)
	f := &Field{Column: c.Name, from: c, Why: "read from the database"}
	t.Fields = append(t.Fields, f)
	k := kindOf(c)
	f.Label, f.Why, f.Ask = labelOf(c)
	if wish.Label != "" {
		f.Label, f.Why, f.Ask = wish.Label, "as you said", false
	}
	if k.why != "" {
		f.Why = k.why
	}
	switch {
	case !c.Select:
		f.Why = "not shown: the login may not read it"
	case wish.Out:
		f.Why = "left out"
	case k.of != "":
		f.ID = fieldNames.free(id("f", c.Name), "_")
	}
	if f.ID == "" {
		f.What = c.Type
		return
	}
	t.column(f, k, pos, aliases)
}

// column makes the field of the document.
func (t *Table) column(f *Field, k kind, pos int, aliases names) {
	c := f.from
	made := c.Generated || c.Identity || strings.HasPrefix(c.Default, "nextval(")
	col := &project.Column{Column: c.Name, Number: c.Number, Alias: aliases.free(alias(c.Name), "_"), Label: f.Label, Type: k.of, Nullable: !c.NotNull, ReadOnly: k.readOnly || made || !c.Change || t.Body.View}
	col.Pos = float64(pos)
	t.Body.Fields[f.ID] = col
	if len(c.Enum) > 0 && !c.Array {
		col.Choices = c.Enum
		f.Why = "an enumerated type of the database"
	}
	if k.of == "text" && c.Length > 0 {
		col.Longest = c.Length
	}
	if said := conditions(t.from, c, col); said != "" {
		f.Why, f.Ask = said, false
	}
	if slices.Contains([]string{"whole", "number", "decimal"}, k.of) {
		if u, why := unitOf(c); u != "" {
			col.Unit, f.Why, f.Ask = u, why, why == "unit from the name"
			if words := strings.Fields(inWords(c.Name)); why == "unit from the name" && f.Label == Label(c.Name) {
				f.Label = english.Capital(strings.Join(words[:len(words)-1], " "))
				col.Label = f.Label
			}
			if trimmed := strings.TrimSpace(strings.TrimSuffix(c.Comment, "("+u+")")); why == "unit from the comment" && f.Label == c.Comment && trimmed != "" {
				f.Label, col.Label = trimmed, trimmed
			}
		}
	}
	col.Long = k.of == "text" && len(col.Choices) == 0 && c.Base == "text" && col.Longest == 0 && longWord(c.Name)
	if !made && c.Default != "" {
		col.Default = defaultWords(c.Default)
	}
	if c.Generated {
		f.Why = "worked out by the database"
	} else if made {
		f.Why = "numbered by the database"
	}
	if wish := t.wish.field(c.Name).Unit; wish != nil {
		col.Unit = *wish
	}
	f.Unit = col.Unit
	f.What = whatWords(col, t.from.IsUnique(c.Name))
}

// longWord says whether a text of that name is usually written in several lines.
func longWord(name string) bool {
	return slices.ContainsFunc(strings.Fields(inWords(name)), func(w string) bool {
		return slices.Contains([]string{"note", "notes", "comment", "comments", "remark", "remarks", "description", "detail", "details", "text", "body", "message"}, w)
	})
}

// defaultWords says what the database fills in; "" for what says nothing to people.
func defaultWords(expression string) string {
	switch e := strings.ToLower(expression); {
	case strings.HasPrefix(e, "current_date") || strings.Contains(e, "now()::date"):
		return "today"
	case strings.HasPrefix(e, "now()") || strings.HasPrefix(e, "current_timestamp"):
		return "now"
	case e == "true" || e == "false" || e == "null":
		return map[string]string{"true": "yes", "false": "no"}[e]
	case strings.HasPrefix(e, "'"):
		if m := quoted.FindStringSubmatch(expression); m != nil {
			return strings.ReplaceAll(m[1], "''", "'")
		}
	case !strings.ContainsAny(e, "(:"):
		return expression
	}
	return ""
}

func labelOf(c *catalogue.Column) (label, why string, ask bool) {
	if text := c.Comment; text != "" && len([]rune(text)) <= 40 && !strings.ContainsAny(text, "\n.;:") {
		return text, "named by its comment", false
	}
	words := strings.Fields(inWords(c.Name))
	for _, w := range words {
		if !strings.ContainsAny(w, "aeiouyäöü0123456789") && !slices.Contains([]string{"km", "kg", "mm", "cm", "kw", "nr", "no", "id", "vat", "ph"}, w) {
			return Label(c.Name), "is this a good name?", true
		}
	}
	return Label(c.Name), "read from the database", false
}

var typeWords = map[string]string{"yesno": "yes or no", "whole": "whole number", "number": "number", "decimal": "decimal number", "text": "text", "json": "structured text", "picture": "picture", "date": "day", "moment": "day and time", "record": "record"}

// whatWords says what a field is.
func whatWords(c *project.Column, unique bool) string {
	out := typeWords[c.Type]
	if n := len(c.Choices); n > 0 {
		out = strings.Join(c.Choices[:min(n, 4)], ", ")
		if n > 4 {
			out += ", …"
		}
	}
	if c.Unit != "" {
		out += ", " + c.Unit
	}
	if unique {
		out += ", unique"
	}
	return out
}

func (t *Table) byColumn(column string) *Field {
	for _, f := range t.Fields {
		if f.Column == column {
			return f
		}
	}
	return nil
}

func or(a, b string) string {
	if a != "" {
		return a
	}
	return b
}
