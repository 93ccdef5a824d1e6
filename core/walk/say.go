package walk

import (
	"slices"
	"strconv"

	"ambergate/core/english"
	"ambergate/core/project"
)

// say says a step in words: “presses “Its cabin””, “stands on “Cabin”, “Cabin 087””.
func (r *runner) say(s *project.WalkStep) string {
	switch s.Does {
	case "open":
		return "opens " + r.titled(s.Screen) + r.with(s) + " by its address"
	case "press":
		screen := r.whereIs(s.Element)
		out := "presses " + r.quote(screen, s.Element)
		if s.Row != nil {
			out = "presses “" + namedWords(s.Row) + "” in " + r.quote(screen, s.Element)
			if s.Trigger == "" || s.Trigger == "row" {
				out = "opens “" + namedWords(s.Row) + "” in " + r.quote(screen, s.Element)
			}
		}
		if len(s.Rows) > 0 {
			out += " for " + english.Count(len(s.Rows), "row", "rows")
		}
		if s.Point != "" {
			out += " at " + s.Point
		}
		if s.Option != "" {
			out += ": " + s.Option
		}
		if s.Yes {
			out += ", and says yes"
		}
		if s.Unsaved != "" {
			out += map[string]string{"save": ", and saves first", "drop": ", and drops what was typed"}[s.Unsaved]
		}
		return out
	case "type":
		var out []string
		for _, field := range sorted(s.Values) {
			out = append(out, "“"+s.Values[field]+"” into “"+r.fieldLabel(field)+"”")
		}
		return "types " + english.List(out, "and")
	case "choose":
		return "chooses “" + namedWords(s.Row) + "” in " + r.quote(r.whereIs(s.Element), s.Element)
	case "look":
		if s.Find != "" {
			return "looks for “" + s.Find + "”"
		}
		if len(s.Tabs) > 0 {
			return "opens another tab"
		}
		return "looks at the whole list"
	case "go":
		return map[string]string{"back": "goes back", "forward": "goes forward", "home": "goes home", "up": "goes up", "close": "closes this"}[s.To]
	case "plant":
		var out []string
		for _, node := range sorted(s.Plant) {
			out = append(out, node+" "+plantWords(s.Plant[node]))
		}
		return "meanwhile the plant says " + english.List(out, "and")
	}
	return r.claimed(s)
}

// claimed says what a step claims.
func (r *runner) claimed(s *project.WalkStep) string {
	if s.Is == "at" {
		out := "stands on " + r.titled(s.Screen) + r.with(s)
		if s.Words != "" {
			out += ", “" + s.Words + "”"
		}
		return out
	}
	if s.Is == "left" {
		return "leaves for “" + s.Words + "”"
	}
	what := r.quote(r.whereIs(s.Element), s.Element)
	switch s.Is {
	case "open":
		return what + " is open"
	case "greyed", "hidden":
		if s.Words != "" {
			return what + " is " + s.Is + ": " + s.Words
		}
		return what + " is " + s.Is
	case "rows":
		return what + " has " + english.Count(*s.Count, "row", "rows")
	}
	return what + " shows “" + s.Words + "”"
}

// with says the inputs and the mode of a screen.
func (r *runner) with(s *project.WalkStep) string {
	var out []string
	for _, id := range sorted(s.Inputs) {
		out = append(out, "“"+namedWords(s.Inputs[id])+"”")
	}
	with := ""
	if len(out) > 0 {
		with = " with " + english.List(out, "and")
	}
	if s.Mode != "" && s.Mode != "view" {
		with += " to " + s.Mode
	}
	return with
}

func (r *runner) titled(screen string) string {
	if s := r.app.Project.Screens[screen]; s != nil {
		return "“" + s.Title + "”"
	}
	return "a screen that is gone"
}

func (r *runner) quote(screen, element string) string {
	return "“" + r.called(screen, element) + "”"
}

func (r *runner) fieldLabel(field string) string {
	if len(r.spots) > 0 {
		if s := r.app.Project.Screens[r.spot().top().Screen]; s != nil {
			if t := r.app.Project.Tables[s.RecordTable()]; t != nil && t.Fields[field] != nil {
				return t.Fields[field].Label
			}
		}
	}
	return field
}

func namedWords(n *project.Named) string {
	if n.Title != "" {
		return n.Title
	}
	return n.Key
}

func plantWords(v any) string {
	switch v := v.(type) {
	case bool:
		if v {
			return "is on"
		}
		return "is off"
	case float64:
		return "is " + strconv.FormatFloat(v, 'f', -1, 64)
	}
	return "is “" + v.(string) + "”"
}

func sorted[V any](m map[string]V) []string {
	out := make([]string, 0, len(m))
	for k := range m {
		out = append(out, k)
	}
	slices.Sort(out)
	return out
}
