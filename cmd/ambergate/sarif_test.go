package main

import (
	"bytes"
	"os"
	"strings"
	"testing"

	"github.com/santhosh-tekuri/jsonschema/v6"

	"ambergate/core/check"
)

// sarifSchema is that of the standard (OASIS, SARIF 2.1.0 with errata 01).
func sarifSchema(t *testing.T) *jsonschema.Schema {
	t.Helper()
	text, err := os.ReadFile("testdata/sarif-2.1.0.schema.json")
	if err != nil {
		t.Fatal(err)
	}
	document, err := jsonschema.UnmarshalJSON(bytes.NewReader(text))
	if err != nil {
		t.Fatal(err)
	}
	c := jsonschema.NewCompiler()
	if err := c.AddResource("sarif.json", document); err != nil {
		t.Fatal(err)
	}
	s, err := c.Compile("sarif.json")
	if err != nil {
		t.Fatal(err)
	}
	return s
}

// What is written fits the schema of the standard, whatever was found.
func TestFindingsAreWrittenAsTheStandardSays(t *testing.T) {
	schema := sarifSchema(t)
	for name, found := range map[string][]check.Finding{
		"nothing": nil,
		"of every kind": {
			{Check: "dead-end", Severity: check.Broken, Screen: "s_a", Element: "e_b", Trigger: "row", Words: "Nothing leads on from “Ä < B & C”.", Evidence: "\"quoted\"\n\ttext"},
			{Check: "dead-end", Severity: check.Doubtful, Entity: "t_x", Words: "Perhaps.", Accepted: &check.Accepted{ID: "ac_1", Because: "it is a poster", By: "Bea", At: "2026-11-29T10:00:00Z"}},
			{Check: "other", Severity: "", Words: strings.Repeat("long ", 2000)},
		},
	} {
		var text bytes.Buffer
		if err := writeSARIF(&text, "tarnhorn", found); err != nil {
			t.Fatal(err)
		}
		value, err := jsonschema.UnmarshalJSON(bytes.NewReader(text.Bytes()))
		if err != nil {
			t.Fatal(err)
		}
		if err := schema.Validate(value); err != nil {
			t.Errorf("%s: %v", name, err)
		}
		results := value.(map[string]any)["runs"].([]any)[0].(map[string]any)["results"].([]any)
		if len(results) != len(found) {
			t.Errorf("%s: %d results of %d", name, len(results), len(found))
		}
	}
	wrong, err := jsonschema.UnmarshalJSON(strings.NewReader(`{"version":"2.1.0","runs":[{"results":[]}]}`))
	if err != nil {
		t.Fatal(err)
	}
	if schema.Validate(wrong) == nil {
		t.Error("a run without a tool fits the schema")
	}
}
