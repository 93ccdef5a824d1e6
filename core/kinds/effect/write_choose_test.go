package effect_test

import (
	"strings"
	"testing"

	"ambergate/core/cond"
	"ambergate/core/kinds/element"
	"ambergate/core/press"
	"ambergate/core/stand"
)

const speeds = `"options":{"o_1":{"pos":1,"value":"1.5","words":"slow"},"o_2":{"pos":2,"value":"5","words":"full"}}`

func choosing(t *testing.T, tag, options string) *stand.Stand {
	t.Helper()
	return stand.New(t, `[{"op":"add","path":"/s_drive/elements/e_choose","value":{"kind":"button","pos":9,"cell":{"row":9,"col":1,"w":4},"words":"Speed","gate":{"cases":{"c_1":{"pos":1,"do":{"d_1":{"kind":"write","pos":1,"tag":"`+tag+`","how":"choose",`+options+`}}}}}}}]`)
}

// One of several values is written, whichever is pressed; the one that is read back is in force, and no other.
func TestOneOfSeveralValuesIsWritten(t *testing.T) {
	s := choosing(t, "record.equip.q_drive.g_set", speeds)
	if len(s.App.Problems) != 0 {
		t.Fatalf("%+v", s.App.Problems)
	}
	inForce := func() (on string, state string) {
		e := stand.Element(t, s.MustOpen(t, s.Mira, "drive?lift=1").View(), "e_choose")
		for _, c := range e.View.(*element.ButtonView).Choices {
			if c.On {
				on += c.Words
			}
		}
		return on, string(e.State)
	}
	for _, tc := range []struct {
		now   cond.Value
		on    string
		state string
	}{{cond.Float(5), "full", "shown"}, {cond.Float(1.5), "slow", "shown"}, {cond.Float(3), "", "shown"}, {cond.UnknownBecause("away"), "", "greyed"}} {
		s.Tags["UT.set"] = tc.now
		if on, state := inForce(); on != tc.on || state != tc.state {
			t.Errorf("%v: %q is in force, and it is %s", tc.now, on, state)
		}
	}
	s.Tags["UT.set"] = cond.Float(3)
	out, err := stand.Press(t, s.MustOpen(t, s.Mira, "drive?lift=1"), s, press.Press{Element: "e_choose", Option: "o_2"})
	if err != nil || len(out.Writes) != 1 || out.Writes[0].Value.Wire() != "5" {
		t.Errorf("%+v %v", out, err)
	}
	for _, option := range []string{"", "o_9"} {
		if out, err := stand.Press(t, s.MustOpen(t, s.Mira, "drive?lift=1"), s, press.Press{Element: "e_choose", Option: option}); err == nil || len(out.Writes) != 0 {
			t.Errorf("%q: %+v", option, out)
		}
	}
}

func TestValuesToChooseFitTheirTag(t *testing.T) {
	s := choosing(t, "record.equip.q_drive.g_set", strings.Replace(speeds, `"5"`, `"fast"`, 1))
	if len(s.App.Problems) != 1 || !strings.Contains(s.App.Problems[0].Problem.Message, "does not take “fast”") {
		t.Errorf("%+v", s.App.Problems)
	}
	s = choosing(t, "record.equip.q_drive.g_set", strings.Replace(speeds, `"5"`, `"90"`, 1))
	s.Tags["UT.set"] = cond.Float(3)
	if out, err := stand.Press(t, s.MustOpen(t, s.Mira, "drive?lift=1"), s, press.Press{Element: "e_choose", Option: "o_2"}); err == nil || len(out.Writes) != 0 {
		t.Errorf("outside the range: %+v", out)
	}
}
