package nav

import (
	"context"
	"maps"
	"slices"

	"ambergate/core/cond"
	"ambergate/core/project"
)

// Effects that only change what one looks at: filters, order, find, tabs, and what the browser
// does itself. They write nothing; what they come to is a place like any other.

// looked gives the place that effects of this press change, copied from the one that is open.
func (r effectRun) looked() *Place {
	if r.out.look == nil {
		p := r.o.place
		p.Inputs, p.Tabs = maps.Clone(p.Inputs), maps.Clone(p.Tabs)
		p.Filters, p.Sort, p.Look = slices.Clone(p.Filters), slices.Clone(p.Sort), nil
		r.out.look = &p
	}
	return r.out.look
}

// fieldWords says a field of the screen's main list.
func (w *sentenceWriter) fieldWords(path string) string {
	if f, _ := w.app.Project.FieldAt(w.screen.ListTable(), path); f != nil {
		return lowerLabel(f.Label)
	}
	return "a field that is gone"
}

// listField refuses a field that the main list does not have, or that the user may not see.
func (r effectRun) listField(path string) error {
	table := r.o.plan.Screen.ListTable()
	if f, _ := r.o.app.Project.FieldAt(table, path); f == nil || !r.o.maySee(table, path) {
		return refuse("bad-filter", "The field that this looks at is not there.", "Tell the person who builds this application.")
	}
	return nil
}

type narrowEffect struct{ alwaysOpen }

func (narrowEffect) plan(b *planner, e *EffectPlan) {
	spec := e.Spec.(*project.Narrow)
	if f, _ := b.app.Project.FieldAt(b.plan.Screen.ListTable(), spec.Path); f == nil {
		b.broken("filter", spec.Path, cond.Problem{Message: "The field it narrows by is gone.", Length: 1})
	}
	if spec.Value != "" {
		e.Exprs["value"] = b.expression("filter", spec.Value)
	}
}

func (narrowEffect) words(w *sentenceWriter, e *EffectPlan) string {
	spec := e.Spec.(*project.Narrow)
	text := "narrow the list to " + w.fieldWords(spec.Path) + compareWords[spec.Compare]
	switch {
	case spec.Value == "":
	case e.Exprs["value"] == nil:
		text += "“" + spec.Value + "”, which cannot be read"
	default:
		text += w.valueWords(e.Exprs["value"], "")
	}
	return text
}

// compareWords says how a filter compares.
var compareWords = map[string]string{"is": " is ", "isNot": " is not ", "contains": " contains ", "empty": " is empty", "notEmpty": " is not empty", "atLeast": " is at least ", "atMost": " is at most "}

func (narrowEffect) do(_ context.Context, r effectRun) (*Question, error) {
	spec := r.plan.Spec.(*project.Narrow)
	if err := r.listField(spec.Path); err != nil {
		return nil, err
	}
	f := Filter{Path: spec.Path, Compare: spec.Compare}
	if spec.Value != "" {
		if r.plan.Exprs["value"] == nil {
			return nil, refuse("broken", "What this narrows by cannot be read.", "Tell the person who builds this application.")
		}
		v := r.plan.Exprs["value"].Root.Eval(r.w)
		if !v.Known() {
			return nil, refuse("unknown", "What this narrows by is not available: "+v.Why()+".", "Try again in a moment.")
		}
		if f.Value = v.Wire(); v.IsNull() {
			f.Compare, f.Value = "empty", ""
		}
	}
	p := r.looked()
	p.Filters = append(slices.DeleteFunc(p.Filters, func(x Filter) bool { return x.Path == spec.Path }), f)
	return nil, nil
}

type widenEffect struct{ alwaysOpen }

func (widenEffect) plan(*planner, *EffectPlan) {}

func (widenEffect) words(w *sentenceWriter, e *EffectPlan) string {
	switch spec := e.Spec.(*project.Widen); {
	case spec.All:
		return "show all"
	case spec.Path == "":
		return "take all filters off"
	default:
		return "take the filter on " + w.fieldWords(spec.Path) + " off"
	}
}

func (widenEffect) do(_ context.Context, r effectRun) (*Question, error) {
	spec, p := r.plan.Spec.(*project.Widen), r.looked()
	p.Filters = slices.DeleteFunc(p.Filters, func(f Filter) bool { return spec.All || spec.Path == "" || f.Path == spec.Path })
	if !spec.All {
		return nil, nil
	}
	p.Find = ""
	for id, in := range r.o.plan.Screen.Inputs {
		if !in.Required {
			delete(p.Inputs, id)
		}
	}
	return nil, nil
}

type sortEffect struct{ alwaysOpen }

func (sortEffect) plan(*planner, *EffectPlan) {}

func (sortEffect) words(w *sentenceWriter, e *EffectPlan) string {
	spec := e.Spec.(*project.Sort)
	return "order the list by " + w.fieldWords(spec.Path) + map[bool]string{true: ", the highest first"}[spec.Desc]
}

func (sortEffect) do(_ context.Context, r effectRun) (*Question, error) {
	spec := r.plan.Spec.(*project.Sort)
	if err := r.listField(spec.Path); err != nil {
		return nil, err
	}
	r.looked().Sort = []Sort{{Path: spec.Path, Desc: spec.Desc}}
	return nil, nil
}

type findEffect struct{ alwaysOpen }

func (findEffect) plan(b *planner, e *EffectPlan) {
	e.Exprs["words"] = b.expression("find", e.Spec.(*project.Find).Words)
}

func (findEffect) words(w *sentenceWriter, e *EffectPlan) string {
	if e.Exprs["words"] == nil {
		return "find “" + e.Spec.(*project.Find).Words + "”, which cannot be read"
	}
	return "find " + w.valueWords(e.Exprs["words"], "")
}

func (findEffect) do(_ context.Context, r effectRun) (*Question, error) {
	if r.plan.Exprs["words"] == nil {
		return nil, refuse("broken", "What this looks for cannot be read.", "Tell the person who builds this application.")
	}
	v := r.plan.Exprs["words"].Root.Eval(r.w)
	if !v.Known() {
		return nil, refuse("unknown", "What this looks for is not available: "+v.Why()+".", "Try again in a moment.")
	}
	r.looked().Find = ""
	if !v.IsNull() {
		r.looked().Find = r.w.say(v, r.plan.Exprs["words"].Root.Type)
	}
	return nil, nil
}

type tabEffect struct{ alwaysOpen }

func (tabEffect) plan(*planner, *EffectPlan) {}

func (tabEffect) words(w *sentenceWriter, e *EffectPlan) string {
	spec := e.Spec.(*project.ShowTab)
	if block := w.screen.Elements[spec.Block]; block != nil {
		if tabs, ok := block.Spec.(*project.Tabs); ok && tabs.Tabs[spec.Tab] != nil {
			return "show the tab “" + tabs.Tabs[spec.Tab].Label + "”"
		}
	}
	return "show a tab that is gone"
}

func (tabEffect) do(_ context.Context, r effectRun) (*Question, error) {
	spec, p := r.plan.Spec.(*project.ShowTab), r.looked()
	if p.Tabs == nil {
		p.Tabs = map[string]string{}
	}
	p.Tabs[spec.Block] = spec.Tab
	return nil, nil
}

type refreshEffect struct{ alwaysOpen }

func (refreshEffect) plan(*planner, *EffectPlan)                {}
func (refreshEffect) words(*sentenceWriter, *EffectPlan) string { return "read everything again" }

// do has nothing to do: every answer to a press reads the screen again.
func (refreshEffect) do(context.Context, effectRun) (*Question, error) { return nil, nil }

type exportEffect struct{ alwaysOpen }

func (exportEffect) plan(*planner, *EffectPlan) {}

func (exportEffect) words(w *sentenceWriter, e *EffectPlan) string {
	list := e.Spec.(*project.Export).List
	if w.screen.Elements[list] == nil {
		return "save a list that is gone as a file"
	}
	return "save the list as a file"
}

func (exportEffect) do(_ context.Context, r effectRun) (*Question, error) {
	list := r.plan.Spec.(*project.Export).List
	if r.o.listElement(list) == nil {
		return nil, refuse("no-element", "The list that this saves is gone.", "Tell the person who builds this application.")
	}
	r.out.Does = append(r.out.Does, Act{What: "export", List: list})
	return nil, nil
}

type printEffect struct{ alwaysOpen }

func (printEffect) plan(*planner, *EffectPlan)                {}
func (printEffect) words(*sentenceWriter, *EffectPlan) string { return "print" }

func (printEffect) do(_ context.Context, r effectRun) (*Question, error) {
	r.out.Does = append(r.out.Does, Act{What: "print"})
	return nil, nil
}
