package main

import (
	"encoding/xml"
	"fmt"
	"io"
	"strings"
)

// JUnit XML, as what runs tests reads it: a suite for the application, a case for each walk.
type (
	junitSuites struct {
		XMLName xml.Name     `xml:"testsuites"`
		Suites  []junitSuite `xml:"testsuite"`
	}
	junitSuite struct {
		Name     string      `xml:"name,attr"`
		Tests    int         `xml:"tests,attr"`
		Failures int         `xml:"failures,attr"`
		Seconds  string      `xml:"time,attr"`
		Cases    []junitCase `xml:"testcase"`
	}
	junitCase struct {
		Class   string        `xml:"classname,attr"`
		Name    string        `xml:"name,attr"`
		Failure *junitFailure `xml:"failure,omitempty"`
		Out     string        `xml:"system-out,omitempty"`
	}
	junitFailure struct {
		Message string `xml:"message,attr"`
		Text    string `xml:",chardata"`
	}
)

func writeJUnit(out io.Writer, of walked) error {
	suite := junitSuite{Name: of.application, Tests: len(of.results), Seconds: fmt.Sprintf("%.3f", of.took.Seconds())}
	for _, r := range of.results {
		one := junitCase{Class: of.application, Name: r.Name}
		var steps []string
		for _, s := range r.Steps {
			steps = append(steps, s.Words)
		}
		one.Out = strings.Join(steps, "\n")
		if d := r.Differs; d != nil {
			suite.Failures++
			one.Failure = &junitFailure{Message: fmt.Sprintf("step %d, %s: expected %s, found %s", len(r.Steps)+1, d.Words, d.Expected, d.Found), Text: d.Why}
		}
		suite.Cases = append(suite.Cases, one)
	}
	if _, err := io.WriteString(out, xml.Header); err != nil {
		return err
	}
	e := xml.NewEncoder(out)
	e.Indent("", " ")
	if err := e.Encode(junitSuites{Suites: []junitSuite{suite}}); err != nil {
		return err
	}
	_, err := io.WriteString(out, "\n")
	return err
}
