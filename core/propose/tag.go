package propose

import (
	"strings"

	"ambergate/core/english"
	"ambergate/core/patch"
	"ambergate/core/project"
)

// PlantTag is a value of a plant that would be taken in on its own, for no record.
type PlantTag struct {
	ID    string     `json:"id"`
	Words string     `json:"words"`
	Patch []patch.Op `json:"patch"` // none where it is taken in already
}

// TagOf takes a value of a plant in under a name of its own. The value's way begins at the root of the plant; where
// its own name is another's already, the folder that it is in stands before it.
func TagOf(p *project.Project, connection string, v PlantValue) PlantTag {
	var out PlantTag
	source, made := sourceOf(p, connection)
	node := ""
	for _, name := range v.Way {
		node += "/" + escaped(name)
	}
	taken := names{}
	for id, t := range p.Tags {
		taken[t.Alias] = true
		if t.Source == source && t.Node == node {
			return PlantTag{ID: id, Words: "It is taken in already, as “" + t.Label + "”.", Patch: []patch.Op{}}
		}
	}
	name := v.Way[len(v.Way)-1]
	if taken[alias(name)] && len(v.Way) > 1 {
		name = v.Way[len(v.Way)-2] + " " + name
	}
	t := &project.PlantTag{Kind: project.TagRoot, Source: source}
	t.Alias, t.Label, t.Node = taken.free(alias(name), "_"), english.Capital(inWords(name)), node
	t.Type, t.Unit, t.Writable = v.Type, v.Unit, v.Writable
	if v.Writable {
		t.Min, t.Max = v.Low, v.High
	}
	for _, other := range p.Tags {
		t.Pos = max(t.Pos, other.Pos)
	}
	t.Pos++
	out.ID = free(p.Tags, id("tg", name))
	out.Words = "“" + t.Label + "” of " + strings.Join(v.Way[:len(v.Way)-1], ", ")
	add := func(path string, v any) {
		out.Patch = append(out.Patch, patch.Op{Op: "add", Path: path, Value: encoded(v)})
	}
	if made != nil {
		add("/"+source, made)
	}
	add("/"+out.ID, t)
	return out
}
