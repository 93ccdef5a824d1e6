package whole

import (
	"encoding/xml"
	"regexp"
	"strings"

	"ambergate/core/check"
	"ambergate/core/check/reach"
)

// SCXML gives the project as a state machine (State Chart XML, W3C Recommendation of 1 September 2015): a state for each
// screen, a transition for each way, by the event of being pressed, with what has to hold as its condition. The data model
// is null, in which a condition is only whether a state is active: what has to hold is told in its own namespace, and
// readers that know the null data model alone can still load it.
func SCXML(g *reach.Graph, who Who) (string, error) {
	r := g.For(who.Set())
	doc := scxml{XMLNS: "http://www.w3.org/2005/07/scxml", Own: ownSpace, Version: "1.0", Model: "null", Name: name(g.App.Project.Settings.Title), Initial: stateID(r.Start)}
	for _, s := range screensOf(g.App) {
		st := scxmlState{ID: stateID(s.ID), Title: s.Title, Kind: s.Type, Area: s.Area, Presses: cellOf(r.Cells[s.ID]).Presses, Reached: string(r.Cells[s.ID].Kind)}
		for _, e := range g.Edges(s.ID) {
			if e.To == nil || e.Bottom() {
				continue
			}
			open := r.OpenFrom(e)
			if open.Hold == reach.Never {
				continue
			}
			st.Transitions = append(st.Transitions, scxmlTransition{Event: event(e), Target: stateID(e.To.ID), By: check.EdgeWords(g, e), While: whileOf(open)})
		}
		if up := r.Start; !s.Bare && up != "" && up != s.ID {
			st.Transitions = append(st.Transitions, scxmlTransition{Event: "home", Target: stateID(up), By: "Home"})
		}
		doc.States = append(doc.States, st)
	}
	out, err := xml.MarshalIndent(doc, "", "  ")
	if err != nil {
		return "", err
	}
	return xml.Header + string(out) + "\n", nil
}

const ownSpace = "urn:amber-gate:navigation"

type scxml struct {
	XMLName xml.Name     `xml:"scxml"`
	XMLNS   string       `xml:"xmlns,attr"`
	Own     string       `xml:"xmlns:gate,attr"`
	Version string       `xml:"version,attr"`
	Model   string       `xml:"datamodel,attr"`
	Name    string       `xml:"name,attr,omitempty"`
	Initial string       `xml:"initial,attr,omitempty"`
	States  []scxmlState `xml:"state"`
}

type scxmlState struct {
	ID          string            `xml:"id,attr"`
	Title       string            `xml:"gate:title,attr"`
	Kind        string            `xml:"gate:kind,attr"`
	Area        string            `xml:"gate:area,attr,omitempty"`
	Reached     string            `xml:"gate:reached,attr"`
	Presses     int               `xml:"gate:presses,attr"`
	Transitions []scxmlTransition `xml:"transition"`
}

type scxmlTransition struct {
	Event  string `xml:"event,attr"`
	Target string `xml:"target,attr"`
	By     string `xml:"gate:by,attr"`
	While  string `xml:"gate:while,attr,omitempty"`
}

func whileOf(o reach.Open) string {
	var parts []string
	for _, p := range o.Left {
		parts = append(parts, p.Words())
	}
	return strings.Join(parts, "; ")
}

var (
	notName = regexp.MustCompile(`[^A-Za-z0-9_.-]+`)
	notWord = regexp.MustCompile(`[^A-Za-z0-9_]+`)
)

// stateID gives the id of a screen as an XML name, which begins with a letter.
func stateID(screen string) string {
	if screen == "" {
		return ""
	}
	id := notName.ReplaceAllString(screen, "_")
	if c := id[0]; c >= '0' && c <= '9' || c == '.' || c == '-' {
		id = "s_" + id
	}
	return id
}

// name gives words as a name token (NMTOKEN) that readers can also use as an identifier.
func name(words string) string {
	return strings.Trim(notWord.ReplaceAllString(words, "_"), "_")
}

// event names what sets a way off: its trigger, its element and its case, joined by points as event names are.
func event(e *reach.Edge) string {
	parts := []string{e.Way.Trigger, e.Way.Element.ID}
	if e.Case != nil && len(e.Way.Gate.Cases) > 1 {
		parts = append(parts, e.Case.ID)
	}
	for i, p := range parts {
		parts[i] = strings.Trim(notName.ReplaceAllString(strings.ReplaceAll(p, ".", "_"), "_"), "_")
	}
	return strings.Join(parts, ".")
}
