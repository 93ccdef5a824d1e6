package answer

import (
	"bytes"
	"encoding/json"
	"testing"

	"ambergate/api"
	"ambergate/core/kinds/element"
	"ambergate/core/use"
)

// A screen is written as any encoder writes it, whatever its words are, with what lies over it and without.
func TestAScreenIsWrittenInParts(t *testing.T) {
	button := func(id, words string) use.ElementView {
		return use.ElementView{ID: id, Kind: "button", State: use.StateShown, View: &element.ButtonView{Words: words, Tone: "plain", Trigger: "release"}}
	}
	view := func(elements ...use.ElementView) use.View {
		return use.View{Screen: "s_one", Title: use.Cut, Heading: "A <b> & “c”", Elements: elements}
	}
	over := []api.OverlayView{{As: "dialog", View: view(button("e_1", use.Cut), button("e_2", "two"))}, {As: "drawer", View: view()}}
	for name, shown := range map[string]*api.Shown{
		"alone":        {View: view(button("e_1", "</script>"), use.ElementView{ID: "e_2", Kind: "text"})},
		"empty":        {View: view()},
		"with dialogs": {View: view(button("e_1", "one")), Overlays: &over},
	} {
		for _, resp := range []any{shown, api.PressResult{Shown: shown}} {
			want, err := json.Marshal(resp)
			if err != nil {
				t.Fatal(err)
			}
			var text bytes.Buffer
			err = encodeShown(&text, resp, viewsIn(shown))
			got := text.Bytes()
			if err != nil {
				t.Fatal(name, err)
			}
			var plain, parts any
			if json.Unmarshal(want, &plain) != nil || json.Unmarshal(got, &parts) != nil {
				t.Fatalf("%s: no JSON: %s", name, got)
			}
			a, _ := json.Marshal(plain)
			b, _ := json.Marshal(parts)
			if string(a) != string(b) {
				t.Errorf("%s: written as\n%s\nand not as\n%s", name, b, a)
			}
			if len(shown.View.Elements) > 0 && shown.View.Elements[0].Kind == use.Cut {
				t.Errorf("%s: its elements are gone", name)
			}
		}
	}
}
