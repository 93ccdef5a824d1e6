package server_test

import (
	"context"
	"encoding/json"
	"sync"
	"testing"
	"time"

	"ambergate/core/ask"
	"ambergate/core/cond"
	"ambergate/core/patch"
	"ambergate/core/plan"
	"ambergate/core/project"
	"ambergate/demo"
	"ambergate/store"
)

// The ropeway once more as a project of its own, with rules on almost everything. What it forbids
// is worked out here without the server and without SQL: by the tree, on the records as they are.

const ruledSlug = "ruled"

const ruledRules = `[
 {"op":"replace","path":"/project/slug","value":"ruled"},
 {"op":"add","path":"/gr_tech_cabins/rows","value":"record.f_state == \"in service\" || record.f_lift.f_code == \"UT\""},
 {"op":"replace","path":"/gr_tech_defects/changes","value":"record.f_assigned == null || record.f_assigned == user.record"},
 {"op":"add","path":"/gr_tech_defects/rows","value":"record.f_severity != \"low\" && record.f_reported <= today()"},
 {"op":"add","path":"/gr_tech_staff/rows","value":"record.f_trade == \"technician\" || record == user.record"},
 {"op":"add","path":"/gr_tech_inspections/rows","value":"!(record.f_result in [\"passed\"])"},
 {"op":"add","path":"/gr_lead_inspections/rows","value":"record.f_inspector.f_trade == \"technician\""},
 {"op":"add","path":"/gr_lead_components/rows","value":"record.f_area != \"station\""},
 {"op":"add","path":"/gr_office_defects/rows","value":"record.f_state == \"open\" || record.f_cabin.f_lift.f_code == \"LT\""},
 {"op":"add","path":"/gr_office_defects/hidden","value":{"f_hours":true,"f_assigned":true}},
 {"op":"add","path":"/gr_oper_lifts/rows","value":"record.f_code == \"UT\""},
 {"op":"add","path":"/gr_builder_components/rows","value":"record.f_area == \"cabin\" && record.f_id != 2"},
 {"op":"add","path":"/gr_vis_lifts","value":{"kind":"grant","role":"r_visitor","table":"t_lifts","view":true,"rows":"record.f_opened > date(\"1990-01-01\")","hidden":{"f_capacity":true}}},
 {"op":"add","path":"/s_bycomp/roles","value":{"r_lead":true,"r_tech":true,"r_office":true}},
 {"op":"add","path":"/s_day/guard","value":"user.is(\"Shift lead\") || user.login == \"two\""}
]`

// somebody is a person of the ruled project.
type somebody struct {
	login string
	roles map[string]bool
}

type ruledProject struct {
	app    *plan.App
	rows   map[string][]*ask.Row // every record of every table, with all that rules read
	byKey  map[string]map[string]*ask.Row
	rules  sync.Map // by table and text: *cond.Node
	people []somebody
}

var ruled = sync.OnceValues(func() (*ruledProject, error) {
	ctx := context.Background()
	entities, err := demo.Project()
	if err != nil {
		return nil, err
	}
	text, err := json.Marshal(entities)
	if err != nil {
		return nil, err
	}
	var bodies patch.Bodies
	if err := json.Unmarshal(text, &bodies); err != nil {
		return nil, err
	}
	return makeRuled(ctx, bodies)
})

func makeRuled(ctx context.Context, bodies patch.Bodies) (*ruledProject, error) {
	var ops []patch.Op
	if err := json.Unmarshal([]byte(ruledRules), &ops); err != nil {
		return nil, err
	}
	touched, _, err := patch.Apply(bodies, ops)
	if err != nil {
		return nil, err
	}
	for id, body := range touched {
		bodies[id] = body
	}
	entities := bodies.Texts()
	p, err := project.Decode(entities)
	if err != nil {
		return nil, err
	}
	r := &ruledProject{rows: map[string][]*ask.Row{}, byKey: map[string]map[string]*ask.Row{}}
	if r.app, err = plan.Compile(p); err != nil {
		return nil, err
	}
	const id = "p_ruled"
	if err := up.Store.CreateProject(ctx, id, entities); err != nil {
		return nil, err
	}
	if err := up.Store.CreateAccount(ctx, store.Account{ID: "a_roleless", Login: "try-nothing", Name: "Roleless"}, "try-nothing"); err != nil {
		return nil, err
	}
	for login, roles := range map[string][]string{"mira": {"r_tech"}, "sela": {"r_lead"}, "priya": {"r_office"}, "jon": {"r_oper"}, "arno": {"r_builder"}, "vis": {"r_visitor"}, "two": {"r_tech", "r_office"}} {
		account := "a_" + login
		if login == "vis" || login == "two" {
			if err := up.Store.CreateAccount(ctx, store.Account{ID: account, Login: login, Name: login}, login); err != nil {
				return nil, err
			}
		}
		set := map[string]bool{}
		for _, role := range roles {
			set[role] = true
		}
		if err := up.Store.SetRoles(ctx, "a_arno", account, id, roles, ""); err != nil {
			return nil, err
		}
		r.people = append(r.people, somebody{login, set})
	}
	if _, err := up.Store.PutIntoUse(ctx, store.NewRelease{Project: id, By: "a_arno"}); err != nil {
		return nil, err
	}
	return r, r.read(ctx)
}

// read fetches every record with its own fields and those two relations away.
func (r *ruledProject) read(ctx context.Context) error {
	p := r.app.Project
	for id, t := range p.Tables {
		var paths []string
		for _, f := range t.Fields {
			paths = append(paths, f.ID)
			if parent := p.Tables[f.References]; parent != nil {
				for _, g := range parent.Fields {
					paths = append(paths, f.ID+"."+g.ID)
					if grand := p.Tables[g.References]; grand != nil {
						for _, h := range grand.Fields {
							paths = append(paths, f.ID+"."+g.ID+"."+h.ID)
						}
					}
				}
			}
		}
		page, err := up.Records.Reader(p).Fetch(ctx, ask.Query{Table: t, Paths: paths, Rights: ask.EveryRow})
		if err != nil {
			return err
		}
		r.rows[id], r.byKey[id] = page.Rows, map[string]*ask.Row{}
		for _, row := range page.Rows {
			r.byKey[id][row.Key] = row
		}
	}
	return nil
}

func ruledStand(t testing.TB) *ruledProject {
	t.Helper()
	server(t)
	r, err := ruled()
	if err != nil {
		t.Fatal(err)
	}
	if len(r.app.Problems) > 0 {
		t.Fatalf("%+v", r.app.Problems)
	}
	return r
}

// asked is one record and one user, for the tree.
type asked struct {
	row, own *ask.Row
	who      somebody
}

func (a asked) Value(p *cond.Path) cond.Value {
	switch {
	case p.Root == "user" && p.Key == "login":
		return cond.String(a.who.login)
	case p.Root == "user" && a.own == nil:
		return cond.NullValue
	case p.Root == "user" && p.Key == "record":
		return cond.Key(a.own.Key)
	case p.Key == "":
		return cond.Key(a.row.Key)
	}
	if v, ok := a.row.Values[p.Key]; ok {
		return v
	}
	return cond.UnknownBecause("not read: " + p.Key)
}

func (a asked) HasRole(r string) bool { return a.who.roles[r] }

func (a asked) Now() time.Time { return time.Now().UTC() }

// allows says whether the project lets somebody do a verb with a record.
func (r *ruledProject) allows(t testing.TB, who somebody, table, verb string, row *ask.Row) bool {
	t.Helper()
	var own *ask.Row
	for _, s := range r.rows["t_staff"] {
		if s.Values["f_login"].Wire() == who.login {
			own = s
		}
	}
	for _, g := range r.app.Project.GrantsOf(who.roles, table) {
		if !g.May(verb) {
			continue
		}
		rules := []string{g.Rows}
		if verb != "view" {
			rules = append(rules, g.Changes)
		}
		all := true
		for _, text := range rules {
			if text == "" {
				continue
			}
			v := r.rule(t, table, text).Eval(asked{row, own, who})
			if !v.Known() {
				t.Fatalf("%s: %s", text, v.Why())
			}
			all = all && v.True()
		}
		if all {
			return true
		}
	}
	return false
}

// rule gives a rule on a table’s records as a tree: they are asked of tens of thousands.
func (r *ruledProject) rule(t testing.TB, table, text string) *cond.Node {
	t.Helper()
	if kept, ok := r.rules.Load(table + text); ok {
		return kept.(*cond.Node)
	}
	e, problem := r.app.Compiler.Condition(r.app.Project.RowScope(table), text)
	if problem != nil {
		t.Fatal(problem.Message)
	}
	r.rules.Store(table+text, e.Root)
	return e.Root
}

// seen gives the keys of the records that somebody may view.
func (r *ruledProject) seen(t testing.TB, who somebody, table string) map[string]bool {
	out := map[string]bool{}
	for _, row := range r.rows[table] {
		if r.allows(t, who, table, "view", row) {
			out[row.Key] = true
		}
	}
	return out
}

// sample gives some records that somebody may view and some that they may not, and keys of none.
func (r *ruledProject) sample(seen map[string]bool, table string) []string {
	var yes, no []string
	for _, row := range r.rows[table] {
		if seen[row.Key] && len(yes) < 4 {
			yes = append(yes, row.Key)
		}
		if !seen[row.Key] && len(no) < 4 {
			no = append(no, row.Key)
		}
	}
	return append(append(yes, no...), "999999", "x", "1~2")
}

func (r *ruledProject) row(table, key string) *ask.Row { return r.byKey[table][key] }
