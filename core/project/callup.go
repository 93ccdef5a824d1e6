package project

import "fmt"

// CallUp brings a screen to the front while a condition of the plant holds: “while gusts exceed 15 m/s for 5 s, Wind
// watch comes to the front for operators, from everywhere but the drive room”.
type CallUp struct {
	Listed
	Name     string          `json:"name"`                                      // strong gusts
	Words    string          `json:"words,omitempty"`                           // template: what it says of the record; none: its name
	Table    string          `json:"table,omitempty"`                           // it is asked of each of these records; none: of the plant as a whole
	While    string          `json:"while"`                                     // condition
	For      float64         `json:"for,omitempty"`                             // seconds that it has to hold before the screen comes to the front
	Screen   string          `json:"screen"`                                    // which comes
	Input    string          `json:"input,omitempty"`                           // of the screen, that gets the record; none: it gets nothing
	Roles    map[string]bool `json:"roles,omitempty"`                           // for whom; none: for everybody who may be there
	Only     map[string]bool `json:"only,omitempty"`                            // from these screens alone
	Not      map[string]bool `json:"not,omitempty"`                             // from everywhere but these
	Priority string          `json:"priority,omitempty" jsonschema:"enum=high"` // high: also over a question that waits for an answer
}

// longestFor bounds how long a condition has to hold, in seconds.
const longestFor = 3600

func (c *CallUp) validate() error {
	switch {
	case c.Name == "":
		return fmt.Errorf("a call-up needs a name")
	case c.While == "" || c.Screen == "":
		return fmt.Errorf("the call-up “%s” needs a condition and a screen", c.Name)
	case c.For < 0 || c.For > longestFor:
		return fmt.Errorf("the call-up “%s” waits for 0 to %d seconds", c.Name, longestFor)
	case len(c.Only) > 0 && len(c.Not) > 0:
		return fmt.Errorf("the call-up “%s” comes from some screens alone, or from all but some", c.Name)
	case c.Input != "" && c.Table == "":
		return fmt.Errorf("the call-up “%s” has no record to bring along", c.Name)
	}
	return OneOf("priority", c.Priority, "", "high")
}

// From says whether it comes while one is at a screen.
func (c *CallUp) From(screen string) bool {
	if len(c.Only) > 0 {
		return c.Only[screen]
	}
	return !c.Not[screen]
}

// IsFor says whether it is for somebody with these roles.
func (c *CallUp) IsFor(roles map[string]bool) bool {
	if len(c.Roles) == 0 {
		return true
	}
	for role := range c.Roles {
		if roles[role] {
			return true
		}
	}
	return false
}
