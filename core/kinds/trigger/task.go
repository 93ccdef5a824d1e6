package trigger

import "ambergate/core/project"

// Task is a guided task that is begun, or gone on with.
type Task struct{ byNameOnly }

// Place gives where the list of tasks keeps the gate of one.
func (Task) Place(id string) string { return "items/" + id + "/gate" }

// Say says it with the words of the task.
func (Task) Say(e *project.Element, id string) string {
	if t, ok := e.Spec.(interface{ TaskWords(id string) string }); ok && t.TaskWords(id) != "" {
		return "the task “" + t.TaskWords(id) + "” is chosen"
	}
	return "a task that is gone is chosen"
}
