package use

import (
	"encoding/json"
	"reflect"
	"testing"
)

// What is written by hand is what an encoder writes.
func TestALiveEventIsWrittenAsAnEncoderWrites(t *testing.T) {
	one, two := json.RawMessage(`{"id":"e_1","words":"“a”, \"b\""}`), json.RawMessage(`{"id":"e_2"}`)
	for _, tc := range []struct {
		elements []json.RawMessage
		gone     []string
	}{{}, {elements: []json.RawMessage{one}}, {[]json.RawMessage{one, two}, []string{"e_3", `e"4`}}, {gone: []string{"e_3"}}} {
		text := liveEvent(`t"1.7.0`, 7, 12, tc.elements, tc.gone)
		var got, want any
		encoded, err := json.Marshal(struct {
			At       string            `json:"at"`
			N        int               `json:"n"`
			Revision int               `json:"revision"`
			Elements []json.RawMessage `json:"elements"`
			Gone     []string          `json:"gone,omitempty"`
		}{`t"1.7.0`, 7, 12, append([]json.RawMessage{}, tc.elements...), tc.gone})
		if err != nil || json.Unmarshal(encoded, &want) != nil {
			t.Fatal(err)
		}
		if err := json.Unmarshal(text, &got); err != nil || !reflect.DeepEqual(got, want) {
			t.Errorf("%s is not %s: %v", text, encoded, err)
		}
	}
}
