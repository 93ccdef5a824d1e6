package use_test

import (
	"context"
	"testing"
	"time"

	"ambergate/core/ask"
	"ambergate/core/cond"
	"ambergate/core/place"
	"ambergate/core/press"
	"ambergate/core/stand"
	"ambergate/core/use"
	"ambergate/core/words"
)

// opened gives the place that a row of the list leads to, from an address.
func opened(s *stand.Stand, t testing.TB, address, row string) place.Place {
	t.Helper()
	o := s.MustOpen(t, s.Mira, address)
	out, err := stand.Press(t, o, s, press.Press{Element: "e_list", Row: row})
	if err != nil {
		t.Fatal(err)
	}
	return *out.To
}

func TestStepsFollowTheListComeFrom(t *testing.T) {
	s := stand.New(t, stand.Stepping)
	s.Data.Rows["t_defects"]["4"] = map[string]cond.Value{"f_id": cond.Int(4), "f_code": cond.String("D-0"), "f_what": cond.String("Rope"), "f_state": cond.String("open")}
	// The list is open ones by code: D-0 (4), D-1 (1), D-3 (3).
	from := opened(s, t, "defects?~filter.state=is:open&~sort=code", "1")
	o := s.At(t, from)
	v := o.View()
	if v.Steps == nil || v.Steps.Previous != "D-0" || v.Steps.Next != "D-3" || v.Steps.NextBy != "e_next" {
		t.Fatalf("neighbours %+v", v.Steps)
	}
	p, err := o.Position(context.Background(), s.Sources())
	if err != nil || p.At != 2 || p.Of != 3 || p.Gone || p.List != "Defects, open" {
		t.Errorf("position %+v, %v", p, err)
	}
	out, err := stand.Press(t, o, s, press.Press{Element: "e_next"})
	if err != nil || out.To == nil || out.To.Inputs["i_d"] != "3" || out.To.Mode != "view" {
		t.Fatalf("next %+v, %v", out, err)
	}
	last := s.At(t, *out.To)
	if b := stand.Element(t, last.View(), "e_next"); b.State != "greyed" || b.Reason != "This is the last of “Defects”." {
		t.Errorf("at the end: %+v", b)
	}
	out, err = stand.Press(t, last, s, press.Press{Element: "e_round"})
	if err != nil || out.To.Inputs["i_d"] != "4" {
		t.Errorf("round at the end: %+v, %v", out.To, err)
	}
	if out, err = stand.Press(t, last, s, press.Press{Element: "e_say"}); err != nil || out.Kind != "stay" || out.Message != "No more." {
		t.Errorf("staying at the end: %+v, %v", out, err)
	}
}

// A record that left the list by what was done to it is stepped on from where it was.
func TestDoneWithOneTheNextIsThatBehindIt(t *testing.T) {
	s := stand.New(t, stand.Stepping)
	o := s.At(t, opened(s, t, "defects?~filter.state=is:open&~sort=code", "1"))
	out, err := stand.Press(t, o, s, press.Press{Element: "e_fin"})
	if err != nil || out.To == nil || out.To.Inputs["i_d"] != "3" || s.Data.Rows["t_defects"]["1"]["f_state"].Wire() != "closed" {
		t.Fatalf("%+v, %v", out, err)
	}
	// Back at the first, it is no longer in the list, and its neighbours are as they were.
	again := o.Place()
	o = s.At(t, again)
	if v := o.View(); v.Steps.Next != "D-3" {
		t.Errorf("neighbours %+v", v.Steps)
	}
	if p, err := o.Position(context.Background(), s.Sources()); err != nil || !p.Gone || p.At != 0 {
		t.Errorf("position %+v, %v", p, err)
	}
}

func TestWithoutAListAllRecordsAreSteppedAlong(t *testing.T) {
	s := stand.New(t, stand.Stepping)
	o := s.MustOpen(t, s.Mira, "defect?defect=2")
	if v := o.View(); v.Steps.Previous != "D-1" || v.Steps.Next != "D-3" || !v.Tells {
		t.Errorf("neighbours %+v", v.Steps)
	}
	if b := stand.Element(t, s.MustOpen(t, s.Mira, "defect?~mode=add").View(), "e_next"); b.State != "greyed" {
		t.Errorf("a new record steps: %+v", b)
	}
	// A list that is gone since, or filters that do not fit any more, are no fault.
	p := o.Place()
	p.From = &place.From{Screen: "s_list", Element: "e_gone", Filters: []place.Filter{{Path: "f_nothing", Compare: "is"}}}
	if v := s.At(t, p).View(); v.Steps.Next != "D-3" {
		t.Errorf("neighbours %+v", v.Steps)
	}
}

func TestTheNearestListIsFound(t *testing.T) {
	s := stand.New(t, stand.Stepping)
	list, err := place.Parse(s.App.Project, "defects", "cabin=7&~find=door")
	if err != nil {
		t.Fatal(err)
	}
	if from := place.ListOf(s.App.Project, list, "t_defects"); from == nil || from.Element != "e_list" || from.Find != "door" || from.Inputs["i_cabin"] != "7" {
		t.Errorf("from %+v", from)
	}
	if place.ListOf(s.App.Project, list, "t_cabins") != nil || place.ListOf(s.App.Project, place.Place{Screen: "s_gone"}, "t_defects") != nil {
		t.Error("a list of something else is taken")
	}
	if got := s.App.StepsAlong(place.Place{Screen: "s_defect", Mode: "edit"}); got != "t_defects" {
		t.Errorf("steps along %q", got)
	}
	if s.App.StepsAlong(place.Place{Screen: "s_defect", Mode: "add"}) != "" || s.App.StepsAlong(place.Place{Screen: "s_cabin", Mode: "view"}) != "" {
		t.Error("what does not step looks for a list")
	}
}

func TestStepsInWords(t *testing.T) {
	s := stand.New(t, stand.Stepping)
	plan := s.App.Screens["s_defect"]
	for id, want := range map[string]string{
		"e_prev": "When released, for everyone: go to the previous defect in the list they came from.", "e_round": "When released, for everyone: go to the next defect in the list they came from, round at the end.",
	} {
		for _, e := range plan.Elements {
			if got := stand.SentenceText(words.Sentence(s.App, plan.Screen, e, "release")); e.ID == id && got != want {
				t.Errorf("%s: %s", id, got)
			}
		}
	}
}

// slow is records that take their time to find neighbours.
type slow struct{ ask.Records }

func (r slow) Fetch(ctx context.Context, q ask.Query) (ask.Page, error) {
	if q.After != "" {
		select {
		case <-time.After(400 * time.Millisecond):
		case <-ctx.Done():
			return ask.Page{}, ctx.Err()
		}
	}
	return r.Records.Fetch(ctx, q)
}

// Who only looks does not wait for neighbours that no index finds. Within a press they are waited for: a
// statement that is given up would end its whole transaction.
func TestNeighboursThatTakeTooLongAreGivenUpOnlyWhereOneLooks(t *testing.T) {
	s := stand.New(t, stand.Stepping)
	from := opened(s, t, "defects?~filter.state=is:open&~sort=code", "1")
	for _, held := range []bool{false, true} {
		src := s.Sources()
		src.Records, src.Held = slow{src.Records}, held
		o, err := use.Open(t.Context(), s.App, s.Mira, from, src)
		if err != nil {
			t.Fatal(err)
		}
		if steps := o.View().Steps; steps == nil || steps.Slow == held || (steps.Next != "") != held {
			t.Errorf("within a press %v: %+v", held, steps)
		}
	}
}
