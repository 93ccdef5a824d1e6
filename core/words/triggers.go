package words

import (
	"ambergate/core/plan"
	"ambergate/core/project"
)

// TriggerKind is what sentences ask of a trigger.
type TriggerKind interface {
	// Say says it as it stands after “When”: “a row is opened”; id is that of an entry of a menu or the like.
	Say(e *project.Element, id string) string
}

// Trigger says what sets off a gate.
func Trigger(trigger string, e *project.Element) string {
	if plan.IsBack(trigger) {
		return "the dialog comes back"
	}
	kind, id := project.TriggerOf(trigger)
	if kind == nil {
		return trigger
	}
	return plan.KindOf[TriggerKind](kind).Say(e, id)
}
