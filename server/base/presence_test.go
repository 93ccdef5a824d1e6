package base

import (
	"reflect"
	"testing"
)

func TestOthersAreWhereTheirTabsAre(t *testing.T) {
	p := newPresence()
	told, stop := p.Add("p_a")
	defer stop()
	heard := func() bool {
		select {
		case <-told:
			return true
		default:
			return false
		}
	}
	bea := Present{Account: "a_bea", Name: "Bea"}
	leave := p.Come("p_a", "t1", bea)
	if !heard() {
		t.Error("nobody was told that she came")
	}
	if got := p.Others("p_a", "a_cem"); !reflect.DeepEqual(got, []Present{bea}) {
		t.Errorf("%+v", got)
	}
	if got := p.Others("p_a", "a_bea"); len(got) != 0 || got == nil {
		t.Errorf("she is shown to herself: %+v", got)
	}
	if got := p.Others("p_b", "a_cem"); len(got) != 0 {
		t.Errorf("she is shown in another application: %+v", got)
	}
	moved := bea
	moved.View, moved.Screen = "screen", "s_cabin"
	p.Move("p_a", "t1", moved)
	p.Move("p_a", "t1", moved) // where she is already: nobody is told again
	if !heard() || heard() {
		t.Error("a move is told once")
	}
	p.Move("p_a", "t9", moved) // a tab that does not listen is nowhere
	foreign := moved
	foreign.Account = "a_cem"
	p.Move("p_a", "t1", foreign) // nobody moves the tab of somebody else
	second := p.Come("p_a", "t2", moved)
	if got := p.Others("p_a", "a_cem"); !reflect.DeepEqual(got, []Present{moved}) {
		t.Errorf("two tabs at one place are told once: %+v", got)
	}
	leave()
	second()
	if got := p.Others("p_a", "a_cem"); len(got) != 0 || len(p.tabs) != 0 {
		t.Errorf("she left, and is there still: %+v", got)
	}
}
