package propose_test

import (
	"slices"
	"strings"
	"testing"

	"ambergate/core/plan"
	"ambergate/core/propose"
)

func number(v float64) *float64 { return &v }

// presses are three folders of about the same shape, as a controller numbers them.
func presses() []propose.Branch {
	values := []propose.PlantValue{
		{Way: []string{"Drive", "Force"}, Type: "number", Unit: "kN", Low: number(0), High: number(400)},
		{Way: []string{"Drive", "Running"}, Type: "yesno"},
		{Way: []string{"Drive", "Set force"}, Type: "number", Unit: "kN", Low: number(0), High: number(380), Writable: true},
		{Way: []string{"Count"}, Type: "whole"},
	}
	return []propose.Branch{{Name: "Press_01", Values: values}, {Name: "Press_02", Values: values}, {Name: "Press_07", Values: values[:3]}}
}

func pumpKeys(values ...string) propose.Keyed {
	k := propose.Keyed{Table: "t_pumps", Field: "f_code"}
	for _, v := range values {
		k.Records = append(k.Records, propose.KeyedRecord{Title: "Pump " + v, Value: v})
	}
	return k
}

func TestEquipmentFoldersFindTheirRecords(t *testing.T) {
	for name, c := range map[string]struct {
		folders []string
		values  []string
		pairs   int
		before  string
		after   string
	}{
		"the same":             {[]string{"UT", "LT"}, []string{"UT", "LT", "MT"}, 2, "", ""},
		"something before":     {[]string{"Press_A", "Press_B"}, []string{"A", "B"}, 2, "Press_", ""},
		"zeroes of a number":   {[]string{"Press_01", "Press_02"}, []string{"01", "02"}, 2, "Press_", ""},
		"zeroes before it":     {[]string{"Press_01", "Press_02"}, []string{"1", "2"}, 2, "Press_0", ""},
		"something after":      {[]string{"A line", "B line"}, []string{"A", "B"}, 2, "", " line"},
		"before and after":     {[]string{"Pump A (hall)", "Pump B (hall)"}, []string{"A", "B"}, 2, "Pump ", " (hall)"},
		"some of them":         {[]string{"P1", "P2", "P3"}, []string{"1", "3"}, 2, "P", ""},
		"none":                 {[]string{"P1", "P2"}, []string{"x"}, 0, "", ""},
		"the same value twice": {[]string{"UT", "LT"}, []string{"UT", "UT", "LT"}, 1, "", ""},
	} {
		_, p := pumpsAlone(t, works())
		var branches []propose.Branch
		for _, f := range c.folders {
			branches = append(branches, propose.Branch{Name: f, Values: presses()[0].Values})
		}
		out := propose.ProposeEquipment(p, propose.EquipmentWish{Connection: "hall", Path: "/Hall"}, branches, []propose.Keyed{pumpKeys(c.values...)})
		if c.pairs == 0 {
			if out.Chosen != nil || len(out.Patch) > 0 {
				t.Errorf("%s: %+v", name, out.Chosen)
			}
			continue
		}
		if f := out.Chosen; f == nil || len(f.Pairs) != c.pairs || f.Before != c.before || f.After != c.after || len(f.Lonely) != len(c.folders)-c.pairs {
			t.Errorf("%s: %+v", name, out.Chosen)
		}
	}
}

// What is proposed is an edit that fits, compiles, has no finding but that there is more, and can be made again.
func TestEquipmentIsTakenInWithAScreen(t *testing.T) {
	a, p := pumpsAlone(t, works())
	keyed := []propose.Keyed{pumpKeys("01", "02", "03")}
	wish := propose.EquipmentWish{Connection: "press hall", Path: "/Hall", Screen: true, LeaveOut: []string{"Drive/Set force"}}
	out := propose.ProposeEquipment(p, wish, presses(), keyed)
	if out.Chosen == nil || len(out.Chosen.Pairs) != 2 || !slices.Equal(out.Chosen.Lonely, []string{"Press_07"}) || !slices.Equal(out.Chosen.Without, []string{"Pump 03"}) {
		t.Fatalf("%+v", out.Chosen)
	}
	if v := out.Values[3]; v.Way != "Count" || !slices.Equal(v.Missing, []string{"Press_07"}) || v.Part != "values" {
		t.Errorf("%+v", v)
	}
	p2 := patched(t, a, out.Patch)
	eq := p2.EquipmentOf("t_pumps")
	if eq == nil || len(eq.Parts) != 2 {
		t.Fatalf("%+v", eq)
	}
	force := eq.Parts["q_drive"].Tags["g_force"]
	if force.Node != "/Hall/Press_{f_code}/Drive/Force" || force.Unit != "kN" || eq.Parts["q_drive"].Tags["g_set_force"] != nil {
		t.Errorf("%+v", force)
	}
	screen := p2.Screens[out.Screen]
	if screen == nil || screen.Type != "operator" || screen.Up == "" {
		t.Fatalf("%+v", screen)
	}
	kindsOf := map[string]int{}
	for _, e := range screen.Elements {
		kindsOf[e.Kind]++
	}
	if kindsOf["gauge"] != 1 || kindsOf["lamp"] != 1 || kindsOf["trend"] != 1 || kindsOf["text"] != 3 {
		t.Errorf("%v", kindsOf)
	}
	app, err := plan.Compile(p2)
	if err != nil {
		t.Fatal(err)
	}
	releasable(t, app)
	again := propose.ProposeEquipment(p2, wish, presses(), keyed)
	if len(again.Patch) != 0 || len(again.Notes) != 1 || !strings.Contains(again.Notes[0], "taken in already") {
		t.Errorf("taken in twice: %+v", again)
	}
	wish.LeaveOut, wish.Screen = nil, false
	more := propose.ProposeEquipment(p2, wish, presses(), keyed)
	p3 := patched(t, a, slices.Concat(out.Patch, more.Patch))
	if set := p3.EquipmentOf("t_pumps").Parts["q_drive"].Tags["g_set_force"]; set == nil || *set.Max != 380 || !set.Writable {
		t.Errorf("what was left out, later: %+v", set)
	}
	wish.Connection = "another"
	if other := propose.ProposeEquipment(p2, wish, presses(), keyed); len(other.Notes) != 1 || !strings.Contains(other.Notes[0], "another plant") {
		t.Errorf("%+v", other.Notes)
	}
}

// Numbers match easily: what says more of the names is meant.
func TestEquipmentTheFieldThatSaysMostWins(t *testing.T) {
	_, p := pumpsAlone(t, works())
	branches := []propose.Branch{{Name: "Pump P-001"}, {Name: "Pump P-002"}}
	ids := propose.Keyed{Table: "t_sites", Field: "f_id", Records: []propose.KeyedRecord{{Title: "Mill", Value: "1"}, {Title: "Weir", Value: "2"}}}
	out := propose.ProposeEquipment(p, propose.EquipmentWish{Connection: "x"}, branches, []propose.Keyed{ids, pumpKeys("P-001", "P-002", "P-003")})
	if out.Chosen == nil || out.Chosen.Table != "t_pumps" || out.Chosen.Before != "Pump " || len(out.Fits) != 2 {
		t.Errorf("%+v", out.Chosen)
	}
	chosen := propose.ProposeEquipment(p, propose.EquipmentWish{Connection: "x", Table: "t_sites", Field: "f_id"}, branches, []propose.Keyed{ids, pumpKeys("P-001")})
	if chosen.Chosen == nil || chosen.Chosen.Table != "t_sites" {
		t.Errorf("%+v", chosen.Chosen)
	}
}
