package drawn

import (
	"bytes"
	"io"
	"log/slog"
	"strings"
	"testing"
	"weak"

	"ambergate/core/kinds/element"
	"ambergate/core/plan"
	"ambergate/core/use"
)

func screens() *Screens { return New(slog.New(slog.NewTextHandler(io.Discard, nil))) }

func drawing(words, mode string) *use.View {
	return &use.View{Screen: "s_one", Mode: mode, Heading: words, Elements: use.ElementViews{{ID: "e_1", Kind: "button", View: &element.ButtonView{Words: words}}}}
}

// drawn draws a screen and says whether that was asked for, and what is written of it.
func drawn(t *testing.T, s *Screens, of Of, v *use.View, follows bool) (again bool, text string) {
	t.Helper()
	got, err := s.View(of, func() (*use.View, bool) { again = true; return v, follows })
	if err != nil {
		t.Fatal(err)
	}
	var out bytes.Buffer
	if err := got.Write(&out); err != nil {
		t.Fatal(err)
	}
	return again, out.String()
}

func TestWhatFollowsFromTheSameIsNotDrawnAgain(t *testing.T) {
	s := screens()
	first, as := drawn(t, s, Of{Place: "place", Sum: 1}, drawing("one", "view"), true)
	again, same := drawn(t, s, Of{Place: "place", Sum: 1}, drawing("one", "view"), true)
	if !first || again || as != same || !strings.Contains(same, `"words":"one"`) {
		t.Errorf("drawn %v, then %v: %s, then %s", first, again, as, same)
	}
	for _, other := range []Of{{Place: "place", Sum: 2}, {Place: "elsewhere", Sum: 1}, {App: weak.Make(&plan.App{}), Place: "place", Sum: 1}} {
		if again, as := drawn(t, s, other, drawing("two", "view"), true); !again || !strings.Contains(as, "two") {
			t.Errorf("%v is shown as another: %s", other, as)
		}
	}
}

func TestWhatHangsOnMoreOrCanBeTypedIntoIsNotKept(t *testing.T) {
	s := screens()
	drawn(t, s, Of{Place: "time", Sum: 1}, drawing("one", "view"), false)
	drawn(t, s, Of{Place: "form", Sum: 1}, drawing("one", "edit"), true)
	for _, place := range []string{"time", "form"} {
		if again, _ := drawn(t, s, Of{Place: place, Sum: 1}, drawing("one", "view"), false); !again {
			t.Errorf("%s was kept", place)
		}
	}
}

func TestThoseLookedAtLongAgoGo(t *testing.T) {
	s := screens()
	large := strings.Repeat("x", mostOf/4)
	for i := range uint64(80) {
		drawn(t, s, Of{Place: "place", Sum: i}, drawing(large, "view"), true)
		drawn(t, s, Of{Place: "place", Sum: 0}, drawing(large, "view"), true)
	}
	if s.size > most || s.size < most/2 {
		t.Errorf("%d bytes are kept", s.size)
	}
	if again, _ := drawn(t, s, Of{Place: "place", Sum: 0}, drawing(large, "view"), true); again {
		t.Error("what was looked at last is gone")
	}
	if again, _ := drawn(t, s, Of{Place: "place", Sum: 1}, drawing(large, "view"), true); !again {
		t.Error("what was looked at long ago is still kept")
	}
	if drawn(t, s, Of{Place: "huge", Sum: 1}, drawing(large+large+large, "view"), true); s.kept.Contains(Of{Place: "huge", Sum: 1}) {
		t.Error("one screen takes the place of many")
	}
}

// One that was kept and is not as it is drawn is found out, and the right one is shown.
func TestOneThatDiffersIsFoundOut(t *testing.T) {
	s := screens()
	s.Doubt(2)
	drawn(t, s, Of{Place: "place", Sum: 1}, drawing("one", "view"), true)
	drawn(t, s, Of{Place: "place", Sum: 1}, drawing("two", "view"), true)
	if again, as := drawn(t, s, Of{Place: "place", Sum: 1}, drawing("two", "view"), true); !again || !strings.Contains(as, "two") || !s.Wrong() {
		t.Errorf("drawn again %v, wrong %v: %s", again, s.Wrong(), as)
	}
	drawn(t, s, Of{Place: "place", Sum: 1}, drawing("two", "view"), true)
	if again, _ := drawn(t, s, Of{Place: "place", Sum: 1}, drawing("two", "view"), true); !again {
		t.Error("one is kept again")
	}
}
