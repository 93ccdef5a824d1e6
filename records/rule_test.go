package records_test

import (
	"context"
	"encoding/json"
	"fmt"
	"math/rand/v2"
	"slices"
	"strings"
	"sync"
	"testing"
	"time"

	"ambergate/core/ask"
	"ambergate/core/cond"
	"ambergate/core/plan"
	"ambergate/core/project"
)

// A condition that the database decides must be decided as the tree decides it, for every record:
// tried on made-up conditions over a table of made-up records with much that is empty.

const sampleProject = `{
 "project": {"kind":"project","title":"S","slug":"s","zone":"UTC","userTable":"t_p","userField":"f_name"},
 "so": null,
 "r_a": {"kind":"role","pos":1,"name":"A","start":""}, "r_b": {"kind":"role","pos":2,"name":"B","start":""},
 "so_d": {"kind":"source","name":"S","type":"postgresql","connection":"tarnhorn","schema":"sample"},
 "t_p": {"kind":"table","source":"so_d","relation":"parents","label":"Parents","one":"parent","key":["f_id"],"title":"{record.f_name}","fields":{
   "f_id":{"pos":1,"column":"id","alias":"id","label":"Id","type":"whole"},"f_name":{"pos":2,"column":"name","alias":"name","label":"Name","type":"text","nullable":true},
   "f_n":{"pos":3,"column":"n","alias":"n","label":"N","type":"whole","nullable":true},"f_up":{"pos":4,"column":"up_id","alias":"up","label":"Up","type":"record","references":"t_p","nullable":true}},
   "tallies":{"n_all":{"pos":1,"alias":"children","label":"Children","take":"count","of":"t_s","by":"f_parent"},
     "n_big":{"pos":2,"alias":"big","label":"Big","take":"count","of":"t_s","by":"f_parent","while":"record.f_n > 2"},
     "n_any":{"pos":3,"alias":"some","label":"Some","take":"exists","of":"t_s","by":"f_parent","while":"record.f_done"},
     "n_max":{"pos":4,"alias":"most","label":"Most","take":"max","of":"t_s","by":"f_parent","path":"f_amount"}}},
 "t_s": {"kind":"table","source":"so_d","relation":"samples","label":"Samples","one":"sample","key":["f_id"],"title":"{record.f_id}","fields":{
   "f_id":{"pos":1,"column":"id","alias":"id","label":"Id","type":"whole"},
   "f_state":{"pos":2,"column":"state","alias":"state","label":"State","type":"text","choices":["open","waiting","closed"],"nullable":true},
   "f_n":{"pos":3,"column":"n","alias":"n","label":"N","type":"whole","nullable":true},
   "f_amount":{"pos":4,"column":"amount","alias":"amount","label":"Amount","type":"decimal","nullable":true},
   "f_ratio":{"pos":5,"column":"ratio","alias":"ratio","label":"Ratio","type":"number","nullable":true},
   "f_note":{"pos":6,"column":"note","alias":"note","label":"Note","type":"text","nullable":true},
   "f_word":{"pos":7,"column":"word","alias":"word","label":"Word","type":"text"},
   "f_done":{"pos":8,"column":"done","alias":"done","label":"Done","type":"yesno","nullable":true},
   "f_due":{"pos":9,"column":"due","alias":"due","label":"Due","type":"date","nullable":true},
   "f_at":{"pos":10,"column":"at","alias":"at","label":"At","type":"moment","nullable":true},
   "f_parent":{"pos":11,"column":"parent_id","alias":"parent","label":"Parent","type":"record","references":"t_p","nullable":true}}}
}`

var samplePaths = []string{"f_state", "f_n", "f_amount", "f_ratio", "f_note", "f_word", "f_done", "f_due", "f_at", "f_parent", "f_parent.f_name", "f_parent.f_n", "f_parent.f_up", "f_parent.f_up.f_name"}

type sampleStand struct {
	app  *plan.App
	rows []*ask.Row
}

var sample = sync.OnceValues(func() (*sampleStand, error) {
	r := rand.New(rand.NewPCG(3, 3))
	or := func(share float64, text string) string {
		if r.Float64() < share {
			return "null"
		}
		return text
	}
	pick := func(of ...string) string { return "'" + of[r.IntN(len(of))] + "'" }
	var sql strings.Builder
	sql.WriteString(`drop schema if exists sample cascade; create schema sample; grant usage on schema sample to tarnhorn_app;
		create table sample.parents (id integer primary key, name text, n integer, up_id integer references sample.parents);
		create table sample.samples (id integer primary key, state text, n integer, amount numeric(8,2), ratio float8, note text, word text not null, done boolean, due date, at timestamptz, parent_id integer references sample.parents);
		grant select on all tables in schema sample to tarnhorn_app;`)
	for id := 1; id <= 12; id++ {
		up := "null"
		if id > 3 {
			up = or(0.3, fmt.Sprint(1+r.IntN(3)))
		}
		fmt.Fprintf(&sql, "insert into sample.parents values (%d, %s, %s, %s);", id, or(0.2, pick("a", "b", "B", "ä")), or(0.3, fmt.Sprint(r.IntN(4))), up)
	}
	for id := 1; id <= 250; id++ {
		fmt.Fprintf(&sql, "insert into sample.samples values (%d, %s, %s, %s, %s, %s, %s, %s, %s, %s, %s);", id,
			or(0.2, pick("open", "waiting", "closed")), or(0.2, fmt.Sprint(r.IntN(6)-1)), or(0.2, fmt.Sprintf("%d.%d", r.IntN(4), r.IntN(3)*25)), or(0.2, fmt.Sprintf("0.%d", r.IntN(5))),
			or(0.3, pick("a", "b", "A", "Ä", "a b", "")), pick("a", "b", "B", "z"), or(0.3, pick("true", "false")), or(0.2, pick("2026-11-23", "2026-11-24", "2026-11-10")), or(0.3, pick("2026-11-24T00:00:00Z", "2026-11-24T10:00:00Z")), or(0.3, fmt.Sprint(1+r.IntN(12))))
	}
	if err := up.Exec(sql.String()); err != nil {
		return nil, err
	}
	var raw map[string]json.RawMessage
	if err := json.Unmarshal([]byte(sampleProject), &raw); err != nil {
		return nil, err
	}
	delete(raw, "so")
	p, err := project.Decode(raw)
	if err != nil {
		return nil, err
	}
	app, err := plan.Compile(p)
	if err != nil {
		return nil, err
	}
	if len(app.Problems) > 0 {
		return nil, fmt.Errorf("%+v", app.Problems)
	}
	page, err := up.Records.Reader(p).Fetch(context.Background(), ask.Query{Table: p.Tables["t_s"], Paths: samplePaths, Rights: ask.EveryRow})
	return &sampleStand{app, page.Rows}, err
})

func sampled(t testing.TB) *sampleStand {
	t.Helper()
	s, err := sample()
	if err != nil {
		t.Fatal(err)
	}
	return s
}

// sampleWorld is one record and one user.
type sampleWorld struct {
	row   *ask.Row
	user  map[string]cond.Value
	roles map[string]bool
}

func (w sampleWorld) Value(p *cond.Path) cond.Value {
	if p.Root == "user" {
		if v, ok := w.user[p.Key]; ok {
			return v
		}
		return cond.NullValue
	}
	if p.Key == "" {
		return cond.Key(w.row.Key)
	}
	if v, ok := w.row.Values[p.Key]; ok {
		return v
	}
	return cond.UnknownBecause("not fetched: " + p.Key)
}
func (w sampleWorld) HasRole(r string) bool { return w.roles[r] }
func (w sampleWorld) Now() time.Time        { return time.Date(2026, 11, 24, 10, 0, 0, 0, time.UTC) }

// ruleMaker writes conditions that a database can decide; each byte is one decision.
type ruleMaker struct {
	data []byte
	rest *rand.Rand
}

func ruleMakerOf(data []byte) *ruleMaker {
	seed := uint64(len(data))
	for _, b := range data {
		seed = seed*31 + uint64(b)
	}
	return &ruleMaker{data, rand.New(rand.NewPCG(seed, 5))}
}

func (m *ruleMaker) n(k int) int {
	if len(m.data) == 0 {
		return m.rest.IntN(k)
	}
	b := m.data[0]
	m.data = m.data[1:]
	return int(b) % k
}

func (m *ruleMaker) pick(s ...string) string { return s[m.n(len(s))] }

func (m *ruleMaker) rule(depth int) string {
	if depth > 0 {
		switch m.n(6) {
		case 0, 1:
			return "(" + m.rule(depth-1) + " && " + m.rule(depth-1) + ")"
		case 2, 3:
			return "(" + m.rule(depth-1) + " || " + m.rule(depth-1) + ")"
		case 4:
			return "!(" + m.rule(depth-1) + ")"
		}
	}
	order := " " + m.pick("==", "!=", "<", "<=", ">", ">=") + " "
	equal := " " + m.pick("==", "!=") + " "
	switch m.n(17) {
	case 0:
		return "record.state" + order + m.pick(`"open"`, `"waiting"`, `"closed"`)
	case 1:
		return "record.n" + order + m.pick("0", "1", "2", "3", "2.5", "99999999999")
	case 2:
		return "record.amount" + order + m.pick("1.25", "0", "2", "0.5")
	case 3:
		return "record.ratio" + order + m.pick("0.1", "0.3", "0", "1")
	case 4:
		return m.pick("record.state", "record.n", "record.note", "record.done", "record.due", "record.parent", "record.parent.name", "record.parent.up") + equal + "null"
	case 5:
		return "record.note" + order + m.pick(`"a"`, `"A"`, `"b"`, `""`, `"Z"`)
	case 6:
		return "record.word" + order + "record.note"
	case 7:
		return "record.due" + order + m.pick("today()", `date("2026-11-10")`, "daysAgo(14)", "daysFromNow(1)")
	case 8:
		return "record.at" + order + m.pick("today()", "now")
	case 9:
		return "record.n in " + m.pick("[1, 2]", "[0]", "[3, 99]")
	case 10:
		return m.pick("record.word", "record.note", "record.parent.name") + ` in ` + m.pick(`["a", "B"]`, `["ä"]`, `["b"]`)
	case 11:
		return "record.parent" + equal + m.pick("user.record", `key("3")`, "record.parent.up", "user.record.up")
	case 12:
		return "record.parent.n" + order + m.pick("record.n", "2", "user.record.n")
	case 13:
		return "record.parent.up.name" + order + m.pick(`"a"`, "user.record.name", "record.word")
	case 14:
		return `user.is("` + m.pick("A", "B") + `")`
	case 15:
		return m.pick("record.state", "record.n", "record.done") + " == null"
	}
	return "record.done"
}

func (m *ruleMaker) user() (map[string]cond.Value, map[string]bool) {
	user := map[string]cond.Value{"record": cond.NullValue}
	if m.n(3) > 0 {
		user = map[string]cond.Value{"record": cond.Key(m.pick("1", "3", "7")), "record.f_n": cond.Int(int64(m.n(4))), "record.f_up": cond.Key("2"), "record.f_name": cond.String(m.pick("a", "b"))}
		if m.n(4) == 0 {
			user["record.f_n"], user["record.f_up"] = cond.NullValue, cond.NullValue
		}
	}
	return user, map[string]bool{"r_a": m.n(2) == 0, "r_b": m.n(2) == 0}
}

func databaseIsTheTree(t testing.TB, s *sampleStand, m *ruleMaker) {
	text := m.rule(m.n(4))
	e, problem := s.app.RowRule("t_s", text)
	if problem != nil {
		t.Fatalf("%s: %s", text, problem.Message)
	}
	user, roles := m.user()
	pred := e.Root.Bind(sampleWorld{user: user, roles: roles})
	var want, inCore []string
	for _, row := range s.rows {
		w := sampleWorld{row, user, roles}
		v := e.Root.Eval(w)
		if !v.Known() {
			t.Fatalf("%s on %s: %s", text, row.Key, v.Why())
		}
		if v.True() {
			want = append(want, row.Key)
		}
		if pred.Holds(w.Value) {
			inCore = append(inCore, row.Key)
		}
	}
	page := fetch(t, up.Records.Reader(s.app.Project), ask.Query{Table: s.app.Project.Tables["t_s"], Rights: ask.EveryRow, Also: pred})
	var got []string
	for _, row := range page.Rows {
		got = append(got, row.Key)
	}
	for _, list := range [][]string{want, inCore, got} {
		slices.Sort(list)
	}
	if !slices.Equal(want, inCore) {
		t.Fatalf("%s for %v: the tree lets through %d, the bound form %d", text, user, len(want), len(inCore))
	}
	if !slices.Equal(want, got) {
		t.Fatalf("%s for %v: the tree lets through %v, the database %v", text, user, differ(want, got), differ(got, want))
	}
}

func differ(a, b []string) []string {
	var out []string
	for _, x := range a {
		if !slices.Contains(b, x) {
			out = append(out, x)
		}
	}
	return out
}

func TestTheDatabaseDecidesAsTheTree(t *testing.T) {
	s := sampled(t)
	for seed := range 600 {
		databaseIsTheTree(t, s, ruleMakerOf([]byte{byte(seed), byte(seed >> 8), 7}))
	}
}

func FuzzTheDatabaseIsTheTree(f *testing.F) {
	f.Add([]byte("sql"))
	f.Fuzz(func(t *testing.T, data []byte) { databaseIsTheTree(t, sampled(t), ruleMakerOf(data)) })
}
