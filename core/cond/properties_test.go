package cond

import (
	"fmt"
	"math/rand/v2"
	"strings"
	"testing"
	"time"

	"cel.dev/cel-go/cel"
)

// maker writes random conditions over the test schema that are well typed.
type maker struct{ r *rand.Rand }

func (m maker) pick(s ...string) string { return s[m.r.IntN(len(s))] }

func (m maker) condition(depth int) string {
	if depth == 0 {
		return m.comparison()
	}
	switch m.r.IntN(7) {
	case 0, 1:
		return "(" + m.condition(depth-1) + " && " + m.condition(depth-1) + ")"
	case 2, 3:
		return "(" + m.condition(depth-1) + " || " + m.condition(depth-1) + ")"
	case 4:
		return "!(" + m.condition(depth-1) + ")"
	case 5:
		return "(" + m.condition(depth-1) + " ? " + m.condition(depth-1) + " : " + m.condition(depth-1) + ")"
	}
	return m.comparison()
}

func (m maker) comparison() string {
	order := m.pick("==", "!=", "<", "<=", ">", ">=")
	switch m.r.IntN(8) {
	case 0:
		return "record.state " + m.pick("==", "!=") + " " + m.pick(`"open"`, `"closed"`, `"waiting"`)
	case 1:
		return fmt.Sprintf("record.count %s %d", order, m.r.IntN(5))
	case 2:
		return fmt.Sprintf("record.hours %s %d.5", order, m.r.IntN(4))
	case 3:
		return fmt.Sprintf("record.count * %d + 1 %s %d", m.r.IntN(3), order, m.r.IntN(6))
	case 4:
		return `record.code in ["D-1", "D-2"]`
	case 5:
		return `user.is("` + m.pick("Technician", "Shift lead") + `")`
	case 6:
		return "record.code." + m.pick("startsWith", "contains", "endsWith") + `("` + m.pick("D", "1", "x") + `")`
	}
	return "record.done"
}

// known is a world in which everything has a value.
func (m maker) known() world {
	return world{
		values: map[string]Value{
			"record.f_state": String(m.pick("open", "closed", "waiting")), "record.f_count": Int(int64(m.r.IntN(5))), "record.f_code": String(m.pick("D-1", "D-2", "x")),
			"record.f_hours": Float(float64(m.r.IntN(8)) / 2), "record.f_done": Bool(m.r.IntN(2) == 0), "record.f_sev": String("low"),
		},
		roles: map[string]bool{"r_tech": m.r.IntN(2) == 0, "r_lead": m.r.IntN(2) == 0},
	}
}

// partly takes some of the values away.
func (m maker) partly(w world) world {
	out := world{values: map[string]Value{}, roles: w.roles}
	for k, v := range w.values {
		switch m.r.IntN(4) {
		case 0:
			out.values[k] = UnknownBecause("taken away")
		default:
			out.values[k] = v
		}
	}
	return out
}

// Property 1: on known, not empty values the tree decides as the library does.
func TestTreeIsTheLibraryOnKnownValues(t *testing.T) {
	m := maker{rand.New(rand.NewPCG(11, 1))}
	c := compiler(t)
	env, err := cel.NewEnv(
		cel.Variable("record", cel.MapType(cel.StringType, cel.DynType)), cel.Variable("user", cel.ListType(cel.StringType)), cel.CrossTypeNumericComparisons(true),
	)
	if err != nil {
		t.Fatal(err)
	}
	compared := 0
	for range 1500 {
		text := m.condition(1 + m.r.IntN(3))
		e, problem := c.Condition(defectScope, text)
		if problem != nil {
			t.Fatalf("%s: %s", text, problem.Message)
		}
		other := text
		for _, role := range []string{"Technician", "Shift lead"} {
			other = strings.ReplaceAll(other, `user.is("`+role+`")`, `("`+role+`" in user)`)
		}
		ast, issues := env.Compile(other)
		if issues.Err() != nil {
			t.Fatalf("%s: %v", other, issues.Err())
		}
		program, err := env.Program(ast)
		if err != nil {
			t.Fatal(err)
		}
		for range 3 {
			w := m.known()
			var roles []string
			for id, name := range map[string]string{"r_tech": "Technician", "r_lead": "Shift lead"} {
				if w.roles[id] {
					roles = append(roles, name)
				}
			}
			v := w.values
			out, _, err := program.Eval(map[string]any{"user": roles, "record": map[string]any{
				"state": native(v["record.f_state"]), "count": native(v["record.f_count"]), "code": native(v["record.f_code"]), "hours": native(v["record.f_hours"]), "done": native(v["record.f_done"]),
			}})
			if err != nil {
				t.Fatalf("%s: %v", other, err)
			}
			compared++
			if got, want := e.Root.Eval(w).True(), out.Value() == true; got != want {
				t.Fatalf("%s in %v: the tree says %v, the library %v", text, v, got, want)
			}
		}
	}
	t.Logf("%d comparisons", compared)
}

// Property 2: if the tree decides with something unknown, every completion decides the same.
func TestADecisionWithUnknownsHoldsForEveryCompletion(t *testing.T) {
	m := maker{rand.New(rand.NewPCG(12, 1))}
	c := compiler(t)
	decided := 0
	for range 3000 {
		text := m.condition(1 + m.r.IntN(3))
		e, problem := c.Condition(defectScope, text)
		if problem != nil {
			t.Fatal(problem.Message)
		}
		whole := m.known()
		part := m.partly(whole)
		before := e.Root.Eval(part)
		if !before.Known() {
			continue
		}
		decided++
		for range 8 {
			full := m.known()
			full.roles = part.roles
			for k, v := range part.values {
				if v.Known() {
					full.values[k] = v
				}
			}
			if after := e.Root.Eval(full); after.True() != before.True() {
				t.Fatalf("%s: %v with unknowns %v, but %v with %v", text, before.True(), part.values, after.True(), full.values)
			}
		}
	}
	if decided < 500 {
		t.Errorf("only %d were decided with unknowns", decided)
	}
}

// Property 3: the root of an explanation is what the evaluation gives, and some part decides.
func TestExplanationsAgreeWithEvaluation(t *testing.T) {
	m := maker{rand.New(rand.NewPCG(13, 1))}
	c := compiler(t)
	for range 3000 {
		text := m.condition(1 + m.r.IntN(3))
		e, problem := c.Condition(defectScope, text)
		if problem != nil {
			t.Fatal(problem.Message)
		}
		w := m.partly(m.known())
		part := e.Root.Explain(w)
		if part.State != stateOf(e.Root.Eval(w)) {
			t.Fatalf("%s: explained as %s, evaluated as %s", text, part.State, stateOf(e.Root.Eval(w)))
		}
		if d := part.Deciding(); part.State == "unknown" && d.State != "unknown" {
			t.Fatalf("%s: unknown, decided by %q which is %s", text, d.Words, d.State)
		}
	}
}

// Property 4: a condition reads back from its stored text and from its shown text as the same decision,
// and what rows can show says the same as rows.
func TestTextsAndRowsKeepTheMeaning(t *testing.T) {
	m := maker{rand.New(rand.NewPCG(14, 1))}
	c := compiler(t)
	types := func(path string) (Type, bool) { return c.TypeOf(defectScope, path) }
	asRows := 0
	for range 800 {
		text := m.condition(m.r.IntN(3))
		e, problem := c.Condition(defectScope, text)
		if problem != nil {
			t.Fatal(problem.Message)
		}
		forms := []string{e.Stored, e.Shown}
		if rows, ok := RowsOf(e.Root); ok && !strings.Contains(text, " ? ") {
			asRows++
			forms = append(forms, rows.Text(types))
		}
		for _, form := range forms {
			again, problem := c.Condition(defectScope, form)
			if problem != nil {
				t.Fatalf("%s: %s", form, problem.Message)
			}
			for range 4 {
				w := m.partly(m.known())
				if a, b := say(e.Root.Eval(w)), say(again.Root.Eval(w)); a != b {
					t.Fatalf("%s says %s, %s says %s", text, a, form, b)
				}
			}
		}
	}
	if asRows < 100 {
		t.Errorf("only %d showed as rows", asRows)
	}
}

func TestValuesReadBackAsWritten(t *testing.T) {
	for _, tc := range []struct {
		kind Kind
		wire string
	}{
		{YesNo, "true"}, {Whole, "-12"}, {Whole, "9007199254740993"}, {Number, "2.5"}, {Decimal, "0.1"}, {Decimal, "-1234567890123.000001"}, {Decimal, "0.0000001"},
		{Text, "two words"}, {Date, "2026-11-24"}, {Moment, "2026-11-24T10:42:00.5Z"}, {Duration, "2h30m0s"}, {Record, "12~a%7Eb"},
	} {
		v, err := Parse(Type{Kind: tc.kind}, tc.wire)
		if err != nil || v.Wire() != tc.wire {
			t.Errorf("%s %s reads back as %s (%v)", tc.kind, tc.wire, v.Wire(), err)
		}
		text, err := v.MarshalJSON()
		if err != nil {
			t.Fatal(err)
		}
		var again Value
		if err := again.UnmarshalJSON(text); err != nil || again.Wire() != tc.wire || again.Kind() != v.Kind() {
			t.Errorf("%s %s is stored as %s and comes back as %s (%v)", tc.kind, tc.wire, text, again.Wire(), err)
		}
	}
}

func TestWrongValuesAreRefusedInWords(t *testing.T) {
	for _, tc := range []struct {
		t    Type
		wire string
	}{
		{Type{Kind: YesNo}, "perhaps"}, {Type{Kind: Whole}, "1.5"}, {Type{Kind: Whole}, "99999999999999999999"}, {Type{Kind: Number}, "NaN"}, {Type{Kind: Number}, "1e400"},
		{Type{Kind: Decimal}, "1e999999999"}, {Type{Kind: Decimal}, "1/3"}, {Type{Kind: Decimal}, strings.Repeat("9", 100)}, {Type{Kind: Date}, "2026-02-30"}, {Type{Kind: Date}, "24.11.2026"},
		{Type{Kind: Moment}, "soon"}, {Type{Kind: Duration}, "long"}, {Type{Kind: Text, Choices: []string{"a", "b"}}, "c"}, {Type{Kind: List}, "a"},
	} {
		if _, err := Parse(tc.t, tc.wire); err == nil || len(err.Error()) < 10 {
			t.Errorf("%s %q: %v", tc.t.Kind, tc.wire, err)
		}
	}
	for _, kind := range []Kind{YesNo, Whole, Number, Decimal, Date, Moment, Duration, Record} {
		if v, err := Parse(Type{Kind: kind}, ""); err != nil || !v.IsNull() {
			t.Errorf("an empty %s: %v %v", kind, v, err)
		}
	}
}

func TestNumbersCompareBySizeWhateverTheirKind(t *testing.T) {
	dec := func(s string) Value { return mustParse(t, Type{Kind: Decimal}, s) }
	ordered := []Value{Int(-3), dec("-2.5"), Float(-2.25), dec("0"), dec("0.0000001"), dec("0.1"), Float(0.5), Int(1), dec("1.000001"), dec("1.0000011"), Int(1 << 50), dec("1125899906842624.5"), Float(1e300)}
	for i, a := range ordered {
		for j, b := range ordered {
			c, ok := compare(a, b)
			want := order(int64(i), int64(j))
			if !ok || c != want {
				t.Errorf("%s against %s gives %d, want %d", a.Wire(), b.Wire(), c, want)
			}
		}
	}
	if !Equal(Int(2), dec("2.00")) || !Equal(Float(0.5), dec("0.5")) || Equal(String("2"), Int(2)) || Equal(NullValue, Int(0)) {
		t.Error("equality across kinds")
	}
}

func TestTimes(t *testing.T) {
	day := DateOf(time.Date(2026, 3, 1, 23, 0, 0, 0, time.UTC))
	if got := arithmetic(OpSub, day, Span(24*time.Hour)).Wire(); got != "2026-02-28" {
		t.Errorf("the day before is %s", got)
	}
	if got := arithmetic(OpAdd, day, Span(90*time.Minute)); got.Kind() != Moment || got.Wire() != "2026-03-01T01:30:00Z" {
		t.Errorf("an hour and a half into the day is %s", got.Wire())
	}
	if got := arithmetic(OpSub, day, DateOf(time.Date(2026, 2, 1, 0, 0, 0, 0, time.UTC))); got.Wire() != "672h0m0s" {
		t.Errorf("the span is %s", got.Wire())
	}
	if got := arithmetic(OpAdd, NullValue, Int(1)); !got.IsNull() {
		t.Errorf("empty plus one is %s", got.Kind())
	}
	if got := arithmetic(OpMul, Int(1<<62), Int(4)); got.Known() {
		t.Errorf("too large a product is %s", got.Wire())
	}
}

func TestHostileTextsAreBounded(t *testing.T) {
	c := compiler(t)
	began := time.Now()
	for name, text := range map[string]string{
		"long":   strings.Repeat("record.done && ", 1000) + "true",
		"deep":   strings.Repeat("(", 400) + "true" + strings.Repeat(")", 400),
		"nots":   strings.Repeat("!", 300) + "true",
		"list":   "1 in [" + strings.Repeat("1,", 1500) + "1]",
		"odd":    "record.\u202estate == \"x\"",
		"quotes": `record.state == "` + strings.Repeat(`\"`, 1500),
		"nul":    "record.state == \"\x00\"",
	} {
		e, problem := c.Condition(defectScope, text)
		if problem != nil {
			if problem.Message == "" || problem.Length < 1 {
				t.Errorf("%s: %+v", name, *problem)
			}
			continue
		}
		e.Root.Eval(world{})
	}
	e, problem := c.Condition(defectScope, `[1,2,3,4,5,6,7,8,9].all(a, [1,2,3,4,5,6,7,8,9].all(b, [1,2,3,4,5,6,7,8,9].all(c, [1,2,3,4,5,6,7,8,9].all(d, [1,2,3,4,5,6,7,8,9].all(e, a+b+c+d+e > record.count)))))`)
	if problem == nil {
		if v := e.Root.Eval(world{values: map[string]Value{"record.f_count": Int(1)}}); v.Known() {
			t.Errorf("an endless comprehension came to %v", v.True())
		}
	}
	if time.Since(began) > 20*time.Second {
		t.Errorf("it took %s", time.Since(began))
	}
}
