package element_test

import (
	"strings"
	"testing"

	"ambergate/core/cond"
	"ambergate/core/kinds/element"
	"ambergate/core/press"
	"ambergate/core/stand"
)

// framed puts a group around the rows 20 to 24 of the form of a cabin, with a button in it and one beside it.
func framed(more string) string {
	button := func(id, cell string) string {
		return `{"op":"add","path":"/s_cabin/elements/` + id + `","value":{"kind":"button","pos":9,"cell":` + cell + `,"words":"Go","gate":{"cases":{"c_1":{"pos":1,"move":{"kind":"home"}}}}}}`
	}
	return `[{"op":"add","path":"/s_cabin/elements/e_group","value":{"kind":"group","pos":8,"cell":{"row":20,"col":1,"w":6,"h":5},"words":"About {record.f_no}"` + more + `}},` +
		button("e_in", `{"row":21,"col":2,"w":2}`) + `,` + button("e_beside", `{"row":21,"col":6,"w":2}`) + `]`
}

func TestWhatStandsInAGroupIsThereOnlyWhileItIs(t *testing.T) {
	s := stand.New(t, framed(`,"shown":"record.f_no == \"007\""`))
	s.Data.Rows["t_cabins"]["8"]["f_state"] = cond.String("in service")
	v := s.MustOpen(t, s.Mira, "cabin?cabin=7").View()
	if g := stand.Element(t, v, "e_group").View.(*element.GroupView); g.Words != "About 007" {
		t.Errorf("%+v", g)
	}
	stand.Element(t, v, "e_in")
	hidden := s.MustOpen(t, s.Mira, "cabin?cabin=8")
	for _, e := range hidden.View().Elements {
		if e.ID == "e_group" || e.ID == "e_in" {
			t.Errorf("%s shows with a group that does not", e.ID)
		}
	}
	stand.Element(t, hidden.View(), "e_beside")
	if _, err := stand.Press(t, hidden, s, press.Press{Element: "e_in"}); stand.Code(err) != "hidden" {
		t.Errorf("a button of a hidden group: %v", err)
	}
}

func TestAGroupOfAnotherModeTakesWhatItHoldsWithIt(t *testing.T) {
	s := stand.New(t, framed(`,"modes":{"edit":true}`))
	for _, e := range s.MustOpen(t, s.Mira, "cabin?cabin=7").View().Elements {
		if e.ID == "e_group" || e.ID == "e_in" {
			t.Errorf("%s is there while viewing", e.ID)
		}
	}
}

// Of frames within each other the narrowest counts, and through it those around it.
func TestAGroupWithinAGroup(t *testing.T) {
	inner := `,{"op":"add","path":"/s_cabin/elements/e_inner","value":{"kind":"group","pos":7,"cell":{"row":21,"col":1,"w":5,"h":3},"words":"Inner"}},{"op":"replace","path":"/s_cabin/elements/e_in/cell/row","value":22}]`
	s := stand.New(t, strings.TrimSuffix(framed(`,"shown":"record.f_no == \"007\""`), "]")+inner)
	s.Data.Rows["t_cabins"]["8"]["f_state"] = cond.String("in service")
	if e := s.App.ElementAt("s_cabin", "e_in"); e.Around == nil || e.Around.ID != "e_inner" || e.Around.Around == nil || e.Around.Around.ID != "e_group" {
		t.Fatalf("%+v", e.Around)
	}
	for _, e := range s.MustOpen(t, s.Mira, "cabin?cabin=8").View().Elements {
		if e.ID == "e_in" || e.ID == "e_inner" {
			t.Errorf("%s shows", e.ID)
		}
	}
}

func TestAGroupNeedsAHeading(t *testing.T) {
	if err := (&element.Group{}).Validate(); err == nil || !strings.Contains(err.Error(), "heading") {
		t.Error(err)
	}
}
