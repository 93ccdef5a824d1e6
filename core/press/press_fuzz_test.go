package press_test

import (
	"context"
	"errors"
	"strings"
	"testing"

	"ambergate/core/ask"
	"ambergate/core/place"
	"ambergate/core/press"
	"ambergate/core/stand"
	"ambergate/core/use"
)

// Whatever a browser sends, a press comes to an outcome, a refusal or errors beside fields; and
// what its user may not change stays as it was.
func FuzzPress(f *testing.F) {
	f.Add("s_defect", "e_close", "", "1", "", "f_what", "x", "edit")
	f.Add("s_list", "e_list", "row", "2", "7", "", "", "view")
	f.Add("s_list", "e_list", "menu.m_close", "2", "7", "", "", "view")
	f.Add("s_chart", "e_chart", "point", "", "8", "f_state", "closed", "view")
	f.Add("s_board", "e_try", "release", "", "", "i_c", "7", "view")
	f.Add("s_board", "e_out", "release", "", "2026-11-02", "i_c", "../x", "view")
	f.Add("s_defect", "e_save", "", "", "", "f_hours", "1e9", "add")
	f.Add("s_defect", "e_put", "release/c_1", "", "8", "", "", "view")
	f.Add("s_board", "e_set", "release", "", "", "", "", "view")
	f.Add("s_board", "e_ask", "release", "", "", "i_it", "2", "view")
	f.Add("s_cabin", "e_last", "release", "", "", "", "", "view")
	f.Add("s_list", "e_list", "menu.m_open", "3", "", "", "", "view")
	f.Add("s_cabin", "e_new", "release", "", "", "", "", "view")
	f.Fuzz(func(t *testing.T, screen, element, trigger, row, point, field, value, mode string) {
		s := stand.New(t, stand.WiredTo("s_board", stand.One(`{"kind":"screen","target":"s_cabin","bind":{"i_c":{"rule":"picked","table":"t_cabins"}}}`), strings.Trim(stand.SharedGate, "[] \n"),
			`{"op":"add","path":"/s_board/elements/e_out","value":{"kind":"button","pos":9,"cell":{"row":9,"col":1,"w":1},"words":"Out","gate":`+stand.One(`{"kind":"address","address":"https://x.example/{+who}","with":{"who":"user.name"}}`)+`}}`,
			stand.Chooser, stand.Kept, stand.Over,
			`{"op":"add","path":"/s_board/elements/e_ask","value":{"kind":"button","pos":9,"cell":{"row":9,"col":3,"w":1},"words":"Ask","gate":{"use":"g_over","give":{"i_it":{"rule":"picked","table":"t_defects"}}}}}`,
			`{"op":"add","path":"/s_cabin/elements/e_last","value":{"kind":"button","pos":9,"cell":{"row":9,"col":3,"w":1},"words":"Last","gate":{"use":"g_over","give":{"i_it":{"rule":"child","table":"t_defects","path":"f_cabin","pick":"last","none":"grey"}}}}}`,
			`{"op":"add","path":"/s_cabin/elements/e_new","value":{"kind":"button","pos":9,"cell":{"row":9,"col":5,"w":1},"words":"New","gate":`+stand.Adding(stand.Door)+`}}`,
			`{"op":"add","path":"/s_defect/elements/e_put","value":{"kind":"button","pos":9,"cell":{"row":9,"col":1,"w":1},"words":"Put","gate":`+stand.Asks(`{"use":"g_put","give":{"i_it":{"rule":"result"}}}`)+`}}`,
			`{"op":"add","path":"/s_board/elements/e_set","value":{"kind":"button","pos":9,"cell":{"row":9,"col":1,"w":1},"words":"Set","gate":`+stand.Does(`"kind":"setVar","variable":"v_count","value":"vars.v_count + 1"`)+`}}`,
			`{"op":"add","path":"/s_list/elements/e_list/menu","value":{"m_close":{"pos":1,"words":"Close","gate":`+stand.Does(`"kind":"set","fields":{"f_state":"\"closed\""}`)+`},"m_open":{"pos":2,"words":"Open","gate":{"use":"g_over","give":{"i_it":{"rule":"row"}}}}}}`))
		place := place.Place{Screen: screen, Mode: mode, Spot: element + "/" + row, Vars: map[string]string{"v_lift": row, "v_count": value, "v_more": point}, Inputs: map[string]string{"i_d": "1", "i_c": "7", "i_l": "1"}}
		for _, user := range []*ask.User{s.Sela, s.Mira} {
			o, err := use.Open(context.Background(), s.App, user, place, s.Sources())
			if err != nil {
				var r *ask.Refusal
				if !errors.As(err, &r) || r.Code == "" {
					t.Fatalf("opening gives %v", err)
				}
				continue
			}
			p := press.Press{Element: element, Trigger: trigger, Picked: map[string]string{field: value}, Row: row, Point: point, Result: point, Confirmed: true, Values: map[string]string{field: value}}
			if _, err := press.Follow(context.Background(), o, p, s.Data); err != nil {
				var r *ask.Refusal
				var fields *ask.FieldErrors
				if !errors.As(err, &r) && !errors.As(err, &fields) {
					t.Fatalf("the press gives %v", err)
				}
			}
			if user == s.Sela && s.Data.Rows["t_defects"]["1"]["f_state"].Wire() != "open" {
				t.Fatal("somebody without the right changed a defect")
			}
		}
		if code := s.Data.Rows["t_defects"]["1"]["f_code"].Wire(); code != "D-1" {
			t.Fatalf("a field that no screen lets be edited is %q", code)
		}
	})
}
