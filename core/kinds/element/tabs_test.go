package element_test

import (
	"testing"

	"ambergate/core/kinds/element"
	"ambergate/core/press"
	"ambergate/core/stand"
)

const tabbed = `[{"op":"add","path":"/s_cabin/elements/e_tabs","value":{"kind":"tabs","pos":5,"cell":{"row":2,"col":1,"w":12},"tabs":{"b_1":{"pos":1,"label":"Open"},"b_2":{"pos":2,"label":"Report"}}}},
 {"op":"add","path":"/s_cabin/elements/e_dlg/tab","value":"e_tabs.b_1"},{"op":"add","path":"/s_cabin/elements/e_add/tab","value":"e_tabs.b_2"}]`

func TestATabShowsWhatBelongsToIt(t *testing.T) {
	s := stand.New(t, tabbed)
	for address, want := range map[string][2]string{"cabin?cabin=7": {"e_dlg", "b_1"}, "cabin?cabin=7&~tab.e_tabs=b_2": {"e_add", "b_2"}, "cabin?cabin=7&~tab.e_tabs=b_gone": {"e_dlg", "b_1"}} {
		o := s.MustOpen(t, s.Mira, address)
		v := o.View()
		if got := stand.Element(t, v, "e_tabs").View.(*element.TabsView); got.Open != want[1] || len(got.Tabs) != 2 || got.Tabs[1].Label != "Report" {
			t.Errorf("%s: %+v", address, got)
		}
		for _, e := range v.Elements {
			if e.Kind == "button" && e.ID != want[0] {
				t.Errorf("%s shows %s", address, e.ID)
			}
		}
	}
	if v := s.MustOpen(t, s.Mira, "cabin?cabin=7&~tab.e_tabs=b_2").View(); v.Address != "/cabin?cabin=7&~tab.e_tabs=b_2" {
		t.Errorf("the address is %s", v.Address)
	}
	if _, err := stand.Press(t, s.MustOpen(t, s.Mira, "cabin?cabin=7"), s, press.Press{Element: "e_add"}); stand.Code(err) != "hidden" {
		t.Errorf("a button of a closed tab: %v", err)
	}
}

func TestAnElementOfABlockThatIsGoneShows(t *testing.T) {
	s := stand.New(t, `[{"op":"add","path":"/s_cabin/elements/e_add/tab","value":"e_gone.b_1"}]`)
	stand.Element(t, s.MustOpen(t, s.Mira, "cabin?cabin=7").View(), "e_add")
}
