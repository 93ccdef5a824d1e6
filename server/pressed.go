package server

import (
	"maps"

	"ambergate/api"
	"ambergate/core/press"
)

// pressOf gives what a request says was pressed.
func pressOf(req api.PressRequest) press.Press {
	return press.Press{
		Element: req.Element, Trigger: value(req.Trigger), Rows: value(req.Rows), Row: value(req.Row), Point: value(req.Point), Values: value(req.Values), Base: value(req.Base), Version: value(req.Version),
		Confirmed: value(req.Confirmed), Unsaved: value(req.Unsaved), Keep: value(req.Keep), Result: value(req.Result), Picked: value(req.Picked),
	}
}

// actsOf gives what the browser is to do itself; nil when nothing.
func actsOf(out press.Outcome) *[]press.Act {
	if len(out.Does) == 0 {
		return nil
	}
	return &out.Does
}

// merged gives one set of values with others put over it.
func merged(vars, set map[string]string) map[string]string {
	out := make(map[string]string, len(vars)+len(set))
	maps.Copy(out, vars)
	maps.Copy(out, set)
	return out
}
