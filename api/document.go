package api

import _ "embed"

// Document is the API document itself, as served at /api/openapi.yaml.
//
//go:embed openapi.yaml
var Document []byte
