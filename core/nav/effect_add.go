package nav

import (
	"context"
	"fmt"
	"maps"
	"slices"
	"strings"

	"ambergate/core/cond"
	"ambergate/core/english"
	"ambergate/core/project"
)

// addEffect makes a record of a table without a form.
type addEffect struct {
	project.EffectHead
	project.Changes
	Table  string            `json:"table"`
	Fields map[string]string `json:"fields,omitempty"` // field id → expression
}

// Validate asks for the table.
func (spec *addEffect) Validate() error {
	if spec.Table == "" {
		return fmt.Errorf("it needs the table that gets a record")
	}
	return nil
}

// AddsTo gives the table that gets a record.
func (spec *addEffect) AddsTo() string { return spec.Table }

func (spec *addEffect) Plan(b *planner, e *EffectPlan) {
	t := b.app.Project.Tables[spec.Table]
	if t == nil {
		b.broken("table", spec.Table, cond.Problem{Message: "The table it adds to is gone.", Length: 1})
		return
	}
	if own := b.app.Project.Tables[writtenBy(b.plan.Screen)]; own != nil && own.Source != t.Source {
		b.broken("table", spec.Table, cond.Problem{Message: "“" + t.Label + "” is in another database than what this screen changes: one press changes records of one database.", Length: 1})
	}
	b.plan.adds = b.plan.adds.with(t.ID)
	b.assigns(e, t, spec.Fields)
}

func (spec *addEffect) Say(w *sentenceWriter, e *EffectPlan) string {
	t := w.app.Project.Tables[spec.Table]
	if t == nil {
		return "add a record of a table that is gone"
	}
	words := "add a new " + t.One
	if parts := w.assigned(e, t, spec.Fields, " = "); len(parts) > 0 {
		words += " with " + strings.Join(parts, " and ")
	}
	return words
}

func (spec *addEffect) Shut(o *Opening, e *EffectPlan, _ *Row) (Verdict, bool) {
	t := o.app.Project.Tables[spec.Table]
	switch {
	case t == nil:
		return Verdict{State: "greyed", By: "broken", Reason: "The table that it adds to is gone."}, true
	case t.View:
		return Verdict{State: "greyed", By: "grant", Reason: "These records can only be read."}, true
	case !o.rights.On(t.ID).Add:
		return Verdict{State: "greyed", By: "grant", Reason: "Your role may not add " + english.Lower(t.Label) + "."}, true
	}
	return Verdict{}, false
}

func (spec *addEffect) Do(ctx context.Context, r effectRun) (*Question, error) {
	if v, closed := spec.Shut(r.o, r.plan, nil); closed {
		return nil, refuse("no-grant", v.Reason, "Ask a shift lead or the office if you need to.")
	}
	t := r.o.app.Project.Tables[spec.Table]
	values, err := r.assign(t, spec.Fields)
	if err != nil {
		return nil, err
	}
	for _, f := range project.Ordered(t.Fields) {
		if v, given := values[f.ID]; !f.ReadOnly && !f.Nullable && f.Default == "" && (!given || v.IsNull()) {
			return nil, refuse("bad-value", "The new "+t.One+" would have no “"+f.Label+"”, which it needs.", "Tell the person who builds this application.")
		}
	}
	maps.DeleteFunc(values, func(_ string, v cond.Value) bool { return v.IsNull() })
	key, err := r.insert(ctx, t, values)
	if err != nil {
		return nil, err
	}
	added := maps.Clone(r.w.added)
	if added == nil {
		added = map[string]string{}
	}
	added[t.ID] = key
	r.w.added = added
	return nil, nil
}

// adds says whether a case adds a record to a table.
func (c *CasePlan) adds(table string) bool {
	for _, e := range c.Effects {
		if a, ok := e.Spec.(Adds); ok && a.AddsTo() == table {
			return true
		}
	}
	return false
}

// adds says whether a way adds a record to a table, by a gate of its own or by the shared one it is looked at inside of.
func (w Way) adds(table string) bool {
	g := w.Gate
	if g == nil && w.Element != nil {
		if g = w.Element.Gates[w.Trigger]; g == nil || g.Shared != nil {
			return false
		}
	}
	return table != "" && g != nil && slices.ContainsFunc(g.Cases, func(c *CasePlan) bool { return c.adds(table) })
}

// addedBefore notes where a move leads to a record that its own case never adds.
func (b *planner) addedBefore(c *CasePlan) {
	for _, m := range c.Move.Leads() {
		for _, id := range slices.Sorted(maps.Keys(m.Bind)) {
			if saved, ok := m.Bind[id].Spec.(interface{ AddedTo() string }); ok && saved.AddedTo() != "" && !c.adds(saved.AddedTo()) {
				b.broken("record", saved.AddedTo(), cond.Problem{Message: "It leads to a record just added, but adds none.", Length: 1})
			}
		}
	}
}
