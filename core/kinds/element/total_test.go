package element_test

import (
	"strings"
	"testing"
	"time"

	"ambergate/core/kinds/element"
	"ambergate/core/press"
	"ambergate/core/stand"
	"ambergate/core/use"
)

func numberOn(screen, parts string) string {
	return `{"op":"add","path":"/` + screen + `/elements/e_number","value":{"kind":"total","pos":9,"cell":{"row":20,"col":1,"w":3},"words":"Defects","table":"t_defects"` + parts + `}}`
}

func TestANumberCountsWhatIsThereAndLeadsOn(t *testing.T) {
	s := stand.New(t, `[`+numberOn("s_board", `,"gate":{"cases":{"c_1":{"pos":1,"move":{"kind":"screen","target":"s_list"}}}}`)+`,`+numberOn("s_cabin", `,"relation":"f_cabin"`)+`]`)
	n := stand.Element(t, s.MustOpen(t, s.Mira, "board").View(), "e_number").View.(*element.TotalView)
	if n.Value == nil || *n.Value != 3 || !n.Way || n.Href == "" || n.Then != "" {
		t.Errorf("%+v", n)
	}
	out, err := stand.Press(t, s.MustOpen(t, s.Mira, "board"), s, press.Press{Element: "e_number"})
	if err != nil || out.To == nil || out.To.Screen != "s_list" {
		t.Errorf("%+v %v", out, err)
	}
	if n := stand.Element(t, s.MustOpen(t, s.Mira, "cabin?cabin=7").View(), "e_number").View.(*element.TotalView); n.Value == nil || *n.Value != 2 {
		t.Errorf("of one cabin: %+v", n)
	}
}

// The span that is now is compared with the one before it; what lies beyond it does not count.
func TestANumberOfATimeTellsWhatItWasBefore(t *testing.T) {
	for span, want := range map[string]struct {
		now, before float64
		of, then    string
	}{
		"year":    {3, 0, "2026", "2025"},
		"quarter": {1, 1, "4/2026", "3/2026"},
		"month":   {0, 0, "November 2026", "October 2026"},
	} {
		s := stand.New(t, `[`+stand.Dated+`,`+numberOn("s_board", `,"when":"f_on","span":"`+span+`"`)+`]`)
		s.Date(t)
		n := stand.Element(t, s.MustOpen(t, s.Mira, "board").View(), "e_number").View.(*element.TotalView)
		if n.Value == nil || n.Before == nil || *n.Value != want.now || *n.Before != want.before || n.Of != want.of || n.Then != want.then {
			t.Errorf("%s: %+v", span, n)
		}
	}
}

func TestANumberOfWhatOneMayNotViewIsRefused(t *testing.T) {
	s := stand.New(t, `[`+numberOn("s_board", "")+`,{"op":"remove","path":"/gr_1"}]`)
	if n := stand.Element(t, s.MustOpen(t, s.Mira, "board").View(), "e_number").View.(*element.TotalView); n.Value != nil || !strings.Contains(n.Refused, "may not view") {
		t.Errorf("%+v", n)
	}
	for wrong, spec := range map[string]element.Total{"sum needs its field": {Measure: "sum"}, "go together": {Span: "month"}, "span": {When: "f_day", Span: "decade"}, "measure": {Measure: "median", Of: "f_hours"}} {
		spec.Words, spec.Table = "Defects", "t_defects"
		if err := spec.Validate(); err == nil || !strings.Contains(err.Error(), wrong) {
			t.Errorf("%+v: %v", spec, err)
		}
	}
	gone := stand.New(t, `[`+numberOn("s_board", `,"measure":"most","of":"f_gone"`)+`]`)
	if n := stand.Element(t, gone.MustOpen(t, gone.Mira, "board").View(), "e_number").View.(*element.TotalView); len(gone.App.Problems) != 1 || n.Refused == "" {
		t.Errorf("%+v %+v", gone.App.Problems, n)
	}
}

func TestSpansBeginAndEnd(t *testing.T) {
	day := func(text string) time.Time {
		at, err := time.Parse(time.DateOnly, text)
		if err != nil {
			t.Fatal(err)
		}
		return at
	}
	for span, want := range map[string]string{"day": "2026-11-29 2026-11-29", "week": "2026-11-23 2026-11-29", "month": "2026-11-01 2026-11-30", "quarter": "2026-10-01 2026-12-31", "year": "2026-01-01 2026-12-31"} {
		start := use.SpanStart(day("2026-11-29"), span) // a Sunday
		if got := start.Format(time.DateOnly) + " " + use.SpanEnd(start, span).Format(time.DateOnly); got != want {
			t.Errorf("%s: %s, want %s", span, got, want)
		}
	}
}
