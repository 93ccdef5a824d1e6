package rule

import (
	"ambergate/core/cond"
	"ambergate/core/plan"
	"ambergate/core/project"
	"ambergate/core/use"
	"ambergate/core/words"
)

// Expression works the value out.
type Expression struct {
	project.BindingHead
	base
	Value string `json:"value,omitempty"`
}

// Plan compiles it.
func (spec *Expression) Plan(b *plan.Planner) *cond.Expr { return b.Expression("binding", spec.Value) }

// Give gives what it comes to.
func (*Expression) Give(x *use.Binding) cond.Value {
	if x.Expr == nil {
		return cond.UnknownBecause("its expression cannot be read")
	}
	return x.Expr.Root.Eval(x.World)
}

// Say says it.
func (spec *Expression) Say(w *words.Writer, in *project.Input) string {
	if e, problem := w.App.Compiler.Expression(w.Scope(), spec.Value); problem == nil {
		return w.ValueWords(e, words.TableOf(in))
	}
	return "“" + spec.Value + "”, which cannot be read"
}

// Finds gives the table of the record that it comes to.
func (*Expression) Finds(_ plan.Scene, x *cond.Expr) (string, bool) {
	if x == nil {
		return "", false
	}
	return x.Root.Type.Table, true
}

// MayBeNone says whether it may come to nothing.
func (*Expression) MayBeNone(_ plan.Scene, x *cond.Expr) bool {
	return x != nil && x.Root.Type.Nullable
}
