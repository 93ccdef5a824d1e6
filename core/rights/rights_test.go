package rights_test

import (
	"context"
	"errors"
	"strings"
	"testing"
	"time"

	"ambergate/core/ask"
	"ambergate/core/build"
	"ambergate/core/cond"
	"ambergate/core/kinds/element"
	"ambergate/core/press"
	"ambergate/core/rights"
	"ambergate/core/stand"
	"ambergate/core/use"
	"ambergate/core/words"
)

func TestARecordThatARowRuleHidesIsNotThere(t *testing.T) {
	s := stand.NewRuled(t)
	s.MustOpen(t, s.Mira, "cabin?cabin=7")
	_, err := s.Open(t, s.Mira, "cabin?cabin=8")
	_, never := s.Open(t, s.Mira, "cabin?cabin=99")
	if stand.Code(err) != "no-record" || err.Error() != never.Error() {
		t.Errorf("a hidden cabin: %v; one that never was: %v", err, never)
	}
}

func TestAHiddenParentIsNotVisibleInListsAndFields(t *testing.T) {
	s := stand.NewRuled(t)
	list := stand.Element(t, s.MustOpen(t, s.Mira, "defects").View(), "e_list").View.(*element.ListView)
	for _, row := range list.Rows {
		for i, path := range []string{"f_code", "f_cabin", "f_cabin.f_lift.f_name"} {
			hidden := row.Cells[i].Words == "not visible to you"
			if hidden != (row.Key == "3" && path != "f_code") {
				t.Errorf("%s of %s shows %+v", path, row.Title, row.Cells[i])
			}
			if hidden && row.Cells[i].Value != "" {
				t.Errorf("%s of %s tells %q", path, row.Title, row.Cells[i].Value)
			}
		}
	}
	// The way to the parent is not known, rather than said to lead nowhere.
	view := s.MustOpen(t, s.Mira, "defect?defect=3").View()
	if b := stand.Element(t, view, "e_cabin"); b.State != "greyed" || !strings.Contains(b.Reason, "not visible to you") {
		t.Errorf("the way to a hidden cabin: %+v", b)
	}
}

func TestPickersGroupsAndCountsKeepToTheRowRule(t *testing.T) {
	s := stand.NewRuled(t)
	titles, err := use.Titles(context.Background(), s.App, s.Mira, s.Data, time.Time{}, use.TitleQuery{Table: "t_cabins", Limit: 20})
	if err != nil || len(titles) != 1 || titles[0].Title != "007" {
		t.Errorf("a picker offers %+v, %v", titles, err)
	}
	chart := stand.Element(t, s.MustOpen(t, s.Mira, "chart").View(), "e_chart").View.(*element.ChartView)
	for _, p := range chart.Points {
		if p.Value == "8" || p.Label == "008" {
			t.Errorf("a hidden cabin is a bar: %+v", p)
		}
	}
}

func TestChangesKeepToTheRuleBeforeAndAfter(t *testing.T) {
	s := stand.NewRuled(t)
	ctx := context.Background()
	// Before: it is somebody else's.
	if _, err := s.Open(t, s.Mira, "defect?defect=2&~mode=edit"); stand.Code(err) != "row-rule" {
		t.Errorf("editing somebody else's: %v", err)
	}
	if b := stand.Element(t, s.MustOpen(t, s.Mira, "defect?defect=2").View(), "e_close"); b.State == "shown" {
		t.Errorf("closing somebody else's is open: %+v", b)
	}
	o := s.MustOpen(t, s.Mira, "defect?defect=1&~mode=edit")
	save := func(values map[string]string) error {
		_, err := press.Follow(ctx, o, press.Press{Element: "e_save", Values: values, Version: o.World.Record.Version}, s.Data)
		return err
	}
	if err := save(map[string]string{"f_what": "Door again"}); err != nil {
		t.Errorf("changing one's own: %v", err)
	}
	// After: it would be somebody else's, which nobody may do.
	edited := stand.New(t, stand.RowRules[:len(stand.RowRules)-2]+`,{"op":"add","path":"/s_defect/elements/e_by","value":{"kind":"field","pos":9,"cell":{"row":5,"col":1,"w":4},"path":"f_by"}}]`)
	edited.Data.Rows["t_staff"]["2"] = map[string]cond.Value{"f_id": cond.Int(2), "f_name": cond.String("Other")}
	o = edited.MustOpen(t, edited.Mira, "defect?defect=1&~mode=edit")
	_, err := press.Follow(ctx, o, press.Press{Element: "e_save", Values: map[string]string{"f_by": "2"}, Version: o.World.Record.Version}, edited.Data)
	if stand.Code(err) != "row-rule-after" {
		t.Errorf("giving it away: %v", err)
	}
}

func TestSavingRefersOnlyToWhatTheUserSees(t *testing.T) {
	s := stand.New(t, stand.RowRules[:len(stand.RowRules)-2]+`,{"op":"add","path":"/s_defect/elements/e_on","value":{"kind":"field","pos":9,"cell":{"row":5,"col":1,"w":4},"path":"f_cabin"}}]`)
	ctx := context.Background()
	try := func(key string) error {
		o := s.MustOpen(t, s.Mira, "defect?defect=1&~mode=edit")
		_, err := press.Follow(ctx, o, press.Press{Element: "e_save", Values: map[string]string{"f_cabin": key}, Version: o.World.Record.Version}, s.Data)
		return err
	}
	var hidden, gone *ask.FieldErrors
	if !errors.As(try("8"), &hidden) || !errors.As(try("99"), &gone) || hidden.Fields["f_cabin"] != gone.Fields["f_cabin"] {
		t.Errorf("a hidden cabin: %v; one that never was: %v", hidden, gone)
	}
	if err := try("7"); err != nil {
		t.Errorf("one that is seen: %v", err)
	}
	// Adding one on a hidden cabin by address is refused in the same way.
	o := s.MustOpen(t, s.Mira, "defect?~mode=add&~set.cabin=8")
	_, err := press.Follow(ctx, o, press.Press{Element: "e_save", Values: map[string]string{"f_what": "x", "f_hours": "1"}}, s.Data)
	if !errors.As(err, &hidden) || hidden.Fields["f_cabin"] == "" {
		t.Errorf("adding on a hidden cabin: %v", err)
	}
}

func TestSeveralGrantsAddUpEachWithItsRule(t *testing.T) {
	s := stand.New(t, `[
	 {"op":"add","path":"/gr_2/rows","value":"record.f_state == \"in service\""},
	 {"op":"add","path":"/gr_x","value":{"kind":"grant","role":"r_tech","table":"t_cabins","view":true,"rows":"record.f_no == \"008\""}},
	 {"op":"add","path":"/gr_y","value":{"kind":"grant","role":"r_vis","table":"t_cabins","view":true}}]`)
	for roles, want := range map[string]int{"r_tech": 2, "r_vis": 2} {
		u := &ask.User{ID: "u", Name: "U", Roles: map[string]bool{roles: true}}
		titles, err := use.Titles(context.Background(), s.App, u, s.Data, time.Time{}, use.TitleQuery{Table: "t_cabins", Limit: 20})
		if err != nil || len(titles) != want {
			t.Errorf("%s sees %d, want %d (%v)", roles, len(titles), want, err)
		}
	}
	rights, err := rights.Of(context.Background(), s.App, s.Mira, s.Data, time.Time{})
	if err != nil {
		t.Fatal(err)
	}
	cabins := rights.On("t_cabins")
	if cabins.Rows("edit") == nil || cabins.Rows("edit").Op != cond.PredCompare || cabins.Rows("view").Op != cond.PredAny || cabins.Rows("delete").Op != cond.PredNo {
		t.Errorf("edit %+v, view %+v, delete %+v", cabins.Rows("edit"), cabins.Rows("view"), cabins.Rows("delete"))
	}
}

func TestARuleThatCannotBeReadLetsNothingThrough(t *testing.T) {
	s := stand.New(t, `[{"op":"add","path":"/gr_2/rows","value":"record.f_gone == 1"}]`)
	if len(s.App.Problems) != 1 || s.App.Problems[0].Entity != "gr_2" {
		t.Errorf("%+v", s.App.Problems)
	}
	if _, err := s.Open(t, s.Mira, "cabin?cabin=7"); stand.Code(err) != "no-record" {
		t.Errorf("a broken rule: %v", err)
	}
}

func TestNobodyWalkingAsSomebodySeesFurtherThanTheirOwnRights(t *testing.T) {
	s := stand.New(t, `[{"op":"add","path":"/gr_5/rows","value":"record.f_no == \"008\""},{"op":"add","path":"/gr_6/hidden","value":{"f_what":true}}]`)
	walked := *s.Mira
	walked.Within = s.Sela // who sees cabin 008 alone, and not what a defect is
	if _, err := s.Open(t, &walked, "cabin?cabin=7"); stand.Code(err) != "no-record" {
		t.Errorf("a cabin that the walker may not see: %v", err)
	}
	field := stand.Element(t, s.MustOpen(t, s.Mira, "defect?defect=1").View(), "e_what").View.(*element.FieldView)
	if field.Words != "Door" {
		t.Errorf("Mira sees %q", field.Words)
	}
	for _, e := range s.MustOpen(t, &walked, "defect?defect=1").View().Elements {
		if e.ID == "e_what" {
			t.Errorf("the walker is shown %+v", e)
		}
	}
}

func TestRolesOfAScreenKeepOthersOutByAddressToo(t *testing.T) {
	s := stand.New(t, `[{"op":"add","path":"/s_list/roles","value":{"r_lead":true}}]`)
	s.MustOpen(t, s.Sela, "defects")
	_, err := s.Open(t, s.Mira, "defects")
	if stand.Code(err) != "guard" || !strings.Contains(err.Error(), "only for Shift lead") {
		t.Errorf("a technician: %v", err)
	}
	states := map[string]string{}
	for _, m := range words.MayEnter(s.App, "s_list") {
		states[m.Role] = m.State
	}
	if states["r_lead"] != "yes" || states["r_tech"] != "no" || states["r_vis"] != "no" {
		t.Errorf("%v", states)
	}
	for _, m := range words.MayEnter(s.App, "s_cabin") {
		if want := map[string]string{"r_tech": "depends", "r_lead": "depends", "r_vis": "no"}[m.Role]; m.State != want {
			t.Errorf("%s on a guarded screen: %+v, want %s", m.Role, m, want)
		}
	}
}

func TestRightsInWords(t *testing.T) {
	s := stand.NewRuled(t)
	for id, want := range map[string]string{
		"gr_1": "Technician may view, add and edit defects: all of them; change only those where by is empty or by is the user; hidden from them: nothing; not theirs to change: nothing.",
		"gr_2": "Technician may view and edit cabins: those where state is “in service”; change any of these; hidden from them: nothing; not theirs to change: number.",
		"gr_3": "Technician may view staff: all of them; hidden from them: phone.",
	} {
		g := s.App.Project.Grants[id]
		if got := stand.SentenceText(words.GrantSentence(s.App, g.Role, g.Table, g)); got != want {
			t.Errorf("%s says\n%s, want\n%s", id, got, want)
		}
	}
	if got := stand.SentenceText(words.GrantSentence(s.App, "r_vis", "t_lifts", nil)); got != "Visitor may do nothing with lifts." {
		t.Errorf("no grant says %q", got)
	}
	if got := stand.SentenceText(words.GuardSentence(s.App, "s_cabin")); got != "everyone may be here, while state is not “on hold”, if they may view cabins." {
		t.Errorf("a guard says %q", got)
	}
	tables, screens := words.MayDo(s.App, s.Mira)
	if len(tables) != 4 || tables[0].Rows != "state is “in service”" || tables[1].Change != "by is empty or by is the user" || len(screens) < 5 {
		t.Errorf("%+v %+v", tables, screens)
	}
	table := build.Rights(s.App)
	if len(table.Tables) != 4 || len(table.Screens) != 6 || len(table.Conditions) != 1 || table.Conditions[0].Phrase != "state is “open” and by is the user" {
		t.Errorf("%+v", table)
	}
}

func TestSharedConditionsTellWhereTheyAreUsed(t *testing.T) {
	s := stand.New(t, stand.RowRules[:len(stand.RowRules)-2]+`,{"op":"replace","path":"/s_defect/elements/e_close/gate/while","value":"record.c_mine"},{"op":"add","path":"/gr_6/rows","value":"record.open_and_mine || record.f_state == \"closed\""}]`)
	uses := build.Rights(s.App).Conditions[0].Uses
	if len(uses) != 2 || uses[0].Entity != "gr_6" || uses[1].Element != "e_close" || uses[1].Words != "“Close” on “Defect”" {
		t.Errorf("%+v", uses)
	}
	if b := stand.Element(t, s.MustOpen(t, s.Mira, "defect?defect=1").View(), "e_close"); b.State != "shown" {
		t.Errorf("one's own: %+v", b)
	}
	if b := stand.Element(t, s.MustOpen(t, s.Mira, "defect?defect=3").View(), "e_close"); b.State != "greyed" {
		t.Errorf("nobody's: %+v", b)
	}
}

// Where nothing can be changed every place that would write says so, whatever is granted.
func TestWhatCanOnlyBeReadSaysSoEverywhere(t *testing.T) {
	add := stand.WiredTo("s_board", stand.Does(`"kind":"add","table":"t_defects","fields":{"f_code":"\"D-9\"","f_what":"\"x\"","f_state":"\"open\"","f_cabin":"key(\"7\")"}`))
	s := stand.New(t, add)
	s.Data.Locked = true
	want := "Defects can only be read here: their database keeps no record of presses."
	if e := stand.Element(t, s.MustOpen(t, s.Mira, "board").View(), "e_try"); e.State != "greyed" || e.Reason != want {
		t.Errorf("adding: %+v", e)
	}
	view := s.MustOpen(t, s.Mira, "defect?defect=1").View()
	for _, id := range []string{"e_close"} {
		if e := stand.Element(t, view, id); e.State != "greyed" || e.Reason != want {
			t.Errorf("%s: %+v", id, e)
		}
	}
	if e := stand.Element(t, s.MustOpen(t, s.Mira, "cabin?cabin=7").View(), "e_add"); e.State != "greyed" || e.Reason != want {
		t.Errorf("a way to a new record: %+v", e)
	}
	for _, address := range []string{"defect?defect=1&~mode=edit", "defect?~mode=add"} {
		if _, err := s.Open(t, s.Mira, address); stand.Code(err) != "only-read" || !strings.Contains(err.Error(), want) {
			t.Errorf("%s: %v", address, err)
		}
	}
}
