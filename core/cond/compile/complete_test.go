package compile_test

import (
	"strings"
	"testing"
)

// Texts with | where the cursor stands, and the first offers.
func TestCompletion(t *testing.T) {
	c := compiler(t)
	for text, want := range map[string]string{
		`re|`:                                   "record",
		`record.|`:                              "code state severity note due",
		`record.st|`:                            "state stops",
		`record.st| == "x"`:                     "state stops",
		`record.cabin.li|`:                      "lift",
		`record.cabin.lift.|`:                   "name",
		`stat|`:                                 "record.state",
		`numb|`:                                 "record.cabin.number",
		`record.state == |`:                     `"open" "waiting" "closed" record`,
		`record.state == "cl|"`:                 `"closed"`,
		`record.state != "|`:                    `"open" "waiting" "closed"`,
		`user.is("|")`:                          `"Technician" "Shift lead"`,
		`user.|`:                                `name is("Technician") is("Shift lead")`,
		`record.due < |`:                        "today() daysAgo(7) record",
		`record.done == |`:                      "true false record",
		`record.code.sta|`:                      `startsWith("`,
		`record.nothing.|`:                      "",
		`record.urg|`:                           "urgent",
		`record.state == "open" && record.due|`: "due",
		`to|`:                                   "today()",
	} {
		at := strings.Index(text, "|")
		got := c.Complete(defectScope, strings.Replace(text, "|", "", 1), at)
		var offers []string
		for _, o := range got.Offers {
			offers = append(offers, o.Text)
		}
		first := strings.Fields(want)
		if !strings.HasPrefix(strings.Join(offers, " "), want) || want == "" && len(offers) > 0 {
			t.Errorf("%s offers %s, want %s", text, strings.Join(offers, " "), strings.Join(first, " "))
		}
	}
}

func TestCompletionReplacesTheWordOrQuotedText(t *testing.T) {
	c := compiler(t)
	for text, want := range map[string][2]int{`record.st|ate == 1`: {7, 12}, `record.state == "cl|"`: {16, 20}, `record.state == "cl|osed"`: {16, 19}, `1 == |`: {5, 5}} {
		at := strings.Index(text, "|")
		got := c.Complete(defectScope, strings.Replace(text, "|", "", 1), at)
		if [2]int{got.From, got.To} != want {
			t.Errorf("%s replaces %d to %d, want %v", text, got.From, got.To, want)
		}
	}
}

func TestSignatures(t *testing.T) {
	c := compiler(t)
	for text, want := range map[string]string{
		`record.due < daysAgo(|`: "daysAgo", `available(record.temp|`: "available", `user.is("|`: "user.is", `record.code.contains("a|")`: "contains",
		`today()|`: "", `(record.count |`: "", `date("2026-|`: "date", `daysAgo(size("a(") + |`: "daysAgo", `[1, |`: "",
	} {
		at := strings.Index(text, "|")
		got := c.Complete(defectScope, strings.Replace(text, "|", "", 1), at)
		name := ""
		if got.Calling != nil {
			name = got.Calling.Name
		}
		if name != want {
			t.Errorf("%s is in %q, want %q", text, name, want)
		}
	}
}

func TestAFieldByItsNameAloneIsProposedWhole(t *testing.T) {
	c := compiler(t)
	for text, want := range map[string]string{`state == "open"`: "record.state", `Due == null`: "record.due", `number == "1"`: "record.cabin.number"} {
		_, problem := c.Condition(defectScope, text)
		if problem == nil || problem.Proposal != want || problem.At != 0 {
			t.Errorf("%s: %+v, want %s proposed", text, problem, want)
		}
	}
	_, problem := c.Condition(defectScope, `state == "open"`)
	if want := "“state” is not known by itself. The field is record.state, state of Defects."; problem.Message != want {
		t.Errorf("says %q, want %q", problem.Message, want)
	}
}

func FuzzComplete(f *testing.F) {
	c := compiler(f)
	for _, seed := range []string{`record.st`, `user.is("`, `record.state == "cl`, "daysAgo(today(", `"\`, ".", "((("} {
		f.Add(seed, 3)
	}
	f.Fuzz(func(t *testing.T, text string, at int) {
		got := c.Complete(defectScope, text, at)
		if n := len([]rune(text)); got.From < 0 || got.From > got.To || got.To > max(n, 0) || len(got.Offers) > 60 {
			t.Errorf("%q at %d: %+v", text, at, got)
		}
	})
}
