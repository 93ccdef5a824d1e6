package check

import (
	"encoding/json"
	"strings"
	"testing"

	"ambergate/core/patch"
	"ambergate/core/plan"
)

// dialogs is a list that closes with its row, one that closes with nothing, and a button that opens one of them.
func dialogs(opens, back string) string {
	list := func(id, move string) string {
		return `{"op":"add","path":"/` + id + `","value":{"kind":"screen","type":"list","title":"` + id + `","slug":"` + id + `","elements":{
		 "e_l":{"kind":"list","pos":1,"cell":{"row":1,"col":1,"w":12},"table":"t_x","columns":{},"opened":{"cases":{"c_1":{"pos":1,"move":` + move + `}}}}}}}`
	}
	return `[` + list("s_gives", `{"kind":"close","result":{"rule":"row"}}`) + `,` + list("s_mute", `{"kind":"close"}`) + `,
	 {"op":"add","path":"/s_board/elements/e_ask","value":{"kind":"button","pos":2,"cell":{"row":2,"col":1,"w":2},"words":"Ask","gate":{"cases":{"c_1":{"pos":1,"move":{"kind":"screen","target":"` + opens + `","as":"dialog","back":` + back + `}}}}}}]`
}

func TestDialogsThatComeBackWithTheWrongThingAreFound(t *testing.T) {
	to := func(screen, input string) string {
		return `{"cases":{"c_1":{"pos":1,"move":{"kind":"screen","target":"` + screen + `","bind":{"` + input + `":{"rule":"result"}}}}}}`
	}
	for name, tc := range map[string]struct{ opens, back, words, trigger string }{
		"sound":             {"s_gives", to("s_form", "i_x"), "", ""},
		"nothing happens":   {"s_gives", `{}`, "Nothing happens when the dialog comes back.", "release/c_1"},
		"another table":     {"s_gives", to("s_yform", "i_y"), "It takes a record of Ys; the dialog comes back with one of Xs.", "release/c_1"},
		"never with any":    {"s_mute", to("s_form", "i_x"), "The dialog never comes back with anything", "release/c_1"},
		"not from a dialog": {"s_gives", `{"cases":{"c_1":{"pos":1,"move":{"kind":"screen","target":"s_gives","as":"dialog","back":` + to("s_form", "i_x") + `}}}}`, "", ""},
	} {
		var words []string
		for _, f := range run(t, dialogs(tc.opens, tc.back)) {
			if f.Check != "comes-back" {
				continue
			}
			words = append(words, f.Words)
			if f.Trigger != tc.trigger {
				t.Errorf("%s: told of %q", name, f.Trigger)
			}
		}
		if tc.words == "" && len(words) > 0 || tc.words != "" && (len(words) != 1 || !strings.HasPrefix(words[0], tc.words)) {
			t.Errorf("%s: %q", name, words)
		}
	}
	found := run(t, `[{"op":"replace","path":"/s_board/elements/e_go/gate/cases/c_1/move/target","value":"s_form"},{"op":"add","path":"/s_board/elements/e_go/gate/cases/c_1/move/bind","value":{"i_x":{"rule":"result"}}}]`)
	told := false
	for _, f := range found {
		told = told || f.Check == "comes-back" && strings.HasPrefix(f.Words, "It takes what a dialog came back with")
	}
	if !told {
		t.Errorf("a result without a dialog: %+v", found)
	}
}

func TestWhatAnotherProjectOffersNoMoreIsFound(t *testing.T) {
	project := func(changes string) *plan.App {
		var bodies patch.Bodies
		var ops []patch.Op
		if err := json.Unmarshal([]byte(base), &bodies); err != nil {
			t.Fatal(err)
		}
		if err := json.Unmarshal([]byte(changes), &ops); err != nil {
			t.Fatal(err)
		}
		return compiled(t, apply(t, bodies, ops))
	}
	gate := func(entry, with string) *plan.App {
		return project(`[{"op":"add","path":"/s_board/elements/e_far","value":{"kind":"button","pos":2,"cell":{"row":2,"col":1,"w":2},"words":"Far","gate":{"cases":{"c_1":{"pos":1,"move":{"kind":"project","project":"other","entry":"` + entry + `","with":` + with + `}}}}}}]`)
	}
	other := project(`[{"op":"add","path":"/s_form/offered","value":true},{"op":"add","path":"/s_form/inputs/i_day","value":{"pos":2,"alias":"day","label":"Day","type":"date"}}]`)
	others := func(slug string) *plan.App {
		if slug == "other" {
			return other
		}
		return nil
	}
	for name, tc := range map[string]struct {
		app  *plan.App
		want string
	}{
		"as offered":          {gate("form", `{"x":"user.login"}`), ""},
		"not offered":         {gate("list", `{}`), "does not offer “list” any more"},
		"no such screen":      {gate("gone", `{}`), "does not offer “gone” any more"},
		"an input missing":    {gate("form", `{}`), "needs to know which x by now"},
		"an input gone":       {gate("form", `{"x":"user.login","hue":"user.login"}`), "takes nothing called “hue” any more"},
		"another type by now": {gate("form", `{"x":"user.login","day":"user.login"}`), "takes day as another kind of value"},
	} {
		found := Offers(tc.app, others)
		if tc.want == "" && len(found) > 0 || tc.want != "" && (len(found) != 1 || !strings.Contains(found[0].Words, tc.want) || found[0].Check != "offered-changed") {
			t.Errorf("%s: %+v", name, found)
		}
	}
	if found := Offers(gate("form", `{"x":"user.login"}`), func(string) *plan.App { return nil }); len(found) != 1 || !strings.Contains(found[0].Words, "has no release") {
		t.Errorf("%+v", found)
	}
}
