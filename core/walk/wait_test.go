package walk_test

import (
	"strings"
	"testing"
)

const (
	wait     = `{"does":"wait","seconds":30}`
	atBoard  = `{"does":"claim","is":"at","screen":"s_board"}`
	atChart  = `{"does":"claim","is":"at","screen":"s_chart"}`
	atDrive  = `{"does":"claim","is":"at","screen":"s_drive","inputs":{"i_l":{"title":"Upper Tarn"}}}`
	toChart  = `{"does":"open","screen":"s_chart"}`
	stands   = `{"does":"plant","plant":{"so_p/UT.running":false}}`
	lefDrive = `{"op":"add","path":"/cu_stop","value":{"kind":"callUp","pos":1,"name":"Line stands","table":"t_lifts","while":"!record.equip.q_drive.g_run","for":5,"screen":"s_drive","input":"i_l","not":{"s_chart":true}}}`
)

func after(since string) string {
	return `[{"op":"add","path":"/s_chart/ways","value":{"w_t":{"pos":1,"trigger":"time","after":60,"since":"` + since + `","gate":{"cases":{"c_1":{"pos":1,"move":{"kind":"screen","target":"s_list"}}}}}}}]`
}

func TestTimeOnAScreenSetsOffWhatItShould(t *testing.T) {
	kept(t, gone(t, after("arrival"), strings.Join([]string{toChart, wait, atChart, wait, atList, wait, atList}, ",")), 7)
	// What is touched begins to count anew, where it counts from the last touch.
	find := `{"does":"look","screen":"s_chart"}`
	kept(t, gone(t, after("touch"), strings.Join([]string{toChart, wait, find, wait, atChart, wait, atList}, ",")), 7)
}

func TestWhoDoesNothingGoesBackToTheStartAndForgetsWhatWasTyped(t *testing.T) {
	idle := `[{"op":"add","path":"/r_tech/idle","value":60}]`
	edit := `{"does":"open","screen":"s_defect","mode":"edit","inputs":{"i_d":{"title":"D-1"}}}`
	typed := `{"does":"type","values":{"f_hours":"2"}}`
	kept(t, gone(t, idle, strings.Join([]string{edit, typed, wait, `{"does":"claim","is":"at","screen":"s_defect","mode":"edit"}`, wait, atBoard, wait, atBoard}, ",")), 8)
	kept(t, gone(t, "", strings.Join([]string{edit, typed, wait, wait, wait, `{"does":"claim","is":"at","screen":"s_defect"}`}, ",")), 6)
}

func TestARoundGoesOn(t *testing.T) {
	round := `[{"op":"add","path":"/r_vis/round","value":{"st_1":{"pos":1,"screen":"s_board","stay":20},"st_2":{"pos":2,"screen":"s_chart","stay":40}}}]`
	who := `{"name":"Hall","roles":{"r_vis":true}}`
	kept(t, goneBy(t, round, who, strings.Join([]string{atBoard, wait, atChart, wait, atBoard, wait, atChart}, ",")), 7)
}

func TestThePlantCallsAScreenUp(t *testing.T) {
	changes := "[" + lefDrive + "]"
	seconds := `{"does":"wait","seconds":5}`
	edit := `{"does":"open","screen":"s_defect","mode":"edit","inputs":{"i_d":{"title":"D-1"}}}`
	kept(t, gone(t, changes, strings.Join([]string{edit, seconds, stands, `{"does":"wait","seconds":4}`, `{"does":"claim","is":"at","screen":"s_defect"}`, seconds, atDrive, seconds, atDrive, back, `{"does":"claim","is":"at","screen":"s_defect","mode":"edit"}`, wait, `{"does":"claim","is":"at","screen":"s_defect"}`}, ",")), 13)
	kept(t, gone(t, changes, strings.Join([]string{toChart, stands, wait, atChart}, ",")), 4) // from there it does not come
}

func TestAnAddressIsRefused(t *testing.T) {
	held := `{"does":"open","screen":"s_cabin","is":"refused","inputs":{"i_c":{"title":"008"}}`
	kept(t, gone(t, "", held+`},`+atBoard), 2)
	breaks(t, gone(t, "", held+`,"words":"because of the weather"}`), "w_001", "that it is refused: because of the weather", "", "")
	r := gone(t, "", `{"does":"open","screen":"s_cabin","is":"refused","inputs":{"i_c":{"title":"007"}}}`)
	if r.Differs == nil || r.Differs.Found != "it is open" || r.Differs.Now == nil || r.Differs.Now.Is != "" {
		t.Errorf("%+v", r.Differs)
	}
}

func TestAListIsNarrowedAndOrdered(t *testing.T) {
	list := `{"does":"open","screen":"s_list"}`
	rows := func(n string) string { return `{"does":"claim","is":"rows","element":"e_list","count":` + n + `}` }
	kept(t, gone(t, "", strings.Join([]string{
		list, rows("3"), `{"does":"look","filters":{"f_1":{"pos":1,"path":"f_state","compare":"is","value":"open"}}}`, rows("2"),
		`{"does":"look","filters":{"f_1":{"pos":1,"path":"f_state","compare":"is","value":"open"}},"sort":{"o_1":{"pos":1,"path":"f_code","desc":true}}}`, rows("2"),
		`{"does":"look"}`, rows("3"), back, rows("2"),
	}, ",")), 10)
}

func TestARecordIsNamedByACondition(t *testing.T) {
	open := func(where string) string {
		return `{"does":"open","screen":"s_defect","inputs":{"i_d":{"where":"` + where + `"}}}`
	}
	kept(t, gone(t, "", open(`record.f_state == \"closed\"`)+`,{"does":"claim","is":"at","screen":"s_defect","words":"Defect D-2"}`), 2)
	breaks(t, gone(t, "", open(`record.f_state == \"gone\"`)), "w_001", "a defect of which state is “gone”", "none such that Mira may see", "")
	breaks(t, gone(t, "", open(`record.f_nothing == 1`)), "w_001", "", "which cannot be read", "")
	// What one may not see is not found by it either.
	breaks(t, gone(t, "", `{"does":"open","screen":"s_list","inputs":{"i_by":{"where":"record.f_phone == \"210\""}}}`), "w_001", "", "You may not view what these records are chosen by", "")
}
