package element_test

import (
	"strings"
	"testing"

	"ambergate/core/cond"
	"ambergate/core/kinds/element"
	"ambergate/core/press"
	"ambergate/core/stand"
)

func textOn(parts string) string {
	return `[{"op":"add","path":"/s_cabin/elements/e_text","value":{"kind":"text","pos":9,"cell":{"row":20,"col":1,"w":6},` + parts + `}}]`
}

// What the builder writes is Markdown; what comes out of a record into its braces is not.
func TestARecordsWordsMakeNoMarkup(t *testing.T) {
	s := stand.New(t, textOn(`"words":"**Cabin** {record.f_no}: see [its list](k_1)","links":{"k_1":{"pos":1,"gate":{"cases":{"c_1":{"pos":1,"move":{"kind":"screen","target":"s_list"}}}}}}`))
	s.Data.Rows["t_cabins"]["7"]["f_no"] = cond.String("*7* [x](k_1) <b>")
	v := stand.Element(t, s.MustOpen(t, s.Mira, "cabin?cabin=7").View(), "e_text").View.(*element.TextView)
	if !v.Rich || v.Words != `**Cabin** \*7\* \[x\](k\_1) \<b>: see [its list](k_1)` || !v.Links["k_1"].Open || v.Links["k_1"].Href == "" {
		t.Errorf("%+v", v)
	}
	out, err := stand.Press(t, s.MustOpen(t, s.Mira, "cabin?cabin=7"), s, press.Press{Element: "e_text", Trigger: "link.k_1"})
	if err != nil || out.To == nil || out.To.Screen != "s_list" {
		t.Errorf("%+v %v", out, err)
	}
	if _, err := stand.Press(t, s.MustOpen(t, s.Mira, "cabin?cabin=7"), s, press.Press{Element: "e_text", Trigger: "link.k_2"}); stand.Code(err) == "" {
		t.Error("a link that is not there is pressed")
	}
}

func TestPlainWordsStayAsTheyAre(t *testing.T) {
	for words, rich := range map[string]bool{"5 * 3 is 15 - or so": false, "{record.f_no}": false, "a_b": true, "# Heading": true, "- one": true, "one\n\ntwo": true, "**bold**": true, "C# 4": false} {
		s := stand.New(t, textOn(`"words":"`+strings.ReplaceAll(words, "\n", `\n`)+`"`))
		s.Data.Rows["t_cabins"]["7"]["f_no"] = cond.String("*7*")
		v := stand.Element(t, s.MustOpen(t, s.Mira, "cabin?cabin=7").View(), "e_text").View.(*element.TextView)
		if v.Rich != rich || words == "{record.f_no}" && v.Words != "*7*" {
			t.Errorf("%q: %+v", words, v)
		}
	}
}

func TestATextNamesItsLinks(t *testing.T) {
	spec := element.Text{Words: "See [the list](k_1) and [all](k_12).", Links: map[string]*element.TextLink{"k_1": {}}}
	if spec.LinkWords("k_1") != "the list" || spec.LinkWords("k_12") != "all" || spec.LinkWords("k_2") != "" {
		t.Errorf("%q %q", spec.LinkWords("k_1"), spec.LinkWords("k_12"))
	}
	if err := spec.Validate(); err == nil || !strings.Contains(err.Error(), "gate") {
		t.Error(err)
	}
	for wrong, spec := range map[string]element.Text{"size": {Size: "12px"}, "weight": {Weight: "900"}, "style": {Style: "loud"}} {
		if err := spec.Validate(); err == nil || !strings.Contains(err.Error(), wrong) {
			t.Errorf("%s: %v", wrong, err)
		}
	}
}
