package element

import (
	"fmt"

	"ambergate/core/plan"
	"ambergate/core/project"
	"ambergate/core/use"
)

// TasksView is guided tasks as they are drawn.
type TasksView struct {
	Words string     `json:"words,omitempty"`
	Tasks []TaskView `json:"tasks"`
}

// TaskView is one of them: open, begun, done, or not known to be any of these.
type TaskView struct {
	ID     string `json:"id"`
	Words  string `json:"words"`
	State  string `json:"state"`            // open, begun, done, unknown
	Step   int    `json:"step,omitempty"`   // of one that was begun: where it stands, from 1
	Of     int    `json:"of,omitempty"`     // of how many
	Since  int64  `json:"since,omitempty"`  // when something was last typed there, Unix milliseconds
	Shut   bool   `json:"shut,omitempty"`   // it cannot be begun now
	Reason string `json:"reason,omitempty"` // why not, or why it is not known
	Href   string `json:"href,omitempty"`
}

// Tasks lists guided tasks that can be begun here, gone on with, or are done.
type Tasks struct {
	project.ElementHead
	use.NothingToFetch
	Words string               `json:"words,omitempty"`
	Items map[string]*TaskItem `json:"items"`
}

// TaskItem is one of them.
type TaskItem struct {
	project.Item
	Words string        `json:"words"`
	Done  string        `json:"done,omitempty"` // condition
	Gate  *project.Gate `json:"gate"`           // where it is done
}

// TaskTrigger names the trigger of a task that is chosen.
func TaskTrigger(id string) string { return "task." + id }

// Validate asks for words and a way for each.
func (spec *Tasks) Validate() error {
	if len(spec.Items) == 0 || len(spec.Items) > 30 {
		return fmt.Errorf("there are one to thirty tasks in a list")
	}
	for id, t := range spec.Items {
		if t == nil || t.Words == "" || t.Gate == nil {
			return fmt.Errorf("task %s needs words, and a way to where it is done", id)
		}
		t.ID = id
	}
	return nil
}

// Gates gives those of its tasks.
func (spec *Tasks) Gates() map[string]*project.Gate {
	all := map[string]*project.Gate{}
	for id, t := range spec.Items {
		if t != nil {
			all[TaskTrigger(id)] = t.Gate
		}
	}
	return all
}

// TaskWords gives what a task is called; "" for one that is gone.
func (spec *Tasks) TaskWords(id string) string {
	if t := spec.Items[id]; t != nil {
		return t.Words
	}
	return ""
}

// Called names it.
func (spec *Tasks) Called(plan.Scene, *plan.Element) string {
	if spec.Words != "" {
		return spec.Words
	}
	return "tasks"
}

// ListsTasks says that what the user began elsewhere is to be known.
func (*Tasks) ListsTasks() {}

func (spec *Tasks) Plan(b *plan.Planner) {
	for _, t := range project.Ordered(spec.Items) {
		if t.Done != "" {
			b.Element.Exprs["done."+t.ID] = b.Condition("done", t.Done)
		}
	}
}

// NewView gives an empty view of it.
func (*Tasks) NewView() any { return &TasksView{} }

// View shows each that the user may begin: what is done first says so, then what was begun.
func (spec *Tasks) View(o *use.Opening, e *plan.Element, into *use.ElementView) {
	v := &TasksView{Words: spec.Words, Tasks: []TaskView{}}
	into.View = v
	for _, t := range project.Ordered(spec.Items) {
		gate := e.Gates[TaskTrigger(t.ID)]
		if gate == nil {
			continue
		}
		verdict := o.Judge(gate, use.Aim{})
		if verdict.State == use.StateHidden && !o.Ghosts() {
			continue
		}
		one := TaskView{ID: t.ID, Words: t.Words, State: "open", Shut: !verdict.Open(), Reason: verdict.Reason}
		if p := verdict.PlainLink(gate); p != nil {
			one.Href = p.Address(o.App.Project)
		}
		if verdict.To != nil {
			if b, step, of := o.TaskBegun(*verdict.To); b != nil {
				one.State, one.Step, one.Of, one.Since = "begun", step, of, b.When.UnixMilli()
			}
		}
		if c := e.Exprs["done."+t.ID]; c != nil {
			switch done := c.Root.Eval(o.World); {
			case !done.Known():
				one.State, one.Reason = "unknown", done.Why()
			case done.True():
				one.State = "done"
			}
		}
		v.Tasks = append(v.Tasks, one)
	}
}
