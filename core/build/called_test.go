package build_test

import (
	"strings"
	"testing"

	"ambergate/core/build"
	"ambergate/core/stand"
)

func TestRecordsWrittenByKeyAreCalledByTheirTitles(t *testing.T) {
	for name, tc := range map[string]struct {
		screen, gate, address string
		want                  []string
	}{
		"an input": {"s_board", stand.One(`{"kind":"screen","target":"s_list","bind":{"i_cabin":{"rule":"value","value":"7"}}}`), "board",
			[]string{"open Defects with cabin 007", "Defects, with cabin 007"}},
		"gone": {"s_board", stand.One(`{"kind":"screen","target":"s_list","bind":{"i_cabin":{"rule":"value","value":"99"}}}`), "board",
			[]string{"open Defects with cabin “99”"}},
		"an expression": {"s_board", stand.One(`{"kind":"screen","target":"s_list","bind":{"i_cabin":{"rule":"expression","value":"key(\"7\")"}}}`), "board",
			[]string{"open Defects with cabin 007"}},
		"a condition": {"s_defect", `{"while":"record.f_cabin == key(\"8\") || record.f_cabin in [key(\"7\"), key(\"99\")]","cases":{"c_1":{"pos":1,"move":{"kind":"back"}}}}`, "defect?defect=1",
			[]string{"while cabin is 008, or empty or cabin is one of 007 or 99", "while cabin is 008 or cabin is one of 007 or 99"}},
		"filled in": {"s_board", stand.One(`{"kind":"screen","target":"s_defect","mode":"add","set":{"f_cabin":"key(\"7\")"}}`), "board",
			[]string{"a new defect, with cabin = 007"}},
		"an effect":  {"s_defect", stand.Does(`"kind":"set","fields":{"f_cabin":"key(\"7\")"}`), "defect?defect=1", []string{"set cabin to 007"}},
		"a variable": {"s_board", stand.Does(`"kind":"setVar","variable":"v_lift","value":"key(\"1\")"`), "board", []string{"set my lift to Upper Tarn"}},
	} {
		s := stand.New(t, stand.WiredTo(tc.screen, tc.gate, stand.Kept))
		w := s.Called(t, s.Mira, tc.address)
		text := stand.SentenceText(w.Sentence) + "\n" + w.Now
		found := false
		for _, want := range tc.want {
			found = found || strings.Contains(text, want)
		}
		if !found {
			t.Errorf("%s: %s", name, text)
		}
	}
}

// A title is nothing that a user may be shown who may not view the record.
func TestTitlesOfHiddenRecordsStayKeys(t *testing.T) {
	gate := stand.One(`{"kind":"screen","target":"s_list","bind":{"i_by":{"rule":"value","value":"1"}}}`)
	s := stand.New(t, stand.WiredTo("s_board", gate))
	src := s.Sources()
	for _, in := range build.WaysInCalled(t.Context(), s.App, s.Mira, src, "s_list") {
		if in.Element == "e_try" && in.Brings != "Mira" {
			t.Errorf("a technician’s way in brings %q", in.Brings)
		}
	}
	for _, in := range build.WaysInCalled(t.Context(), s.App, s.Sela, src, "s_list") {
		if in.Element == "e_try" && in.Brings != "“1”" {
			t.Errorf("a lead’s way in brings %q", in.Brings)
		}
	}
	if w := s.Called(t, s.Mira, "board"); w.Brings != "Mira" {
		t.Errorf("a technician’s plate brings %q", w.Brings)
	}
	if w := s.Called(t, s.Sela, "board"); w.Brings != "“1”" {
		t.Errorf("a lead, who may not view staff, is told %q", w.Brings)
	}
}

func TestConstantsAreProposedWhereThereAreFew(t *testing.T) {
	s := stand.New(t, stand.WiredTo("s_board", stand.One(`{"kind":"screen","target":"s_list"}`),
		`{"op":"add","path":"/s_list/inputs/i_state","value":{"pos":3,"alias":"state","label":"State","type":"text","filter":"f_state"}}`,
		`{"op":"add","path":"/s_list/inputs/i_day","value":{"pos":4,"alias":"day","label":"Day","type":"date"}}`,
		`{"op":"add","path":"/s_list/inputs/i_all","value":{"pos":5,"alias":"all","label":"All","type":"yesno"}}`,
		`{"op":"add","path":"/s_list/inputs/i_word","value":{"pos":6,"alias":"word","label":"Word","type":"text"}}`))
	way, _ := s.App.WayAt("s_board", "e_try", "release")
	for input, want := range map[string]string{
		"i_state": "“open”, “closed”", "i_day": "today, 7 days ago, 30 days ago", "i_all": "yes, no", "i_word": "",
	} {
		var words []string
		for _, p := range build.Propose(s.App, way, "s_list", input) {
			words = append(words, p.Words)
		}
		if got := strings.Join(words, ", "); got != want {
			t.Errorf("%s: %s, want %s", input, got, want)
		}
	}
}
