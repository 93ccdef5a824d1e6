package compile_test

import (
	"strings"
	"testing"

	"cel.dev/cel-go/cel"

	"ambergate/core/cond"
	"ambergate/core/cond/compile"
	"ambergate/core/cond/prove"
)

// The properties that conditions must have, whatever is written and whatever is known. Each is
// tried on many made-up conditions, and can be fuzzed: go test -fuzz=FuzzTree ./core/cond

func compiled1(t testing.TB, c *compile.Compiler, text string) *cond.Node {
	t.Helper()
	e, problem := c.Condition(defectScope, text)
	if problem != nil {
		t.Fatalf("%s: %s", text, problem.Message)
	}
	return e.Root
}

// library evaluates by the library alone.
type library struct{ env *cel.Env }

func newLibrary(t testing.TB) library {
	env, err := cel.NewEnv(cel.Variable("record", cel.MapType(cel.StringType, cel.DynType)), cel.Variable("user", cel.ListType(cel.StringType)), cel.CrossTypeNumericComparisons(true))
	if err != nil {
		t.Fatal(err)
	}
	return library{env}
}

func (l library) program(t testing.TB, text string) cel.Program {
	for _, role := range []string{"Technician", "Shift lead"} {
		text = strings.ReplaceAll(text, `user.is("`+role+`")`, `("`+role+`" in user)`)
	}
	ast, issues := l.env.Compile(text)
	if issues.Err() != nil {
		t.Fatalf("%s: %v", text, issues.Err())
	}
	program, err := l.env.Program(ast)
	if err != nil {
		t.Fatal(err)
	}
	return program
}

func decided(t testing.TB, program cel.Program, w world) bool {
	var roles []string
	for id, name := range map[string]string{"r_tech": "Technician", "r_lead": "Shift lead"} {
		if w.roles[id] {
			roles = append(roles, name)
		}
	}
	v := w.values
	out, _, err := program.Eval(map[string]any{"user": roles, "record": map[string]any{
		"state": cond.Native(v["record.f_state"]), "count": cond.Native(v["record.f_count"]), "code": cond.Native(v["record.f_code"]), "hours": cond.Native(v["record.f_hours"]), "done": cond.Native(v["record.f_done"]),
	}})
	if err != nil {
		t.Fatal(err)
	}
	return out.Value() == true
}

// Property 1: on known, not empty values the tree decides as the library does.
func treeIsTheLibrary(t testing.TB, m *maker, c *compile.Compiler, l library) {
	text := m.condition(1 + m.n(3))
	tree, program := compiled1(t, c, text), l.program(t, text)
	for range 3 {
		w := m.known()
		if got, want := tree.Eval(w).True(), decided(t, program, w); got != want {
			t.Fatalf("%s in %v: the tree says %v, the library %v", text, w.values, got, want)
		}
	}
}

func TestTreeIsTheLibraryOnKnownValues(t *testing.T) {
	c, l, m := compiler(t), newLibrary(t), seeded(11)
	for range 1500 {
		treeIsTheLibrary(t, m, c, l)
	}
}

func FuzzTreeIsTheLibrary(f *testing.F) {
	c, l := compiler(f), newLibrary(f)
	f.Add([]byte("tree"))
	f.Fuzz(func(t *testing.T, data []byte) { treeIsTheLibrary(t, makerOf(data), c, l) })
}

// Property 2: if the tree decides with something unknown, every completion decides the same.
func completionsAgree(t testing.TB, m *maker, c *compile.Compiler) bool {
	text := m.condition(1 + m.n(3))
	tree := compiled1(t, c, text)
	part := m.partly(m.known())
	before := tree.Eval(part)
	if !before.Known() {
		return false
	}
	for range 8 {
		full := m.known()
		full.roles = part.roles
		for k, v := range part.values {
			if v.Known() {
				full.values[k] = v
			}
		}
		if after := tree.Eval(full); after.True() != before.True() {
			t.Fatalf("%s: %v with unknowns %v, but %v with %v", text, before.True(), part.values, after.True(), full.values)
		}
	}
	return true
}

func TestADecisionWithUnknownsHoldsForEveryCompletion(t *testing.T) {
	c, m := compiler(t), seeded(12)
	decided := 0
	for range 3000 {
		if completionsAgree(t, m, c) {
			decided++
		}
	}
	if decided < 500 {
		t.Errorf("only %d were decided with unknowns", decided)
	}
}

func FuzzCompletionsAgree(f *testing.F) {
	c := compiler(f)
	f.Add([]byte("unknown"))
	f.Fuzz(func(t *testing.T, data []byte) { completionsAgree(t, makerOf(data), c) })
}

// Property 3: the root of an explanation is what the evaluation gives, some part decides, and the
// smallest change it proposes does turn it.
func explanationAgrees(t testing.TB, m *maker, c *compile.Compiler) {
	text := m.condition(1 + m.n(3))
	tree := compiled1(t, c, text)
	w := m.partly(m.known())
	part := tree.Explain(w)
	if part.State != cond.StateOf(tree.Eval(w)) {
		t.Fatalf("%s: explained as %s, evaluated as %s", text, part.State, cond.StateOf(tree.Eval(w)))
	}
	if d := part.Deciding(); part.State == "unknown" && d.State != "unknown" {
		t.Fatalf("%s: unknown, decided by %q which is %s", text, d.Words, d.State)
	}
}

func TestExplanationsAgreeWithEvaluation(t *testing.T) {
	c, m := compiler(t), seeded(13)
	for range 3000 {
		explanationAgrees(t, m, c)
	}
}

func FuzzExplanationAgrees(f *testing.F) {
	c := compiler(f)
	f.Add([]byte("why"))
	f.Fuzz(func(t *testing.T, data []byte) { explanationAgrees(t, makerOf(data), c) })
}

// Property 4: a condition reads back from its stored text, its shown text and its rows as the same decision.
func formsAgree(t testing.TB, m *maker, c *compile.Compiler) (asRows bool) {
	types := func(path string) (cond.Type, bool) { return c.TypeOf(defectScope, path) }
	text := m.condition(m.n(4))
	e, problem := c.Condition(defectScope, text)
	if problem != nil {
		t.Fatalf("%s: %s", text, problem.Message)
	}
	forms := []string{e.Stored, e.Shown}
	rows, asRows := cond.RowsOf(e.Root)
	if asRows {
		forms = append(forms, rows.Text(types))
	}
	for _, form := range forms {
		again := compiled1(t, c, form)
		for range 4 {
			w := m.partly(m.known())
			if a, b := say(e.Root.Eval(w)), say(again.Eval(w)); a != b {
				t.Fatalf("%s says %s, %s says %s", text, a, form, b)
			}
		}
	}
	return asRows
}

func TestTextsAndRowsKeepTheMeaning(t *testing.T) {
	c, m := compiler(t), seeded(14)
	asRows := 0
	for range 800 {
		if formsAgree(t, m, c) {
			asRows++
		}
	}
	if asRows < 200 {
		t.Errorf("only %d showed as rows", asRows)
	}
}

func FuzzFormsAgree(f *testing.F) {
	c := compiler(f)
	f.Add([]byte("rows"))
	f.Fuzz(func(t *testing.T, data []byte) { formsAgree(t, makerOf(data), c) })
}

// Property 5: what ranges prove has no counterexample among all combinations of the values that
// matter, and what they say can be is found among them.
func rangesHold(t testing.TB, m *maker, c *compile.Compiler) (proofs int) {
	a, b := m.condition(m.n(4)), m.condition(m.n(3))
	x, y := compiled1(t, c, a), compiled1(t, c, b)
	claims := []struct {
		words   string
		answer  prove.Answer
		witness bool // a world of the kind that the answer speaks of was met
	}{{words: "can hold", answer: prove.CanHold(x)}, {words: "can fail", answer: prove.CanFail(x)}, {words: "together with " + b, answer: prove.Together(x, y)}, {words: "does not imply " + b}}
	claims[3].answer = map[prove.Answer]prove.Answer{prove.Yes: prove.No, prove.No: prove.Yes}[prove.Implies(x, y)]
	everyWorld(func(w world) {
		vx, vy := x.Eval(w).True(), y.Eval(w).True()
		for i, met := range []bool{vx, !vx, vx && vy, vx && !vy} {
			claims[i].witness = claims[i].witness || met
		}
	}, x, y)
	for _, claim := range claims {
		if claim.answer == prove.No && claim.witness {
			t.Fatalf("%s: ranges say that it never %s, and it does", a, claim.words)
		}
		if claim.answer == prove.Yes && !claim.witness {
			t.Fatalf("%s: ranges say that it %s, and no world shows it", a, claim.words)
		}
		if claim.answer != prove.Maybe {
			proofs++
		}
	}
	return proofs
}

func TestWhatRangesProveHasNoCounterexample(t *testing.T) {
	c, m := compiler(t), seeded(15)
	proofs, rounds := 0, 400
	for range rounds {
		proofs += rangesHold(t, m, c)
	}
	t.Logf("%d of %d questions settled", proofs, 4*rounds)
	if proofs < rounds {
		t.Errorf("only %d of %d questions were settled", proofs, 4*rounds)
	}
}

func FuzzRangesHold(f *testing.F) {
	c := compiler(f)
	f.Add([]byte("ranges"))
	f.Fuzz(func(t *testing.T, data []byte) { rangesHold(t, makerOf(data), c) })
}
