package propose

import (
	"slices"

	"ambergate/core/catalogue"
	"ambergate/core/english"
	"ambergate/core/project"
)

// tables proposes all chosen tables, and how they hang together. What is chosen twice or is not there is passed over.
func tables(d *catalogue.Database, w Wish) []*Table {
	ids := names{}
	var out []*Table
	byName := map[[2]string]*Table{}
	for i := range w.Tables {
		wish := &w.Tables[i]
		from := d.Find(wish.Schema, wish.Name)
		key := [2]string{wish.Schema, wish.Name}
		if from == nil || byName[key] != nil || !from.Select {
			continue
		}
		t := propose(from, wish, ids.free(id("t", from.Name), "_"), len(out)+1)
		byName[key] = t
		out = append(out, t)
	}
	all := map[string]*Table{}
	for _, t := range out {
		all[t.ID] = t
		t.relate(byName)
		t.Link = t.joinsTwo()
	}
	for _, t := range out {
		t.tell(all)
	}
	return out
}

// relate makes relations of foreign keys: of one column, to the key of a table that is taken in too.
func (t *Table) relate(byName map[[2]string]*Table) {
	aliases := names{}
	for _, f := range t.fieldsWhere(func(*Field, *project.Column) bool { return true }) {
		aliases[t.Body.Fields[f.ID].Alias] = true
	}
	for _, key := range t.from.Foreign {
		parent := byName[[2]string{key.Schema, key.Table}]
		if len(key.Columns) > 1 {
			t.Notes = append(t.Notes, "It names "+english.Lower(Label(key.Table))+" by several columns together: these are shown, and lead nowhere.")
			continue
		}
		f := t.byColumn(key.Columns[0])
		if f == nil || f.ID == "" {
			continue
		}
		if parent == nil {
			f.Why = "names a record of " + key.Table + ", which is not taken in"
			continue
		}
		if len(parent.Body.Key) != 1 || !slices.Equal(parent.from.Primary, key.To) {
			f.Why = "names a record of " + english.Lower(parent.Body.Label) + " by something that is not its key"
			continue
		}
		col := t.Body.Fields[f.ID]
		col.Type, col.References = "record", parent.ID
		col.Min, col.Max, col.Longest, col.Pattern, col.Choices, col.Unit, col.Long = nil, nil, 0, "", nil, "", false
		if t.from.Column(f.Column).Change {
			col.ReadOnly = t.Body.View // a UUID is chosen by its record, not typed
		}
		if name := relationName(f.Column); name != "" {
			if t.wish.field(f.Column).Label == "" && f.from.Comment == "" {
				f.Label, f.Ask = english.Capital(name), false
				col.Label = f.Label
			}
			col.Alias = aliases.free(alias(name), "_")
		}
		f.What, f.Why = "one of "+english.Lower(parent.Body.Label), "foreign key"
	}
}

// joinsTwo says whether the table does nothing but join two others: its key is two relations, and there is nothing
// else in it that anybody would write.
func (t *Table) joinsTwo() bool {
	if len(t.Body.Key) != 2 {
		return false
	}
	for _, f := range t.fieldsWhere(func(*Field, *project.Column) bool { return true }) {
		c := t.Body.Fields[f.ID]
		if (c.Type == "record") != t.isKey(f) || c.Type != "record" && !c.ReadOnly && c.Default == "" {
			return false
		}
	}
	return true
}

// areas puts tables that hang together into groups, the largest first; each is called by the table most others name.
func areas(all []*Table) [][]*Table {
	group := map[string]string{}
	var find func(id string) string
	find = func(id string) string {
		if group[id] == "" || group[id] == id {
			return id
		}
		return find(group[id])
	}
	named := map[string]int{}
	for _, t := range all {
		for _, c := range t.Body.Fields {
			if c.References != "" && c.References != t.ID {
				named[c.References]++
				group[find(t.ID)] = find(c.References)
			}
		}
	}
	at := map[string]int{}
	var out [][]*Table
	for _, t := range all {
		root := find(t.ID)
		if _, known := at[root]; !known {
			at[root] = len(out)
			out = append(out, nil)
		}
		out[at[root]] = append(out[at[root]], t)
	}
	for _, tables := range out {
		slices.SortStableFunc(tables, func(a, b *Table) int { return named[b.ID] - named[a.ID] })
	}
	slices.SortStableFunc(out, func(a, b []*Table) int { return len(b) - len(a) })
	return out
}
