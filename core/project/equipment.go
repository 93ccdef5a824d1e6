package project

import (
	"fmt"
	"regexp"
	"slices"
	"strings"

	"ambergate/core/cond"
)

// Equipment is the tags that belong to each record of a table: the drive of a lift.
type Equipment struct {
	Entity
	Table  string           `json:"table"`
	Source string           `json:"source"`
	Parts  map[string]*Part `json:"parts"`
}

// Part is a named group of tags of an equipment.
type Part struct {
	Item
	Alias string          `json:"alias"`
	Label string          `json:"label"`
	Tags  map[string]*Tag `json:"tags"`
}

// Tag is one named live value. Node is a URI Template (RFC 6570) over the record's aliases.
type Tag struct {
	Item
	Alias    string   `json:"alias"`
	Label    string   `json:"label"`
	Type     string   `json:"type"` // yesno, whole, number, text
	Unit     string   `json:"unit,omitempty"`
	Min      *float64 `json:"min,omitempty"` // what may be written
	Max      *float64 `json:"max,omitempty"`
	Writable bool     `json:"writable,omitempty"`
	Node     string   `json:"node"`
	// Watchdog is what makes it false again in the plant itself when a button that holds it true is lost; nil: it cannot be held.
	Watchdog *Watchdog `json:"watchdog,omitempty"`
	// Alarm is between what a number is as it should be: whatever shows it marks it outside of that.
	Alarm *Limits `json:"alarm,omitempty"`
}

// Limits are a range that is open where an end is not said.
type Limits struct {
	Low  *float64 `json:"low,omitempty"`
	High *float64 `json:"high,omitempty"`
}

// Out says whether a value is outside.
func (l *Limits) Out(v float64) bool {
	return l.Low != nil && v < *l.Low || l.High != nil && v > *l.High
}

// Watchdog is how the plant notices that a button is not held any more although nobody let it go.
type Watchdog struct {
	Within float64 `json:"within"`         // seconds after which it is false again by itself
	Beat   string  `json:"beat,omitempty"` // node that is counted up as long as the button is held; none: the plant looks at the value being written
}

func (t *Tag) validate() error {
	if w := t.Watchdog; w != nil && (w.Within <= 0 || w.Within > 10) {
		return fmt.Errorf("a watchdog ends what is held within more than 0 and at most 10 seconds")
	}
	if l := t.Alarm; l != nil {
		switch {
		case t.Type != "whole" && t.Type != "number":
			return fmt.Errorf("only a number has limits")
		case l.Low == nil && l.High == nil, l.Low != nil && l.High != nil && *l.Low >= *l.High:
			return fmt.Errorf("limits are a low one, a high one above it, or one of both")
		}
	}
	return nil
}

func (e *Equipment) validate() error {
	for _, part := range e.Parts {
		if part == nil {
			continue
		}
		for _, t := range part.Tags {
			if t == nil {
				continue
			}
			if err := t.validate(); err != nil {
				return fmt.Errorf("%s: %w", t.Label, err)
			}
		}
	}
	return nil
}

// TagAt finds the tag that a path leads to; nil for none.
func (p *Project) TagAt(path *cond.Path) *Tag {
	if path.Root == TagRoot {
		if t := p.Tags[path.First()]; t != nil {
			return &t.Tag
		}
		return nil
	}
	i := slices.Index(path.Segs, EquipField)
	if i < 0 || len(path.Segs) != i+3 {
		return nil
	}
	for _, e := range p.Equipment {
		if part := e.Parts[path.Segs[i+1]]; part != nil && part.Tags[path.Segs[i+2]] != nil {
			return part.Tags[path.Segs[i+2]]
		}
	}
	return nil
}

func (e *Equipment) called(id string) {
	e.ID = id
	call(e.Parts)
	for _, p := range e.Parts {
		if p != nil {
			call(p.Tags)
		}
	}
}

// EquipField is the name under which a record's equipment is reached, as id and as alias.
const EquipField = "equip"

// EquipmentOf finds the equipment of a table; nil when it has none.
func (p *Project) EquipmentOf(table string) *Equipment {
	for _, e := range p.Equipment {
		if e.Table == table {
			return e
		}
	}
	return nil
}

func (t *Tag) typeOf() cond.Type {
	kind, ok := cond.KindOf(t.Type)
	if !ok {
		kind = cond.Number
	}
	return cond.Type{Kind: kind, Unit: t.Unit}
}

// PlantTag is a live value of the plant as a whole, which belongs to no record: the wind at the top, the power that
// the works draw. Expressions read it as tag.name.
type PlantTag struct {
	Tag
	Kind   string `json:"kind"`
	Source string `json:"source"`
}

// TagRoot is the name that a path to a value of the plant as a whole begins with.
const TagRoot = "tag"

var tagAlias = regexp.MustCompile(`^[a-z][a-z0-9_]{0,60}$`)

// tagTypes are the types that a live value can have.
var tagTypes = []string{"yesno", "whole", "number", "text"}

func (t *PlantTag) validate() error {
	if t.Label == "" || !tagAlias.MatchString(t.Alias) {
		return fmt.Errorf("a value of the plant needs a label, and a name of small letters, digits and underscores")
	}
	if t.Node == "" || t.Source == "" {
		return fmt.Errorf("a value of the plant needs a node, and the plant that it is in")
	}
	if strings.ContainsAny(t.Node, "{}") {
		return fmt.Errorf("the node of a value that belongs to no record has no field in braces")
	}
	if err := t.Tag.validate(); err != nil {
		return err
	}
	return OneOf("type of value", t.Type, tagTypes...)
}

// tagGroup gives the names of the plant's own values.
func (p *Project) tagGroup() *cond.Group {
	g := &cond.Group{ID: TagRoot, Label: "plant"}
	for _, t := range Ordered(p.Tags) {
		g.Fields = append(g.Fields, cond.Field{ID: t.ID, Alias: t.Alias, Label: t.Label, Type: t.typeOf()})
	}
	return g
}

// scopeTags adds the plant's own values to a scope, where there are any.
func (p *Project) scopeTags(scope cond.Scope) {
	if len(p.Tags) > 0 {
		scope[TagRoot] = TagRoot
	}
}
