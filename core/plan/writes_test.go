package plan_test

import (
	"testing"

	"ambergate/core/stand"
)

// Judged by what is set off: another way of the same element that writes does not count.
func TestWhatWritesIsToldByTrigger(t *testing.T) {
	s := stand.New(t, `[{"op":"add","path":"/s_list/elements/e_list/menu","value":{"m_close":{"pos":1,"words":"Close","gate":`+stand.Does(`"kind":"set","fields":{"f_state":"\"closed\""}`)+`},"m_open":{"pos":2,"words":"Open","gate":{"cases":{"c_1":{"pos":1,"move":{"kind":"screen","target":"s_board"}}}}}}}]`)
	for trigger, writes := range map[string]bool{"": false, "row": false, "menu.m_open": false, "menu.m_close": true, "menu.gone": false, "keepRow": false} {
		if got := s.App.Writes("s_list", "e_list", trigger); got != writes {
			t.Errorf("%q writes: %v", trigger, got)
		}
	}
	inPlace := stand.New(t, `[{"op":"add","path":"/s_list/elements/e_list/inPlace","value":true}]`).App
	if !inPlace.Writes("s_list", "e_list", "keepRow") || inPlace.Writes("s_list", "e_list", "") {
		t.Error("a row that is edited where it stands")
	}
	if s.App.Writes("s_list", "e_gone", "") || s.App.Writes("s_gone", "e_list", "") {
		t.Error("what is not there writes")
	}
}
