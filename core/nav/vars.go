package nav

import (
	"context"
	"slices"

	"ambergate/core/cond"
	"ambergate/core/project"
)

// What a browser tab keeps in variables. Those of the project come with the tab; those of a screen
// belong to the place. In build, where there is no tab to keep them, all stand in the place.

// vars gives the variables of a screen their values: what the tab has, else the place, else what
// they begin with. A value that a newer release cannot read any more counts as none.
func (a *App) vars(place Place, tab map[string]string) map[string]cond.Value {
	list := a.Project.VariablesOn(place.Screen)
	if len(list) == 0 {
		return nil
	}
	out := make(map[string]cond.Value, len(list))
	for _, v := range list {
		wire, kept := tab[v.ID]
		if !kept || v.Screen != "" {
			wire, kept = place.Vars[v.ID]
		}
		out[v.ID] = startOf(v)
		if !kept || wire == "" {
			continue
		}
		if value, err := cond.Parse(v.TypeOf(), wire); err == nil && isChoice(v, wire) {
			out[v.ID] = value
		}
	}
	return out
}

// startOf is what a variable begins with.
func startOf(v *project.Variable) cond.Value {
	if v.Start == "" {
		return cond.NullValue
	}
	value, err := cond.Parse(v.TypeOf(), v.Start)
	if err != nil {
		return cond.NullValue // refused when it was edited
	}
	return value
}

func isChoice(v *project.Variable, wire string) bool {
	return len(v.Choices) == 0 || slices.Contains(v.Choices, wire)
}

// fetchVars gets the records that variables hold, as far as anything here reads of them. One that
// is gone, or not open to the user, counts as none.
func (o *Opening) fetchVars(ctx context.Context, src Sources) error {
	for _, v := range o.app.Project.VariablesOn(o.place.Screen) {
		value, set := o.world.vars[v.ID], o.plan.vars[v.ID]
		if v.Table == "" || value.IsNull() || set == nil && !o.ghosts {
			continue
		}
		if set == nil { // builders see the title of what nothing here reads
			set = pathSet{}
			(&planner{app: o.app}).needTitle(set, v.Table, "")
		}
		row, err := o.varRow(ctx, src, v, value, set)
		if err != nil {
			return err
		}
		if row == nil {
			o.world.vars[v.ID] = cond.NullValue
			continue
		}
		if o.world.varRows == nil {
			o.world.varRows = map[string]*Row{}
		}
		o.world.varRows[v.ID] = row
	}
	return nil
}

func (o *Opening) varRow(ctx context.Context, src Sources, v *project.Variable, value cond.Value, set pathSet) (*Row, error) {
	t := o.app.Project.Tables[v.Table]
	if t == nil || !o.rights.On(v.Table).View && v.Table != o.app.Project.Settings.UserTable {
		return nil, nil
	}
	return o.one(ctx, src, Query{Table: t, Key: value.KeyOf()}, set)
}

// VarInfo is a variable with its value, in words.
type VarInfo struct {
	ID    string `json:"id"`
	Label string `json:"label"`
	Words string `json:"words"`
	Own   bool   `json:"own,omitempty"` // of this screen alone
}

// varInfos tells builders what the variables are.
func (o *Opening) varInfos() []VarInfo {
	if !o.ghosts {
		return nil
	}
	var out []VarInfo
	for _, v := range o.app.Project.VariablesOn(o.place.Screen) {
		info := VarInfo{ID: v.ID, Label: v.Label, Words: "nothing", Own: v.Screen != ""}
		if value := o.world.vars[v.ID]; !value.IsNull() {
			info.Words = o.world.say(value, v.TypeOf())
			if row := o.world.varRows[v.ID]; row != nil {
				info.Words = o.world.title(row, v.Table, "")
			}
		}
		out = append(out, info)
	}
	return out
}

// Keeping splits what a press set: what the tab keeps, and what the place does.
func (a *App) Keeping(set map[string]string) (tab, place map[string]string) {
	tab, place = map[string]string{}, map[string]string{}
	for id, wire := range set {
		if v := a.Project.Variables[id]; v != nil && v.Screen != "" {
			place[id] = wire
		} else {
			tab[id] = wire
		}
	}
	return tab, place
}

// WithVars gives a place with other values of its screen's own variables.
func (p Place) WithVars(set map[string]string) Place {
	if len(set) == 0 {
		return p
	}
	vars := make(map[string]string, len(p.Vars)+len(set))
	for id, wire := range p.Vars {
		vars[id] = wire
	}
	for id, wire := range set {
		vars[id] = wire
	}
	p.Vars = vars
	return p
}

// keepVars leaves this screen's own variables as they are, and as the press set them, where a press
// leads to the same screen looked at otherwise.
func (o *Opening) keepVars(out *Outcome) {
	if out.To == nil || out.To.Screen != o.place.Screen {
		return
	}
	_, own := o.app.Keeping(out.Vars)
	to := *out.To
	to.Vars = o.place.Vars
	to = to.WithVars(own)
	out.To = &to
}
