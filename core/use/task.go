package use

import (
	"maps"
	"slices"
	"strings"
	"time"

	"ambergate/core/ask"
	"ambergate/core/cond"
	"ambergate/core/place"
	"ambergate/core/plan"
	"ambergate/core/project"
)

// Task is a guided task on the screen: its steps in order.
type Task struct {
	Block string // element
	Steps []TaskStep
}

// TaskStep is one step of it.
type TaskStep struct {
	ID, Label string
	Part      bool              // it is part of the task, by what was typed
	Fields    []*project.Column // that can be typed in it
	Wrong     map[string]string // what is wrong with them, by field; nil for nothing
}

// PartOf names the condition by which a step is part of its task.
func PartOf(step string) string { return "step." + step }

// edited is answered by elements that edit a field of the screen's record.
type edited interface {
	Edits(o *Opening) *project.Column
}

// Task gives the guided task of the screen; an empty one where it has none. What is wrong is told by what was typed and
// what the record begins with.
func (o *Opening) Task() *Task {
	if o.task != nil {
		return o.task
	}
	o.task = &Task{}
	for _, e := range o.Plan.Elements {
		if _, is := e.Spec.(interface{ InOrder() }); is {
			o.task.Block = e.ID
			o.task.Steps = o.stepsOf(e)
			break
		}
	}
	return o.task
}

func (o *Opening) stepsOf(block *plan.Element) []TaskStep {
	world := *o.World
	world.Record = typedOver(o.typedRecord(), o.World.Record)
	var out []TaskStep
	for _, s := range project.Ordered(project.TabsOf(block.Element)) {
		step := TaskStep{ID: s.ID, Label: s.Label, Part: true}
		if c, said := block.Exprs[PartOf(s.ID)]; said {
			step.Part = c != nil && c.Root.Eval(&world).True()
		}
		for _, e := range o.Plan.Elements {
			spec, edits := e.Spec.(edited)
			if e.Tab != block.ID+"."+s.ID || !edits {
				continue
			}
			f := spec.Edits(o)
			if f == nil {
				continue
			}
			step.Fields = append(step.Fields, f)
			if words := o.wrong(f); words != "" {
				if step.Wrong == nil {
					step.Wrong = map[string]string{}
				}
				step.Wrong[f.ID] = words
			}
		}
		out = append(out, step)
	}
	return out
}

// wrong says what is wrong with a field, by what was typed into it, or by what is there where nothing was.
func (o *Opening) wrong(f *project.Column) string {
	wire, typed := o.Typed[f.ID]
	if !typed {
		if o.World.Record != nil && o.At.Mode == "edit" {
			if v, read := o.World.Record.Values[f.ID]; read && v.IsNull() && !f.Nullable {
				return "Fill in “" + f.Label + "”."
			}
			return ""
		}
		wire = o.FilledIn()[f.ID]
		if wire == "" && f.Default != "" {
			return "" // the database fills it in
		}
	}
	_, words := Entered(f, wire, o.World.Moment.Location())
	return words
}

// typedRecord is what the record would be: what it begins with, and what was typed so far.
func (o *Opening) typedRecord() *ask.Row {
	t := o.App.Project.Tables[o.Plan.Screen.RecordTable()]
	row := &ask.Row{Values: map[string]cond.Value{}}
	if t == nil {
		return row
	}
	row.Table = t.ID
	for id := range t.Fields {
		if o.At.Mode == "add" {
			row.Values[id] = cond.NullValue
		}
	}
	for _, wires := range []map[string]string{o.FilledIn(), o.Typed} {
		for id, wire := range wires {
			if f := t.Fields[id]; f != nil {
				if v, words := Entered(f, wire, o.World.Moment.Location()); words == "" || v.IsNull() {
					row.Values[id] = v
				}
			}
		}
	}
	return row
}

// typedOver puts what was typed over what the record is.
func typedOver(typed, record *ask.Row) *ask.Row {
	if record == nil {
		return typed
	}
	out := *record
	out.Values = maps.Clone(record.Values)
	maps.Copy(out.Values, typed.Values)
	return &out
}

// Skipped says whether an element stands in a step that is no part of the task now: what it edits is neither asked for
// nor kept.
func (o *Opening) Skipped(e *plan.Element) bool {
	block, step, in := strings.Cut(e.Tab, ".")
	if !in {
		return false
	}
	task := o.Task()
	if task.Block == "" || task.Block != block {
		return false
	}
	for _, s := range task.Steps {
		if s.ID == step {
			return !s.Part
		}
	}
	return false
}

// StepTo gives the place of the step before or behind the open one; nil at the end, with the reason.
func (o *Opening) StepTo(next bool) (*place.Place, string) {
	task := o.Task()
	if task.Block == "" {
		return nil, "There are no steps here."
	}
	open, before, found := o.OpenTab(task.Block), "", false
	for _, s := range task.Steps {
		switch {
		case s.ID == open:
			found = true
			if !next {
				if before == "" {
					return nil, "This is the first step."
				}
				return o.atStep(task.Block, before), ""
			}
		case !s.Part:
		case found:
			return o.atStep(task.Block, s.ID), ""
		default:
			before = s.ID
		}
	}
	return nil, "This is the last step."
}

func (o *Opening) atStep(block, step string) *place.Place {
	p := o.At
	p.Tabs = maps.Clone(p.Tabs)
	if p.Tabs == nil {
		p.Tabs = map[string]string{}
	}
	p.Tabs[block] = step
	p.Look = nil
	return &p
}

// finishesEarly says whether an element saves a guided task before its last step: what finishes it is there once nothing
// is to come, unless it stands in a step of its own.
func (o *Opening) finishesEarly(e *plan.Element) bool {
	if e.Tab != "" || o.At.Mode == "view" || o.Task().Block == "" {
		return false
	}
	saves := func(g *plan.Gate) bool { return slices.ContainsFunc(g.Cases, plan.Saves) }
	if !slices.ContainsFunc(slices.Collect(maps.Values(e.Gates)), saves) {
		return false
	}
	to, _ := o.StepTo(true)
	return to != nil
}

// OpenStep gives what is wrong in the step that is open; nil for nothing, and where there are no steps.
func (o *Opening) OpenStep() *TaskStep {
	task := o.Task()
	open := o.OpenTab(task.Block)
	for i, s := range task.Steps {
		if s.ID == open {
			return &task.Steps[i]
		}
	}
	return nil
}

// Begun is a guided task that the user began and did not finish, in whichever tab.
type Begun struct {
	At   place.Place // where it stands
	When time.Time
}

// TaskBegun gives what the user began of the task that a place would begin: the same screen, on the same record, or a
// new one with the same filled in; with the step that it stands at, of how many. Nil for none.
func (o *Opening) TaskBegun(to place.Place) (b *Begun, step, of int) {
	s := o.App.Project.Screens[to.Screen]
	if s == nil {
		return nil, 0, 0
	}
	for i := range o.begun {
		one := &o.begun[i]
		if one.At.Screen != to.Screen || one.At.Mode != to.Mode || one.At.Inputs[s.Record] != to.Inputs[s.Record] || !fillsIn(one.At.Set, to.Set) {
			continue
		}
		if b == nil || one.When.After(b.When) {
			b = one
		}
	}
	if b != nil {
		step, of = o.stepAt(b.At)
	}
	return b, step, of
}

func fillsIn(has, wants map[string]string) bool {
	for field, value := range wants {
		if has[field] != value {
			return false
		}
	}
	return true
}

// stepAt gives the step that a place of a guided task stands at, from 1, of how many.
func (o *Opening) stepAt(at place.Place) (step, of int) {
	for _, e := range o.App.Screens[at.Screen].Elements {
		guided, is := e.Spec.(interface {
			InOrder()
			TabList() map[string]*project.Tab
		})
		if !is {
			continue
		}
		steps := project.Ordered(guided.TabList())
		for i, s := range steps {
			if s.ID == at.Tabs[e.ID] {
				return i + 1, len(steps)
			}
		}
		return 1, len(steps)
	}
	return 0, 0
}
