package project

import "ambergate/core/cond"

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
