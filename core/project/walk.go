package project

import (
	"fmt"
	"strings"
	"time"
)

// Walk is how somebody goes through the application, step by step, and what they find there. It is gone again to see
// whether that is still so; nothing that it does is kept.
type Walk struct {
	Listed
	Name  string               `json:"name"`
	Who   Walker               `json:"who"`
	At    string               `json:"at,omitempty"`    // the clock stands there all the while, in the project's zone: 2026-11-24T10:00; absent: when it is gone
	Plant map[string]any       `json:"plant,omitempty"` // what the plant says, by source and node, “so_plant/UT.running”: yes or no, a number, a text; all else is not known
	Steps map[string]*WalkStep `json:"steps,omitempty"`
}

// Walker is somebody who walks: whoever has these roles.
type Walker struct {
	Name   string          `json:"name"`
	Roles  map[string]bool `json:"roles"`
	Record *Named          `json:"record,omitempty"` // their own
}

// Named says which record: by its title as its table makes it, by a condition, or by its key.
type Named struct {
	Title string `json:"title,omitempty"`
	Where string `json:"where,omitempty"` // condition on the record: the first, in the table’s order, of which it holds
	Key   string `json:"key,omitempty"`
}

// WalkStep is one thing that is done, or looked at. Which parts it has is said by what it does.
type WalkStep struct {
	Item
	Does string `json:"does" jsonschema:"enum=open,enum=press,enum=type,enum=choose,enum=look,enum=go,enum=wait,enum=plant,enum=build,enum=claim"`

	// open: an address; claim of “at”: where one is to stand; of all others: where it is done, or absent.
	Screen string            `json:"screen,omitempty"`
	Mode   string            `json:"mode,omitempty" jsonschema:"enum=view,enum=edit,enum=add"`
	Inputs map[string]*Named `json:"inputs,omitempty"` // records by title; of an input that is none, the value as an address has it, as key

	// press, choose, and claim of an element.
	Element string            `json:"element,omitempty"`
	Trigger string            `json:"trigger,omitempty"` // of an element with several ways; absent: its usual one
	Row     *Named            `json:"row,omitempty"`
	Rows    map[string]*Named `json:"rows,omitempty"`  // of what is done with several rows
	Point   string            `json:"point,omitempty"` // value of the chosen point
	Option  string            `json:"option,omitempty"`
	Yes     bool              `json:"yes,omitempty"`                                      // what is asked before is answered with yes
	Unsaved string            `json:"unsaved,omitempty" jsonschema:"enum=save,enum=drop"` // what becomes of what was typed
	Picked  map[string]*Named `json:"picked,omitempty"`                                   // records that are asked for, by input

	Values  map[string]string        `json:"values,omitempty"`  // type: by field, as forms send them; press: of a row that is edited where it stands
	Find    string                   `json:"find,omitempty"`    // look: for what, in the list
	Filters map[string]*ArriveFilter `json:"filters,omitempty"` // look: what the list is narrowed to
	Sort    map[string]*Order        `json:"sort,omitempty"`    // look: in which order it is
	Seconds float64                  `json:"seconds,omitempty"` // wait: how long
	Tabs    map[string]string        `json:"tabs,omitempty"`    // look: which tab is open, by block of tabs
	To      string                   `json:"to,omitempty" jsonschema:"enum=back,enum=forward,enum=home,enum=up,enum=close"`
	Plant   map[string]any           `json:"plant,omitempty"` // plant: what it says from here on

	Changes map[string]*WalkChange `json:"changes,omitempty"` // build: what a builder changes, as a JSON Patch (RFC 6902) in order

	Is    string `json:"is,omitempty" jsonschema:"enum=at,enum=open,enum=greyed,enum=hidden,enum=rows,enum=reads,enum=left,enum=refused,enum=finds"` // claim; refused: of an address that is opened
	Count *int   `json:"count,omitempty"`                                                                                                            // of rows: how many
	Words string `json:"words,omitempty"`                                                                                                            // of at: the heading; of greyed: the reason; of reads: what it shows; of left: part of the address; of refused: the reason; of finds: part of what a check says
}

// WalkChange is one operation on the document that a builder makes on a walk.
type WalkChange struct {
	Item
	Op    string `json:"op" jsonschema:"enum=add,enum=remove,enum=replace,enum=test"`
	Path  string `json:"path"` // JSON Pointer, from the entities down
	Value any    `json:"value,omitempty"`
}

// Limits of a walk: more is nobody's way, and documents come from anywhere.
const (
	MostSteps    = 1000
	mostWalkText = 4000      // characters of a text
	longestWait  = 24 * 3600 // seconds
)

// WalkClock is how the moment of a walk is written: without a zone, as the project's clocks show it.
const WalkClock = "2006-01-02T15:04"

func (w *Walk) called(id string) {
	w.Listed.called(id)
	call(w.Steps)
}

func (w *Walk) validate() error {
	switch {
	case w.Name == "":
		return fmt.Errorf("a walk needs a name")
	case w.Who.Name == "" || len(w.Who.Roles) == 0:
		return fmt.Errorf("a walk needs somebody who goes it, with a name and at least one role")
	case len(w.Steps) > MostSteps:
		return fmt.Errorf("a walk has %d steps at the most", MostSteps)
	}
	if _, err := time.Parse(WalkClock, w.At); err != nil && w.At != "" {
		return fmt.Errorf("the clock of a walk is written like 2026-11-24T10:00")
	}
	if err := plantSays(w.Plant); err != nil {
		return err
	}
	for id, s := range w.Steps {
		if s == nil {
			return fmt.Errorf("the step %s is empty", id)
		}
		if err := s.validate(); err != nil {
			return err
		}
	}
	return nil
}

func (s *WalkStep) validate() error {
	if err := OneOf("step", s.Does, "open", "press", "type", "choose", "look", "go", "wait", "plant", "build", "claim"); err != nil {
		return err
	}
	needs := map[string]struct {
		has  bool
		what string
	}{
		"open": {s.Screen != "", "a screen"}, "press": {s.Element != "", "what is pressed"}, "type": {len(s.Values) > 0, "what is typed"}, "choose": {s.Element != "" && s.Row != nil, "a list and one of its rows"},
		"look": {s.Element == "", "nothing else"}, "go": {s.To != "", "where"}, "wait": {s.Seconds > 0 && s.Seconds <= longestWait, "how long: up to a day"}, "plant": {len(s.Plant) > 0, "what the plant says"}, "build": {len(s.Changes) > 0, "what is changed"}, "claim": {s.Is != "", "what is claimed"},
	}
	if n := needs[s.Does]; !n.has {
		return fmt.Errorf("a step that is to %s needs %s", s.Does, n.what)
	}
	if s.Is != "" && s.Does != "claim" && (s.Does != "open" || s.Is != "refused") {
		return fmt.Errorf("only a claim says how something is, and an address that it is refused")
	}
	if s.Does == "claim" {
		if err := s.claims(); err != nil {
			return err
		}
	}
	if s.To != "" {
		if err := OneOf("direction", s.To, "back", "forward", "home", "up", "close"); err != nil {
			return err
		}
	}
	for id, c := range s.Changes {
		if c == nil || !strings.HasPrefix(c.Path, "/") {
			return fmt.Errorf("the change %s names no place of the document", id)
		}
		if err := OneOf("operation", c.Op, "add", "remove", "replace", "test"); err != nil {
			return err
		}
	}
	for _, text := range []string{s.Find, s.Words, s.Point, s.Option} {
		if len(text) > mostWalkText {
			return fmt.Errorf("a text of a step is too long")
		}
	}
	return plantSays(s.Plant)
}

func (s *WalkStep) claims() error {
	if err := OneOf("claim", s.Is, "at", "open", "greyed", "hidden", "rows", "reads", "left", "finds"); err != nil {
		return err
	}
	switch {
	case s.Is == "at" && s.Screen == "":
		return fmt.Errorf("a claim of where one stands needs the screen")
	case s.Is == "left" && s.Words == "":
		return fmt.Errorf("a claim that the application was left needs where for")
	case s.Is == "finds" && s.Words == "":
		return fmt.Errorf("a claim of what the checks find needs its words")
	case s.Is != "at" && s.Is != "left" && s.Is != "finds" && s.Element == "":
		return fmt.Errorf("this claim needs the element that it is about")
	case s.Is == "rows" && (s.Count == nil || *s.Count < 0):
		return fmt.Errorf("a claim of rows needs how many")
	}
	return nil
}

// plantSays refuses what no plant says.
func plantSays(values map[string]any) error {
	for node, v := range values {
		switch v.(type) {
		case bool, float64, string:
		default:
			return fmt.Errorf("the plant says yes or no, a number or a text of “%s”", node)
		}
	}
	return nil
}
