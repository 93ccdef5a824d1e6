package rule

import (
	"fmt"

	"ambergate/core/cond"
	"ambergate/core/plan"
	"ambergate/core/project"
	"ambergate/core/use"
	"ambergate/core/words"
)

// Child is the first, last or nearest of the records that name another: this cabin's last inspection.
type Child struct {
	project.BindingHead
	base
	Table string `json:"table"`                                                         // of the record that is found
	Path  string `json:"path"`                                                          // its field that names the other
	From  string `json:"from,omitempty"`                                                // record (default), row, or the id of an input that is a record
	Pick  string `json:"pick,omitempty" jsonschema:"enum=first,enum=last,enum=nearest"` // first, last (default), nearest (to now)
	Order string `json:"order,omitempty"`                                               // path it is the first or last by; empty: the table's own order
	While string `json:"while,omitempty"`                                               // of those that meet this condition, over record and user
}

// Validate asks for the table and the field that names the record.
func (spec *Child) Validate() error {
	if spec.Table == "" || spec.Path == "" {
		return fmt.Errorf("a child needs its table and the field that names the record")
	}
	if err := project.OneOf("choice among the children", spec.Pick, "", "first", "last", "nearest"); err != nil {
		return err
	}
	if spec.Pick == "nearest" && spec.Order == "" {
		return fmt.Errorf("the nearest child needs the date it is near by")
	}
	return nil
}

func (spec *Child) key() string {
	return spec.From + "|" + spec.Table + "|" + spec.Path + "|" + spec.Pick + "|" + spec.Order + "|" + spec.While
}

// Plan notes what is to be found.
func (spec *Child) Plan(b *plan.Planner) *cond.Expr {
	p := &plan.Child{Table: spec.Table, Path: spec.Path, From: spec.From, Pick: spec.Pick, Order: spec.Order}
	if spec.While != "" {
		scope := b.Scope
		b.Scope = b.App.Project.RowScope(spec.Table)
		e, problem := b.App.Compiler.Condition(b.Scope, spec.While)
		b.Scope = scope
		if problem != nil {
			b.Broken("binding", spec.While, *problem)
		}
		p.While, p.Bad = e, problem != nil
	}
	if f, _ := b.App.Project.FieldAt(spec.Table, spec.Path); f == nil {
		b.Broken("binding", spec.Path, cond.Problem{Message: "The relation that it follows is gone.", Length: 1})
		p.Bad = true
	}
	b.Finds(spec.key(), p)
	return nil
}

// Give gives the record that was found.
func (spec *Child) Give(x *use.Binding) cond.Value {
	of := x.From(spec.From)
	if of == nil {
		return cond.NullValue
	}
	row, fetched := x.Opening.Children[spec.key()+"|"+of.Key]
	switch {
	case !fetched && spec.From == "row":
		x.Later = true
		return cond.NullValue
	case !fetched:
		return cond.UnknownBecause("it was not looked for")
	case row == nil:
		return cond.NullValue
	}
	return cond.Key(row.Key)
}

// Say says it: “this cabin’s last inspection”.
func (spec *Child) Say(w *words.Writer, _ *project.Input) string {
	t := w.App.Project.Tables[spec.Table]
	if f, _ := w.App.Project.FieldAt(spec.Table, spec.Path); f == nil || t == nil {
		return "a relation that is gone"
	}
	pick := spec.Pick
	if pick == "" {
		pick = "last"
	}
	of := w.FromWords(spec.From)
	if of == "its" {
		of = w.ThisRecord() + "’s"
	}
	text := of + " " + pick + " " + t.One
	if spec.While != "" {
		if e, problem := w.App.Compiler.Condition(w.App.Project.RowScope(spec.Table), spec.While); problem == nil {
			text += " where " + w.Phrase(e.Root)
		}
	}
	return text
}

// Finds gives its table.
func (spec *Child) Finds(plan.Scene, *cond.Expr) (string, bool) { return spec.Table, true }

// MayBeNone says that there may be none.
func (*Child) MayBeNone(plan.Scene, *cond.Expr) bool { return true }
