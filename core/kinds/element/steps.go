package element

import (
	"fmt"

	"ambergate/core/plan"
	"ambergate/core/project"
	"ambergate/core/use"
)

// StepsView is a guided task as it is drawn: its steps in order, those that are part of it now.
type StepsView struct {
	Label string         `json:"label,omitempty"`
	Steps []TaskStepView `json:"steps"`
	Open  string         `json:"open"`
	At    int            `json:"at"` // which of them is open, from 1
}

// TaskStepView is one step.
type TaskStepView struct {
	ID     string   `json:"id"`
	Label  string   `json:"label"`
	Done   bool     `json:"done,omitempty"`  // all that it asks for is there, and so it is before it
	Shut   bool     `json:"shut,omitempty"`  // something before it is missing
	Apart  bool     `json:"apart,omitempty"` // it is no part of the task now; builders see it all the same
	Fields []string `json:"fields"`          // that are typed in it
}

// Steps is a guided task: steps in order, of which the elements of the open one show. Each may be part of the task only
// while a condition holds over what was typed before it.
type Steps struct {
	project.ElementHead
	use.NothingToFetch
	Label string                  `json:"label,omitempty"`
	Steps map[string]*project.Tab `json:"steps"`
	While map[string]string       `json:"while,omitempty"` // step → condition for being part of the task
}

// Validate asks for steps with words.
func (spec *Steps) Validate() error {
	if len(spec.Steps) == 0 {
		return fmt.Errorf("a guided task needs a step")
	}
	for id, s := range spec.Steps {
		if s == nil || s.Label == "" {
			return fmt.Errorf("step %s needs words", id)
		}
		if s.Opened != nil {
			return fmt.Errorf("opening a step sets nothing off: buttons in it do")
		}
		s.ID = id
	}
	return nil
}

// Gates gives none.
func (*Steps) Gates() map[string]*project.Gate { return nil }

// TabList gives its steps: what stands in one belongs to it as to a tab.
func (spec *Steps) TabList() map[string]*project.Tab { return spec.Steps }

// InOrder says that they are gone through one after the other.
func (*Steps) InOrder() {}

// Called names it.
func (*Steps) Called(plan.Scene, *plan.Element) string { return "steps" }

// Plan compiles the conditions.
func (spec *Steps) Plan(b *plan.Planner) {
	for _, s := range project.Ordered(spec.Steps) {
		if text := spec.While[s.ID]; text != "" {
			b.Element.Exprs[use.PartOf(s.ID)] = b.Condition("step “"+s.Label+"”", text)
		}
	}
}

// NewView gives an empty view of it.
func (*Steps) NewView() any { return &StepsView{} }

// View draws it.
func (spec *Steps) View(o *use.Opening, e *plan.Element, into *use.ElementView) {
	v := &StepsView{Label: spec.Label, Steps: []TaskStepView{}, Open: o.OpenTab(e.ID)}
	sound, n := true, 0
	for _, s := range o.Task().Steps {
		if !s.Part {
			if o.Ghosts() {
				v.Steps = append(v.Steps, TaskStepView{ID: s.ID, Label: s.Label, Apart: true, Fields: []string{}})
			}
			continue
		}
		n++
		one := TaskStepView{ID: s.ID, Label: s.Label, Shut: !sound, Fields: []string{}}
		for _, f := range s.Fields {
			one.Fields = append(one.Fields, f.ID)
		}
		sound = sound && s.Wrong == nil
		one.Done = sound
		v.Steps = append(v.Steps, one)
		if s.ID == v.Open {
			v.At = n
		}
	}
	into.View = v
}
