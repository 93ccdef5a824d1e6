package use

import (
	"slices"

	"ambergate/core/ask"
	"ambergate/core/cond"
	"ambergate/core/place"
	"ambergate/core/plan"
	"ambergate/core/project"
)

// What a browser tab keeps in variables. Those of the project come with the tab; those of a screen
// belong to the place. In build, where there is no tab to keep them, all stand in the place.

// Vars gives the variables of a screen their values: what the tab has, else the place, else what
// they begin with. A value that a newer release cannot read any more counts as none.
func Vars(a *plan.App, place place.Place, tab map[string]string) map[string]cond.Value {
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
		out[v.ID] = StartOf(v)
		if !kept || wire == "" {
			continue
		}
		if value, err := cond.Parse(v.TypeOf(), wire); err == nil && IsChoice(v, wire) {
			out[v.ID] = value
		}
	}
	return out
}

// StartOf is what a variable begins with.
func StartOf(v *project.Variable) cond.Value {
	if v.Start == "" {
		return cond.NullValue
	}
	value, err := cond.Parse(v.TypeOf(), v.Start)
	if err != nil {
		return cond.NullValue // refused when it was edited
	}
	return value
}

// IsChoice says whether a value may be kept in a variable, where it has choices.
func IsChoice(v *project.Variable, wire string) bool {
	return len(v.Choices) == 0 || slices.Contains(v.Choices, wire)
}

// askVars gets the records that variables hold, as far as anything here reads of them. One that
// is gone, or not open to the user, counts as none.
func (o *Opening) askVars(round *ask.Round) error {
	for _, v := range o.App.Project.VariablesOn(o.At.Screen) {
		value, set := o.World.Vars[v.ID], o.Plan.VarPaths[v.ID]
		if v.Table == "" || value.IsNull() || set == nil && !o.ghosts {
			continue
		}
		if set == nil { // builders see the title of what nothing here reads
			set = plan.Paths{}
			(&plan.Planner{App: o.App}).NeedTitle(set, v.Table, "")
		}
		t := o.App.Project.Tables[v.Table]
		if t == nil || !o.Rights.On(v.Table).View && v.Table != o.App.Project.Settings.UserTable {
			o.World.Vars[v.ID] = cond.NullValue
			continue
		}
		err := o.askOne(round, ask.Query{Table: t, Key: value.KeyOf()}, set, func(row *ask.Row) error {
			if row == nil {
				o.World.Vars[v.ID] = cond.NullValue
				return nil
			}
			if o.World.varRows == nil {
				o.World.varRows = map[string]*ask.Row{}
			}
			o.World.varRows[v.ID] = row
			return nil
		})
		if err != nil {
			return err
		}
	}
	return nil
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
	for _, v := range o.App.Project.VariablesOn(o.At.Screen) {
		info := VarInfo{ID: v.ID, Label: v.Label, Words: "nothing", Own: v.Screen != ""}
		if value := o.World.Vars[v.ID]; !value.IsNull() {
			info.Words = o.World.Say(value, v.TypeOf())
			if row := o.World.varRows[v.ID]; row != nil {
				info.Words = o.World.Title(row, v.Table, "")
			}
		}
		out = append(out, info)
	}
	return out
}
