package cond

import (
	"fmt"
	"strings"
	"testing"
	"time"
)

// Shared conditions that double with each use of one another end in a clear error, not in memory.
func TestSharedConditionsCannotGrowWithoutBound(t *testing.T) {
	g := &Group{ID: "t_x", Label: "X", Fields: []Field{{ID: "f_a", Alias: "a", Label: "A", Type: Type{Kind: YesNo}}}}
	named := map[string]Named{}
	for i := range 40 {
		id := fmt.Sprintf("c_%d", i)
		text := "record.f_a"
		if i > 0 {
			text = fmt.Sprintf("record.c_%d || !record.c_%d", i-1, i-1)
		}
		g.Fields = append(g.Fields, Field{ID: id, Alias: fmt.Sprintf("n%d", i), Label: id, Type: Type{Kind: YesNo}, Named: id})
		named[id] = Named{ID: id, Label: id, Group: "t_x", Text: text}
	}
	s := NewSchema([]*Group{g, {ID: "user", Label: "user"}}, nil)
	s.Named = named
	c, err := NewCompiler(s)
	if err != nil {
		t.Fatal(err)
	}
	began := time.Now()
	if _, problem := c.Condition(Scope{"record": "t_x"}, "record.n6"); problem != nil {
		t.Errorf("seven of them: %s", problem.Message)
	}
	_, problem := c.Condition(Scope{"record": "t_x"}, "record.n39")
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
		e.Root.CanHold()
		e.Root.CanFail()
		Implies(e.Root, e.Root)
		e.Root.Turns(w)
		e.Root.Explain(w)
		e.Root.Bind(w)
		e.Root.Phrase()
		RowsOf(e.Root)
		c.Complete(defectScope, text, len(text)/2)
	}
	if took := time.Since(began); took > 20*time.Second {
		t.Errorf("it took %s", took)
	}
}
