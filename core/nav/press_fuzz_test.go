package nav

import (
	"context"
	"errors"
	"testing"
)

// Whatever a browser sends, a press comes to an outcome, a refusal or errors beside fields; and
// what its user may not change stays as it was.
func FuzzPress(f *testing.F) {
	f.Add("s_defect", "e_close", "1", "", "f_what", "x", "edit")
	f.Add("s_list", "e_list", "2", "7", "", "", "view")
	f.Add("s_chart", "e_chart", "", "8", "f_state", "closed", "view")
	f.Add("s_defect", "e_save", "", "", "f_hours", "1e9", "add")
	f.Fuzz(func(t *testing.T, screen, element, row, point, field, value, mode string) {
		s := newStand(t, "")
		place := Place{Screen: screen, Mode: mode, Inputs: map[string]string{"i_d": "1", "i_c": "7", "i_l": "1"}}
		for _, user := range []*User{s.sela, s.mira} {
			o, err := s.app.Open(context.Background(), user, place, s.sources())
			if err != nil {
				var r *Refusal
				if !errors.As(err, &r) || r.Code == "" {
					t.Fatalf("opening gives %v", err)
				}
				continue
			}
			p := Press{Element: element, Row: row, Point: point, Confirmed: true, Values: map[string]string{field: value}}
			if _, err := o.Follow(context.Background(), p, s.data); err != nil {
				var r *Refusal
				var fields *FieldErrors
				if !errors.As(err, &r) && !errors.As(err, &fields) {
					t.Fatalf("the press gives %v", err)
				}
			}
			if user == s.sela && s.data.data["t_defects"]["1"]["f_state"].Wire() != "open" {
				t.Fatal("somebody without the right changed a defect")
			}
		}
		if code := s.data.data["t_defects"]["1"]["f_code"].Wire(); code != "D-1" {
			t.Fatalf("a field that no screen lets be edited is %q", code)
		}
	})
}
