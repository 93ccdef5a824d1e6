package project

import (
	"encoding/json"
	"maps"
	"slices"
)

// shelves says for each kind of entity where a project keeps those: a new kind is a map of Project
// and a line here.
var shelves = map[string]shelf{
	"role":        shelfOf(func(p *Project) *map[string]*Role { return &p.Roles }),
	"source":      shelfOf(func(p *Project) *map[string]*Source { return &p.Sources }),
	"table":       shelfOf(func(p *Project) *map[string]*Table { return &p.Tables }),
	"equipment":   shelfOf(func(p *Project) *map[string]*Equipment { return &p.Equipment }),
	"grant":       shelfOf(func(p *Project) *map[string]*Grant { return &p.Grants }),
	"condition":   shelfOf(func(p *Project) *map[string]*Condition { return &p.Conditions }),
	"screen":      shelfOf(func(p *Project) *map[string]*Screen { return &p.Screens }),
	"gate":        shelfOf(func(p *Project) *map[string]*SharedGate { return &p.Gates }),
	"rail":        shelfOf(func(p *Project) *map[string]*Rail { return &p.Rails }),
	"picture":     shelfOf(func(p *Project) *map[string]*Picture { return &p.Pictures }),
	"clip":        shelfOf(func(p *Project) *map[string]*Clip { return &p.Clips }),
	"callUp":      shelfOf(func(p *Project) *map[string]*CallUp { return &p.CallUps }),
	"variable":    shelfOf(func(p *Project) *map[string]*Variable { return &p.Variables }),
	"expectation": shelfOf(func(p *Project) *map[string]*Expectation { return &p.Expectations }),
	"acceptance":  shelfOf(func(p *Project) *map[string]*Acceptance { return &p.Acceptances }),
	"walk":        shelfOf(func(p *Project) *map[string]*Walk { return &p.Walks }),
	TagRoot:       shelfOf(func(p *Project) *map[string]*PlantTag { return &p.Tags }),
}

// EntityKinds gives the kinds of entities that a document holds, the settings among them, sorted.
func EntityKinds() []string {
	return slices.Sorted(slices.Values(append(slices.Collect(maps.Keys(shelves)), SettingsID)))
}

// NewEntity gives an empty entity of a kind, to be read into; nil where there is no such kind.
func NewEntity(kind string) any {
	if kind == SettingsID {
		return &Settings{}
	}
	if s := shelves[kind]; s != nil {
		return s.empty()
	}
	return nil
}

// shelf is where a project keeps the entities of one kind.
type shelf interface {
	empty() any
	decode(p *Project, kind, id string, body json.RawMessage) error
	// take puts those of another project beside these.
	take(p, other *Project)
	// clone lets a project have a map of its own.
	clone(p *Project)
	remove(p *Project, id string)
}

// entity is what each kind is asked.
type entity[T any] interface {
	*T
	called(id string)
}

// checked is asked of entities that may be refused as a whole.
type checked interface{ validate() error }

type shelfFor[T any, E entity[T]] struct{ of func(*Project) *map[string]*T }

func shelfOf[T any, E entity[T]](of func(*Project) *map[string]*T) shelf { return shelfFor[T, E]{of} }

func (s shelfFor[T, E]) empty() any { return new(T) }

func (s shelfFor[T, E]) decode(p *Project, kind, id string, body json.RawMessage) error {
	v := new(T)
	if err := strictUnmarshal(body, v, "an entity of kind "+kind); err != nil {
		return err
	}
	E(v).called(id)
	if c, ok := any(v).(checked); ok {
		if err := c.validate(); err != nil {
			return err
		}
	}
	if *s.of(p) == nil {
		*s.of(p) = map[string]*T{}
	}
	(*s.of(p))[id] = v
	return nil
}

func (s shelfFor[T, E]) take(p, other *Project) {
	if *s.of(p) == nil {
		*s.of(p) = map[string]*T{}
	}
	maps.Copy(*s.of(p), *s.of(other))
}

func (s shelfFor[T, E]) clone(p *Project) { *s.of(p) = maps.Clone(*s.of(p)) }

func (s shelfFor[T, E]) remove(p *Project, id string) { delete(*s.of(p), id) }

// call lets the parts of a map know under which ids they stand.
func call[T any, E entity[T]](parts map[string]*T) {
	for id, part := range parts {
		if part != nil {
			E(part).called(id)
		}
	}
}

// Redecode gives a project with some entities changed, by their new bodies; nil for one that was
// removed. The others are shared with the old project, which stays as it is: projects are never
// changed after they were decoded. The error is a *StructureError.
func Redecode(old *Project, changed map[string]json.RawMessage) (*Project, error) {
	p := *old
	for _, s := range shelves {
		s.clone(&p)
	}
	for id, body := range changed {
		for _, s := range shelves {
			s.remove(&p, id)
		}
		if body == nil {
			continue
		}
		if err := p.decodeLegal(id, body); err != nil {
			return nil, err
		}
	}
	return &p, nil
}
