package effect_test

import (
	"strings"
	"testing"

	"ambergate/core/press"
	"ambergate/core/project"
	"ambergate/core/stand"
)

// setTag gives the tag of the ropeway that the write effect sets.
func setTag(t *testing.T, s *stand.Stand) *project.Tag {
	t.Helper()
	for _, e := range s.App.Project.Equipment {
		for _, part := range e.Parts {
			if tag := part.Tags["g_set"]; tag != nil {
				return tag
			}
		}
	}
	t.Fatal("the ropeway has no tag to set")
	return nil
}

// A value beyond a tag's range is refused with the range, before anything is sent.
func TestAValueBeyondItsRangeIsRefusedWithTheRange(t *testing.T) {
	limit := func(v float64) *float64 { return &v }
	for want, tag := range map[string]project.Tag{
		"must be from 0 to 6 m/s.": {Min: limit(0), Max: limit(6), Unit: "m/s"},
		"must be at least 20.":     {Min: limit(20)},
		"must be at most 6.5.":     {Max: limit(6.5)},
		"":                         {Min: limit(0), Max: limit(9), Unit: "m/s"},
	} {
		s := stand.New(t, stand.WiredTo("s_drive", stand.Does(`"kind":"write","tag":"record.equip.q_drive.g_set","value":"9.0"`)))
		set := setTag(t, s)
		set.Min, set.Max, set.Unit = tag.Min, tag.Max, tag.Unit
		out, err := stand.Press(t, s.MustOpen(t, s.Mira, "drive?lift=1"), s, press.Press{Element: "e_try"})
		if want == "" {
			if err != nil || len(out.Writes) != 1 || out.Writes[0].Value.Wire() != "9" {
				t.Errorf("within its range: %+v %v", out.Writes, err)
			}
			continue
		}
		if stand.Code(err) != "bad-value" || !strings.Contains(err.Error(), want) || len(out.Writes) > 0 {
			t.Errorf("%v, want %q", err, want)
		}
	}
}
