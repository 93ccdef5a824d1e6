package walk

import (
	"slices"
	"strconv"
	"strings"

	"ambergate/core/ask"
	"ambergate/core/english"
	"ambergate/core/plan"
	"ambergate/core/project"
	"ambergate/core/words"
)

// Told is a step of a walk in words.
type Told struct {
	ID    string `json:"id"`
	Does  string `json:"does"`
	Words string `json:"words"`
}

// Tell says the steps of a walk in words, in order, without going it: “presses “Its cabin””, “stands on “Cabin 087””.
func Tell(app *plan.App, w *project.Walk) []Told {
	out := []Told{}
	t := teller{app: app, here: app.Project.StartOf(w.Who.Roles)}
	for _, s := range project.Ordered(w.Steps) {
		out = append(out, Told{ID: s.ID, Does: s.Does, Words: t.say(s)})
		t.follow(s)
	}
	return out
}

// teller says steps in words, as they are taken where one stands.
type teller struct {
	app  *plan.App
	here string // screen; "" where that is not known
}

func (r *runner) say(s *project.WalkStep) string {
	t := teller{app: r.app}
	if r.at < len(r.spots) {
		t.here = r.spot().top().Screen
	}
	return t.say(s)
}

// follow goes on to where a step most likely leads.
func (r *teller) follow(s *project.WalkStep) {
	switch {
	case s.Does == "open" || s.Is == "at":
		r.here = s.Screen
	case s.Does == "press":
		e := r.app.ElementAt(r.whereIs(s.Element), s.Element)
		if e == nil {
			return
		}
		if _, g := e.GateOn(s.Trigger); g != nil && len(g.Cases) > 0 && g.Cases[0].Move.Only() != nil && g.Cases[0].Move.Only().Target != nil {
			r.here = g.Cases[0].Move.Only().Target.ID
		}
	case s.Does == "go":
		r.here = ""
	}
}

func (r *teller) say(s *project.WalkStep) string {
	if s.Screen != "" && s.Does != "open" && s.Is != "at" {
		r.here = s.Screen
	}
	switch s.Does {
	case "open":
		out := "opens " + r.titled(s.Screen) + r.with(s) + " by its address"
		if s.Is == "refused" {
			out = "is refused " + r.titled(s.Screen) + r.with(s) + " by its address"
			if s.Words != "" {
				out += ": " + s.Words
			}
		}
		return out
	case "press":
		screen := r.whereIs(s.Element)
		out := "presses " + r.quote(screen, s.Element)
		if s.Row != nil {
			row := r.named(r.app.RowTable(screen, s.Element), s.Row)
			out = "presses " + row + ", " + r.called(screen, s.Element)
			if s.Trigger == "" || s.Trigger == "row" {
				out = "opens " + row + ", " + r.called(screen, s.Element)
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
		screen := r.whereIs(s.Element)
		return "chooses " + r.named(r.app.RowTable(screen, s.Element), s.Row) + ", " + r.called(screen, s.Element)
	case "look":
		return r.looks(s)
	case "build":
		return r.changes(s)
	case "wait":
		return "waits for " + waitWords(s.Seconds)
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

// looks says how a list is looked at.
func (r *teller) looks(s *project.WalkStep) string {
	var out []string
	if s.Find != "" {
		out = append(out, "looks for “"+s.Find+"”")
	}
	table := ""
	if screen := r.app.Project.Screens[r.here]; screen != nil {
		table = screen.ListTable()
	}
	for _, f := range project.Ordered(s.Filters) {
		words := english.Lower(words.Path(r.app, table, f.Path)) + " " + filterWords(f)
		out = append(out, "narrows the list to "+words)
	}
	if len(s.Sort) > 0 {
		var by []ask.Sort
		for _, o := range project.Ordered(s.Sort) {
			by = append(by, ask.Sort{Path: o.Path, Desc: o.Desc})
		}
		out = append(out, "orders it by "+english.Lower(words.Order(r.app, table, by)))
	}
	if len(s.Tabs) > 0 {
		out = append(out, "opens another tab")
	}
	if len(out) == 0 {
		return "looks at the whole list"
	}
	return english.List(out, "and")
}

func filterWords(f *project.ArriveFilter) string {
	compare := words.Compares[f.Compare]
	if compare == "" {
		compare = f.Compare
	}
	compare = strings.TrimSpace(compare)
	if f.Value == "" {
		return compare
	}
	return compare + " “" + f.Value + "”"
}

func waitWords(seconds float64) string {
	if minutes := seconds / 60; minutes >= 2 && minutes == float64(int(minutes)) {
		return strconv.Itoa(int(minutes)) + " minutes"
	}
	return strconv.FormatFloat(seconds, 'f', -1, 64) + " seconds"
}

// claimed says what a step claims.
func (r *teller) claimed(s *project.WalkStep) string {
	if s.Is == "at" {
		out := "stands on " + r.titled(s.Screen) + r.with(s)
		if s.Words != "" {
			out += ", “" + s.Words + "”"
		}
		return out
	}
	if s.Is == "finds" {
		return "the checks find “" + s.Words + "”"
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
func (r *teller) with(s *project.WalkStep) string {
	var out []string
	for _, id := range sorted(s.Inputs) {
		table := ""
		if screen := r.app.Project.Screens[s.Screen]; screen != nil {
			table = tableOf(screen.Inputs[id])
		}
		out = append(out, r.named(table, s.Inputs[id]))
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

func (r *teller) titled(screen string) string {
	if s := r.app.Project.Screens[screen]; s != nil {
		return "“" + s.Title + "”"
	}
	return "a screen that is gone"
}

func (r *teller) quote(screen, element string) string {
	return "“" + r.called(screen, element) + "”"
}

func (r *teller) fieldLabel(field string) string {
	if s := r.app.Project.Screens[r.here]; s != nil {
		if t := r.app.Project.Tables[s.RecordTable()]; t != nil && t.Fields[field] != nil {
			return t.Fields[field].Label
		}
	}
	for _, id := range sorted(r.app.Project.Tables) { // it is not known where one stands
		if f := r.app.Project.Tables[id].Fields[field]; f != nil {
			return f.Label
		}
	}
	return field
}

// called says what an element is called.
func (r *teller) called(screen, id string) string {
	if e := r.app.ElementAt(screen, id); e != nil {
		return words.Element(r.app, r.app.Project.Screens[screen], e)
	}
	return "something that is gone"
}

// whereIs finds the screen that an element stands on: here, else the first that has it.
func (r *teller) whereIs(id string) string {
	if r.app.ElementAt(r.here, id) != nil {
		return r.here
	}
	for _, screen := range sorted(r.app.Project.Screens) {
		if s := r.app.Project.Screens[screen]; s.Elements[id] != nil || s.Ways[id] != nil {
			return screen
		}
	}
	return ""
}

// named says which record of a table.
func (r *teller) named(table string, n *project.Named) string {
	switch {
	case n.Title != "":
		return "“" + n.Title + "”"
	case n.Where == "":
		return "“" + n.Key + "”"
	}
	if e, problem := r.app.RowRule(table, n.Where); problem == nil {
		return "the first of which " + e.Root.Phrase()
	}
	return "the first of which “" + n.Where + "”, which cannot be read"
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

// RolesOf says whom a walk is gone as, besides the name: “Technician and Shift lead”.
func RolesOf(p *project.Project, w *project.Walk) string {
	var names []string
	for _, r := range project.Ordered(p.Roles) {
		if w.Who.Roles[r.ID] {
			names = append(names, r.Name)
		}
	}
	if len(names) == 0 {
		return "with no role that is left"
	}
	return english.List(names, "and")
}
