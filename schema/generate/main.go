// Command generate writes the JSON Schema of the project document from the types that read it. It is
// run from the folder of the package schema, by go generate.
package main

import (
	"encoding/json"
	"fmt"
	"os"

	"ambergate/core/project"
)

func main() {
	if len(os.Args) != 3 {
		fmt.Fprintln(os.Stderr, "generate: it takes the files to write, of the document and of an application as a file")
		os.Exit(2)
	}
	if err := write(os.Args[1], os.Args[2]); err != nil {
		fmt.Fprintln(os.Stderr, "generate:", err)
		os.Exit(1)
	}
}

func write(documentFile, fileFile string) error {
	document, err := document()
	if err != nil {
		return err
	}
	text, err := json.MarshalIndent(document, "", "  ")
	if err != nil {
		return fmt.Errorf("write the schema: %w", err)
	}
	if err := os.WriteFile(documentFile, append(text, '\n'), 0o644); err != nil {
		return err
	}
	whole, err := json.MarshalIndent(file(text), "", "  ")
	if err != nil {
		return fmt.Errorf("write the schema of files: %w", err)
	}
	return os.WriteFile(fileFile, append(whole, '\n'), 0o644)
}

type object = map[string]any

// file is the schema of an application as a file, with that of the document in it.
func file(document []byte) object {
	picture := object{"type": "object", "additionalProperties": false, "required": []string{"media", "data"}, "properties": object{
		"media": object{"type": "string"}, "data": object{"type": "string", "contentEncoding": "base64"},
	}}
	return object{
		"$schema": "https://json-schema.org/draft/2020-12/schema", "$id": project.FileSchema, "title": "Application", "description": "An application as a file: no secret and no record is in it.",
		"type": "object", "additionalProperties": false, "required": []string{"format", "entities"},
		"properties": object{
			"$schema": object{"type": "string"}, "format": object{"const": project.Format}, "entities": object{"$ref": "tag:ambergate,2026:document"},
			"pictures": object{"type": "object", "description": "Pictures by the SHA-256 digest of their bytes.", "propertyNames": object{"pattern": "^[0-9a-f]{64}$"}, "additionalProperties": picture},
		},
		"$defs": object{"document": json.RawMessage(document)},
	}
}
