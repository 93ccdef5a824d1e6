package nav

import (
	"context"
	"fmt"
	"maps"
	"slices"

	"ambergate/core/cond"
	"ambergate/core/english"
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
		return english.Lower(f.Label)
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

// narrowEffect adds a filter to the screen's list, or replaces the one on that field.
type narrowEffect struct {
	project.EffectHead
	project.LooksOnly
	alwaysOpen
	Path    string `json:"path"` // field ids joined by dots, of the list's table
	Compare string `json:"compare"`
	Value   string `json:"value,omitempty"` // expression
}

// Validate asks for the field and the comparison.
func (spec *narrowEffect) Validate() error {
	if spec.Path == "" {
		return fmt.Errorf("it needs the field to narrow by")
	}
	return project.OneOf("comparison", spec.Compare, "is", "isNot", "contains", "empty", "notEmpty", "atLeast", "atMost")
}

func (spec *narrowEffect) Plan(b *planner, e *EffectPlan) {
	if f, _ := b.app.Project.FieldAt(b.plan.Screen.ListTable(), spec.Path); f == nil {
		b.broken("filter", spec.Path, cond.Problem{Message: "The field it narrows by is gone.", Length: 1})
	}
	if spec.Value != "" {
		e.Exprs["value"] = b.expression("filter", spec.Value)
	}
}

func (spec *narrowEffect) Say(w *sentenceWriter, e *EffectPlan) string {
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

func (spec *narrowEffect) Do(_ context.Context, r effectRun) (*Question, error) {
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

// widenEffect takes filters away: that of a field, or all; with All also what the screen was opened with and what is looked for.
type widenEffect struct {
	project.EffectHead
	project.LooksOnly
	alwaysOpen
	Path string `json:"path,omitempty"` // empty: every filter
	All  bool   `json:"all,omitempty"`
}

// Validate accepts it as it is.
func (*widenEffect) Validate() error { return nil }

func (*widenEffect) Plan(*planner, *EffectPlan) {}

func (spec *widenEffect) Say(w *sentenceWriter, e *EffectPlan) string {
	switch {
	case spec.All:
		return "show all"
	case spec.Path == "":
		return "take all filters off"
	default:
		return "take the filter on " + w.fieldWords(spec.Path) + " off"
	}
}

func (spec *widenEffect) Do(_ context.Context, r effectRun) (*Question, error) {
	p := r.looked()
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

// sortEffect orders the screen's list.
type sortEffect struct {
	project.EffectHead
	project.LooksOnly
	alwaysOpen
	Path string `json:"path"`
	Desc bool   `json:"desc,omitempty"`
}

// Validate asks for the field.
func (spec *sortEffect) Validate() error {
	if spec.Path == "" {
		return fmt.Errorf("it needs the field to order by")
	}
	return nil
}

func (*sortEffect) Plan(*planner, *EffectPlan) {}

func (spec *sortEffect) Say(w *sentenceWriter, e *EffectPlan) string {
	return "order the list by " + w.fieldWords(spec.Path) + map[bool]string{true: ", the highest first"}[spec.Desc]
}

func (spec *sortEffect) Do(_ context.Context, r effectRun) (*Question, error) {
	if err := r.listField(spec.Path); err != nil {
		return nil, err
	}
	r.looked().Sort = []Sort{{Path: spec.Path, Desc: spec.Desc}}
	return nil, nil
}

// findEffect looks for words in the screen's list.
type findEffect struct {
	project.EffectHead
	project.LooksOnly
	alwaysOpen
	Words string `json:"words"` // expression; empty text looks for nothing
}

// Validate asks for the words.
func (spec *findEffect) Validate() error {
	if spec.Words == "" {
		return fmt.Errorf("it needs the words to look for")
	}
	return nil
}

func (spec *findEffect) Plan(b *planner, e *EffectPlan) {
	e.Exprs["words"] = b.expression("find", spec.Words)
}

func (spec *findEffect) Say(w *sentenceWriter, e *EffectPlan) string {
	if e.Exprs["words"] == nil {
		return "find “" + spec.Words + "”, which cannot be read"
	}
	return "find " + w.valueWords(e.Exprs["words"], "")
}

func (*findEffect) Do(_ context.Context, r effectRun) (*Question, error) {
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

// tabEffect opens a tab of a block of tabs.
type tabEffect struct {
	project.EffectHead
	project.LooksOnly
	alwaysOpen
	Block string `json:"block"` // element
	Tab   string `json:"tab"`
}

// Validate asks for both.
func (spec *tabEffect) Validate() error {
	if spec.Block == "" || spec.Tab == "" {
		return fmt.Errorf("it needs a block of tabs and one of its tabs")
	}
	return nil
}

func (*tabEffect) Plan(*planner, *EffectPlan) {}

func (spec *tabEffect) Say(w *sentenceWriter, e *EffectPlan) string {
	if block := w.screen.Elements[spec.Block]; block != nil {
		if tab := project.TabsOf(block)[spec.Tab]; tab != nil {
			return "show the tab “" + tab.Label + "”"
		}
	}
	return "show a tab that is gone"
}

func (spec *tabEffect) Do(_ context.Context, r effectRun) (*Question, error) {
	p := r.looked()
	if p.Tabs == nil {
		p.Tabs = map[string]string{}
	}
	p.Tabs[spec.Block] = spec.Tab
	return nil, nil
}

// refreshEffect reads again what the screen shows.
type refreshEffect struct {
	project.EffectHead
	project.LooksOnly
	alwaysOpen
}

// Validate accepts it as it is.
func (*refreshEffect) Validate() error { return nil }

func (*refreshEffect) Plan(*planner, *EffectPlan)              {}
func (*refreshEffect) Say(*sentenceWriter, *EffectPlan) string { return "read everything again" }

// Do has nothing to do: every answer to a press reads the screen again.
func (*refreshEffect) Do(context.Context, effectRun) (*Question, error) { return nil, nil }

// exportEffect saves a list as a file: comma-separated values, as filtered and ordered.
type exportEffect struct {
	project.EffectHead
	project.LooksOnly
	alwaysOpen
	List string `json:"list"` // element
}

// Validate asks for the list.
func (spec *exportEffect) Validate() error {
	if spec.List == "" {
		return fmt.Errorf("it needs the list to save as a file")
	}
	return nil
}

func (*exportEffect) Plan(*planner, *EffectPlan) {}

func (spec *exportEffect) Say(w *sentenceWriter, e *EffectPlan) string {
	list := spec.List
	if w.screen.Elements[list] == nil {
		return "save a list that is gone as a file"
	}
	return "save the list as a file"
}

func (spec *exportEffect) Do(_ context.Context, r effectRun) (*Question, error) {
	list := spec.List
	if r.o.listElement(list) == nil {
		return nil, refuse("no-element", "The list that this saves is gone.", "Tell the person who builds this application.")
	}
	r.out.Does = append(r.out.Does, Act{What: "export", List: list})
	return nil, nil
}

// printEffect puts the screen on paper.
type printEffect struct {
	project.EffectHead
	project.LooksOnly
	alwaysOpen
}

// Validate accepts it as it is.
func (*printEffect) Validate() error { return nil }

func (*printEffect) Plan(*planner, *EffectPlan)              {}
func (*printEffect) Say(*sentenceWriter, *EffectPlan) string { return "print" }

func (*printEffect) Do(_ context.Context, r effectRun) (*Question, error) {
	r.out.Does = append(r.out.Does, Act{What: "print"})
	return nil, nil
}
