package compile_test

import (
	"fmt"
	"strings"
	"testing"
	"time"

	"ambergate/core/cond"
	"ambergate/core/cond/compile"
	"ambergate/core/cond/prove"
)

// Shared conditions that double with each use of one another end in a clear error, not in memory.
func TestSharedConditionsCannotGrowWithoutBound(t *testing.T) {
	g := &cond.Group{ID: "t_x", Label: "X", Fields: []cond.Field{{ID: "f_a", Alias: "a", Label: "A", Type: cond.Type{Kind: cond.YesNo}}}}
	named := map[string]cond.Named{}
	for i := range 40 {
		id := fmt.Sprintf("c_%d", i)
		text := "record.f_a"
		if i > 0 {
			text = fmt.Sprintf("record.c_%d || !record.c_%d", i-1, i-1)
		}
		g.Fields = append(g.Fields, cond.Field{ID: id, Alias: fmt.Sprintf("n%d", i), Label: id, Type: cond.Type{Kind: cond.YesNo}, Named: id})
		named[id] = cond.Named{ID: id, Label: id, Group: "t_x", Text: text}
	}
	s := cond.NewSchema([]*cond.Group{g, {ID: "user", Label: "user"}}, nil)
	s.Named = named
	c, err := compile.New(s)
	if err != nil {
		t.Fatal(err)
	}
	began := time.Now()
	if _, problem := c.Condition(cond.Scope{"record": "t_x"}, "record.n6"); problem != nil {
		t.Errorf("seven of them: %s", problem.Message)
	}
	_, problem := c.Condition(cond.Scope{"record": "t_x"}, "record.n39")
	if problem == nil || !strings.Contains(problem.Message, "more than 5000 parts") {
		t.Errorf("forty of them: %+v", problem)
	}
	if took := time.Since(began); took > 10*time.Second {
		t.Errorf("it took %s", took)
	}
}

// What is asked of hostile conditions besides their decision is bounded too: ranges, the smallest
// change, the bound form, completion.
func TestQuestionsAboutHostileConditionsAreBounded(t *testing.T) {
	c := compiler(t)
	var wide, crossed []string
	for i := range 60 {
		wide = append(wide, fmt.Sprintf("(record.count == %d || record.hours == %d.5)", i, i))
		crossed = append(crossed, fmt.Sprintf("(record.count > %d || record.code < \"%d\")", i, i))
	}
	began := time.Now()
	for _, text := range []string{strings.Join(wide, " && "), strings.Join(crossed, " && "), "!(" + strings.Join(wide, " || ") + ")", strings.Repeat("!", 50) + "record.done", "record.count in [" + strings.Repeat("1, ", 1200) + "1]"} {
		e, problem := c.Condition(defectScope, text)
		if problem != nil {
			t.Fatalf("%.60s: %s", text, problem.Message)
		}
		w := seeded(1).known()
		prove.CanHold(e.Root)
		prove.CanFail(e.Root)
		prove.Implies(e.Root, e.Root)
		prove.Turns(e.Root, w)
		e.Root.Explain(w)
		e.Root.Bind(w)
		e.Root.Phrase()
		cond.RowsOf(e.Root)
		c.Complete(defectScope, text, len(text)/2)
	}
	if took := time.Since(began); took > 20*time.Second {
		t.Errorf("it took %s", took)
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
		if v := e.Root.Eval(world{values: map[string]cond.Value{"record.f_count": cond.Int(1)}}); v.Known() {
			t.Errorf("an endless comprehension came to %v", v.True())
		}
	}
	if time.Since(began) > 20*time.Second {
		t.Errorf("it took %s", time.Since(began))
	}
}
