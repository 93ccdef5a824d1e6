package move_test

import (
	"encoding/json"
	"fmt"
	"strings"
	"testing"
	"time"

	"ambergate/core/build"
	"ambergate/core/cond"
	"ambergate/core/place"
	"ambergate/core/plan"
	"ambergate/core/press"
	"ambergate/core/project"
	"ambergate/core/stand"
	"ambergate/core/use"
	"ambergate/core/words"
)

const offered = `{"op":"add","path":"/s_list/offered","value":true}`

func TestEveryRuleFindsItsRecord(t *testing.T) {
	for name, tc := range map[string]struct{ screen, address, move, to, words string }{
		"this":       {"s_cabin", "cabin?cabin=7", `{"kind":"screen","target":"s_list","bind":{"i_cabin":{"rule":"this"}}}`, "/defects?cabin=7", "open Defects with cabin this cabin"},
		"parent":     {"s_defect", "defect?defect=1", `{"kind":"screen","target":"s_cabin","bind":{"i_c":{"rule":"parent","path":"f_cabin"}}}`, "/cabin?cabin=7", "on its cabin"},
		"given's":    {"s_list", "defects?cabin=7", `{"kind":"screen","target":"s_drive","bind":{"i_l":{"rule":"parent","from":"i_cabin","path":"f_lift"}}}`, "/drive?lift=1", "on the given cabin’s lift"},
		"last child": {"s_cabin", "cabin?cabin=7", `{"kind":"screen","target":"s_defect","bind":{"i_d":{"rule":"child","table":"t_defects","path":"f_cabin","pick":"last","order":"f_on"}}}`, "/defect?defect=2", "on this cabin’s last defect"},
		"first":      {"s_cabin", "cabin?cabin=7", `{"kind":"screen","target":"s_defect","bind":{"i_d":{"rule":"child","table":"t_defects","path":"f_cabin","pick":"first","order":"f_on"}}}`, "/defect?defect=1", "on this cabin’s first defect"},
		"such":       {"s_cabin", "cabin?cabin=7", `{"kind":"screen","target":"s_defect","bind":{"i_d":{"rule":"child","table":"t_defects","path":"f_cabin","order":"f_on","while":"record.f_state == \"open\""}}}`, "/defect?defect=1", "When released, for everyone: open Defect on this cabin’s last defect where state is “open” to view, in full."},
		"nearest":    {"s_cabin", "cabin?cabin=7", `{"kind":"screen","target":"s_defect","bind":{"i_d":{"rule":"child","table":"t_defects","path":"f_cabin","pick":"nearest","order":"f_on"}}}`, "/defect?defect=2", "nearest defect"},
		"user's":     {"s_board", "board", `{"kind":"screen","target":"s_list","bind":{"i_by":{"rule":"user"}}}`, "/defects?by=1", "the user’s own record"},
		"value":      {"s_board", "board", `{"kind":"screen","target":"s_list","bind":{"i_cabin":{"rule":"value","value":"8"}}}`, "/defects?cabin=8", "cabin “8”"},
		"input":      {"s_list", "defects?cabin=7", `{"kind":"screen","target":"s_cabin","bind":{"i_c":{"rule":"input","value":"i_cabin"}}}`, "/cabin?cabin=7", "the cabin given"},
		"expression": {"s_defect", "defect?defect=1", `{"kind":"screen","target":"s_list","bind":{"i_cabin":{"rule":"expression","value":"record.f_cabin"}}}`, "/defects?cabin=7", "with cabin its cabin"},
		"next":       {"s_defect", "defect?defect=1", `{"kind":"screen","target":"s_defect","as":"dialog","bind":{"i_d":{"rule":"next"}}}`, "/defect?defect=2", "on the next defect"},
		"previous":   {"s_defect", "defect?defect=2", `{"kind":"screen","target":"s_defect","bind":{"i_d":{"rule":"previous"}}}`, "/defect?defect=1", "on the previous defect"},
		"last":       {"s_defect", "defect?defect=1", `{"kind":"screen","target":"s_defect","bind":{"i_d":{"rule":"last"}}}`, "/defect?defect=3", "on the last defect"},
		"round":      {"s_defect", "defect?defect=3", `{"kind":"screen","target":"s_defect","bind":{"i_d":{"rule":"next","none":"round"}}}`, "/defect?defect=1", "(if none: go round)"},
		"carried":    {"s_list", "defects?cabin=7", `{"kind":"screen","target":"s_list","as":"replace","carry":{"all":true}}`, "/defects?cabin=7", "carrying all that it takes: cabin, by"},
		"by name":    {"s_list", "defects?cabin=7&by=1", `{"kind":"screen","target":"s_cabin","carry":{"names":{"i_c":true}}}`, "/cabin?cabin=7", "carrying cabin"},
		"new":        {"s_cabin", "cabin?cabin=7", `{"kind":"screen","target":"s_defect","mode":"add","set":{"f_cabin":"record"}}`, "/defect?~mode=add&~set.cabin=7", "a new defect, with cabin = this cabin"},
		"spot":       {"s_cabin", "cabin?cabin=7", `{"kind":"screen","target":"s_list","spot":"e_list"}`, "/defects?~spot=e_list", "at the list of defects"},
	} {
		s := stand.New(t, stand.WiredTo(tc.screen, stand.One(tc.move), stand.Dated))
		s.Date(t)
		for _, p := range s.App.Problems {
			t.Errorf("%s: %+v", name, p)
		}
		o := s.MustOpen(t, s.Mira, tc.address)
		out, err := stand.Press(t, o, s, press.Press{Element: "e_try"})
		if err != nil || out.To == nil {
			t.Errorf("%s: %+v, %v", name, out, err)
			continue
		}
		if got := out.To.Address(s.App.Project); got != tc.to {
			t.Errorf("%s leads to %s, want %s", name, got, tc.to)
		}
		way, _ := s.App.WayAt(tc.screen, "e_try", "release")
		if text := stand.SentenceText(words.Sentence(s.App, way.Screen, way.Element, "release")); !strings.Contains(text, tc.words) {
			t.Errorf("%s says %q, want %q in it", name, text, tc.words)
		}
	}
}

func TestWhereThereIsNoChildThePolicyDecides(t *testing.T) {
	bind := func(more string) string {
		return stand.One(`{"kind":"screen","target":"s_defect","bind":{"i_d":{"rule":"child","table":"t_defects","path":"f_cabin"` + more + `}}}`)
	}
	for policy, want := range map[string]string{
		"": "greyed There is none.",
		`,"none":"grey","reason":"Never inspected."`: "greyed Never inspected.",
		`,"none":"stay","reason":"Nothing there."`:   "stays Nothing there.",
		`,"none":"list","screen":"s_list"`:           "/defects",
		`,"none":"add"`:                              "/defect?~mode=add",
	} {
		s := stand.New(t, stand.WiredTo("s_cabin", bind(policy), `{"op":"remove","path":"/s_cabin/guard"}`))
		o := s.MustOpen(t, s.Mira, "cabin?cabin=8")
		out, err := stand.Press(t, o, s, press.Press{Element: "e_try"})
		got := ""
		switch e := stand.Element(t, o.View(), "e_try"); {
		case e.State == "greyed":
			got = "greyed " + e.Reason
			if stand.Code(err) != "greyed" {
				t.Errorf("%s: pressed all the same: %v", policy, err)
			}
		case out.To != nil:
			got = out.To.Address(s.App.Project)
		default:
			got = "stays " + out.Message
		}
		if got != want {
			t.Errorf("%s: %q, want %q", policy, got, want)
		}
	}
}

func TestARecordIsAskedForFirst(t *testing.T) {
	s := stand.New(t, stand.WiredTo("s_board", stand.One(`{"kind":"screen","target":"s_cabin","bind":{"i_c":{"rule":"picked","table":"t_cabins"}}}`)))
	o := s.MustOpen(t, s.Mira, "board")
	out, err := stand.Press(t, o, s, press.Press{Element: "e_try"})
	if err != nil || out.Question == nil || out.Question.Kind != "pick" || out.Question.Pick.Table != "t_cabins" || out.Question.Words != "Which cabin?" {
		t.Fatalf("%+v, %v", out, err)
	}
	out, err = stand.Press(t, o, s, press.Press{Element: "e_try", Picked: map[string]string{"i_c": "7"}})
	if err != nil || out.To == nil || out.To.Address(s.App.Project) != "/cabin?cabin=7" {
		t.Errorf("%+v, %v", out, err)
	}
}

func TestEveryMoveLeadsWhereItSays(t *testing.T) {
	other := stand.New(t, "["+offered+"]").App
	choice := `{"kind":"choice","by":"record.f_state","among":{"q_1":{"pos":1,"is":"open","target":"s_board"},"q_2":{"pos":2,"is":"closed","target":"s_list","bind":{"i_cabin":{"rule":"parent","path":"f_cabin"}}}}}`
	for name, tc := range map[string]struct{ address, move, want string }{
		"choice, one":      {"defect?defect=1", choice, "screen /board"},
		"choice, other":    {"defect?defect=2", choice, "screen /defects?cabin=7"},
		"choice, none":     {"defect?defect=2", `{"kind":"choice","by":"record.f_state","among":{"q_1":{"pos":1,"is":"open","target":"s_board"}}}`, "greyed No screen is named for “closed”."},
		"choice, any":      {"defect?defect=2", `{"kind":"choice","by":"record.f_state","among":{"q_1":{"pos":1,"is":"open","target":"s_board"},"q_2":{"pos":2,"target":"s_list"}}}`, "screen /defects"},
		"up":               {"defect?defect=1", `{"kind":"up"}`, "screen /defects"},
		"back":             {"defect?defect=1", `{"kind":"back"}`, "back "},
		"forward":          {"defect?defect=1", `{"kind":"forward"}`, "forward "},
		"home":             {"defect?defect=1", `{"kind":"home"}`, "home "},
		"close":            {"defect?defect=1", `{"kind":"close"}`, "close "},
		"sign out":         {"defect?defect=1", `{"kind":"out"}`, "out "},
		"step":             {"defect?defect=1", `{"kind":"step","step":"next"}`, "step /defect?defect=2"},
		"address":          {"defect?defect=1", `{"kind":"address","address":"https://parts.example/find/{code}{?q}","with":{"code":"record.f_code","q":"record.f_what"}}`, "address https://parts.example/find/D-1?q=Door"},
		"address, hostile": {"defect?defect=3", `{"kind":"address","address":"https://parts.example/{+code}","with":{"code":"record.f_code"}}`, "address https://parts.example///elsewhere.example/%3Cx"},
		"another project":  {"defect?defect=1", `{"kind":"project","project":"other","entry":"defects","with":{"cabin":"record.f_cabin"}}`, "address /use/other/defects?cabin=7"},
		"not offered":      {"defect?defect=1", `{"kind":"project","project":"other","entry":"board"}`, "greyed “T” does not offer “board” any more."},
		"no such project":  {"defect?defect=1", `{"kind":"project","project":"none","entry":"board"}`, "greyed The application “none” has no release."},
	} {
		s := stand.New(t, stand.WiredTo("s_defect", stand.One(tc.move)))
		s.Data.Rows["t_defects"]["3"]["f_code"] = cond.String("//elsewhere.example/<x")
		slug, query, _ := strings.Cut(tc.address, "?")
		place, err := place.Parse(s.App.Project, slug, query)
		if err != nil {
			t.Fatal(err)
		}
		src := s.Sources()
		src.Others = func(slug string) *plan.App {
			if slug == "other" {
				return other
			}
			return nil
		}
		o, err := use.Open(t.Context(), s.App, s.Mira, place, src)
		if err != nil {
			t.Fatal(err)
		}
		got := ""
		if e := stand.Element(t, o.View(), "e_try"); e.State == "greyed" {
			got = "greyed " + e.Reason
		} else if out, err := stand.Press(t, o, s, press.Press{Element: "e_try"}); err != nil {
			got = err.Error()
		} else {
			got = out.Move + " " + out.Leave
			if out.To != nil {
				got = out.Move + " " + out.To.Address(s.App.Project)
			}
		}
		if got != tc.want {
			t.Errorf("%s: %q, want %q", name, got, tc.want)
		}
	}
}

func TestAnotherProjectIsCalledByItsTitle(t *testing.T) {
	s := stand.New(t, stand.WiredTo("s_defect", stand.One(`{"kind":"project","project":"other","entry":"defects"}`)))
	other := stand.New(t, `[{"op":"add","path":"/s_list/offered","value":true},{"op":"replace","path":"/project/title","value":"Stores"}]`)
	for known, want := range map[bool]string{true: "open Defects of Stores", false: "open “defects” of “other”"} {
		src := s.Sources()
		src.Ghosts = true
		if known {
			src.Others = func(string) *plan.App { return other.App }
		}
		o, err := use.Open(t.Context(), s.App, s.Mira, s.Place(t, "defect?defect=1"), src)
		if err != nil {
			t.Fatal(err)
		}
		for _, w := range build.WaysCalled(t.Context(), o, src) {
			if w.Element == "e_try" && (!strings.Contains(stand.SentenceText(w.Sentence), want) || known && !strings.Contains(w.Now, "leads to Defects of Stores")) {
				t.Errorf("known %v: %s %s", known, stand.SentenceText(w.Sentence), w.Now)
			}
		}
	}
}

func TestAWebAddressLeadsNowhereElse(t *testing.T) {
	for _, address := range []string{`javascript:{code}`, `{code}`, `https://{code}/x`, `//x/{code}`, `data:text/html,{code}`, `https://ok.example{code}`} {
		e := project.Element{}
		text := fmt.Sprintf(`{"kind":"button","pos":1,"cell":{"row":1,"col":1,"w":1},"words":"x","gate":%s}`, stand.One(fmt.Sprintf(`{"kind":"address","address":%q,"with":{"code":"record.f_code"}}`, address)))
		if err := json.Unmarshal([]byte(text), &e); err != nil {
			t.Fatal(err)
		}
		screen := `{"kind":"screen","type":"menu","title":"x","slug":"x","elements":{"e_x":` + text + `}}`
		if err := project.CheckEntity("s_x", []byte(screen)); err == nil {
			t.Errorf("%s is taken", address)
		}
	}
}

func TestEffectsOnWhatIsLookedAt(t *testing.T) {
	for name, tc := range map[string]struct{ address, effect, want string }{
		"filter":        {"defects?cabin=7", `"kind":"filter","path":"f_state","compare":"is","value":"\"open\""`, "/defects?cabin=7&~filter.state=is:open"},
		"filter, again": {"defects?~filter.state=is:closed", `"kind":"filter","path":"f_state","compare":"isNot","value":"\"open\""`, "/defects?~filter.state=isNot:open"},
		"filter, none":  {"defects", `"kind":"filter","path":"f_by","compare":"empty"`, "/defects?~filter.by=empty:"},
		"clear one":     {"defects?cabin=7&~filter.state=is:open&~find=x", `"kind":"clear","path":"f_state"`, "/defects?cabin=7&~find=x"},
		"clear all":     {"defects?cabin=7&~filter.state=is:open&~find=x", `"kind":"clear","all":true`, "/defects"},
		"sort":          {"defects", `"kind":"sort","path":"f_code","desc":true`, "/defects?~sort=-code"},
		"find":          {"defects", `"kind":"find","words":"user.name"`, "/defects?~find=Mira"},
	} {
		s := stand.New(t, stand.WiredTo("s_list", stand.Does(tc.effect)))
		out, err := stand.Press(t, s.MustOpen(t, s.Mira, tc.address), s, press.Press{Element: "e_try"})
		if err != nil || out.Kind != "move" || out.Move != "arrange" || out.To == nil {
			t.Errorf("%s: %+v, %v", name, out, err)
			continue
		}
		if got := strings.ReplaceAll(out.To.Address(s.App.Project), "%3A", ":"); got != tc.want {
			t.Errorf("%s: %s, want %s", name, got, tc.want)
		}
		if s.App.Writes("s_list", "e_try", "") {
			t.Errorf("%s counts as writing", name)
		}
	}
	s := stand.New(t, stand.WiredTo("s_list", stand.Does(`"kind":"export","list":"e_list"`, `"kind":"print"`, `"kind":"refresh"`)))
	out, err := stand.Press(t, s.MustOpen(t, s.Mira, "defects"), s, press.Press{Element: "e_try"})
	if err != nil || out.Kind != "stay" || len(out.Does) != 2 || out.Does[0] != (press.Act{What: "export", List: "e_list"}) || out.Does[1].What != "print" {
		t.Errorf("%+v, %v", out, err)
	}
}

func TestASpanOfTimeIsChosenAndTakenBack(t *testing.T) {
	s := stand.New(t, `[`+stand.Dated+`,{"op":"add","path":"/s_chart/inputs","value":{"i_from":{"pos":1,"alias":"from","label":"From","type":"date","filter":"f_on","compare":"atLeast"},"i_to":{"pos":2,"alias":"to","label":"To","type":"date","filter":"f_on","compare":"atMost"}}},
	 {"op":"add","path":"/s_chart/elements/e_weeks","value":{"kind":"chart","pos":3,"cell":{"row":3,"col":1,"w":12},"table":"t_defects","by":"f_on","span":"week","chosen":{"cases":{"c_1":{"pos":1,"move":{"kind":"screen","target":"s_chart","bind":{"i_from":{"rule":"point"},"i_to":{"rule":"point","value":"end"}}}}}}}}]`)
	s.Date(t)
	week := time.Date(2026, 3, 2, 0, 0, 0, 0, time.UTC).Format(time.DateOnly)
	out, err := stand.Press(t, s.MustOpen(t, s.Mira, "chart"), s, press.Press{Element: "e_weeks", Point: week})
	if err != nil || out.To == nil || out.To.Address(s.App.Project) != "/chart?from=2026-03-02&to=2026-03-08" {
		t.Fatalf("%+v, %v", out, err)
	}
	out, err = stand.Press(t, s.MustOpen(t, s.Mira, "chart?from=2026-03-02&to=2026-03-08"), s, press.Press{Element: "e_weeks", Point: week})
	if err != nil || out.To == nil || out.To.Address(s.App.Project) != "/chart" {
		t.Errorf("chosen again: %+v, %v", out, err)
	}
}
