// Package schema is the JSON Schema (draft 2020-12) of the project document: made from the types that
// read it, kept beside them, and the same for the program, its client's types and who writes documents.
package schema

import (
	_ "embed"
)

//go:generate go run ./generate document.schema.json file.schema.json

// Document is the schema of a project: its entities by id.
//
//go:embed document.schema.json
var Document []byte

// File is the schema of a file that an application is exported to: its document, and its pictures.
//
//go:embed file.schema.json
var File []byte
