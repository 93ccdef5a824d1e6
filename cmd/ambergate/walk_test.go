package main

import (
	"bytes"
	"encoding/xml"
	"strings"
	"testing"
	"time"

	"ambergate/core/walk"
)

var twoWalks = walked{application: "tarnhorn", took: 1200 * time.Millisecond, results: []walk.Result{
	{Walk: "wk_a", Name: "All is well", Steps: []walk.Step{{ID: "w_1", Words: "presses “Go” & waits"}, {ID: "w_2", Words: "goes back"}}},
	{Walk: "wk_b", Name: "Turned", Steps: []walk.Step{{ID: "w_1", Words: "goes home"}}, Differs: &walk.Difference{Step: "w_2", Words: "stands on “Cabin”", Expected: "“Cabin”", Found: "“Board”", Why: "“state is open” holds"}},
}}

func TestWalksAreTold(t *testing.T) {
	var out bytes.Buffer
	if err := writeWalks(&out, twoWalks); err != nil {
		t.Fatal(err)
	}
	want := "as expected: All is well (2 steps)\ndiffers: Turned\n    step 2, stands on “Cabin”\n    expected: “Cabin”\n    found: “Board”\n    “state is open” holds\n2 walks in 1.2 s, 1 differ.\n"
	if out.String() != want {
		t.Errorf("%s", out.String())
	}
}

func TestWalksAreHandedToWhatRunsTests(t *testing.T) {
	var out bytes.Buffer
	if err := writeJUnit(&out, twoWalks); err != nil {
		t.Fatal(err)
	}
	var read junitSuites
	if err := xml.Unmarshal(out.Bytes(), &read); err != nil {
		t.Fatalf("%v: %s", err, out.String())
	}
	s := read.Suites[0]
	if s.Tests != 2 || s.Failures != 1 || s.Name != "tarnhorn" || s.Seconds != "1.200" {
		t.Errorf("%+v", s)
	}
	if one := s.Cases[0]; one.Failure != nil || one.Name != "All is well" || one.Out != "presses “Go” & waits\ngoes back" {
		t.Errorf("%+v", one)
	}
	if f := s.Cases[1].Failure; f == nil || f.Message != "step 2, stands on “Cabin”: expected “Cabin”, found “Board”" || f.Text != "“state is open” holds" {
		t.Errorf("%+v", f)
	}
}

func TestWalksAreFoundByName(t *testing.T) {
	p := tarnhorn(t, nil)
	all, err := walksNamed(p, nil)
	if err != nil || len(all) != len(p.Walks) || all[0].ID != "wk_mine" {
		t.Fatalf("%d of %d walks, %v", len(all), len(p.Walks), err)
	}
	some, err := walksNamed(p, []string{"the office sees a defect, and changes nothing", "wk_mine"})
	if err != nil || len(some) != 2 || some[0].ID != "wk_office" {
		t.Errorf("%+v %v", some, err)
	}
	if _, err := walksNamed(p, []string{"nobody’s"}); err == nil || !strings.Contains(err.Error(), "there are: “Mira’s worst defect") {
		t.Error(err)
	}
}
