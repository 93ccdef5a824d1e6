package element_test

import (
	"strings"
	"testing"

	"ambergate/core/cond"
	"ambergate/core/kinds/element"
	"ambergate/core/press"
	"ambergate/core/stand"
)

const (
	toCabin  = `"opened":{"cases":{"c_1":{"pos":1,"move":{"kind":"screen","target":"s_cabin","bind":{"i_c":{"rule":"row"}}}}}}`
	narrowed = `"opened":{"cases":{"c_1":{"pos":1,"move":{"kind":"screen","target":"s_board","bind":{"i_cabin":{"rule":"row"}}}}}}`
)

// placed is the ropeway with numbers that say where its cabins lie, and a site plan of them on the board.
func placed(t *testing.T, parts string) *stand.Stand {
	t.Helper()
	number := func(id string) string {
		return `{"op":"add","path":"/t_cabins/fields/f_` + id + `","value":{"pos":20,"column":"` + id + `","alias":"` + id + `","label":"` + id + `","type":"number","nullable":true}}`
	}
	s := stand.New(t, `[`+number("x")+`,`+number("y")+`,{"op":"add","path":"/p_plan","value":{"kind":"picture","name":"Plan","words":"the top station","digest":"`+strings.Repeat("0f", 32)+`"}},
	 {"op":"add","path":"/s_board/inputs","value":{"i_cabin":{"pos":1,"alias":"cabin","label":"Cabin","type":"record","table":"t_cabins","filter":"f_cabin"}}},
	 {"op":"add","path":"/s_board/elements/e_site","value":{"kind":"sitePlan","pos":30,"cell":{"row":30,"col":1,"w":6},"label":"Cabins","picture":"p_plan","table":"t_cabins","across":"f_x","down":"f_y",`+parts+`}}]`)
	for key, at := range map[string][2]float64{"7": {50, 20}, "8": {150, 20}} {
		s.Data.Rows["t_cabins"][key]["f_x"], s.Data.Rows["t_cabins"][key]["f_y"] = cond.Float(at[0]), cond.Float(at[1])
	}
	return s
}

func planOf(t *testing.T, s *stand.Stand, address string) *element.SitePlanView {
	t.Helper()
	return stand.Element(t, s.MustOpen(t, s.Mira, address).View(), "e_site").View.(*element.SitePlanView)
}

func TestRecordsLieWhereTheirNumbersSay(t *testing.T) {
	s := placed(t, toCabin)
	v := planOf(t, s, "board")
	if len(v.Points) != 1 || v.Off != 1 || v.Words != "the top station" {
		t.Fatalf("%+v", v)
	}
	if p := v.Points[0]; p.ID != "7" || p.X != 50 || p.Y != 20 || p.Words != "007" || !p.Open || p.Href == "" {
		t.Errorf("%+v", p)
	}
	// Other edges: 0 to 200 from the left, and downwards from 40 to 0.
	v = planOf(t, placed(t, `"right":200,"top":40,"bottom":0,`+toCabin), "board")
	if len(v.Points) != 2 || v.Points[0].X != 25 || v.Points[0].Y != 50 || v.Points[1].X != 75 || v.Off != 0 {
		t.Errorf("%+v", v)
	}
	out, err := stand.Press(t, s.MustOpen(t, s.Mira, "board"), s, press.Press{Element: "e_site", Trigger: "row", Row: "7"})
	if err != nil || out.To == nil || out.To.Screen != "s_cabin" || out.To.Inputs["i_c"] != "7" {
		t.Errorf("%+v %v", out, err)
	}
}

func TestAPointNarrowsItsScreenAndPressedAgainShowsAll(t *testing.T) {
	s := placed(t, `"right":200,`+narrowed)
	if v := planOf(t, s, "board"); !v.Again || v.Points[0].Chosen || v.Points[1].Chosen {
		t.Errorf("%+v", v)
	}
	out, err := stand.Press(t, s.MustOpen(t, s.Mira, "board"), s, press.Press{Element: "e_site", Trigger: "row", Row: "8"})
	if err != nil || out.To == nil || out.To.Inputs["i_cabin"] != "8" {
		t.Fatalf("%+v %v", out, err)
	}
	if v := planOf(t, s, "board?cabin=8"); len(v.Points) != 2 || v.Points[0].Chosen || !v.Points[1].Chosen {
		t.Errorf("%+v", v)
	}
	out, err = stand.Press(t, s.MustOpen(t, s.Mira, "board?cabin=8"), s, press.Press{Element: "e_site", Trigger: "row", Row: "8"})
	if err != nil || out.To == nil || out.To.Inputs["i_cabin"] != "" {
		t.Errorf("pressed again: %+v %v", out, err)
	}
}

// A list whose rows lead to the very screen that it stands on takes nothing back.
func TestARowThatIsOpenedAgainStaysOpen(t *testing.T) {
	s := stand.New(t, `[{"op":"add","path":"/s_cabin/elements/e_others","value":{"kind":"list","pos":30,"cell":{"row":30,"col":1,"w":6},"table":"t_cabins","columns":{"k_1":{"pos":1,"path":"f_no"}},`+toCabin+`}}]`)
	out, err := stand.Press(t, s.MustOpen(t, s.Mira, "cabin?cabin=7"), s, press.Press{Element: "e_others", Trigger: "row", Row: "7"})
	if err != nil || out.To != nil && out.To.Inputs["i_c"] != "7" {
		t.Errorf("%+v %v", out, err)
	}
}

func TestPointsAndRowsShowTheFirstFaceThatHolds(t *testing.T) {
	faces := `"faces":{"q_1":{"pos":1,"when":"row.f_state == \"on hold\"","tone":"stop","words":"on hold"},"q_2":{"pos":2,"tone":"good","words":"as it should be"}}`
	s := placed(t, `"right":200,`+faces)
	v := planOf(t, s, "board")
	if a, b := v.Points[0].Face, v.Points[1].Face; a == nil || a.Tone != "good" || a.Words != "as it should be" || b == nil || b.Tone != "stop" {
		t.Errorf("%+v %+v", a, b)
	}
	s = stand.New(t, `[{"op":"add","path":"/s_board/elements/e_cabins","value":{"kind":"list","pos":30,"cell":{"row":30,"col":1,"w":6},"table":"t_cabins","columns":{"k_1":{"pos":1,"path":"f_no"}},`+faces+`}}]`)
	rows := stand.Element(t, s.MustOpen(t, s.Mira, "board").View(), "e_cabins").View.(*element.ListView).Rows
	if rows[0].Face == nil || rows[0].Face.Tone != "good" || rows[1].Face == nil || rows[1].Face.Words != "on hold" {
		t.Errorf("%+v", rows)
	}
	// What is not known shows no face, and not the next one.
	s.Data.Rows["t_cabins"]["7"]["f_state"] = cond.UnknownBecause("not visible to you")
	rows = stand.Element(t, s.MustOpen(t, s.Mira, "board").View(), "e_cabins").View.(*element.ListView).Rows
	if rows[0].Face != nil {
		t.Errorf("%+v", rows[0].Face)
	}
}

func TestAFixedMarkIsAWayOfItsOwn(t *testing.T) {
	s := placed(t, toCabin+`,"marks":{"m_1":{"pos":1,"x":10,"y":90,"words":"Depot","gate":{"cases":{"c_1":{"pos":1,"move":{"kind":"screen","target":"s_list"}}}}},"m_2":{"pos":2,"x":20,"y":90,"words":"North"}}`)
	v := planOf(t, s, "board")
	if p := v.Points[0]; !p.Mark || p.Words != "Depot" || !p.Open || v.Points[1].Open {
		t.Errorf("%+v", v.Points)
	}
	out, err := stand.Press(t, s.MustOpen(t, s.Mira, "board"), s, press.Press{Element: "e_site", Trigger: "mark.m_1"})
	if err != nil || out.To == nil || out.To.Screen != "s_list" {
		t.Errorf("%+v %v", out, err)
	}
	if _, err := stand.Press(t, s.MustOpen(t, s.Mira, "board"), s, press.Press{Element: "e_site", Trigger: "mark.m_2"}); stand.Code(err) == "" {
		t.Error("a mark without a way is pressed")
	}
}

func TestWithoutAPictureTheyLieOnPlainGround(t *testing.T) {
	s := placed(t, toCabin)
	delete(s.App.Project.Pictures, "p_plan")
	if v := planOf(t, s, "board"); v.Digest != "" || v.Words != "the picture is gone" || len(v.Points) != 1 {
		t.Errorf("of a picture that is gone: %+v", v)
	}
	s.App.Project.Screens["s_board"].Elements["e_site"].Spec.(*element.SitePlan).Picture = ""
	if v := planOf(t, s, "board"); v.Digest != "" || v.Words != "" || len(v.Points) != 1 {
		t.Errorf("without one: %+v", v)
	}
}

func TestASitePlanSaysWhatIsWrong(t *testing.T) {
	s := placed(t, toCabin)
	for changes, want := range map[string]string{`"across":"f_gone"`: "gone", `"across":"f_no"`: "no number"} {
		s := stand.New(t, `[{"op":"add","path":"/p_plan","value":{"kind":"picture","name":"Plan","digest":"`+strings.Repeat("0f", 32)+`"}},{"op":"add","path":"/s_board/elements/e_site","value":{"kind":"sitePlan","pos":30,"cell":{"row":30,"col":1,"w":6},"picture":"p_plan","table":"t_cabins","down":"f_id",`+changes+`}}]`)
		if len(s.App.Problems) == 0 || !strings.Contains(s.App.Problems[0].Problem.Message, want) {
			t.Errorf("%s: %+v", changes, s.App.Problems)
		}
		if v := planOf(t, s, "board"); v.Refused == "" || len(v.Points) > 0 {
			t.Errorf("%s: %+v", changes, v)
		}
	}
	if main := s.App.Project.Screens["s_board"].MainList(); main != nil && main.ID == "e_site" {
		t.Error("what a place is filtered by is meant for a site plan")
	}
	same := 100.0
	for wrong, spec := range map[string]element.SitePlan{"needs a picture, or records": {}, "two numbers": {Picture: "p", Table: "t_cabins"}, "different numbers": {Picture: "p", Left: &same}, "needs words": {Picture: "p", Marks: map[string]*element.SiteMark{"m": {}}}, "tone": {Picture: "p", Faces: map[string]*element.RowFace{"q": {Tone: "pink"}}}} {
		if err := spec.Validate(); err == nil || !strings.Contains(err.Error(), wrong) {
			t.Errorf("%s: %v", wrong, err)
		}
	}
}
