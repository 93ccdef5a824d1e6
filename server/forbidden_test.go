package server_test

import (
	"bytes"
	"encoding/csv"
	"encoding/json"
	"fmt"
	"math"
	"net/http"
	"net/url"
	"strings"
	"sync"
	"testing"
	"time"

	"github.com/getkin/kin-openapi/openapi3"

	"ambergate/api"
	"ambergate/core/ask"
	"ambergate/core/cond"
	"ambergate/core/kinds/element"
	"ambergate/core/project"
	"ambergate/core/use"
)

const usedRuled = "/api/use/" + ruledSlug

// For every role and set of roles, screen, mode and sample of records, every field, filter, picker,
// page, press and stream: what the project forbids is refused by the server, whatever is sent, and
// what it allows is not. It prints how many combinations it tried.
func TestWhatTheProjectForbidsIsRefused(t *testing.T) {
	if testing.Short() {
		t.Skip("takes long")
	}
	r := ruledStand(t)
	var mu sync.Mutex
	tried := map[string]int{}
	t.Run("people", func(t *testing.T) {
		for _, who := range r.people {
			t.Run(who.login, func(t *testing.T) {
				t.Parallel() // each waits for the database most of the time
				h := holder{t: t, r: r, who: who, p: as(t, who.login), seen: map[string]map[string]bool{}, tried: map[string]int{}}
				for table := range r.app.Project.Tables {
					h.seen[table] = r.seen(t, who, table)
				}
				h.screens()
				h.pickers()
				h.hiddenFilters()
				h.otherTrails()
				mu.Lock()
				defer mu.Unlock()
				for what, n := range h.tried {
					tried[what] += n
				}
			})
		}
	})
	total := 0
	for what, n := range tried {
		t.Logf("%6d %s", n, what)
		total += n
	}
	t.Logf("%6d combinations in all", total)
	if total < 4_000 || tried["screens refused"] < 200 || tried["parents hidden"] < 50 {
		t.Errorf("too few were tried")
	}
}

// holder holds the server to what one person may see and do.
type holder struct {
	t     *testing.T
	r     *ruledProject
	who   somebody
	p     *person
	seen  map[string]map[string]bool // by table and key
	tried map[string]int
}

func (h *holder) may(table, verb string) bool {
	g := h.r.app.Project.GrantOf(h.who.roles, table)
	return g.May(verb)
}

// entry says whether somebody may be on a screen at all, as far as its roles and this project's guards go.
func (h *holder) entry(s *project.Screen) bool {
	if s.Roles != nil && !meets(s.Roles, h.who.roles) {
		return false
	}
	return s.Guard == "" || h.who.roles["r_lead"] || h.who.login == "two"
}

func (h *holder) screens() {
	for _, s := range h.r.app.Project.Screens {
		table := s.RecordTable()
		keys := []string{""}
		if table != "" {
			keys = h.r.sample(h.seen[table], table)
		}
		for _, mode := range []string{"view", "edit", "add"} {
			for _, key := range keys {
				if mode == "add" {
					key = ""
				}
				h.screen(s, table, mode, key)
				if mode == "add" {
					break
				}
			}
		}
	}
}

func (h *holder) screen(s *project.Screen, table, mode, key string) {
	q := url.Values{}
	if mode != "view" {
		q.Set("~mode", mode)
	}
	if in := s.Inputs[s.Record]; in != nil && mode != "add" {
		q.Set(in.Alias, key)
	}
	address := "/" + s.Slug + "?" + q.Encode()
	allowed := h.entry(s) && (table != "" || mode == "view") && (mode == "view" || s.Type == "form")
	if table != "" {
		allowed = allowed && h.may(table, mode) && (mode == "add" || h.seen[table][key])
		if mode == "edit" && allowed {
			allowed = h.r.allows(h.t, h.who, table, "edit", h.r.row(table, key))
		}
	}
	status, answer := h.p.call("POST", usedRuled+"/open", map[string]string{"address": address})
	h.tried["screens"]++
	if allowed != (status < 300) {
		h.t.Errorf("%s, %s: %d, allowed: %v %s", h.who.login, address, status, allowed, answer[:min(len(answer), 200)])
	}
	if status >= 300 {
		h.tried["screens refused"]++
		return
	}
	var shown api.Shown
	if err := json.Unmarshal(answer, &shown); err != nil {
		h.t.Fatal(err)
	}
	h.view(shown, key)
	h.presses(shown)
}

// view looks through all that an answer shows.
func (h *holder) view(shown api.Shown, key string) {
	p := h.r.app.Project
	record := p.Screens[shown.View.Screen].RecordTable()
	h.steps(shown, record)
	for _, e := range shown.View.Elements {
		if e.State == "hidden" {
			h.t.Errorf("%s is sent the hidden %s", h.who.login, e.ID)
		}
		switch drawn := e.View.(type) {
		case *element.FieldView:
			h.field(record, key, drawn)
		case *element.ListView:
			h.list(shown, e.ID, drawn)
		case *element.ChartView:
			if drawn.Refused == "" {
				h.chart(p.Screens[shown.View.Screen].Elements[e.ID].Spec.(*element.Chart), drawn)
			}
		}
	}
}

func (h *holder) field(table, key string, f *element.FieldView) {
	h.tried["fields"]++
	g := h.r.app.Project.GrantOf(h.who.roles, table)
	if g.Hidden[f.Path] {
		h.t.Errorf("%s sees the hidden field %s", h.who.login, f.Path)
	}
	if row := h.r.row(table, key); row != nil && f.State != "" {
		h.parent(table, f.Path, row, f.Words, f.Value)
	}
}

// parent holds a shown relation to whether the parent may be seen.
func (h *holder) parent(table, path string, row *ask.Row, words, value string) {
	at, prefix := table, ""
	for _, part := range strings.Split(path, ".") {
		f, _ := h.r.app.Project.FieldAt(at, part)
		prefix = strings.TrimPrefix(prefix+"."+part, ".")
		if f == nil || f.References == "" {
			return
		}
		key := row.Values[prefix]
		if key.IsNull() {
			return
		}
		at = f.References
		if !h.seen[at][key.KeyOf()] {
			h.tried["parents hidden"]++
			if words != "not visible to you" || value != "" {
				h.t.Errorf("%s is shown %q (%q) for %s of %s %s", h.who.login, words, value, path, table, row.Key)
			}
			return
		}
	}
}

func (h *holder) list(shown api.Shown, id string, l *element.ListView) {
	if !h.may(l.Table, "view") {
		if len(l.Rows) > 0 || l.Refused == "" {
			h.t.Errorf("%s is sent rows of %s", h.who.login, l.Table)
		}
		return
	}
	hidden := h.r.app.Project.GrantOf(h.who.roles, l.Table).Hidden
	for page := 0; ; page++ {
		for _, row := range l.Rows {
			h.tried["rows"]++
			if !h.seen[l.Table][row.Key] {
				h.t.Errorf("%s is sent %s %s", h.who.login, l.Table, row.Key)
			}
			for i, c := range l.Columns {
				if hidden[strings.Split(c.Path, ".")[0]] {
					h.t.Errorf("%s is sent the hidden column %s", h.who.login, c.Path)
				}
				if raw := h.r.row(l.Table, row.Key); raw != nil {
					h.parent(l.Table, c.Path, raw, row.Cells[i].Words, row.Cells[i].Value)
				}
			}
		}
		if l.Next == "" || page == 3 {
			break
		}
		body := map[string]any{"trail": shown.Trail, "n": shown.N, "element": id, "cursor": l.Next}
		next := &element.ListView{}
		h.p.must("POST", usedRuled+"/rows", body, next)
		l = next
	}
	h.whole(shown, id, l)
	if l.Main && len(shown.View.Place.Filters) == 0 && len(shown.View.Context) == 0 && !l.More && l.Count > 0 && l.Count != len(h.seen[l.Table]) {
		h.t.Errorf("%s is told of %d %s, and may see %d", h.who.login, l.Count, l.Table, len(h.seen[l.Table]))
	}
}

// whole holds the list as a file to what may be seen: all of it, and no more.
func (h *holder) whole(shown api.Shown, element string, l *element.ListView) {
	if !l.Main || len(shown.View.Place.Filters) > 0 || len(shown.View.Context) > 0 {
		return
	}
	status, file := h.p.call("GET", fmt.Sprintf(usedRuled+"/csv?trail=%s&n=%d&element=%s", shown.Trail, shown.N, element), nil)
	lines, err := csv.NewReader(bytes.NewReader(file)).ReadAll()
	h.tried["files"]++
	if status != 200 || err != nil || len(lines) != len(h.seen[l.Table])+1 {
		h.t.Errorf("%s gets a file of %d lines (%d, %v), and may see %d %s", h.who.login, len(lines), status, err, len(h.seen[l.Table]), l.Table)
		return
	}
	for i, c := range l.Columns {
		for _, key := range h.r.sample(h.seen[l.Table], l.Table) {
			f, _ := h.r.app.Project.FieldAt(l.Table, c.Path)
			raw := h.r.row(l.Table, key)
			if h.seen[l.Table][key] || raw == nil || f == nil || f.Column != "code" {
				continue
			}
			for _, line := range lines[1:] {
				if line[i] == raw.Values[c.Path].Wire() {
					h.t.Errorf("%s gets the hidden %s %s in a file", h.who.login, l.Table, line[i])
				}
			}
		}
	}
}

// steps holds the neighbours of a record, and what is counted of its list, to what may be seen.
func (h *holder) steps(shown api.Shown, table string) {
	if !shown.View.Tells {
		return
	}
	var p use.Position
	h.p.must("POST", usedRuled+"/position", map[string]any{"trail": shown.Trail, "n": shown.N}, &p)
	h.tried["positions"]++
	if p.Of > len(h.seen[table]) || p.At > p.Of {
		h.t.Errorf("%s is told of place %d of %d %s, and may see %d", h.who.login, p.At, p.Of, table, len(h.seen[table]))
	}
	if len(h.seen[table]) == 1 && (shown.View.Steps.Next != "" || shown.View.Steps.Previous != "") {
		h.t.Errorf("%s is told of neighbours of the only one of %s: %+v", h.who.login, table, shown.View.Steps)
	}
}

func (h *holder) chart(spec *element.Chart, c *element.ChartView) {
	if !h.may(spec.Table, "view") {
		h.t.Errorf("%s is sent a chart of %s", h.who.login, spec.Table)
	}
	f, _ := h.r.app.Project.FieldAt(spec.Table, spec.By)
	want := map[string]float64{}
	add := func(point string, row *ask.Row) {
		n := 1.0
		if spec.Of != "" {
			n, _ = row.Values[spec.Of].Float64()
		}
		if spec.Measure == "most" {
			want[point] = max(want[point], n)
		} else {
			want[point] += n
		}
	}
	for key := range h.seen[spec.Table] {
		row := h.r.row(spec.Table, key)
		value := row.Values[spec.By]
		if spec.Span != "" {
			add(spanBegins(value, spec.Span), row)
		} else if f.References != "" && !value.IsNull() && !h.seen[f.References][value.KeyOf()] {
			add("hidden", row)
		} else {
			add(value.Wire(), row)
		}
	}
	for _, point := range c.Points {
		h.tried["points"]++
		value := point.Value
		if point.Label == "not visible to you" {
			value = "hidden"
		}
		if math.Abs(want[value]-point.N) > 1e-6 {
			h.t.Errorf("%s is told of %v by %q, want %v", h.who.login, point.N, value, want[value])
		}
	}
}

// spanBegins gives the first day of the span of time that a moment lies in, as the wire writes it.
func spanBegins(v cond.Value, span string) string {
	at, _ := v.Time()
	at = at.UTC()
	switch span {
	case "week":
		at = at.AddDate(0, 0, -(int(at.Weekday())+6)%7)
	case "month":
		at = at.AddDate(0, 0, 1-at.Day())
	}
	return at.Format(time.DateOnly)
}

// presses presses every element of a shown place on rows that are seen, hidden and nowhere.
func (h *holder) presses(shown api.Shown) {
	s := h.r.app.Project.Screens[shown.View.Screen]
	for id, e := range s.Elements {
		for trigger, g := range e.Spec.Gates() {
			if g.Writes() {
				continue // those act; they are pressed by tests of their own
			}
			aims := []map[string]any{{}}
			if l := project.ListOf(e); l != nil && trigger == "row" {
				aims = nil
				for _, key := range h.r.sample(h.seen[l.Table], l.Table) {
					aims = append(aims, map[string]any{"row": key})
				}
			}
			for i, aim := range aims {
				press := fmt.Sprintf("ruled-%s-%s-%s-%d-%d", h.who.login, shown.Trail, id, shown.N, i)
				status, answer := h.p.call("POST", usedRuled+"/press", with(aim, map[string]any{"press": press, "trail": shown.Trail, "n": shown.N, "release": shown.Release, "element": id}))
				h.tried["presses"]++
				h.landed(shown, id, aim, status, answer)
			}
		}
	}
}

// landed holds what a press came to against what may be seen.
func (h *holder) landed(from api.Shown, element string, aim map[string]any, status int, answer []byte) {
	if status >= 500 {
		h.t.Errorf("%s presses %s of %s with %v: %d %s", h.who.login, element, from.View.Screen, aim, status, answer)
	}
	var result api.PressResult
	if status >= 300 || json.Unmarshal(answer, &result) != nil || result.Shown == nil {
		return
	}
	if key, ok := aim["row"].(string); ok {
		l := project.ListOf(h.r.app.Project.Screens[from.View.Screen].Elements[element])
		if !h.seen[l.Table][key] {
			h.t.Errorf("%s opens the hidden row %s of %s", h.who.login, key, l.Table)
		}
	}
	if record := result.Shown.View.Record; record != nil && !h.seen[record.Table][record.Key] {
		h.t.Errorf("%s gets to %s %s by %s of %s", h.who.login, record.Table, record.Key, element, from.View.Screen)
	}
}

func with(a, b map[string]any) map[string]any {
	out := map[string]any{}
	for _, m := range []map[string]any{a, b} {
		for k, v := range m {
			out[k] = v
		}
	}
	return out
}

func (h *holder) pickers() {
	for id, table := range h.r.app.Project.Tables {
		for _, find := range []string{"", "0", "D-", "a", "%", "'"} {
			status, answer := h.p.call("GET", usedRuled+"/titles/"+id+"?q="+url.QueryEscape(find), nil)
			h.tried["pickers"]++
			if may := h.may(id, "view"); may != (status == http.StatusOK) {
				h.t.Errorf("%s, titles of %s: %d, may view: %v", h.who.login, table.ID, status, may)
			}
			var titles []api.Title
			if status != http.StatusOK || json.Unmarshal(answer, &titles) != nil {
				continue
			}
			for _, title := range titles {
				h.tried["titles"]++
				if !h.seen[id][title.Key] {
					h.t.Errorf("%s is offered %s %s", h.who.login, id, title.Key)
				}
			}
		}
	}
}

// hiddenFilters tries to learn what is hidden by filtering and sorting lists by it.
func (h *holder) hiddenFilters() {
	for _, s := range h.r.app.Project.Screens {
		if s.Type != "list" || !h.entry(s) {
			continue
		}
		var shown api.Shown
		h.p.must("POST", usedRuled+"/open", map[string]string{"address": "/" + s.Slug}, &shown)
		var main *project.List
		for _, e := range s.Elements {
			if l := project.ListOf(e); l != nil {
				main = l
			}
		}
		if main == nil || !h.may(main.Table, "view") {
			continue
		}
		for id, f := range h.r.app.Project.Tables[main.Table].Fields {
			h.filter(shown, main.Table, id, "notEmpty", "")
			h.filter(shown, main.Table, id, "contains", "a")
			if f.References == "" {
				continue
			}
			for _, key := range h.r.sample(h.seen[f.References], f.References) {
				h.filter(shown, main.Table, id, "is", key)
			}
			for below := range h.r.app.Project.Tables[f.References].Fields {
				h.filter(shown, main.Table, id+"."+below, "notEmpty", "")
			}
		}
	}
}

func (h *holder) filter(shown api.Shown, table, path, compare, value string) {
	h.tried["filters"]++
	body := map[string]any{"trail": shown.Trail, "n": shown.N, "filters": []any{map[string]string{"path": path, "compare": compare, "value": value}}, "sort": []any{map[string]any{"path": path, "desc": false}}}
	status, answer := h.p.call("POST", usedRuled+"/arrange", body)
	hidden := false
	at := table
	for _, part := range strings.Split(path, ".") {
		g := h.r.app.Project.GrantOf(h.who.roles, at)
		hidden = hidden || !g.View || g.Hidden[part]
		if f, _ := h.r.app.Project.FieldAt(at, part); f != nil {
			at = f.References
		}
	}
	if hidden && status < 300 {
		h.t.Errorf("%s may filter %s by the hidden %s", h.who.login, table, path)
	}
	if status >= 500 {
		h.t.Errorf("%s filters %s by %s %s %q: %d %s", h.who.login, table, path, compare, value, status, answer)
	}
	var arranged api.Shown
	if status >= 300 || json.Unmarshal(answer, &arranged) != nil {
		return
	}
	f, _ := h.r.app.Project.FieldAt(table, path)
	for _, e := range arranged.View.Elements {
		if !shows[element.ListView](e) || !e.View.(*element.ListView).Main {
			continue
		}
		for _, row := range e.View.(*element.ListView).Rows {
			if !h.seen[table][row.Key] {
				h.t.Errorf("%s finds the hidden %s %s by %s", h.who.login, table, row.Key, path)
			}
		}
		if compare == "is" && f.References != "" && !h.seen[f.References][value] && len(e.View.(*element.ListView).Rows) > 0 {
			h.t.Errorf("%s finds %d %s by the hidden %s %s", h.who.login, len(e.View.(*element.ListView).Rows), table, path, value)
		}
	}
}

// otherTrails sends the trail of somebody else, and of another project, to every call that takes one.
func (h *holder) otherTrails() {
	foreign := as(h.t, "mira")
	if h.who.login == "mira" {
		foreign = as(h.t, "sela")
	}
	theirs, elsewhere := foreign.open("/cabins"), api.Shown{}
	if status, answer := h.p.call("POST", "/api/use/tarnhorn/open", map[string]string{}); status < 300 {
		if err := json.Unmarshal(answer, &elsewhere); err != nil {
			h.t.Fatal(err)
		}
	}
	for _, shown := range []api.Shown{theirs, elsewhere} {
		if shown.Trail == "" {
			continue
		}
		place := map[string]any{"trail": shown.Trail, "n": shown.N}
		calls := []struct {
			method, path string
			body         map[string]any
		}{
			{"POST", "/press", map[string]any{"press": "another-" + h.who.login, "release": 1, "element": "e_list", "row": "1"}},
			{"POST", "/go", map[string]any{"to": "place"}}, {"POST", "/rows", map[string]any{"element": "e_list", "cursor": ""}},
			{"POST", "/arrange", map[string]any{"filters": []any{}, "sort": []any{}}},
			{"GET", fmt.Sprintf("/trend?trail=%s&n=%d&element=e_trend", shown.Trail, shown.N), nil}, {"GET", fmt.Sprintf("/events?at=%s.%d.0", shown.Trail, shown.N), nil},
		}
		for _, c := range calls {
			var body any
			if c.body != nil {
				body = with(c.body, place)
			}
			h.tried["foreign trails"]++
			if status, answer := h.p.call(c.method, usedRuled+c.path, body); status < 400 {
				h.t.Errorf("%s uses the trail of somebody else: %s %s: %d %s", h.who.login, c.method, c.path, status, answer)
			}
		}
	}
}

// Every call of the API's document: without a session refused but for those that need none; a
// builder's call refused to who is none; a user's call refused to who has no role.
func TestEveryCallOfTheDocumentIsGuarded(t *testing.T) {
	document, err := openapi3.NewLoader().LoadFromData(api.Document)
	if err != nil {
		t.Fatal(err)
	}
	// Those of the first person, of links and of displays are guarded by a secret of their own.
	open := map[string]bool{"/api/status": true, "/healthz": true, "/readyz": true, "/api/sign-in": true, "/api/sign-out": true, "/api/first": true, "/api/link": true, "/api/device": true}
	ruledStand(t)
	nobody, user, roleless := as(t, ""), as(t, "sela"), as(t, "try-nothing")
	tried := 0
	for path, item := range document.Paths.Map() {
		for method, operation := range item.Operations() {
			address := strings.NewReplacer("{project}", "tarnhorn", "{table}", "t_staff", "{person}", "a_mira", "{element}", "e_x", "{field}", "f_name", "{occurrence}", "1", "{seq}", "1", "{number}", "1").Replace(path) + "?at=x.1.0&trail=x&n=1&element=e&as=a_mira&record=1&screen=s_cabin&who=r_tech&from=s_cabin&to=s_defect&was=1"
			body := "{}"
			if operation.RequestBody == nil {
				body = ""
			}
			tried++
			if status, _ := nobody.call(method, address, body); !open[path] && status != http.StatusUnauthorized {
				t.Errorf("%s %s without a session: %d", method, path, status)
			}
			switch {
			case strings.HasPrefix(path, "/api/build/"):
				user.refused(method, address, body, http.StatusForbidden, "no-builder")
			case strings.HasPrefix(path, "/api/use/"):
				roleless.refused(method, address, body, http.StatusForbidden, "no-role")
			}
		}
	}
	t.Logf("%d calls of the document", tried)
	if tried < 25 {
		t.Errorf("only %d calls", tried)
	}
}
