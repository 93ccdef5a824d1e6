package build_test

import (
	"slices"
	"strings"
	"testing"

	"ambergate/core/build"
	"ambergate/core/stand"
)

func TestOrdersThatATableIsReadIn(t *testing.T) {
	s := stand.New(t, stand.WiredTo("s_board", stand.One(`{"kind":"screen","target":"s_list","arrive":{"sort":{"a_1":{"pos":1,"path":"f_hours","desc":true},"a_2":{"pos":2,"path":"f_code"}}}}`),
		`{"op":"add","path":"/t_defects/order","value":{"o_1":{"pos":1,"path":"f_code"}}}`,
		`{"op":"add","path":"/s_cabin/elements/e_all","value":{"kind":"list","pos":9,"cell":{"row":9,"col":1,"w":12},"table":"t_defects","relation":"f_cabin","order":{"o_1":{"pos":1,"path":"f_cabin.f_lift"}},"columns":{"k_1":{"pos":1,"path":"f_code"}}}}`))
	var got []string
	for _, o := range build.OrdersOf(s.App, "t_defects") {
		got = append(got, o.Of+"|"+o.Words+"|"+strings.Join(o.Places, ", "))
	}
	want := []string{
		"|code|the table itself, “Defects”",
		"|hours, the highest first, then code|where “Try” on “Board” leads",
		"f_cabin|cabin’s lift|“Cabin”",
	}
	if !slices.Equal(got, want) {
		t.Errorf("%q", got)
	}
	if o := build.OrdersOf(s.App, "t_lifts"); len(o) != 1 || o[0].Words != "the key" {
		t.Errorf("lifts: %+v", o)
	}
	if o := build.OrdersOf(s.App, "t_gone"); o != nil {
		t.Errorf("no table: %+v", o)
	}
}
