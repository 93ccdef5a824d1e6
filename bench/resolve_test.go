// Package bench measures. Figures are ratios within one run, since machines differ; nothing is asserted.
package bench

import (
	"context"
	"encoding/json"
	"fmt"
	"os"
	"runtime/debug"
	"testing"
	"time"

	"cel.dev/cel-go/cel"

	"ambergate/core/ask"
	"ambergate/core/cond"
	_ "ambergate/core/kinds"
	"ambergate/core/place"
	"ambergate/core/plan"
	"ambergate/core/project"
	"ambergate/core/use"
)

// collected is how often garbage is collected here, in percent of what lives: as the program does (server/tune.go).
const collected = 400

func TestMain(m *testing.M) {
	if os.Getenv("GOGC") == "" {
		debug.SetGCPercent(collected)
	}
	m.Run()
}

const buttons = 50

// condition gives the nth condition, over names that both the library and the project have.
func condition(n int) string {
	return []string{
		`record.state != "closed" && record.severity == "high"`,
		`record.hours > %d.5 || record.state == "open"`,
		`record.count >= %d && (record.state == "open" || record.state == "assigned")`,
		`record.state in ["open", "assigned"] && record.count < 1%d`,
		`user.is("Technician") && record.hours < 1%d.0`,
	}[n%5]
}

func text(n int) string {
	c := condition(n)
	if n%5 == 0 {
		return c
	}
	return fmt.Sprintf(c, n)
}

func bigScreen(b *testing.B) *plan.App {
	b.Helper()
	elements := map[string]any{}
	for i := range buttons {
		elements[fmt.Sprintf("e_%02d", i)] = map[string]any{"kind": "button", "pos": i, "cell": map[string]int{"row": i + 1, "col": 1, "w": 2}, "words": "Go",
			"gate": map[string]any{"while": text(i), "otherwise": map[string]string{"grey": "not now"}, "cases": map[string]any{"c_1": map[string]any{"pos": 1, "move": map[string]string{"kind": "home"}}}}}
	}
	field := func(pos int, kind string) map[string]any {
		return map[string]any{"pos": pos, "column": "c", "alias": "", "label": "F", "type": kind}
	}
	fields := map[string]map[string]any{"f_id": field(1, "whole"), "f_state": field(2, "text"), "f_sev": field(3, "text"), "f_hours": field(4, "decimal"), "f_count": field(5, "whole")}
	for id, alias := range map[string]string{"f_id": "id", "f_state": "state", "f_sev": "severity", "f_hours": "hours", "f_count": "count"} {
		fields[id]["alias"] = alias
	}
	entities := map[string]any{
		"project": map[string]any{"kind": "project", "title": "T", "slug": "t", "zone": "UTC"},
		"r_t":     map[string]any{"kind": "role", "pos": 1, "name": "Technician", "start": "s_1"},
		"gr_1":    map[string]any{"kind": "grant", "role": "r_t", "table": "t_d", "view": true},
		"t_d":     map[string]any{"kind": "table", "source": "so", "relation": "d", "label": "D", "one": "d", "key": []string{"f_id"}, "title": "{record.f_id}", "fields": fields},
		"s_1": map[string]any{"kind": "screen", "type": "form", "title": "S", "slug": "s", "record": "i_d", "elements": elements,
			"inputs": map[string]any{"i_d": map[string]any{"pos": 1, "alias": "d", "label": "D", "type": "record", "table": "t_d", "required": true}}},
	}
	raw := map[string]json.RawMessage{}
	for id, e := range entities {
		t, err := json.Marshal(e)
		if err != nil {
			b.Fatal(err)
		}
		raw[id] = t
	}
	p, err := project.Decode(raw)
	if err != nil {
		b.Fatal(err)
	}
	app, err := plan.Compile(p)
	if err != nil || len(app.Problems) > 0 {
		b.Fatal(err, app.Problems)
	}
	return app
}

// oneRow is a record in memory.
type oneRow struct{ ask.Records }

func (oneRow) Fetch(_ context.Context, q ask.Query) (ask.Page, error) {
	hours, _ := cond.Parse(cond.Type{Kind: cond.Decimal}, "2.5")
	all := map[string]cond.Value{"f_id": cond.Int(1), "f_state": cond.String("open"), "f_sev": cond.String("high"), "f_hours": hours, "f_count": cond.Int(3)}
	row := &ask.Row{Table: q.Table.ID, Key: "1", Version: "1", Values: map[string]cond.Value{}}
	for _, p := range q.Paths {
		row.Values[p] = all[p]
	}
	return ask.Page{Rows: []*ask.Row{row}}, nil
}

// BenchmarkResolveScreen resolves a screen of 50 conditional buttons, from the fetched record to what is drawn.
func BenchmarkResolveScreen(b *testing.B) {
	app := bigScreen(b)
	user := &ask.User{ID: "u", Name: "U", Roles: map[string]bool{"r_t": true}}
	place := place.Place{Screen: "s_1", Mode: "view", Inputs: map[string]string{"i_d": "1"}}
	o, err := use.Open(context.Background(), app, user, place, use.Sources{Records: oneRow{}, Now: time.Now()})
	if err != nil {
		b.Fatal(err)
	}
	b.ReportAllocs()
	for b.Loop() {
		o.View()
	}
}

// BenchmarkOwnTree only evaluates the same 50 conditions with the project's own tree.
func BenchmarkOwnTree(b *testing.B) {
	app := bigScreen(b)
	var trees []*cond.Node
	for i := range buttons {
		e, problem := app.Compiler.Condition(cond.Scope{"record": "t_d", "user": "user"}, text(i))
		if problem != nil {
			b.Fatal(problem)
		}
		trees = append(trees, e.Root)
	}
	w := world{}
	b.ReportAllocs()
	for b.Loop() {
		for _, t := range trees {
			t.Eval(w)
		}
	}
}

type world struct{}

var hours, _ = cond.Parse(cond.Type{Kind: cond.Decimal}, "2.5")

func (world) Value(p *cond.Path) cond.Value {
	switch p.Key {
	case "f_state":
		return cond.String("open")
	case "f_sev":
		return cond.String("high")
	case "f_hours":
		return hours
	case "f_count":
		return cond.Int(3)
	}
	return cond.NullValue
}
func (world) HasRole(string) bool { return true }
func (world) Now() time.Time      { return time.Time{} }

// BenchmarkLibrary evaluates the same 50 conditions with the library's own programs.
func BenchmarkLibrary(b *testing.B) {
	env, err := cel.NewEnv(cel.Variable("record", cel.MapType(cel.StringType, cel.DynType)), cel.Variable("technician", cel.BoolType), cel.CrossTypeNumericComparisons(true))
	if err != nil {
		b.Fatal(err)
	}
	var programs []cel.Program
	for i := range buttons {
		t := text(i)
		if i%5 == 4 {
			t = fmt.Sprintf(`technician && record.hours < 1%d.0`, i)
		}
		ast, issues := env.Compile(t)
		if issues.Err() != nil {
			b.Fatal(issues.Err())
		}
		p, err := env.Program(ast)
		if err != nil {
			b.Fatal(err)
		}
		programs = append(programs, p)
	}
	input := map[string]any{"technician": true, "record": map[string]any{"state": "open", "severity": "high", "hours": 2.5, "count": int64(3)}}
	b.ReportAllocs()
	for b.Loop() {
		for _, p := range programs {
			if _, _, err := p.Eval(input); err != nil {
				b.Fatal(err)
			}
		}
	}
}
