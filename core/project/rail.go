package project

import (
	"fmt"
	"slices"
)

// Rail is a strip shared by many screens, with any elements on it; a rule says on which.
type Rail struct {
	Listed
	Name     string              `json:"name"`
	Edge     string              `json:"edge" jsonschema:"enum=left,enum=right,enum=top,enum=bottom"` // left, right, top, bottom
	Placed   Placement           `json:"placed"`
	Elements map[string]*Element `json:"elements,omitempty"`
	Never    map[string]bool     `json:"never,omitempty"`  // elements that never fold into “More”
	Drawer   *RailDrawer         `json:"drawer,omitempty"` // it comes when it is asked for; absent: it is fixed
}

// RailDrawer says how a rail that is a drawer opens, besides by gates, and how far.
type RailDrawer struct {
	Size  int  `json:"size,omitempty"`  // pixels across the edge; 0: as much as it needs
	Touch bool `json:"touch,omitempty"` // a touch at the edge of the screen opens it
	Pull  bool `json:"pull,omitempty"`  // a tab stands at the edge: pressed or pulled, it opens it
}

// Placement says on which screens a rail stands: every part that is given must hold.
type Placement struct {
	Kinds  map[string]bool   `json:"kinds,omitempty"`  // of screens
	Tables map[string]string `json:"tables,omitempty"` // of the screen's record, each with a condition on it, or ""
	Roles  map[string]bool   `json:"roles,omitempty"`
	Only   map[string]bool   `json:"only,omitempty"`   // screens
	Except map[string]bool   `json:"except,omitempty"` // screens
}

func (r *Rail) called(id string) {
	r.ID = id
	call(r.Elements)
}

func (r *Rail) validate() error {
	if r.Name == "" {
		return fmt.Errorf("a rail needs a name")
	}
	if err := OneOf("edge", r.Edge, "left", "right", "top", "bottom"); err != nil {
		return err
	}
	if d := r.Drawer; d != nil && (d.Size < 0 || d.Size > 1_200) {
		return fmt.Errorf("a drawer is at most 1,200 pixels deep")
	}
	for kind := range r.Placed.Kinds {
		if !slices.Contains(ScreenTypes, kind) {
			return fmt.Errorf("there is no kind of screen “%s”", kind)
		}
	}
	for id, e := range r.Elements {
		if _, fits := e.Spec.(interface{ FitsRails() }); !fits {
			return fmt.Errorf("there is no element of a rail “%s”", e.Kind)
		}
		if err := e.validate(); err != nil {
			return fmt.Errorf("element %s: %w", id, err)
		}
	}
	return nil
}

// On says whether the rail stands on a screen at all, whatever the record and the user are.
func (r *Rail) On(s *Screen) bool {
	p := r.Placed
	if p.Except[s.ID] || p.Only != nil && !p.Only[s.ID] || p.Kinds != nil && !p.Kinds[s.Type] {
		return false
	}
	if p.Tables != nil {
		if _, ok := p.Tables[s.RecordTable()]; !ok || s.RecordTable() == "" {
			return false
		}
	}
	return true
}
