package schema_test

import (
	"encoding/json"
	"slices"
	"strings"
	"testing"

	"github.com/getkin/kin-openapi/openapi3"

	"ambergate/core/project"
	"ambergate/core/words"
	"ambergate/schema"
)

// Document, core and API name the same kinds. What the client registers is held to the same schema and
// the same API document by web/src/agreement.test.ts.

// kinds gives the kinds of a part of the document, by the property that names them.
func kinds(t *testing.T, part, by string) []string {
	t.Helper()
	type named struct {
		Const string
		Enum  []string
	}
	var document struct {
		Defs map[string]struct {
			OneOf []struct {
				Ref string `json:"$ref"`
			}
			Properties map[string]json.RawMessage
		} `json:"$defs"`
	}
	if err := json.Unmarshal(schema.Document, &document); err != nil {
		t.Fatal(err)
	}
	var out []string
	for _, one := range document.Defs[part].OneOf {
		var name named
		if err := json.Unmarshal(document.Defs[strings.TrimPrefix(one.Ref, "#/$defs/")].Properties[by], &name); err != nil {
			t.Fatalf("%s does not say its %s: %v", one.Ref, by, err)
		}
		if name.Const != "" {
			name.Enum = append(name.Enum, name.Const)
		}
		out = append(out, name.Enum...)
	}
	slices.Sort(out)
	return out
}

func TestTheSchemaHasEachKindOfTheCoreOnce(t *testing.T) {
	for _, tc := range []struct {
		part, by string
		core     []string
	}{
		{"Element", "kind", project.Elements.Names()},
		{"Effect", "kind", project.Effects.Names()},
		{"Move", "kind", project.Moves.Names()},
		{"Binding", "rule", project.Rules.Names()},
		{"Way", "trigger", project.Ways.Names()},
	} {
		if got := kinds(t, tc.part, tc.by); !slices.Equal(got, tc.core) {
			t.Errorf("%s: the schema has %v, the core %v", tc.part, got, tc.core)
		}
	}
}

func TestTheAPIShowsEachKindOfElementAndTellsEachPart(t *testing.T) {
	api, err := openapi3.NewLoader().LoadFromFile("../api/openapi.yaml")
	if err != nil {
		t.Fatal(err)
	}
	var shown []string
	for _, view := range api.Components.Schemas["ElementView"].Value.OneOf {
		own := view.Value.AllOf[len(view.Value.AllOf)-1].Value.Properties["kind"].Value.Enum
		shown = append(shown, own[0].(string))
	}
	slices.Sort(shown)
	if want := project.Elements.Names(); !slices.Equal(shown, want) {
		t.Errorf("the API shows %v, the core has %v", shown, want)
	}
	var told []string
	for _, part := range api.Components.Schemas["Chunk"].Value.Properties["part"].Value.Enum {
		told = append(told, part.(string))
	}
	var parts []string
	for _, part := range words.Parts() {
		parts = append(parts, string(part))
	}
	if !slices.Equal(told, parts) {
		t.Errorf("the API tells the parts %v, the core %v", told, parts)
	}
}
