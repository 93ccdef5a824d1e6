package effect_test

import (
	"strings"
	"testing"

	"ambergate/core/cond"
	"ambergate/core/kinds/element"
	"ambergate/core/press"
	"ambergate/core/stand"
)

// follows wires the button of the drive room to what follows from a tag of the ropeway.
func follows(t *testing.T, does string) *stand.Stand {
	t.Helper()
	return stand.New(t, stand.WiredTo("s_drive", stand.Does(`"kind":"write",`+does)))
}

const setPath = `"tag":"record.equip.q_drive.g_set",`

// A number goes up and down by so much from what is read back, and stops at the ends of its range, where the button says so.
func TestANumberGoesUpAndDownWithinItsRange(t *testing.T) {
	limit := func(v float64) *float64 { return &v }
	for _, tc := range []struct {
		does string
		at   float64
		want string
	}{
		{`"how":"up","value":"0.1"`, 4.7, "4.8"},
		{`"how":"down","value":"0.5"`, 4.7, "4.2"},
		{`"how":"up","value":"0.5"`, 5.8, "6"},
		{`"how":"up","value":"0.5"`, 6, "at its most"},
		{`"how":"down","value":"0.5"`, 0, "at its least"},
	} {
		s := follows(t, setPath+tc.does)
		tag := setTag(t, s)
		tag.Min, tag.Max = limit(0), limit(6)
		s.Tags["UT.set"] = cond.Float(tc.at)
		o := s.MustOpen(t, s.Mira, "drive?lift=1")
		out, err := stand.Press(t, o, s, press.Press{Element: "e_try"})
		if strings.HasPrefix(tc.want, "at its") {
			if shown := stand.Element(t, o.View(), "e_try"); !strings.Contains(shown.Reason, tc.want) || stand.Code(err) != "greyed" {
				t.Errorf("%s at %g: %+v, %v", tc.does, tc.at, shown, err)
			}
			continue
		}
		if err != nil || len(out.Writes) != 1 || out.Writes[0].Value.Wire() != tc.want || out.Writes[0].From.Wire() != cond.Float(tc.at).Wire() {
			t.Errorf("%s at %g: %+v, %v", tc.does, tc.at, out.Writes, err)
		}
	}
}

// What is turned on and off shows what is read back; a press that saw it otherwise is refused, and one while a command
// is on its way, or nothing is known, cannot be made.
func TestWhatIsTurnedShowsWhatIsReadBack(t *testing.T) {
	s := follows(t, `"tag":"record.equip.q_drive.g_run","how":"turn"`)
	for _, tag := range s.App.Project.Equipment["eq_lift"].Parts["q_drive"].Tags {
		tag.Writable = true
	}
	look := func() (*element.ButtonView, string) {
		e := stand.Element(t, s.MustOpen(t, s.Mira, "drive?lift=1").View(), "e_try")
		return e.View.(*element.ButtonView), e.Reason
	}
	try := func(seen string) (press.Outcome, error) {
		return stand.Press(t, s.MustOpen(t, s.Mira, "drive?lift=1"), s, press.Press{Element: "e_try", Seen: seen})
	}
	s.Tags["UT.running"] = cond.Bool(true)
	if b, _ := look(); b.Turned != "on" {
		t.Errorf("drawn: %+v", b)
	}
	if out, err := try("on"); err != nil || out.Writes[0].Value.True() || !out.Writes[0].From.True() {
		t.Errorf("turned off: %+v, %v", out.Writes, err)
	}
	if _, err := try("off"); stand.Code(err) != "seen-otherwise" || !strings.Contains(err.Error(), "it is on now") {
		t.Errorf("it was seen off: %v", err)
	}
	delete(s.Tags, "UT.running")
	if b, why := look(); b.Turned != "unknown" || b.Tone != "unknown" || !strings.Contains(why, "not known") {
		t.Errorf("not known: %+v, %s", b, why)
	}
	if _, err := try("unknown"); stand.Code(err) != "greyed" {
		t.Errorf("what is not known is turned: %v", err)
	}
}

// A variable or a field that is set to its other is the same button with the same words.
func TestAVariableIsTurnedAsATagIs(t *testing.T) {
	s := stand.New(t, stand.WiredTo("s_board", stand.Does(`"kind":"setVar","variable":"v_dark","value":"!vars.v_dark"`),
		`{"op":"add","path":"/v_dark","value":{"kind":"variable","alias":"dark","label":"Dark","type":"yesno","start":"false"}}`))
	o := s.MustOpen(t, s.Mira, "board")
	if b := stand.Element(t, o.View(), "e_try").View.(*element.ButtonView); b.Turned != "off" {
		t.Errorf("drawn: %+v", b)
	}
	if out, err := stand.Press(t, o, s, press.Press{Element: "e_try", Seen: "off"}); err != nil || out.Vars["v_dark"] != "true" {
		t.Errorf("turned: %+v, %v", out.Vars, err)
	}
}
