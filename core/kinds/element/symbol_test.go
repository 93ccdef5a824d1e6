package element_test

import (
	"strings"
	"testing"

	"ambergate/core/cond"
	"ambergate/core/kinds/element"
	"ambergate/core/press"
	"ambergate/core/project"
	"ambergate/core/stand"
)

const (
	runs = `"faces":{"q_1":{"pos":1,"when":"record.equip.q_drive.g_speed > 5.0","tone":"warn","words":"fast, {record.equip.q_drive.g_speed} m/s"},"q_2":{"pos":2,"when":"record.equip.q_drive.g_run","tone":"strong","words":"runs"},"q_3":{"pos":3,"tone":"quiet","words":"stands"}}`
	home = `"gate":{"cases":{"c_1":{"pos":1,"move":{"kind":"screen","target":"s_board"}}}}`
)

func symbolOn(t *testing.T, parts string) *stand.Stand {
	t.Helper()
	return stand.New(t, `[{"op":"add","path":"/s_drive/elements/e_symbol","value":{"kind":"symbol","pos":9,"cell":{"row":9,"col":1,"w":3},"shape":"motor","words":"Drive of {record.f_code}",`+parts+`}}]`)
}

func TestASymbolShowsTheFirstFaceThatHolds(t *testing.T) {
	s := symbolOn(t, runs+","+home)
	view := func() (*element.SymbolView, string) {
		e := stand.Element(t, s.MustOpen(t, s.Mira, "drive?lift=1").View(), "e_symbol")
		return e.View.(*element.SymbolView), e.Reason
	}
	if v, _ := view(); v.State != "known" || v.Tone != "strong" || v.Says != "runs" || v.Words != "Drive of UT" || !v.Way || v.Href == "" {
		t.Errorf("%+v", v)
	}
	s.Tags["UT.speed"] = cond.Float(5.5)
	if v, _ := view(); v.Tone != "warn" || !strings.HasPrefix(v.Says, "fast, 5.5") {
		t.Errorf("too fast: %+v", v)
	}
	s.Tags["UT.speed"], s.Tags["UT.running"] = cond.Float(0), cond.Bool(false)
	if v, _ := view(); v.Tone != "quiet" || v.Says != "stands" {
		t.Errorf("at rest: %+v", v)
	}
	// Which face holds cannot be known: the next one would be a guess.
	delete(s.Tags, "UT.speed")
	if v, why := view(); v.State != "unknown" || v.Tone != "" || v.Says != "" || why == "" {
		t.Errorf("unknown: %+v %q", v, why)
	}
	out, err := stand.Press(t, s.MustOpen(t, s.Mira, "drive?lift=1"), s, press.Press{Element: "e_symbol"})
	if err != nil || out.To == nil || out.To.Screen != "s_board" {
		t.Errorf("%+v %v", out, err)
	}
}

func TestHowFullASymbolIs(t *testing.T) {
	for speed, want := range map[float64]float64{0: 0, 2: 25, 4: 75, 9: 100} {
		s := symbolOn(t, `"level":"record.equip.q_drive.g_speed","min":1,"max":5`)
		s.Tags["UT.speed"] = cond.Float(speed)
		v := stand.Element(t, s.MustOpen(t, s.Mira, "drive?lift=1").View(), "e_symbol").View.(*element.SymbolView)
		if v.Fill == nil || *v.Fill != want {
			t.Errorf("%g: %+v", speed, v)
		}
		delete(s.Tags, "UT.speed")
		e := stand.Element(t, s.MustOpen(t, s.Mira, "drive?lift=1").View(), "e_symbol")
		if v := e.View.(*element.SymbolView); v.Fill != nil || v.State != "unknown" || e.Reason == "" {
			t.Errorf("unknown: %+v", e)
		}
	}
}

func TestSymbolsThatCannotBe(t *testing.T) {
	for what, spec := range map[string]project.Spec{
		"no shape":    &element.Symbol{},
		"a turn":      &element.Symbol{Shape: "pump", Turn: 45},
		"empty range": &element.Symbol{Shape: "pump", Min: new(float64), Max: new(float64)},
		"a tone":      &element.Symbol{Shape: "pump", Faces: map[string]*element.RowFace{"q_1": {Tone: "main"}}},
		"a face":      &element.Symbol{Shape: "pump", Faces: map[string]*element.RowFace{"q_1": nil}},
	} {
		if spec.Validate() == nil {
			t.Errorf("%s is taken", what)
		}
	}
	for _, shape := range element.SymbolShapes {
		if err := (&element.Symbol{Shape: shape, Turn: 270}).Validate(); err != nil {
			t.Errorf("%s: %v", shape, err)
		}
	}
}
