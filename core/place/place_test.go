package place_test

import (
	"strings"
	"testing"

	"ambergate/core/place"
	"ambergate/core/stand"
)

func TestOldSlugsAndFieldIdsInAddressesStillLead(t *testing.T) {
	s := stand.New(t, `[{"op":"replace","path":"/s_list/slug","value":"faults"},{"op":"add","path":"/s_list/oldSlugs","value":{"defects":true}}]`)
	p, err := place.Parse(s.App.Project, "defects", "~filter.f_state=is:open")
	if err != nil || p.Screen != "s_list" || p.Filters[0].Path != "f_state" {
		t.Fatalf("%+v %v", p, err)
	}
	if got := p.Address(s.App.Project); got != "/faults?~filter.state=is%3Aopen" {
		t.Errorf("it is written as %s", got)
	}
}

func TestAnAddressKeepsTheOrderOfItsInputs(t *testing.T) {
	s := stand.New(t, "")
	p, err := place.Parse(s.App.Project, "defects", "by=1&~sort=what&cabin=7&~sort=-code")
	if err != nil {
		t.Fatal(err)
	}
	if got := p.Address(s.App.Project); got != "/defects?cabin=7&by=1&~sort=what&~sort=-code" {
		t.Errorf("it is written as %s", got)
	}
	if got := (place.Place{Screen: "s_gone"}).Address(s.App.Project); got != "/" {
		t.Errorf("a screen that is gone is at %s", got)
	}
}

func TestOddValuesInAddressesComeBackWhole(t *testing.T) {
	s := stand.New(t, "")
	for _, value := range []string{"a&b=c", "50 %", "~mode", "ü/ö?", "a+b", strings.Repeat("x", 300), "::"} {
		p := place.Place{Screen: "s_list", Mode: "view", Inputs: map[string]string{}, Filters: []place.Filter{{Path: "f_what", Compare: "contains", Value: value}}}
		slug, query, _ := strings.Cut(p.Address(s.App.Project)[1:], "?")
		again, err := place.Parse(s.App.Project, slug, query)
		if err != nil || len(again.Filters) != 1 || again.Filters[0].Value != value {
			t.Errorf("%q comes back as %+v (%v)", value, again.Filters, err)
		}
	}
}
