package propose

import (
	"maps"
	"slices"
	"strings"

	"ambergate/core/patch"
	"ambergate/core/project"
)

// Branch is a folder of a plant that stands for one piece of equipment, with the values below it.
type Branch struct {
	Name   string
	Values []PlantValue
}

// PlantValue is a value of a plant as it was browsed.
type PlantValue struct {
	Way       []string // names, from the folder on
	Type      string   // yesno, whole, number, text
	Unit      string
	Low, High *float64
	Writable  bool
}

// EquipmentWish is what somebody chose of a plant: a folder whose folders are one piece of equipment each.
type EquipmentWish struct {
	Connection string   `json:"connection"`
	Path       string   `json:"path"`
	Table      string   `json:"table,omitempty"`    // whose records they belong to; by what matches best when absent
	Field      string   `json:"field,omitempty"`    // by whose value a folder is found
	LeaveOut   []string `json:"leaveOut,omitempty"` // ways of values
	Screen     bool     `json:"screen,omitempty"`   // with an operator screen
}

// Keyed is what the records of a table hold in one field.
type Keyed struct {
	Table, Field string
	Records      []KeyedRecord
}

// KeyedRecord is one record with what it holds there.
type KeyedRecord struct{ Title, Value string }

// Equipment is what would be made of the folders.
type Equipment struct {
	Folders []string         `json:"folders"`
	Values  []EquipmentValue `json:"values"`
	Fits    []Fit            `json:"fits"`             // the best first
	Chosen  *Fit             `json:"chosen,omitempty"` // absent where nothing matches, and nothing was chosen
	Notes   []string         `json:"notes"`
	Patch   []patch.Op       `json:"patch"`            // none without a fit
	Screen  string           `json:"screen,omitempty"` // id of the operator screen
}

// EquipmentValue is one value that each of them has, or most.
type EquipmentValue struct {
	Way      string   `json:"way"`
	Part     string   `json:"part"`
	Label    string   `json:"label"`
	Type     string   `json:"type"`
	Unit     string   `json:"unit,omitempty"`
	Low      *float64 `json:"low,omitempty"`
	High     *float64 `json:"high,omitempty"`
	Writable bool     `json:"writable,omitempty"`
	Missing  []string `json:"missing,omitempty"` // folders that have it not
	Out      bool     `json:"out,omitempty"`     // it is left out
	way      []string
}

// Fit is a field by whose values folders are found: what stands before and after its value in their names.
type Fit struct {
	Table   string   `json:"table"`
	Field   string   `json:"field"`
	Before  string   `json:"before,omitempty"`
	After   string   `json:"after,omitempty"`
	Pairs   []Pair   `json:"pairs"`
	Lonely  []string `json:"lonely"`  // folders without a record
	Without []string `json:"without"` // titles of records without a folder, some of them
	Records int      `json:"records"` // how many there are
}

// Pair is a folder and the record that it belongs to.
type Pair struct {
	Folder string `json:"folder"`
	Record string `json:"record"`
}

// withoutShown is how many records without a folder are told by title.
const withoutShown = 12

// ProposeEquipment makes the equipment of a table out of folders of a plant.
func ProposeEquipment(p *project.Project, w EquipmentWish, branches []Branch, keyed []Keyed) Equipment {
	out := Equipment{Folders: []string{}, Fits: []Fit{}, Notes: []string{}, Patch: []patch.Op{}}
	for _, b := range branches {
		out.Folders = append(out.Folders, b.Name)
	}
	out.Values = shared(branches, w.LeaveOut)
	for _, k := range keyed {
		if f := fit(k, out.Folders); len(f.Pairs) > 0 || k.Table == w.Table && k.Field == w.Field {
			out.Fits = append(out.Fits, f)
		}
	}
	slices.SortStableFunc(out.Fits, func(a, b Fit) int {
		if n := len(b.Pairs) - len(a.Pairs); n != 0 {
			return n
		}
		// Of equals the one that says most of the names; then the table in which fewer records have none.
		if n := a.over() - b.over(); n != 0 {
			return n
		}
		return a.Records - b.Records
	})
	for i, f := range out.Fits {
		if w.Table == "" && i == 0 || f.Table == w.Table && (w.Field == "" || f.Field == w.Field) {
			out.Chosen = &out.Fits[i]
			break
		}
	}
	if out.Chosen == nil || p.Tables[out.Chosen.Table] == nil {
		out.Chosen = nil
		return out
	}
	m := equipmentMaker{p: p, w: w, out: &out, table: p.Tables[out.Chosen.Table], ranges: map[*project.Tag][2]float64{}}
	m.make()
	return out
}

// shared are the values that the folders have, in the order in which they were found; of different types in different
// folders it is that of the first.
func shared(branches []Branch, leaveOut []string) []EquipmentValue {
	out := []EquipmentValue{}
	at := map[string]int{}
	has := map[string]map[string]bool{}
	for _, b := range branches {
		for _, v := range b.Values {
			way := strings.Join(v.Way, "/")
			if has[way] == nil {
				has[way] = map[string]bool{}
				at[way] = len(out)
				part := "values"
				if len(v.Way) > 1 {
					part = v.Way[0]
				}
				label := inWords(strings.Join(v.Way[min(1, len(v.Way)-1):], " "))
				out = append(out, EquipmentValue{Way: way, Part: part, Label: label, Type: v.Type, Unit: v.Unit, Low: v.Low, High: v.High, Writable: v.Writable, Out: slices.Contains(leaveOut, way), way: v.Way})
			}
			has[way][b.Name] = true
		}
	}
	for i := range out {
		for _, b := range branches {
			if !has[out[i].Way][b.Name] {
				out[i].Missing = append(out[i].Missing, b.Name)
			}
		}
	}
	return out
}

// What a fit is looked for by: the names of some folders, and no more than so many ways to cut them.
const (
	namesTried = 4
	cutsTried  = 200
)

// fit tries what stands before and after a value in the names of the first folders; the most pairs win, and of equals
// the one that leaves least of the names over.
func fit(k Keyed, folders []string) Fit {
	best := Fit{Table: k.Table, Field: k.Field, Pairs: []Pair{}, Lonely: folders, Without: []string{}, Records: len(k.Records)}
	tried := map[[2]string]bool{}
	for _, f := range folders[:min(namesTried, len(folders))] {
		for _, r := range k.Records {
			before, after, found := strings.Cut(f, r.Value)
			cut := [2]string{before, after}
			if r.Value == "" || !found || tried[cut] || len(tried) == cutsTried {
				continue
			}
			tried[cut] = true
			one := paired(k, folders, before, after)
			if d := len(one.Pairs) - len(best.Pairs); d > 0 || d == 0 && one.over() < best.over() {
				best = one
			}
		}
	}
	return best
}

// over is how much of a name is left beside the value.
func (f Fit) over() int { return len(f.Before) + len(f.After) }

func paired(k Keyed, folders []string, before, after string) Fit {
	out := Fit{Table: k.Table, Field: k.Field, Before: before, After: after, Pairs: []Pair{}, Lonely: []string{}, Without: []string{}, Records: len(k.Records)}
	of := map[string][]string{} // value → titles
	for _, r := range k.Records {
		of[r.Value] = append(of[r.Value], r.Title)
	}
	found := map[string]bool{}
	for _, f := range folders {
		value, ok := strings.CutPrefix(f, before)
		if ok {
			value, ok = strings.CutSuffix(value, after)
		}
		if titles := of[value]; ok && value != "" && len(titles) == 1 {
			out.Pairs = append(out.Pairs, Pair{Folder: f, Record: titles[0]})
			found[value] = true
		} else {
			out.Lonely = append(out.Lonely, f)
		}
	}
	for _, r := range k.Records {
		if !found[r.Value] && len(out.Without) < withoutShown {
			out.Without = append(out.Without, r.Title)
		}
	}
	return out
}

// equipmentMaker writes the edit.
type equipmentMaker struct {
	p     *project.Project
	w     EquipmentWish
	out   *Equipment
	table *project.Table

	ranges map[*project.Tag][2]float64 // of those that were just taken in, where the plant tells one
}

func (m *equipmentMaker) make() {
	source := m.source()
	was := m.p.EquipmentOf(m.table.ID)
	eq := &project.Equipment{Table: m.table.ID, Source: source, Parts: map[string]*project.Part{}}
	eq.ID, eq.Kind = free(m.p.Equipment, id("eq", m.table.ID[2:])), "equipment"
	nodes := map[string]bool{}
	if was != nil {
		if was.Source != source {
			m.out.Notes = append(m.out.Notes, m.table.Label+" have equipment in another plant already: each table has that of one.")
			return
		}
		eq.ID = was.ID
		for id, part := range was.Parts {
			copied := *part
			copied.Tags = maps.Clone(part.Tags)
			eq.Parts[id] = &copied
			for _, t := range part.Tags {
				nodes[t.Node] = true
			}
		}
	}
	added := m.parts(eq, nodes)
	if added == 0 {
		m.out.Notes = append(m.out.Notes, "All of these values are taken in already.")
		return
	}
	if was == nil {
		m.add("/"+eq.ID, eq)
	} else {
		m.out.Patch = append(m.out.Patch, patch.Op{Op: "replace", Path: "/" + eq.ID + "/parts", Value: encoded(eq.Parts)})
	}
	if m.w.Screen {
		m.screen(eq)
	}
}

func (m *equipmentMaker) add(path string, v any) {
	m.out.Patch = append(m.out.Patch, patch.Op{Op: "add", Path: path, Value: encoded(v)})
}

// source gives the plant's source, or adds one.
func (m *equipmentMaker) source() string {
	source, made := sourceOf(m.p, m.w.Connection)
	if made != nil {
		m.add("/"+source, made)
	}
	return source
}

// sourceOf gives a plant's source; what is to be added under this id where the application is not over it yet.
func sourceOf(p *project.Project, connection string) (source string, made body) {
	for _, id := range slices.Sorted(maps.Keys(p.Sources)) {
		if s := p.Sources[id]; s.Type == "plant" && s.Connection == connection {
			return id, nil
		}
	}
	return free(p.Sources, id("so", connection)), body{"kind": "source", "name": connection, "type": "plant", "connection": connection}
}

// free gives an id that nothing of its kind has.
func free[T any](there map[string]T, id string) string {
	taken := names{}
	for other := range there {
		taken[other] = true
	}
	return taken.free(id, "_")
}

// parts adds the values that are not there yet, and counts them.
func (m *equipmentMaker) parts(eq *project.Equipment, there map[string]bool) (added int) {
	partIDs, partAliases := names{}, names{}
	byAlias := map[string]*project.Part{}
	for id, p := range eq.Parts {
		partIDs[id], partAliases[p.Alias], byAlias[p.Alias] = true, true, p
	}
	for _, v := range m.out.Values {
		node := m.w.Path + "/" + escaped(m.out.Chosen.Before) + "{" + m.out.Chosen.Field + "}" + escaped(m.out.Chosen.After)
		for _, step := range v.way {
			node += "/" + escaped(step)
		}
		if v.Out || there[node] {
			continue
		}
		name := alias(v.Part)
		part := byAlias[name]
		if part == nil {
			part = &project.Part{Alias: partAliases.free(name, "_"), Label: inWords(v.Part), Tags: map[string]*project.Tag{}}
			part.Pos = float64(len(eq.Parts) + 1)
			byAlias[name] = part
			eq.Parts[partIDs.free(id("q", v.Part), "_")] = part
		}
		tagIDs, tagAliases := names{}, names{}
		for id, t := range part.Tags {
			tagIDs[id], tagAliases[t.Alias] = true, true
		}
		tag := &project.Tag{Alias: tagAliases.free(alias(v.Label), "_"), Label: v.Label, Type: v.Type, Unit: v.Unit, Writable: v.Writable, Node: node}
		if v.Writable {
			tag.Min, tag.Max = v.Low, v.High
		}
		if v.Low != nil && v.High != nil {
			m.ranges[tag] = [2]float64{*v.Low, *v.High}
		}
		tag.Pos = float64(len(part.Tags) + 1)
		part.Tags[tagIDs.free(id("g", v.Label), "_")] = tag
		added++
	}
	return added
}

// escaped writes a browse name as a part of a path (see the plant’s nodes): what would end it is encoded as in
// RFC 3986, and so are the braces of a template.
func escaped(name string) string {
	return strings.NewReplacer("%", "%25", "/", "%2F", "{", "%7B", "}", "%7D").Replace(name)
}
