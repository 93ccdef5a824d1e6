package project

import (
	"encoding/json"
	"maps"
)

// Redecode gives a project with some entities changed, by their new bodies; nil for one that was
// removed. The others are shared with the old project, which stays as it is: projects are never
// changed after they were decoded. The error is a *StructureError.
func Redecode(old *Project, changed map[string]json.RawMessage) (*Project, error) {
	p := &Project{
		Settings: old.Settings, Roles: maps.Clone(old.Roles), Sources: maps.Clone(old.Sources), Tables: maps.Clone(old.Tables),
		Equipment: maps.Clone(old.Equipment), Grants: maps.Clone(old.Grants), Conditions: maps.Clone(old.Conditions), Screens: maps.Clone(old.Screens),
		Gates: maps.Clone(old.Gates), Rails: maps.Clone(old.Rails), Pictures: maps.Clone(old.Pictures), Variables: maps.Clone(old.Variables),
	}
	for id, body := range changed {
		delete(p.Roles, id)
		delete(p.Sources, id)
		delete(p.Tables, id)
		delete(p.Equipment, id)
		delete(p.Grants, id)
		delete(p.Conditions, id)
		delete(p.Screens, id)
		delete(p.Gates, id)
		delete(p.Rails, id)
		delete(p.Pictures, id)
		delete(p.Variables, id)
		if body == nil {
			continue
		}
		if err := p.decodeEntity(id, body); err != nil {
			return nil, &StructureError{id, err.Error()}
		}
	}
	return p, nil
}
