package use_test

import (
	"testing"

	"ambergate/core/build"
	"ambergate/core/cond"
	"ambergate/core/kinds/element"
	"ambergate/core/press"
	"ambergate/core/stand"
)

const plantTags = `{"op":"add","path":"/tg_wind","value":{"kind":"tag","pos":1,"alias":"wind","label":"Wind at the top","type":"number","unit":"m/s","source":"so_p","node":"/Top/wind"}},
 {"op":"add","path":"/tg_horn","value":{"kind":"tag","pos":2,"alias":"horn","label":"Horn","type":"yesno","source":"so_p","node":"/Top/horn","writable":true}}`

// A value of the plant as a whole greys a button on a screen without any record, is shown there, and is watched once.
func TestPlantValuesWithoutARecord(t *testing.T) {
	s := stand.New(t, `[`+plantTags+`,{"op":"add","path":"/s_board/elements/e_mine/gate/while","value":"tag.tg_wind < 12.0"},
	 {"op":"add","path":"/s_board/elements/e_mine/gate/otherwise","value":{"grey":"It blows."}},
	 {"op":"add","path":"/s_board/elements/e_wind","value":{"kind":"gauge","pos":9,"words":"Wind","value":"tag.tg_wind","min":0,"max":40,"cell":{"row":9,"col":1,"w":3}}}]`)
	if len(s.App.Problems) > 0 {
		t.Fatalf("%+v", s.App.Problems)
	}
	for state, wind := range map[string]cond.Value{"shown": cond.Float(4), "greyed": cond.Float(14)} {
		s.Tags["/Top/wind"] = wind
		o := s.MustOpen(t, s.Mira, "board")
		if e := stand.Element(t, o.View(), "e_mine"); string(e.State) != state {
			t.Errorf("at %s m/s: %+v", wind.Wire(), e)
		}
		if gauge := stand.Element(t, o.View(), "e_wind").View.(*element.GaugeView); gauge.Value == nil {
			t.Errorf("%+v", gauge)
		}
		if refs := o.TagRefs(); len(refs) != 1 || refs[0].Node != "/Top/wind" || refs[0].Source != "so_p" || !o.Live() {
			t.Errorf("watched: %+v", refs)
		}
	}
	delete(s.Tags, "/Top/wind")
	if e := stand.Element(t, s.MustOpen(t, s.Mira, "board").View(), "e_mine"); e.State != "greyed" || e.By != "unknown" {
		t.Errorf("when it is not known: %+v", e)
	}
}

func TestPlantValuesWithoutARecordAreWritten(t *testing.T) {
	s := stand.New(t, stand.WiredTo("s_drive", stand.Does(`"kind":"write","tag":"tag.tg_horn","value":"true"`), plantTags))
	out, err := stand.Press(t, s.MustOpen(t, s.Mira, "drive?lift=1"), s, press.Press{Element: "e_try"})
	if err != nil || len(out.Writes) != 1 || out.Writes[0].Ref.Node != "/Top/horn" || out.Writes[0].Label != "Horn" {
		t.Fatalf("%+v %v", out, err)
	}
}

// Pickers offer them on every screen, and rules that a database decides cannot speak of them.
func TestPlantValuesAreOfferedWhereTheyCanBeAsked(t *testing.T) {
	s := stand.New(t, `[`+plantTags+`]`)
	offered := map[string]bool{}
	for _, n := range build.Names(s.App, s.App.Project.Scope(s.App.Project.Screens["s_board"], ""), "") {
		offered[n.Path] = n.Kind == "live"
	}
	if !offered["tag.wind"] || !offered["tag.horn"] {
		t.Errorf("offered: %v", offered)
	}
	if _, problem := s.App.RowRule("t_lifts", "tag.tg_wind < 12.0"); problem == nil {
		t.Error("a row rule spoke of the plant")
	}
	gone := stand.New(t, `[`+plantTags+`,{"op":"add","path":"/s_board/elements/e_mine/gate/while","value":"tag.tg_gone"}]`)
	if len(gone.App.Problems) != 1 {
		t.Errorf("a value that is gone: %+v", gone.App.Problems)
	}
}
