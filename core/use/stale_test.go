package use_test

import (
	"context"
	"encoding/json"
	"strings"
	"testing"

	"ambergate/core/cond"
	"ambergate/core/kinds/element"
	"ambergate/core/press"
	"ambergate/core/stand"
	"ambergate/core/use"
)

// A value that is stale is not known, and "not" of it neither: wherever it is asked for, it enables nothing.
const overStale = `[
 {"op":"add","path":"/s_drive/elements/e_ghost","value":{"kind":"text","pos":8,"cell":{"row":8,"col":1,"w":3},"words":"Stands still","shown":"!record.equip.q_drive.g_run"}},
 {"op":"add","path":"/s_drive/elements/e_case","value":{"kind":"button","pos":9,"cell":{"row":9,"col":1,"w":3},"words":"By case","gate":{"cases":{"c_1":{"pos":1,"when":"!record.equip.q_drive.g_run","move":{"kind":"home"}},"c_2":{"pos":2,"move":{"kind":"back"}}}}}},
 {"op":"add","path":"/s_drive/elements/e_any","value":{"kind":"button","pos":10,"cell":{"row":10,"col":1,"w":3},"words":"Unless fast","gate":{"while":"!(record.equip.q_drive.g_speed > 2.0)","cases":{"c_1":{"pos":1,"move":{"kind":"home"}}}}}},
 {"op":"add","path":"/s_drive/elements/e_lost","value":{"kind":"button","pos":11,"cell":{"row":11,"col":1,"w":3},"words":"No value","gate":{"while":"!available(record.equip.q_drive.g_run)","cases":{"c_1":{"pos":1,"move":{"kind":"home"}}}}}}
]`

func TestNotOfAStaleValueOpensNoGate(t *testing.T) {
	s := stand.New(t, overStale)
	s.Tags["UT.running"], s.Tags["UT.speed"] = cond.Bool(false), cond.Float(0)
	fresh := s.MustOpen(t, s.Sela, "drive?lift=1")
	for _, id := range []string{"e_idle", "e_case", "e_any"} {
		if b := stand.Element(t, fresh.View(), id); b.State != "shown" {
			t.Errorf("while the line stands, %s is %+v", id, b)
		}
	}
	s.Tags["UT.running"], s.Tags["UT.speed"] = cond.UnknownBecause("stale since 10:41"), cond.UnknownBecause("stale since 10:41")
	for _, id := range []string{"e_idle", "e_case", "e_any"} {
		b := stand.Element(t, fresh.View(), id)
		if b.State != "greyed" || !strings.HasPrefix(b.Reason, "Value not available: stale since 10:41") {
			t.Errorf("with a stale value, %s is %s: %s", id, b.State, b.Reason)
		}
		o := s.MustOpen(t, s.Sela, "drive?lift=1")
		if _, err := press.Follow(context.Background(), o, press.Press{Element: id}, s.Data); stand.Code(err) != "greyed" {
			t.Errorf("a press on %s: %v", id, err)
		}
	}
	// Who asks for the quality itself is told it.
	if b := stand.Element(t, fresh.View(), "e_lost"); b.State != "shown" {
		t.Errorf("what asks whether there is a value: %+v", b)
	}
}

func TestNotOfAStaleValueShowsNothing(t *testing.T) {
	s := stand.New(t, overStale)
	has := func() bool {
		for _, e := range s.MustOpen(t, s.Sela, "drive?lift=1").View().Elements {
			if e.ID == "e_ghost" {
				return true
			}
		}
		return false
	}
	s.Tags["UT.running"] = cond.Bool(false)
	if !has() {
		t.Error("it does not show while the line stands")
	}
	s.Tags["UT.running"] = cond.UnknownBecause("stale")
	if has() {
		t.Error("it shows while the value is stale")
	}
}

func TestNotOfAStaleValueLetsNobodyIn(t *testing.T) {
	s := stand.New(t, `[{"op":"add","path":"/s_drive/guard","value":"!record.equip.q_drive.g_run"}]`)
	s.Tags["UT.running"] = cond.Bool(false)
	o := s.MustOpen(t, s.Sela, "drive?lift=1")
	s.Tags["UT.running"] = cond.UnknownBecause("stale")
	if _, err := s.Open(t, s.Sela, "drive?lift=1"); stand.Code(err) != "guard" {
		t.Errorf("entering with a stale value: %v", err)
	}
	if err := o.StillOpen(); stand.Code(err) != "guard" {
		t.Errorf("staying with a stale value: %v", err)
	}
}

func TestAStaleLampShowsNeitherFace(t *testing.T) {
	s := stand.New(t, `[{"op":"add","path":"/s_drive/elements/e_not","value":{"kind":"lamp","pos":8,"cell":{"row":8,"col":1,"w":3},"words":"Stands","value":"!record.equip.q_drive.g_run","on":"stands","off":"runs"}}]`)
	s.Tags["UT.running"] = cond.Bool(false)
	if l := stand.Element(t, s.MustOpen(t, s.Sela, "drive?lift=1").View(), "e_not").View.(*element.LampView); l.State != "on" {
		t.Errorf("a known value: %+v", l)
	}
	s.Tags["UT.running"] = cond.UnknownBecause("stale")
	for _, id := range []string{"e_lamp", "e_not"} {
		if l := stand.Element(t, s.MustOpen(t, s.Sela, "drive?lift=1").View(), id).View.(*element.LampView); l.State != "unknown" {
			t.Errorf("%s with a stale value: %+v", id, l)
		}
	}
}

func TestWhatIsDrawnBeforeAnyLiveValueDiffersWhereOneCounts(t *testing.T) {
	s := stand.New(t, overStale)
	s.Tags["UT.running"], s.Tags["UT.speed"] = cond.Bool(false), cond.Float(0)
	o := s.MustOpen(t, s.Sela, "drive?lift=1")
	now, before := map[string]string{}, map[string]string{}
	for views, o := range map[*map[string]string]*use.Opening{&now: o, &before: o.Unread()} {
		for _, e := range o.View().Elements {
			text, err := json.Marshal(e)
			if err != nil {
				t.Fatal(err)
			}
			(*views)[e.ID] = string(text)
		}
	}
	for _, id := range []string{"e_idle", "e_case", "e_any", "e_ghost"} {
		if now[id] == "" || now[id] == before[id] {
			t.Errorf("%s is the same before any value: %s", id, now[id])
		}
	}
	for _, ref := range o.TagRefs() {
		if !s.Tags.Read(ref).Value.Known() {
			s.Tags[ref.Node] = cond.Float(1)
		}
	}
	if !o.AllRead() || o.Unread().AllRead() {
		t.Error("what was read is not told from what was not")
	}
}
