package propose

import (
	"encoding/json"
	"maps"
	"slices"

	"ambergate/core/catalogue"
	"ambergate/core/patch"
	"ambergate/core/project"
)

// known gives the tables of the project's connection as propose knows them, by schema and name, so that what is taken
// in later refers to them.
func (a *again) known() map[[2]string]*Table {
	out := map[[2]string]*Table{}
	for id, t := range a.project.Tables {
		source := a.project.Sources[t.Source]
		if source == nil || source.Connection != a.project.Sources[a.source].Connection {
			continue
		}
		if from := a.database.Find(source.Schema, t.Relation); from != nil {
			out[[2]string{source.Schema, t.Relation}] = &Table{ID: id, Body: t, from: from, wish: &TableWish{}}
		}
	}
	return out
}

// takeIn adds a table to the project. Nobody may do anything with it yet: that is for a role to be given.
func (a *again) takeIn(from *catalogue.Table) []patch.Op {
	ids := names{}
	for id := range a.project.Tables {
		ids[id] = true
	}
	t := propose(from, &TableWish{Schema: from.Schema, Name: from.Name}, ids.free(id("t", from.Name), "_"), 0)
	all := a.known()
	all[[2]string{from.Schema, from.Name}] = t
	t.relate(all)
	t.tell(byID(all))
	t.Body.Source = a.source
	return []patch.Op{{Op: "add", Path: "/" + t.ID, Value: encoded(t.Body)}}
}

func byID(all map[[2]string]*Table) map[string]*Table {
	out := map[string]*Table{}
	for _, t := range all {
		out[t.ID] = t
	}
	return out
}

// column adds a field to a table of the project, behind all others.
func (a *again) column(t *project.Table, is *catalogue.Table, c *catalogue.Column) []patch.Op {
	one := &catalogue.Table{Schema: is.Schema, Name: is.Name, Kind: is.Kind, Columns: []*catalogue.Column{c}, Checks: is.Checks, Unique: is.Unique, Select: true, Parts: is.Parts}
	for _, f := range is.Foreign {
		if slices.Equal(f.Columns, []string{c.Name}) {
			one.Foreign = append(one.Foreign, f)
		}
	}
	proposed := propose(one, &TableWish{Schema: is.Schema, Name: is.Name}, t.ID, 0)
	all := a.known()
	proposed.relate(all)
	fieldIDs, aliases, last := names{}, names{}, 0.0
	for id, f := range t.Fields {
		fieldIDs[id], aliases[f.Alias] = true, true
		last = max(last, f.Pos)
	}
	for _, id := range slices.Sorted(maps.Keys(proposed.Body.Fields)) {
		f := proposed.Body.Fields[id]
		f.Alias, f.Pos = aliases.free(f.Alias, "_"), last+1
		return []patch.Op{{Op: "add", Path: "/" + t.ID + "/fields/" + fieldIDs.free(id, "_"), Value: encoded(f)}}
	}
	return nil
}

func encoded(v any) json.RawMessage {
	text, err := json.Marshal(v)
	if err != nil {
		panic("a table does not encode: " + err.Error())
	}
	return text
}
