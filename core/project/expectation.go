package project

import "fmt"

// Expectation is what is to hold of who gets to a screen: “a visitor never reaches it”, “a technician reaches it within
// 3 presses”, “whoever gets here comes back within 2”, “only from the day board”.
type Expectation struct {
	Listed
	Screen  string          `json:"screen"`
	Roles   map[string]bool `json:"roles,omitempty"` // who has all of these; absent: whoever
	What    string          `json:"what" jsonschema:"enum=never,enum=noButton,enum=within,enum=back,enum=from"`
	Presses int             `json:"presses,omitempty"` // of within and back: at the most
	From    map[string]bool `json:"from,omitempty"`    // of from: the screens that may lead to it
}

// mostPresses bounds what can be expected: more is nobody's way.
const mostPresses = 99

func (e *Expectation) validate() error {
	if e.Screen == "" {
		return fmt.Errorf("an expectation needs the screen that it is about")
	}
	if err := OneOf("expectation", e.What, "never", "noButton", "within", "back", "from"); err != nil {
		return err
	}
	counted := e.What == "within" || e.What == "back"
	switch {
	case counted && (e.Presses < 1 || e.Presses > mostPresses):
		return fmt.Errorf("an expectation counts 1 to %d presses", mostPresses)
	case !counted && e.Presses != 0:
		return fmt.Errorf("the expectation “%s” counts no presses", e.What)
	case (e.What == "from") != (len(e.From) > 0):
		return fmt.Errorf("only an expectation of where one comes from names screens, at least one")
	}
	return nil
}

// Acceptance is a finding that somebody lives with, and why. It holds while the check says the same of the same place.
type Acceptance struct {
	Listed
	Check    string `json:"check"`
	Screen   string `json:"screen,omitempty"`
	Entity   string `json:"entity,omitempty"`
	Element  string `json:"element,omitempty"`
	Trigger  string `json:"trigger,omitempty"`
	Words    string `json:"words"`              // what the check said
	Evidence string `json:"evidence,omitempty"` // what that rests on
	Because  string `json:"because"`
	By       string `json:"by"`                               // name of who accepted it
	At       string `json:"at" jsonschema:"format=date-time"` // when
}

func (a *Acceptance) validate() error {
	switch {
	case a.Check == "" || a.Words == "":
		return fmt.Errorf("an acceptance names the finding that it is of")
	case a.Because == "":
		return fmt.Errorf("say why the finding is accepted")
	}
	return nil
}
