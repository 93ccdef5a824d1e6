// Package api is the contract between the program and its client: openapi.yaml, and the types
// and routes generated from it.
package api

//go:generate go tool -modfile=tools.mod oapi-codegen -config oapi.yaml openapi.yaml
