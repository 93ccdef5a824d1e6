package main

import (
	"encoding/json"
	"io"
	"strings"

	"ambergate/core/check"
	"ambergate/core/checks"
)

// What is written is the Static Analysis Results Interchange Format (SARIF) 2.1.0, an OASIS standard.
type (
	sarifLog struct {
		Schema  string     `json:"$schema"`
		Version string     `json:"version"`
		Runs    []sarifRun `json:"runs"`
	}
	sarifRun struct {
		Tool struct {
			Driver sarifDriver `json:"driver"`
		} `json:"tool"`
		Results []sarifResult `json:"results"`
	}
	sarifDriver struct {
		Name    string      `json:"name"`
		Version string      `json:"semanticVersion,omitempty"`
		Rules   []sarifRule `json:"rules"`
	}
	sarifRule struct {
		ID    string    `json:"id"`
		Short sarifText `json:"shortDescription"`
	}
	sarifSuppression struct {
		Kind    string `json:"kind"`
		Because string `json:"justification"`
	}
	sarifText struct {
		Text string `json:"text"`
	}
	sarifResult struct {
		Rule      string          `json:"ruleId"`
		Level     string          `json:"level"`
		Message   sarifText       `json:"message"`
		Locations []sarifLocation `json:"locations"`
		// Suppressions say why somebody lives with it.
		Suppressions []sarifSuppression `json:"suppressions,omitempty"`
	}
	sarifLocation struct {
		Logical []sarifLogical `json:"logicalLocations"`
	}
	sarifLogical struct {
		Name string `json:"fullyQualifiedName"`
		Kind string `json:"kind"`
	}
)

var sarifLevels = map[check.Severity]string{check.Broken: "error", check.Doubtful: "warning"}

func writeSARIF(out io.Writer, application string, found []check.Finding) error {
	run := sarifRun{Results: []sarifResult{}}
	run.Tool.Driver = sarifDriver{Name: "Amber Gate", Rules: []sarifRule{}}
	seen := map[string]bool{}
	for _, f := range found {
		if !seen[f.Check] {
			seen[f.Check] = true
			run.Tool.Driver.Rules = append(run.Tool.Driver.Rules, sarifRule{f.Check, sarifText{docOf(f.Check)}})
		}
		level := sarifLevels[f.Severity]
		if level == "" {
			level = "note"
		}
		text := f.Words
		if f.Evidence != "" {
			text += " " + f.Evidence
		}
		at := []string{application}
		for _, part := range []string{f.Screen, f.Entity, f.Element, f.Trigger} {
			if part != "" {
				at = append(at, part)
			}
		}
		one := sarifResult{Rule: f.Check, Level: level, Message: sarifText{text}, Locations: []sarifLocation{{[]sarifLogical{{strings.Join(at, "/"), "element"}}}}}
		if a := f.Accepted; a != nil {
			one.Suppressions = []sarifSuppression{{"external", a.Because + " (" + a.By + ")"}}
		}
		run.Results = append(run.Results, one)
	}
	e := json.NewEncoder(out)
	e.SetIndent("", " ")
	e.SetEscapeHTML(false)
	return e.Encode(sarifLog{"https://docs.oasis-open.org/sarif/sarif/v2.1.0/errata01/os/schemas/sarif-schema-2.1.0.json", "2.1.0", []sarifRun{run}})
}

// docOf says what a check finds.
func docOf(name string) string {
	for _, c := range checks.All {
		if c.Name == name {
			return c.Doc
		}
	}
	return name
}
