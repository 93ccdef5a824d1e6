package use_test

import (
	"slices"
	"strings"
	"testing"
	"time"

	"ambergate/core/cond"
	"ambergate/core/local"
	"ambergate/core/place"
	"ambergate/core/stand"
	"ambergate/core/use"
)

// matchesOf gives what filters of the list of defects ask of its records, in short.
func matches(s *stand.Stand, t *testing.T, zone *time.Location, f place.Filter) (string, error) {
	t.Helper()
	src := s.Sources()
	src.Now, src.Bare = time.Date(2026, 11, 24, 1, 0, 0, 0, zone), true
	o, err := use.Open(t.Context(), s.App, s.Mira, place.Place{Screen: "s_list", Filters: []place.Filter{f}}, src)
	if err != nil {
		t.Fatal(err)
	}
	q, _, err := o.ListQuery(o.ListAt("e_list"), "")
	matches := q.Match
	var out []string
	for _, m := range matches {
		words := m.Path + " " + m.Compare + " " + m.Value.Wire()
		for _, v := range m.Values {
			words += "," + v.Wire()
		}
		out = append(out, strings.TrimSpace(words))
	}
	return strings.Join(out, "; "), err
}

const moments = `[{"op":"add","path":"/t_defects/fields/f_seen","value":{"pos":9,"column":"seen","alias":"seen","label":"Seen","type":"moment","nullable":true}},{"op":"add","path":"/t_defects/fields/f_due","value":{"pos":10,"column":"due","alias":"due","label":"Due","type":"date","nullable":true}}]`

func TestFiltersByType(t *testing.T) {
	s := stand.New(t, moments)
	east := time.FixedZone("east", 2*3600)
	for _, tc := range []struct{ path, compare, value, want, words string }{
		{"f_state", "in", "open|closed", "f_state in ,open,closed", "open or closed"},
		{"f_what", "in", "a%7Cb", "f_what in ,a|b", "a|b"},
		{"f_hours", "between", "1.5..3", "f_hours atLeast 1.5; f_hours atMost 3", "1.5 to 3"},
		{"f_hours", "between", "..3", "f_hours atMost 3", "up to 3"},
		{"f_due", "days", "-7..0", "f_due atLeast 2026-11-17; f_due atMost 2026-11-24", "the last 7 days"},
		{"f_due", "days", "..-1", "f_due atMost 2026-11-23", "before today"},
		// Days of a moment count whole, in the project's zone.
		{"f_seen", "days", "0..0", "f_seen atLeast 2026-11-23T22:00:00Z; f_seen below 2026-11-24T22:00:00Z", "today"},
		{"f_seen", "between", "2026-11-01..", "f_seen atLeast 2026-10-31T22:00:00Z", "from 2026-11-01"},
		{"f_cabin", "contains", "00", "f_cabin.f_no contains 00", "contains “00”"},
		{"f_cabin", "is", "7", "f_cabin is 7", ""},
	} {
		f := place.Filter{Path: tc.path, Compare: tc.compare, Value: tc.value}
		got, err := matches(s, t, east, f)
		if err != nil || got != tc.want {
			t.Errorf("%s %s %s: %s, %v; want %s", tc.path, tc.compare, tc.value, got, err, tc.want)
		}
		c, _ := s.App.Project.FieldAt("t_defects", tc.path)
		if words := f.Words(c, local.English, time.UTC); tc.words != "" && words != tc.words {
			t.Errorf("%s %s %s is said as %q, want %q", tc.path, tc.compare, tc.value, words, tc.words)
		}
	}
	for _, f := range []place.Filter{{Path: "f_hours", Compare: "between", Value: "3"}, {Path: "f_hours", Compare: "between", Value: "x.."}, {Path: "f_due", Compare: "days", Value: "soon..late"}, {Path: "f_due", Compare: "days", Value: "9999999.."}, {Path: "f_hours", Compare: "in", Value: "1|x"}} {
		if got, err := matches(s, t, time.UTC, f); err == nil {
			t.Errorf("%+v is taken as %s", f, got)
		}
	}
}

func TestSeveralValuesComeBackWhole(t *testing.T) {
	for text, values := range map[string][]string{"": nil, "a": {"a"}, "a|b": {"a", "b"}, "a%7Cb|c%25d||%C3%A4%20..|%7C": {"a|b", "c%d", "", "ä ..", "|"}, "50%": {"50%"}} {
		if got := place.SplitValues(text); !slices.Equal(got, values) {
			t.Errorf("%q is read as %q", text, got)
		}
	}
}

func TestFindLooksWhereTheUserSees(t *testing.T) {
	s := stand.New(t, "")
	o := s.MustOpen(t, s.Mira, "defects?~find=door%20007")
	q, _, err := o.ListQuery(o.ListAt("e_list"), "")
	if err != nil || !slices.Equal(q.Find.Words, []string{"door", "007"}) {
		t.Fatalf("%+v, %v", q.Find, err)
	}
	// Records are found by their titles; the hidden phone is not looked at.
	if !slices.Equal(q.Find.Paths, []string{"f_code", "f_cabin.f_no", "f_cabin.f_lift.f_name"}) {
		t.Errorf("paths %v", q.Find.Paths)
	}
	if v := o.View(); v.Find != "door 007" || v.Address != "/defects?~find=door+007" {
		t.Errorf("%s, %s", v.Find, v.Address)
	}
}

func TestWhatIsEnteredKeepsToItsBounds(t *testing.T) {
	s := stand.New(t, `[{"op":"add","path":"/t_defects/fields/f_hours/min","value":0},{"op":"add","path":"/t_defects/fields/f_hours/max","value":10},{"op":"add","path":"/t_defects/fields/f_code/pattern","value":"D-[0-9]+"},{"op":"add","path":"/t_defects/fields/f_code/example","value":"D-12"},{"op":"add","path":"/t_defects/fields/f_what/longest","value":5},{"op":"add","path":"/t_defects/fields/f_seen","value":{"pos":9,"column":"seen","alias":"seen","label":"Seen","type":"moment","nullable":true}}]`)
	fields := s.App.Project.Tables["t_defects"].Fields
	for _, tc := range []struct{ field, typed, words string }{
		{"f_hours", "2.5", ""}, {"f_hours", "", ""}, {"f_hours", "11", "Hours must be from 0 to 10."}, {"f_hours", "many", "“many” is not a number. Type one like 2.5."},
		{"f_code", "D-7", ""}, {"f_code", "xD-7", "Code must look like D-12."}, {"f_code", " ", "Fill in “Code”."},
		{"f_what", "Türen", ""}, {"f_what", "Türen!", "What is too long: 6 characters of 5."}, {"f_state", "ajar", "“ajar” is not one of open, closed."},
	} {
		if _, words := use.Entered(fields[tc.field], tc.typed, time.UTC); words != tc.words {
			t.Errorf("%s %q: %q, want %q", tc.field, tc.typed, words, tc.words)
		}
	}
	// A moment is typed in the project's zone, and an editor shows it so.
	zone := time.FixedZone("west", -5*3600)
	v, words := use.Entered(fields["f_seen"], "2026-11-24T08:30", zone)
	if words != "" || v.Wire() != "2026-11-24T13:30:00Z" || use.Editing(v, zone) != "2026-11-24T08:30" {
		t.Errorf("%s, %s, %s", v.Wire(), words, use.Editing(v, zone))
	}
	exact := cond.MomentOf(time.Date(2026, 11, 24, 8, 30, 12, 345678000, time.UTC))
	if back, _ := use.Entered(fields["f_seen"], use.Editing(exact, zone), zone); !cond.Equal(back, exact) {
		t.Errorf("%s comes back as %s", exact.Wire(), back.Wire())
	}
}
