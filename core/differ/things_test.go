package differ

import (
	"encoding/json"
	"os"
	"strings"
	"testing"

	_ "ambergate/core/kinds"
	"ambergate/core/project"
)

// Each map by id of the document is known as one of things, and nothing else is.
func TestEachMapOfTheDocumentIsOneOfThings(t *testing.T) {
	text, err := os.ReadFile("../../schema/document.schema.json")
	if err != nil {
		t.Fatal(err)
	}
	var schema struct {
		Defs map[string]struct {
			Properties map[string]json.RawMessage
		} `json:"$defs"`
	}
	if err := json.Unmarshal(text, &schema); err != nil {
		t.Fatal(err)
	}
	in := map[string]bool{}
	for name, of := range schema.Defs {
		for key, text := range of.Properties {
			var p struct{ AdditionalProperties json.RawMessage }
			_ = json.Unmarshal(text, &p) // what may be anything is no object
			if !strings.Contains(string(p.AdditionalProperties), "$ref") {
				continue
			}
			if in[key] = true; parts[key].one == "" {
				t.Errorf("%s.%s is a map by id: say in parts what one of it is called", name, key)
			}
		}
	}
	for key := range parts {
		if !in[key] {
			t.Errorf("parts knows %q, which no map of the document is called", key)
		}
	}
}

func TestEachKindOfEntityHasWordsAndAPlace(t *testing.T) {
	for _, kind := range project.EntityKinds() {
		if kindWords[kind] == "" {
			t.Errorf("kind %q has no words", kind)
		}
	}
	for kind := range kindWords {
		found := false
		for _, k := range kinds {
			found = found || k == kind
		}
		if !found {
			t.Errorf("kind %q is told nowhere in the order", kind)
		}
	}
	if len(kinds) != len(kindWords) {
		t.Errorf("%d kinds in order, %d with words", len(kinds), len(kindWords))
	}
}
