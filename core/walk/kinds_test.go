package walk_test

import (
	"strings"
	"testing"

	"ambergate/core/project"
	"ambergate/core/stand"
)

// tried is a walk over one kind of something: what the ropeway has more for it, and the steps.
type tried struct{ changes, steps string }

func steps(all ...string) string { return strings.Join(all, ",") }

const (
	atCabin7 = `{"does":"open","screen":"s_cabin","inputs":{"i_c":{"title":"007"}}}`
	tryIt    = `{"does":"press","element":"e_try"}`
	defects  = `{"does":"open","screen":"s_list"}`
	drive    = `{"does":"open","screen":"s_drive","inputs":{"i_l":{"title":"Upper Tarn"}}}`
	defect1  = `{"does":"open","screen":"s_defect","inputs":{"i_d":{"title":"D-1"}}}`
	isDefect = `{"does":"claim","is":"at","screen":"s_defect"`
	toList   = `{"cases":{"c_1":{"pos":1,"move":{"kind":"screen","target":"s_list"}}}}`
	toRow    = `{"cases":{"c_1":{"pos":1,"move":{"kind":"screen","target":"s_defect","bind":{"i_d":{"rule":"row"}}}}}}`
)

func added(path, value string) string {
	return `{"op":"add","path":"` + path + `","value":` + value + `}`
}

func rows(n string) string {
	return `{"does":"claim","is":"rows","element":"e_list","count":` + n + `}`
}

func pressOn(element, trigger string) string {
	return `{"does":"press","element":"` + element + `","trigger":"` + trigger + `"}`
}

func pressRow(trigger, title string) string {
	return `{"does":"press","element":"e_list","trigger":"` + trigger + `","row":{"title":"` + title + `"}}`
}

// list adds a part to the list of defects.
func list(part, value string) string {
	return "[" + added("/s_list/elements/e_list/"+part, value) + "]"
}

func wayOn(screen, way string) string {
	return "[" + added("/"+screen+"/ways", `{"w_x":`+way+`}`) + "]"
}

func TestAWalkGoesOverEachKindOfTrigger(t *testing.T) {
	picture := added("/p_plan", `{"kind":"picture","name":"Plan","words":"a plan","digest":"`+strings.Repeat("0f", 32)+`"}`)
	counted := added("/v_n", `{"kind":"variable","pos":1,"alias":"n","label":"N","type":"whole","start":"0"}`)
	more := `"do":{"d_1":{"kind":"setVar","pos":1,"variable":"v_n","value":"vars.v_n + 1"}}`
	all := map[string]tried{
		"release": {"", steps(mine, atList)},
		"press":   {"[" + added("/s_board/elements/e_x", `{"kind":"button","pos":9,"cell":{"row":9,"col":1,"w":2},"words":"X","trigger":"press","gate":`+toList+`}`) + "]", steps(pressOn("e_x", "press"), atList)},
		"down":    {"[" + added("/s_board/elements/e_x", `{"kind":"button","pos":9,"cell":{"row":9,"col":1,"w":2},"words":"X","down":`+toList+`,"gate":`+toList+`}`) + "]", steps(pressOn("e_x", "down"), atList)},
		"row":     {"", steps(mine, openD1, atD1)},
		"point":   {"", steps(toChart, `{"does":"press","element":"e_chart","point":"7"}`, atList, rows("2"))},
		"menu":    {list("menu", `{"m_1":{"pos":1,"words":"Look","gate":`+toRow+`}}`), steps(defects, pressRow("menu.m_1", "D-2"), isDefect+`,"words":"Defect D-2"}`)},
		"several": {list("several", `{"v_1":{"pos":1,"words":"Close","gate":`+stand.Does(`"kind":"set","fields":{"f_state":"\"closed\""}`)+`}}`), steps(defects, `{"does":"press","element":"e_list","trigger":"several.v_1","rows":{"r_1":{"title":"D-1"},"r_2":{"title":"D-3"}}}`,
			`{"does":"look","filters":{"f_1":{"pos":1,"path":"f_state","compare":"is","value":"closed"}}}`, rows("3"))},
		"keepRow": {"[" + added("/s_cabin/elements/e_list", `{"kind":"list","pos":10,"cell":{"row":2,"col":1,"w":12},"table":"t_defects","relation":"f_cabin","inPlace":true,"label":"Its defects","columns":{"k_1":{"pos":1,"path":"f_what"}}}`) + "]",
			steps(atCabin7, `{"does":"press","element":"e_list","trigger":"keepRow","row":{"title":"D-1"},"values":{"f_what":"Hinge"}}`, `{"does":"claim","is":"reads","element":"e_list","words":"Hinge"}`)},
		"changed": {"[" + added("/s_defect/elements/e_what/changed", toList) + "]", steps(`{"does":"open","screen":"s_defect","mode":"edit","inputs":{"i_d":{"title":"D-1"}}}`, `{"does":"press","element":"e_what","trigger":"changed","unsaved":"drop","values":{"f_what":"x"}}`, atList)},
		"link":    {"[" + added("/s_board/elements/e_x", `{"kind":"text","pos":9,"cell":{"row":9,"col":1,"w":6},"words":"[All](l_1)","links":{"l_1":{"pos":1,"gate":`+toList+`}}}`) + "]", steps(pressOn("e_x", "link.l_1"), atList)},
		"mark":    {"[" + picture + "," + added("/s_board/elements/e_x", `{"kind":"sitePlan","pos":9,"cell":{"row":9,"col":1,"w":6},"picture":"p_plan","marks":{"m_1":{"pos":1,"x":10,"y":10,"words":"Gate","gate":`+toList+`}}}`) + "]", steps(pressOn("e_x", "mark.m_1"), atList)},
		"tab":     {"[" + added("/s_board/elements/e_x", `{"kind":"tabs","pos":9,"cell":{"row":9,"col":1,"w":6},"tabs":{"b_1":{"pos":1,"label":"One"},"b_2":{"pos":2,"label":"Two","opened":`+toList+`}}}`) + "]", steps(pressOn("e_x", "tab.b_2"), atList)},
		"task":    {"[" + added("/s_board/elements/e_x", `{"kind":"tasks","pos":9,"cell":{"row":9,"col":1,"w":6},"words":"To do","items":{"i_1":{"pos":1,"words":"See all","gate":`+toList+`}}}`) + "]", steps(pressOn("e_x", "task.i_1"), atList)},
		"ended": {"[" + added("/cl_x", `{"kind":"clip","name":"Door","words":"the door","digest":"`+strings.Repeat("0e", 32)+`"}`) + "," + added("/s_board/elements/e_x", `{"kind":"clip","pos":9,"cell":{"row":9,"col":1,"w":6},"clip":"cl_x","ended":`+toList+`}`) + "]",
			steps(pressOn("e_x", "ended"), atList)},
		"keys":    {wayOn("s_board", `{"pos":1,"trigger":"keys","keys":"Ctrl+E","gate":`+toList+`}`), steps(pressOn("w_x", "keys"), atList)},
		"swipe":   {wayOn("s_board", `{"pos":1,"trigger":"swipe","side":"left","gate":`+toList+`}`), steps(pressOn("w_x", "swipe"), atList)},
		"entered": {wayOn("s_chart", `{"pos":1,"trigger":"entered","gate":`+toList+`}`), steps(toChart, atList)},
		"time":    {wayOn("s_chart", `{"pos":1,"trigger":"time","after":20,"gate":`+toList+`}`), steps(toChart, wait, atList)},
		"left": {"[" + counted + "," + added("/s_chart/ways", `{"w_x":{"pos":1,"trigger":"left","gate":{"cases":{"c_1":{"pos":1,`+more+`}}}}}`) + "," + added("/s_board/elements/e_x", `{"kind":"text","pos":9,"cell":{"row":9,"col":1,"w":6},"words":"left {vars.v_n} times"}`) + "]",
			steps(toChart, back, `{"does":"claim","is":"reads","element":"e_x","words":"left 1 times"}`)},
	}
	over(t, "trigger", project.Triggers.Names(), all)
}

// over goes a walk for each name of a registry, and fails for one that has none.
func over(t *testing.T, what string, names []string, all map[string]tried) {
	t.Helper()
	for _, name := range names {
		one, has := all[name]
		if !has {
			t.Errorf("no walk goes over the %s %q: add one", what, name)
			continue
		}
		t.Run(name, func(t *testing.T) {
			r := gone(t, one.changes, one.steps)
			if r.Differs != nil {
				t.Errorf("at “%s”: expected %s, found %s %s", r.Differs.Words, r.Differs.Expected, r.Differs.Found, r.Differs.Why)
			}
		})
	}
	for name := range all {
		found := false
		for _, n := range names {
			found = found || n == name
		}
		if !found {
			t.Errorf("there is no %s %q", what, name)
		}
	}
}

func TestAWalkGoesOverEachKindOfEffect(t *testing.T) {
	try := func(screen string, effects ...string) string { return stand.WiredTo(screen, stand.Does(effects...)) }
	narrowed := steps(defects, tryIt, rows("2"))
	variable := added("/v_n", `{"kind":"variable","pos":1,"alias":"n","label":"N","type":"whole","start":"0"}`)
	shows := added("/s_board/elements/e_x", `{"kind":"text","pos":9,"cell":{"row":9,"col":1,"w":6},"words":"it is {vars.v_n}"}`)
	editing := added("/s_cabin/elements/e_list", `{"kind":"list","pos":10,"cell":{"row":2,"col":1,"w":12},"table":"t_defects","relation":"f_cabin","inPlace":true,"label":"Its defects","columns":{"k_1":{"pos":1,"path":"f_what"}}}`)
	tabs := added("/s_board/elements/e_x", `{"kind":"tabs","pos":9,"cell":{"row":9,"col":1,"w":6},"tabs":{"b_1":{"pos":1,"label":"One"},"b_2":{"pos":2,"label":"Two"}}}`)
	under := added("/s_board/elements/e_mine/tab", `"e_x.b_2"`)
	rail := added("/ra_x", `{"kind":"rail","pos":1,"name":"More","edge":"left","placed":{},"drawer":{"pull":true}}`)
	may := `{"op":"add","path":"/gr_1/delete","value":true}`
	all := map[string]tried{
		"set":     {"", steps(defect1, `{"does":"press","element":"e_close","yes":true}`, defect1, `{"does":"claim","is":"greyed","element":"e_close","words":"It is closed."}`)},
		"save":    {"", steps(`{"does":"open","screen":"s_defect","mode":"edit","inputs":{"i_d":{"title":"D-1"}}}`, `{"does":"type","values":{"f_what":"Hinge"}}`, `{"does":"press","element":"e_save"}`, `{"does":"claim","is":"reads","element":"e_what","words":"Hinge"}`)},
		"add":     {stand.WiredTo("s_cabin", stand.Adding(stand.Door)), steps(atCabin7, tryIt, isDefect+`,"mode":"edit","words":"Defect D-007"}`)},
		"delete":  {try("s_defect", `"kind":"delete"`)[:len(try("s_defect", `"kind":"delete"`))-1] + "," + may + "]", steps(defect1, `{"does":"press","element":"e_try","yes":true}`, defects, rows("2"))},
		"addRow":  {"[" + editing + "," + try("s_cabin", `"kind":"addRow","list":"e_list"`)[1:], steps(atCabin7, tryIt, atCabin)},
		"filter":  {try("s_list", `"kind":"filter","path":"f_state","compare":"is","value":"\"open\""`), narrowed},
		"clear":   {try("s_list", `"kind":"clear"`), steps(defects, `{"does":"look","filters":{"f_1":{"pos":1,"path":"f_state","compare":"is","value":"open"}}}`, rows("2"), tryIt, rows("3"))},
		"find":    {try("s_list", `"kind":"find","words":"\"D-1\""`), steps(defects, tryIt, rows("1"))},
		"sort":    {try("s_list", `"kind":"sort","path":"f_code","desc":true`), steps(defects, tryIt, rows("3"), back, rows("3"))},
		"refresh": {try("s_list", `"kind":"refresh"`), steps(defects, tryIt, rows("3"))},
		"export":  {try("s_list", `"kind":"export","list":"e_list"`), steps(defects, tryIt, atList)},
		"print":   {try("s_list", `"kind":"print"`), steps(defects, tryIt, atList)},
		"tab":     {"[" + tabs + "," + under + "," + try("s_board", `"kind":"tab","block":"e_x","tab":"b_2"`)[1:], steps(tryIt, `{"does":"claim","is":"open","element":"e_mine"}`)},
		"setVar":  {"[" + variable + "," + shows + "," + try("s_board", `"kind":"setVar","variable":"v_n","value":"vars.v_n + 2"`)[1:], steps(tryIt, tryIt, `{"does":"claim","is":"reads","element":"e_x","words":"it is 4"}`)},
		"drawer":  {"[" + rail + "," + try("s_board", `"kind":"drawer","rail":"ra_x","how":"open"`)[1:], steps(tryIt, atBoard)},
		"write":   {"", steps(drive, `{"does":"press","element":"e_faster"}`, atDrive)},
	}
	over(t, "effect", project.Effects.Names(), all)
}

func TestAWalkGoesOverEachKindOfMove(t *testing.T) {
	try := func(screen, move string) string { return stand.WiredTo(screen, stand.One(move)) }
	rail := added("/ra_x", `{"kind":"rail","pos":1,"name":"Along","edge":"left","placed":{},"elements":{"e_1":{"kind":"button","pos":1,"cell":{"row":1,"col":1,"w":12},"words":"Board","gate":`+stand.One(`{"kind":"screen","target":"s_board"}`)+`},"e_2":{"kind":"button","pos":2,"cell":{"row":2,"col":1,"w":12},"words":"Chart","gate":`+stand.One(`{"kind":"screen","target":"s_chart"}`)+`}}}`)
	guide := added("/s_guide", `{"kind":"screen","type":"form","title":"Guide","slug":"guide","record":"i_d","inputs":{"i_d":{"pos":1,"alias":"defect","label":"Defect","type":"record","table":"t_defects","required":true}},"elements":{
	 "e_steps":{"kind":"steps","pos":1,"cell":{"row":1,"col":1,"w":12},"label":"Report","steps":{"t_1":{"pos":1,"label":"One"},"t_2":{"pos":2,"label":"Two"}}},
	 "e_what":{"kind":"field","pos":2,"cell":{"row":2,"col":1,"w":4},"path":"f_what","tab":"e_steps.t_1"},"e_hours":{"kind":"field","pos":3,"cell":{"row":2,"col":1,"w":4},"path":"f_hours","tab":"e_steps.t_2"},
	 "e_next":{"kind":"button","pos":7,"cell":{"row":4,"col":3,"w":2},"words":"Next","gate":`+stand.One(`{"kind":"task","to":"next"}`)+`},"e_leave":{"kind":"button","pos":8,"cell":{"row":4,"col":1,"w":2},"words":"Leave","gate":`+stand.One(`{"kind":"task","to":"leave"}`)+`}}}`)
	all := map[string]tried{
		"screen":  {"", steps(mine, atList)},
		"back":    {"", steps(defects, defect1, `{"does":"press","element":"e_close","yes":true}`, atList)},
		"forward": {try("s_board", `{"kind":"forward"}`), steps(mine, back, atBoard, tryIt, atList)},
		"home":    {"", steps(drive, stands, `{"does":"press","element":"e_idle"}`, atBoard)},
		"up":      {try("s_defect", `{"kind":"up"}`), steps(defect1, tryIt, atList)},
		"out":     {try("s_board", `{"kind":"out"}`), steps(tryIt)},
		"close":   {"[" + stand.Chooser + "," + try("s_board", `{"kind":"screen","target":"s_choose","as":"dialog"}`)[1:], steps(tryIt, `{"does":"claim","is":"at","screen":"s_choose"}`, `{"does":"press","element":"e_plain"}`, atBoard)},
		"step":    {try("s_defect", `{"kind":"step","step":"next"}`), steps(defects, openD1, tryIt, isDefect+`,"words":"Defect D-2"}`, `{"does":"press","element":"e_try"}`, isDefect+`,"words":"Defect D-3"}`)},
		"along":   {"[" + rail + "," + try("s_board", `{"kind":"along","step":"next","rail":"ra_x"}`)[1:], steps(tryIt, atChart)},
		"choice":  {try("s_defect", `{"kind":"choice","by":"record.f_state","among":{"q_1":{"pos":1,"is":"open","target":"s_chart"},"q_2":{"pos":2,"target":"s_board"}}}`), steps(defect1, tryIt, atChart)},
		"address": {try("s_defect", `{"kind":"address","address":"https://parts.example/find/{code}","with":{"code":"record.f_code"}}`), steps(defect1, tryIt, `{"does":"claim","is":"left","words":"parts.example/find/D-1"}`)},
		"project": {try("s_board", `{"kind":"project","project":"other","entry":"x"}`), steps(`{"does":"claim","is":"greyed","element":"e_try"}`)},
		"task":    {"[" + guide + "]", steps(defects, `{"does":"open","screen":"s_guide","mode":"add"}`, `{"does":"type","values":{"f_what":"Hinge"}}`, `{"does":"press","element":"e_next"}`, `{"does":"claim","is":"open","element":"e_hours"}`, `{"does":"press","element":"e_leave","unsaved":"drop"}`, atList)},
	}
	over(t, "move", project.Moves.Names(), all)
	for as, want := range map[string]string{"full": back + "," + atCabin, "dialog": back + "," + atCabin, "drawer": back + "," + atCabin, "replace": back + "," + atBoard, "tab": back} {
		to := atList
		if as == "tab" { // the new tab goes its own way
			to = atCabin
		}
		r := gone(t, try("s_cabin", `{"kind":"screen","target":"s_list","as":"`+as+`"}`), steps(atCabin7, tryIt, to, want))
		if r.Differs != nil {
			t.Errorf("presented as %s: at “%s”: expected %s, found %s", as, r.Differs.Words, r.Differs.Expected, r.Differs.Found)
		}
	}
}

func TestAWalkGoesOverEachKindOfRule(t *testing.T) {
	defect := func(screen, rule string) string {
		return stand.WiredTo(screen, stand.One(`{"kind":"screen","target":"s_defect","bind":{"i_d":`+rule+`}}`))
	}
	cabin := func(screen, rule string) string {
		return stand.WiredTo(screen, stand.One(`{"kind":"screen","target":"s_cabin","bind":{"i_c":`+rule+`}}`))
	}
	is := func(code string) string { return isDefect + `,"words":"Defect ` + code + `"}` }
	along := func(rule, to string) tried {
		return tried{defect("s_defect", `{"rule":"`+rule+`"}`), steps(defects, pressRow("row", "D-1"), tryIt, is(to))}
	}
	all := map[string]tried{
		"row":        {"", steps(defects, openD1, is("D-1"))},
		"this":       {"", steps(atCabin7, `{"does":"press","element":"e_dlg"}`, atList, rows("2"))},
		"parent":     {"", steps(defect1, itsCabin, atCabin)},
		"user":       {"", steps(mine, atList, rows("1"))},
		"point":      {"", steps(toChart, `{"does":"press","element":"e_chart","point":"7"}`, rows("2"))},
		"child":      {defect("s_cabin", `{"rule":"child","table":"t_defects","path":"f_cabin","pick":"last","order":"f_code"}`), steps(atCabin7, tryIt, is("D-2"))},
		"first":      {defect("s_defect", `{"rule":"first"}`), steps(defects, pressRow("row", "D-3"), tryIt, is("D-1"))},
		"next":       along("next", "D-2"),
		"last":       along("last", "D-3"),
		"previous":   {defect("s_defect", `{"rule":"previous"}`), steps(defects, openD1, `{"does":"open","screen":"s_defect","inputs":{"i_d":{"title":"D-3"}}}`, tryIt, is("D-2"))},
		"value":      {defect("s_board", `{"rule":"value","value":"3"}`), steps(tryIt, is("D-3"))},
		"expression": {cabin("s_defect", `{"rule":"expression","value":"record.f_cabin"}`), steps(defect1, tryIt, atCabin)},
		"input":      {cabin("s_list", `{"rule":"input","value":"i_cabin","none":"grey"}`), steps(`{"does":"open","screen":"s_list","inputs":{"i_cabin":{"title":"007"}}}`, tryIt, atCabin)},
		"picked":     {defect("s_board", `{"rule":"picked","table":"t_defects"}`), steps(`{"does":"press","element":"e_try","picked":{"i_d":{"title":"D-2"}}}`, is("D-2"))},
		"saved":      {stand.WiredTo("s_cabin", stand.Adding(stand.Door)), steps(atCabin7, tryIt, isDefect+`,"mode":"edit"}`)},
		"result": {"[" + stand.Chooser + "," + added("/s_defect/elements/e_ask", `{"kind":"button","pos":9,"cell":{"row":5,"col":1,"w":2},"words":"Another","gate":`+stand.Asks(`{"use":"g_put","give":{"i_it":{"rule":"result"}}}`)+`}`) + "]",
			steps(`{"does":"open","screen":"s_defect","inputs":{"i_d":{"title":"D-3"}}}`, `{"does":"press","element":"e_ask"}`, `{"does":"press","element":"e_list","row":{"title":"007"}}`, itsCabin, atCabin)},
	}
	over(t, "rule", project.Rules.Names(), all)
}
