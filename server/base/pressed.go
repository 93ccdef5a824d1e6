package base

import (
	"maps"

	"ambergate/api"
	"ambergate/core/press"
	"ambergate/server/answer"
)

// PressOf gives what a request says was pressed.
func PressOf(req api.PressRequest) press.Press {
	return press.Press{
		Element: req.Element, Trigger: answer.Value(req.Trigger), Rows: answer.Value(req.Rows), Row: answer.Value(req.Row), Point: answer.Value(req.Point), PointTo: answer.Value(req.PointTo), Also: answer.Value(req.Also), Seen: answer.Value(req.Seen), Option: answer.Value(req.Option), Values: answer.Value(req.Values), Base: answer.Value(req.Base), Version: answer.Value(req.Version),
		Confirmed: answer.Value(req.Confirmed), Unsaved: answer.Value(req.Unsaved), Keep: answer.Value(req.Keep), Result: answer.Value(req.Result), Picked: answer.Value(req.Picked),
	}
}

// ActsOf gives what the browser is to do itself; nil when nothing.
func ActsOf(out press.Outcome) *[]press.Act {
	if len(out.Does) == 0 {
		return nil
	}
	return &out.Does
}

// Merged gives one set of values with others put over it.
func Merged(vars, set map[string]string) map[string]string {
	out := make(map[string]string, len(vars)+len(set))
	maps.Copy(out, vars)
	maps.Copy(out, set)
	return out
}
