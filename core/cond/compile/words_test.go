package compile_test

import (
	"testing"

	"ambergate/core/cond"
)

func TestPhrasesOfEveryShape(t *testing.T) {
	c := compiler(t)
	for text, want := range map[string]string{
		`record.count < 3`:                                      "count is less than 3",
		`record.count >= 3`:                                     "count is at least 3",
		`record.hours <= 2.50`:                                  "hours is at most 2.5",
		`record.due == null`:                                    "due is empty",
		`record.due != null`:                                    "due is not empty",
		`record.due > date("2026-01-31")`:                       "due is after 2026-01-31",
		`record.due <= today()`:                                 "due is on or before today",
		`record.done == true`:                                   "done is yes",
		`record.done == false`:                                  "done is no",
		`record.done != true`:                                   "done is no",
		`record.done`:                                           "done is yes",
		`!(record.count == 1)`:                                  "count is not 1",
		`record.code.contains("x")`:                             "code contains “x”",
		`record.code.startsWith("D")`:                           "code begins with “D”",
		`record.code.endsWith("1")`:                             "code ends with “1”",
		`size(record.code) > 3`:                                 "the length of code is more than 3",
		`record.count + 1 > 3`:                                  "count + 1 is more than 3",
		`record.count * 2 - 1 == 3`:                             "count × 2 − 1 is 3",
		`-record.count == 3`:                                    "−count is 3",
		`record.code in ["a", "b", "c"]`:                        "code is one of “a”, “b” or “c”",
		`record.count == 1 ? record.done : !record.done`:        "if count is 1 then done, else done is no",
		`user.name == "x"`:                                      "the user’s name is “x”",
		`record.cabin.number == "087"`:                          "cabin’s number is “087”",
		`!(record.count < 1)`:                                   "not (count is less than 1)",
		`!(record.code in ["a", "b"])`:                          "code is neither “a” nor “b”",
		`!record.code.contains("x")`:                            "code does not contain “x”",
		`!user.is("Technician")`:                                "the user is not Technician",
		`!(record.done || record.count == 1)`:                   "none of these: done is yes; count is 1",
		`!available(record.temperature)`:                        "temperature is not available",
		`record.due <= daysAgo(7)`:                              "due is on or before 7 days ago",
		`record.due == daysFromNow(3)`:                          "due is 3 days from now",
		`now > now - duration("36h")`:                           "now is after now − 1 day and 12 hours",
		`record.due + duration("168h") < today()`:               "due + 7 days is before today",
		`record.due == daysAgo(record.count)`:                   "due is count days ago",
		`record.note != "x" && record.state == "open"`:          "(note is not “x”, or empty) and state is “open”",
		`record.state in ["open"]`:                              "state is “open”",
		`record.urgent`:                                         "open and worth doing",
		`record.cabin.upper`:                                    "cabin: on the upper lift",
		`record.count == 1 || record.count == 2 && record.done`: "count is 1 or (count is 2 and done is yes)",
		`record.due > daysAgo(1)`:                               "due is after yesterday",
		`has(record.note)`:                                      "note is not empty",
		`true`:                                                  "always",
		`record.code.matches("D.*")`:                            "“record.code.matches(\"D.*\")”",
	} {
		e, p := c.Condition(defectScope, text)
		if p != nil {
			t.Errorf("%s: %s", text, p.Message)
			continue
		}
		if got := e.Root.Phrase(); got != want {
			t.Errorf("%s says %q, want %q", text, got, want)
		}
	}
}

func TestPathsAreListedOnce(t *testing.T) {
	c := compiler(t)
	e, p := c.Condition(defectScope, `record.state == "open" && (record.state == "closed" || record.cabin.lift.name == record.code) && [1].exists(n, n == record.count) && user.is("Technician")`)
	if p != nil {
		t.Fatal(p.Message)
	}
	var got []string
	for _, path := range e.Root.Paths() {
		got = append(got, path.Shown())
	}
	want := []string{"record.state", "record.cabin.lift.name", "record.code", "record.count"}
	if len(got) != len(want) {
		t.Fatalf("%v, want %v", got, want)
	}
	for i := range want {
		if got[i] != want[i] {
			t.Errorf("%v, want %v", got, want)
		}
	}
	if roles := e.Root.RolesAsked(); len(roles) != 1 || roles[0] != "r_tech" {
		t.Errorf("roles %v", roles)
	}
}

func TestProblemsInWords(t *testing.T) {
	c := compiler(t)
	for text, want := range map[string]string{
		`record.count == "three"`: "A whole number cannot be compared with a text.",
		`record.code > 3`:         "A text cannot be compared with a whole number.",
		`record.cabin == "12"`:    "A record cannot be compared with a text.",
		`nothing.state == 1`:      `There is no “nothing” here. You can use: record, user, now, today, daysAgo, daysFromNow, duration, date, available, key, size.`,
		`user.is("Nobody")`:       `There is no role "Nobody".`,
		`record.cabin.state`:      `There is no field “state” here.`,
		`date("soon") == today()`: `"soon" is not a date like 2026-11-24.`,
		`   `:                     "There is nothing here to decide.",
		`record.count`:            "A condition is yes or no; this is a number.",
		`record.due`:              "A condition is yes or no; this is a date.",
	} {
		_, p := c.Condition(defectScope, text)
		if p == nil || p.Message != want {
			t.Errorf("%s: %+v, want %q", text, p, want)
		}
	}
}

func FuzzTemplate(f *testing.F) {
	f.Add("Defect {record.code} of {record.cabin.number}")
	f.Add("{{not an expression} {record.count + 1}")
	c := compiler(f)
	f.Fuzz(func(t *testing.T, text string) {
		tm, p := c.Template(defectScope, text)
		if p != nil {
			if p.Message == "" || p.At < 0 {
				t.Fatalf("%q: %+v", text, *p)
			}
			return
		}
		tm.Say(world{}, func(v cond.Value, _ cond.Type) string { return v.Wire() })
		again, p := c.Template(defectScope, tm.Stored())
		if p != nil || again.Stored() != tm.Stored() {
			t.Fatalf("%q: stored as %q, which does not read back: %v", text, tm.Stored(), p)
		}
	})
}

func TestPhrasesCallRecordsByTheirTitles(t *testing.T) {
	c := compiler(t)
	var asked []string
	title := func(table, key string) string {
		asked = append(asked, table+"/"+key)
		return map[string]string{"t_cabins/7": "Cabin 007", "t_lifts/1": "Upper Tarn"}[table+"/"+key]
	}
	for text, want := range map[string]string{
		`record.cabin == key("7")`:                                            "cabin is Cabin 007",
		`key("7") == record.cabin`:                                            "Cabin 007 is cabin",
		`record.cabin != key("8")`:                                            "cabin is not 8, or empty",
		`record.cabin in [key("7"), key("8")]`:                                "cabin is one of Cabin 007 or 8",
		`record.done && (record.count == 7 || record.cabin.lift == key("1"))`: "done is yes and (count is 7 or cabin’s lift is Upper Tarn)",
		`!(record.cabin == key("7"))`:                                         "cabin is not Cabin 007, or empty",
		`record.cabin == null`:                                                "cabin is empty",
		`record.count == 1 && record.urgent`:                                  "count is 1 and open and worth doing",
	} {
		e, p := c.Condition(defectScope, text)
		if p != nil {
			t.Errorf("%s: %s", text, p.Message)
			continue
		}
		before := e.Root.Phrase()
		if got := e.Root.Calling(title).Phrase(); got != want {
			t.Errorf("%s says %q, want %q", text, got, want)
		}
		if e.Root.Phrase() != before {
			t.Errorf("%s: the condition itself has changed", text)
		}
	}
	for _, a := range asked {
		if a != "t_cabins/7" && a != "t_cabins/8" && a != "t_lifts/1" {
			t.Errorf("it asks for %s", a)
		}
	}
	e, _ := c.Condition(defectScope, `record.count == 1 && record.done`)
	if e.Root.Calling(title) != e.Root {
		t.Error("a condition without records is another one")
	}
}
