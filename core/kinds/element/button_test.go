package element_test

import (
	"sync"
	"testing"

	"ambergate/core/kinds/element"
	"ambergate/core/stand"
)

// A button that looks as it did is drawn once; what is drawn of another record, or for others, is never what was kept.
func TestAButtonIsDrawnAnewWhereItLooksOtherwise(t *testing.T) {
	s := stand.New(t, `[{"op":"remove","path":"/s_cabin/guard"}]`)
	button := func(address, id string) *element.ButtonView {
		return stand.Element(t, s.MustOpen(t, s.Mira, address).View(), id).View.(*element.ButtonView)
	}
	first := button("defect?defect=1", "e_cabin")
	if again := button("defect?defect=1", "e_cabin"); again != first {
		t.Error("the same is drawn twice")
	}
	if no := button("defect?defect=3", "e_cabin"); no.Href != "" || first.Href != "/cabin?cabin=7" {
		t.Errorf("of a defect on no cabin: %q; the one before became %q", no.Href, first.Href)
	}
	if a, b := button("cabin?cabin=7", "e_add").Words, button("cabin?cabin=8", "e_add").Words; a != "Report on 007" || b != "Report on 008" {
		t.Errorf("%q, %q", a, b)
	}
}

func TestButtonsAreDrawnByManyAtOnce(t *testing.T) {
	s := stand.New(t, `[{"op":"remove","path":"/s_cabin/guard"}]`)
	var all sync.WaitGroup
	for i, want := range []string{"Report on 007", "Report on 008", "Report on 007", "Report on 008"} {
		o := s.MustOpen(t, s.Mira, "cabin?cabin="+[]string{"7", "8"}[i%2])
		all.Go(func() {
			for range 200 {
				for _, e := range o.View().Elements {
					if b, is := e.View.(*element.ButtonView); is && e.ID == "e_add" && b.Words != want {
						t.Errorf("%q, and not %q", b.Words, want)
						return
					}
				}
			}
		})
	}
	all.Wait()
}
