package propose

import (
	"slices"
	"strings"

	"ambergate/core/english"
	"ambergate/core/project"
)

// inLists is how many fields a list shows.
const inLists = 6

// titleWords are those that a column which tells what a record is called is called by, the best first.
var titleWords = []string{"name", "title", "label", "code", "number"}

// tell chooses what a record is called, in which order lists are, and what they show.
func (t *Table) tell(all map[string]*Table) {
	title := t.titleField()
	if title == nil {
		t.Body.Title = t.titleOfKey(all)
	} else {
		t.Title, t.Body.Title = title.Column, "{record."+t.Body.Fields[title.ID].Alias+"}"
	}
	if order := t.orderField(title); order != nil {
		t.Order = order.Column
		col := t.Body.Fields[order.ID]
		t.Body.Order = map[string]*project.Order{"o_1": {Path: order.ID, Desc: col.Type == "date" || col.Type == "moment"}}
		t.Body.Order["o_1"].Pos = 1
	}
	t.chooseList(title)
	t.Login = t.loginColumn()
}

// titleField gives the field that tells best what a record is called; nil where none does.
func (t *Table) titleField() *Field {
	if f := t.byColumn(t.wish.Title); f != nil && f.ID != "" {
		return f
	}
	texts := t.fieldsWhere(func(f *Field, c *project.Column) bool {
		return c.Type == "text" && !c.Long && len(c.Choices) == 0 && f.from.Base != "uuid" && !f.from.Array
	})
	for _, f := range texts {
		if t.from.IsUnique(f.Column) && !t.loginLike(f) {
			return f
		}
	}
	for _, word := range titleWords {
		for _, f := range t.fieldsWhere(func(f *Field, c *project.Column) bool {
			return c.Type == "text" || word == "number" && c.Type == "whole" && !t.isKey(f)
		}) {
			if named(f, word) && len(t.Body.Fields[f.ID].Choices) == 0 {
				return f
			}
		}
	}
	if len(texts) > 0 {
		return texts[0]
	}
	return nil
}

// named says whether a column begins or ends with one of some words.
func named(f *Field, words ...string) bool {
	own := strings.Fields(inWords(f.Column))
	return len(own) > 0 && (slices.Contains(words, own[len(own)-1]) || slices.Contains(words, own[0]))
}

// titleOfKey calls a record by what it joins, else by its key.
func (t *Table) titleOfKey(all map[string]*Table) string {
	var parts []string
	for _, f := range t.fieldsWhere(func(_ *Field, c *project.Column) bool { return c.Type == "record" }) {
		parent := all[t.Body.Fields[f.ID].References]
		if title := parent.titleField(); title != nil && len(parts) < 2 {
			parts = append(parts, "{record."+t.Body.Fields[f.ID].Alias+"."+parent.Body.Fields[title.ID].Alias+"}")
		}
	}
	if t.Link && len(parts) == 2 {
		return strings.Join(parts, ", ")
	}
	if len(t.Body.Key) > 0 {
		if key := t.Body.Fields[t.Body.Key[0]]; key.Type != "record" {
			return english.Capital(t.Body.One) + " {record." + key.Alias + "}"
		}
	}
	if len(parts) > 0 {
		return strings.Join(parts, ", ")
	}
	return english.Capital(t.Body.One)
}

// manyRows is from how many records on an order needs an index.
const manyRows = 20_000

func (t *Table) orderField(title *Field) *Field {
	if f := t.byColumn(t.wish.Order); f != nil && f.ID != "" {
		return f
	}
	served := func(f *Field) bool {
		return t.Rows < manyRows || slices.ContainsFunc(t.from.Indexes, func(columns []string) bool { return columns[0] == f.Column })
	}
	if title != nil && served(title) && (t.from.IsUnique(title.Column) || named(title, titleWords...)) {
		return title
	}
	for _, f := range t.fieldsWhere(func(_ *Field, c *project.Column) bool { return c.Type == "date" || c.Type == "moment" }) {
		if served(f) {
			return f
		}
	}
	if title != nil && served(title) {
		return title
	}
	return nil // the key
}

// chooseList marks the fields that tell records apart best.
func (t *Table) chooseList(title *Field) {
	worth := func(f *Field) int {
		c := t.Body.Fields[f.ID]
		switch {
		case f == title:
			return 9
		case t.wish.field(f.Column).InList != nil, c.Long, c.Type == "json", c.Type == "picture", f.from.Base == "uuid", f.from.Array, c.ReadOnly && t.isKey(f):
			return 0
		case c.Type == "record":
			return 7
		case len(c.Choices) > 0:
			return 6
		case t.from.IsUnique(f.Column):
			return 8
		case c.Type == "date":
			return 5
		case c.Type == "yesno":
			return 2
		case c.Type == "moment":
			return 3
		}
		return 4
	}
	fields := t.fieldsWhere(func(f *Field, _ *project.Column) bool { return worth(f) > 0 })
	slices.SortStableFunc(fields, func(a, b *Field) int { return worth(b) - worth(a) })
	for _, f := range fields[:min(len(fields), inLists)] {
		f.InList = true
	}
	some := len(fields) > 0
	for _, f := range t.Fields {
		if wish := t.wish.field(f.Column).InList; wish != nil && f.ID != "" {
			f.InList = *wish
			some = some || *wish
		}
	}
	if !some { // a list without a column shows nothing
		for _, f := range t.fieldsWhere(func(*Field, *project.Column) bool { return true })[:1] {
			f.InList = true
		}
	}
}

func (t *Table) isKey(f *Field) bool { return slices.Contains(t.Body.Key, f.ID) }

// loginLike says whether a text is named as what one signs in by.
func (t *Table) loginLike(f *Field) bool {
	return slices.ContainsFunc(strings.Fields(inWords(f.Column)), func(w string) bool {
		return slices.Contains([]string{"login", "mail", "email", "username", "account"}, w)
	})
}

func (t *Table) loginColumn() string {
	for _, f := range t.fieldsWhere(func(f *Field, c *project.Column) bool { return c.Type == "text" && t.from.IsUnique(f.Column) }) {
		if t.loginLike(f) {
			return f.Column
		}
	}
	return ""
}

// fieldsWhere gives the fields that are taken in and fit, in the order of the columns.
func (t *Table) fieldsWhere(fits func(*Field, *project.Column) bool) (out []*Field) {
	for _, f := range t.Fields {
		if f.ID != "" && fits(f, t.Body.Fields[f.ID]) {
			out = append(out, f)
		}
	}
	return out
}
