package schema_test

import (
	"bytes"
	"encoding/json"
	"strings"
	"testing"

	"github.com/santhosh-tekuri/jsonschema/v6"

	"ambergate/core/project"
	"ambergate/demo"
	"ambergate/schema"
)

func compiled(t testing.TB) *jsonschema.Schema {
	t.Helper()
	document, err := jsonschema.UnmarshalJSON(bytes.NewReader(schema.Document))
	if err != nil {
		t.Fatal(err)
	}
	c := jsonschema.NewCompiler()
	if err := c.AddResource("document.json", document); err != nil {
		t.Fatal(err)
	}
	s, err := c.Compile("document.json")
	if err != nil {
		t.Fatal(err)
	}
	return s
}

func holds(t testing.TB, s *jsonschema.Schema, entities map[string]json.RawMessage) error {
	t.Helper()
	text, err := json.Marshal(entities)
	if err != nil {
		t.Fatal(err)
	}
	value, err := jsonschema.UnmarshalJSON(bytes.NewReader(text))
	if err != nil {
		t.Fatal(err)
	}
	return s.Validate(value)
}

// What the program reads, and what it writes again, is what the schema says.
func TestDocumentsAreAsTheSchemaSays(t *testing.T) {
	s := compiled(t)
	for id := range demo.Projects {
		entities, err := demo.Entities(id)
		if err != nil {
			t.Fatal(err)
		}
		if err := holds(t, s, entities); err != nil {
			t.Errorf("%s: %v", id, err)
		}
		p, err := project.Decode(entities)
		if err != nil {
			t.Fatal(err)
		}
		again := map[string]json.RawMessage{}
		for id, screen := range p.Screens {
			text, err := json.Marshal(screen)
			if err != nil {
				t.Fatal(err)
			}
			again[id] = text
		}
		if err := holds(t, s, again); err != nil {
			t.Errorf("%s, written again: %v", id, err)
		}
	}
}

// Program and schema refuse the same.
func TestTheSchemaRefusesWhatTheProgramRefuses(t *testing.T) {
	s := compiled(t)
	screen := func(element string) string {
		return `{"kind":"screen","type":"menu","title":"A","slug":"a","elements":{"e_1":` + element + `}}`
	}
	button := func(gate string) string {
		return screen(`{"kind":"button","pos":1,"cell":{"row":1,"col":1,"w":2},"words":"Go","gate":` + gate + `}`)
	}
	for what, body := range map[string]string{
		"a kind of entity":     `{"kind":"poem"}`,
		"a part of an entity":  `{"kind":"role","pos":1,"name":"A","start":"s_a","colour":"red"}`,
		"a kind of element":    screen(`{"kind":"poem","pos":1,"cell":{"row":1,"col":1,"w":2}}`),
		"a part of an element": screen(`{"kind":"text","pos":1,"cell":{"row":1,"col":1,"w":2},"words":"x","path":"f_a"}`),
		"a style":              screen(`{"kind":"text","pos":1,"cell":{"row":1,"col":1,"w":2},"words":"x","style":"loud"}`),
		"an effect":            button(`{"cases":{"c_1":{"pos":1,"do":{"d_1":{"kind":"dance","pos":1}}}}}`),
		"a part of a move":     button(`{"cases":{"c_1":{"pos":1,"move":{"kind":"back","target":"s_a"}}}}`),
		"a mode":               button(`{"cases":{"c_1":{"pos":1,"move":{"kind":"screen","target":"s_a","mode":"look"}}}}`),
		"a rule":               button(`{"cases":{"c_1":{"pos":1,"move":{"kind":"screen","target":"s_a","bind":{"i_a":{"rule":"guess"}}}}}}`),
		"a part of a rule":     button(`{"cases":{"c_1":{"pos":1,"move":{"kind":"screen","target":"s_a","bind":{"i_a":{"rule":"this","path":"f_a"}}}}}}`),
		"a trigger of a way":   `{"kind":"screen","type":"menu","title":"A","slug":"a","ways":{"w_1":{"trigger":"shout","pos":1}}}`,
	} {
		entities := map[string]json.RawMessage{"s_a": json.RawMessage(body)}
		if err := holds(t, s, entities); err == nil {
			t.Errorf("%s: the schema takes %s", what, body)
		}
		if err := project.CheckEntity("s_a", json.RawMessage(body)); err == nil {
			t.Errorf("%s: the program takes %s", what, body)
		} else if strings.Contains(err.Error(), "json:") {
			t.Errorf("%s: the program says %v", what, err)
		}
	}
}
