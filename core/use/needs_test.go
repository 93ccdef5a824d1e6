package use_test

import (
	"context"
	"slices"
	"strings"
	"testing"

	"ambergate/core/ask"
	"ambergate/core/stand"
	"ambergate/core/use"
)

// watched notes which tables are read.
type watched struct {
	ask.Records
	tables []string
}

func (w *watched) Fetch(ctx context.Context, q ask.Query) (ask.Page, error) {
	w.tables = append(w.tables, q.Table.ID)
	return w.Records.Fetch(ctx, q)
}

func TestAPressFetchesWhatItsOwnGatesAskFor(t *testing.T) {
	last := `{"op":"add","path":"/s_cabin/elements/e_last","value":{"kind":"button","pos":9,"cell":{"row":9,"col":3,"w":1},"words":"Last","gate":` +
		stand.One(`{"kind":"screen","target":"s_defect","bind":{"i_d":{"rule":"child","table":"t_defects","path":"f_cabin","none":"grey"}}}`) + `}}`
	next := `{"op":"add","path":"/s_cabin/elements/e_next","value":{"kind":"button","pos":9,"cell":{"row":9,"col":5,"w":1},"words":"Next","gate":` + stand.One(`{"kind":"step","step":"next"}`) + `}}`
	s := stand.New(t, stand.WiredTo("s_cabin", stand.One(`{"kind":"home"}`), last, next))
	for pressed, want := range map[string]string{
		"e_try":  "t_cabins",
		"e_last": "t_cabins t_defects",
		"e_next": "t_cabins t_cabins", // the record with its place in the order, its neighbour
		"":       "t_cabins t_cabins t_defects",
	} {
		src := s.Sources()
		seen := &watched{Records: src.Records}
		src.Records, src.Bare, src.Pressed = seen, true, pressed
		if _, err := use.Open(t.Context(), s.App, s.Mira, s.Place(t, "cabin?cabin=7"), src); err != nil {
			t.Fatal(err)
		}
		if slices.Sort(seen.tables); strings.Join(seen.tables, " ") != want {
			t.Errorf("pressed %q: reads %v, want %s", pressed, seen.tables, want)
		}
	}
	// Whether one may be somewhere takes no more than the record.
	src := s.Sources()
	seen := &watched{Records: src.Records}
	src.Records = seen
	if err := use.Check(t.Context(), s.App, s.Mira, s.Place(t, "cabin?cabin=7"), src); err != nil || len(seen.tables) != 1 {
		t.Errorf("to enter: %v, reads %v", err, seen.tables)
	}
	if err := use.Check(t.Context(), s.App, s.Mira, s.Place(t, "cabin?cabin=8"), src); err == nil {
		t.Error("the guard lets in")
	}
}
