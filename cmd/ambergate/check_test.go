package main

import (
	"bytes"
	"encoding/json"
	"encoding/xml"
	"strings"
	"testing"

	"ambergate/core/check"
	"ambergate/core/project"
	"ambergate/demo"
)

// tarnhorn is the demo with further entities.
func tarnhorn(t *testing.T, more map[string]string) *project.Project {
	t.Helper()
	entities, err := demo.Project()
	if err != nil {
		t.Fatal(err)
	}
	for id, body := range more {
		entities[id] = json.RawMessage(body)
	}
	p, err := project.Decode(entities)
	if err != nil {
		t.Fatal(err)
	}
	return p
}

func written(t *testing.T, p *project.Project, form, role string) string {
	t.Helper()
	of, err := checkedOf("tarnhorn", p, role)
	if err != nil {
		t.Fatal(err)
	}
	var out bytes.Buffer
	if err := forms[form](&out, of); err != nil {
		t.Fatal(err)
	}
	return out.String()
}

func TestWhatIsPrintedTellsFindingsExpectationsAndReach(t *testing.T) {
	p := tarnhorn(t, map[string]string{"x_late": `{"kind":"expectation","pos":9,"screen":"s_season","roles":{"r_lead":true},"what":"never"}`})
	text := written(t, p, "text", "")
	for _, want := range []string{
		"Season: broken: It is expected that Shift lead never reaches “Season”. Shift lead gets there in 1 press. (expectation)\n    By ",
		", and 2 accepted.\n",
		"\n  kept: Visitor never reaches “Drive room”.\n",
		"\n  broken: Shift lead never reaches “Season”.\n",
		"Shift lead", "Operator",
	} {
		if !strings.Contains(text, want) {
			t.Errorf("%q is not in what is printed", want)
		}
	}
	for _, line := range strings.Split(text, "\n") {
		if strings.HasPrefix(line, "  Drive room") && strings.Join(strings.Fields(line), " ") != "Drive room 2 if there never 1 if there never never never" {
			t.Errorf("%s", line)
		}
	}
	if one := written(t, p, "text", "technician"); strings.Contains(one, "Shift lead  ") || !strings.Contains(one, "Technician") {
		t.Error("for one role others are told too")
	}
}

func TestEachFormIsWritten(t *testing.T) {
	p := tarnhorn(t, nil)
	for form, begins := range map[string]string{"csv": "screen,area,kind,Shift lead,", "svg": "<svg ", "scxml": "<?xml ", "sarif": "{", "text": "Cabins: note: "} {
		text := written(t, p, form, "")
		if form == "text" {
			begins = ""
		}
		if !strings.HasPrefix(text, begins) || len(text) < 500 {
			t.Errorf("%s: %.60s", form, text)
		}
	}
	var machine struct {
		Initial string `xml:"initial,attr"`
	}
	if err := xml.Unmarshal([]byte(written(t, p, "scxml", "Operator")), &machine); err != nil || machine.Initial != "s_line" {
		t.Errorf("operators begin at %q: %v", machine.Initial, err)
	}
	if _, err := checkedOf("tarnhorn", p, "Nobody"); err == nil || !strings.Contains(err.Error(), "no role of that name") {
		t.Errorf("%v", err)
	}
	empty, err := project.Decode(map[string]json.RawMessage{"project": json.RawMessage(`{"kind":"project","title":"E","slug":"e","zone":"UTC"}`)})
	if err != nil {
		t.Fatal(err)
	}
	of, err := checkedOf("e", empty, "")
	if err != nil {
		t.Fatal(err)
	}
	var out bytes.Buffer
	if err := forms["scxml"](&out, of); err == nil {
		t.Error("an application without a role has a start")
	}
	if text := written(t, empty, "text", ""); text != "0 findings.\n" {
		t.Errorf("%q", text)
	}
}

// Results that somebody lives with are told as such, and do not end the program with 1.
func TestWhatIsAcceptedIsSuppressed(t *testing.T) {
	text := written(t, tarnhorn(t, nil), "sarif", "")
	var log sarifLog
	if err := json.Unmarshal([]byte(text), &log); err != nil {
		t.Fatal(err)
	}
	suppressed := 0
	for _, r := range log.Runs[0].Results {
		if len(r.Suppressions) > 0 {
			suppressed++
			if r.Suppressions[0].Kind != "external" || !strings.HasSuffix(r.Suppressions[0].Because, "(Arno Vey)") {
				t.Errorf("%+v", r.Suppressions)
			}
		}
	}
	if suppressed != 2 {
		t.Errorf("%d results are suppressed", suppressed)
	}
	for _, rule := range log.Runs[0].Tool.Driver.Rules {
		if rule.Short.Text == "" || rule.Short.Text == rule.ID {
			t.Errorf("nothing says what %s finds", rule.ID)
		}
	}
	if len(check.Open([]check.Finding{{Accepted: &check.Accepted{}}, {Check: "x"}})) != 1 {
		t.Error("what is accepted is open")
	}
}
