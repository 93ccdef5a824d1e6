package store

import (
	"context"
	"encoding/json"
	"fmt"
)

// Kept is what a tab keeps in variables: those of the project, and those of one place's screen.
// Both by id, as the wire writes them.
type Kept struct {
	Tab   map[string]string `json:"tab,omitempty"`
	Place map[string]string `json:"place,omitempty"`
}

// tabVars is a tab's variables with what they were before the press that set them last.
type tabVars struct {
	Vars       map[string]string
	VarsPress  string // that press; "" for none
	VarsBefore Kept
}

func (t *tabVars) read(vars, before json.RawMessage, press *string) error {
	if err := json.Unmarshal(vars, &t.Vars); err != nil {
		return fmt.Errorf("read the variables of the tab: %w", err)
	}
	if press == nil {
		return nil
	}
	t.VarsPress = *press
	if err := json.Unmarshal(before, &t.VarsBefore); err != nil {
		return fmt.Errorf("read the variables of the tab: %w", err)
	}
	return nil
}

// SetVars gives a tab other values of its project's variables, by a press. The same press again
// sets the same, and leaves what was before it.
func (s *Store) SetVars(ctx context.Context, trail, press string, vars map[string]string, before Kept) error {
	err := s.writeTrail(ctx, trail, `update trail set vars = $2, vars_before = case when vars_press = $3 then vars_before else $4::jsonb end, vars_press = $3 where id = $1`, mustJSON(vars), press, mustJSON(before))
	if err != nil {
		return fmt.Errorf("set the variables of the tab: %w", err)
	}
	return nil
}
