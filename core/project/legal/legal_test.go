package legal

import (
	"encoding/json"
	"testing"
)

func TestTheTextUnderANameIsFoundWithoutReadingTheRest(t *testing.T) {
	for body, want := range map[string]string{
		`{"kind":"screen"}`: "screen",
		" {\n\t\"pos\": 1.5, \"kind\" :\"list\" ,\"in\":{\"kind\":\"other\"}}\r\n":   "list",
		`{"words":"a \"kind\":\"no\" {[","all":[{"kind":"x"},"]}"],"kind":"button"}`: "button",
		`{"kind":"first","kind":"last"}`:                                             "last",
		`{"kind":""}`:                                                                "",
	} {
		if got, ok := TextUnder("kind", []byte(body)); !ok || got != want {
			t.Errorf("%s: %q, %v", body, got, ok)
		}
	}
	for _, body := range []string{
		"", "{", "[]", `"kind"`, `{}`, `{"kind"}`, `{"kind":1}`, `{"kind":["a"]}`, `{"in":{"kind":"a"}}`, `{"kind":"a"`, `{"kind":"a"} more`, `{"kind":"a",}x`, `{"kind":"a"]`,
		`{"kind":"\u0061"}`, `{"Kind":"a"}`, `{"kind":"a","KIND":"b"}`, `{"k\u0069nd":"a","kind":"b"}`, `{kind:"a"}`, `{"kind" "a"}`, `{"kind":"a`, `{"words":"a\`,
	} {
		if got, ok := TextUnder("kind", []byte(body)); ok {
			t.Errorf("%s: %q is believed", body, got)
		}
	}
}

// Whatever is found is what is found by reading all of it.
func FuzzTextUnder(f *testing.F) {
	for _, body := range []string{`{"kind":"a"}`, `{"a":{"kind":"b"},"kind":"c","l":[1,"]",{}]}`, `{"kind":"a","kind":{}}`, `{"kind":"a",}`} {
		f.Add([]byte(body))
	}
	f.Fuzz(func(t *testing.T, body []byte) {
		var head struct {
			Kind string `json:"kind"`
		}
		err := json.Unmarshal(body, &head)
		if got, ok := TextUnder("kind", body); ok && err == nil && got != head.Kind {
			t.Errorf("%q: %q, read as %q", body, got, head.Kind)
		}
	})
}
