package nav

import (
	"ambergate/core/cond"
	"ambergate/core/project"
)

// binding is one input of a target, or of a shared gate, that is to get its value.
type binding struct {
	o    *Opening
	in   *project.Input
	b    *project.Binding
	expr *cond.Expr // of an expression
	w    *world
	at   aim

	later bool  // the value is only known when it is pressed
	pick  *Pick // the user is to be asked for it
}

// ruleKind is one way to give an input its value. Each record rule has its place in a file rule_….go.
type ruleKind interface {
	// needs notes what is to be read, so that value finds it.
	needs(b *planner, bind *project.Binding)
	// value gives the value; null means that there is none.
	value(x *binding) cond.Value
	// words says the rule: "this cabin", "its lift".
	words(w *sentenceWriter, b *project.Binding, in *project.Input) string
	// table gives the table of the record that comes; false where that is not known.
	table(w *sentenceWriter, b *project.Binding) (string, bool)
	// mayBeNone says whether there may be no record.
	mayBeNone(w *sentenceWriter, b *project.Binding) bool
}

// ruleKinds is the registry of record rules and bindings.
var ruleKinds map[string]ruleKind

func init() {
	ruleKinds = map[string]ruleKind{
		"this": thisRule{}, "row": clickedRule{}, "saved": savedRule{}, "user": userRule{}, "parent": parentRule{}, "child": childRule{},
		"first": stepRule{"first"}, "previous": stepRule{"previous"}, "next": stepRule{"next"}, "last": stepRule{"last"},
		"picked": pickedRule{}, "point": pointRule{}, "value": valueRule{}, "input": inputRule{}, "expression": expressionRule{},
		"result": resultRule{},
	}
}

// ruleBase is what most rules have in common: nothing to read beforehand, always a record.
type ruleBase struct{}

func (ruleBase) needs(*planner, *project.Binding)                       {}
func (ruleBase) table(*sentenceWriter, *project.Binding) (string, bool) { return "", false }
func (ruleBase) mayBeNone(*sentenceWriter, *project.Binding) bool       { return false }

// BindingTable gives the table of the record that a binding of a way brings, and whether it may be
// missing; known is false where that shows only when it is pressed.
func (a *App) BindingTable(w Way, b *project.Binding, expr *cond.Expr) (table string, known, mayBeNone bool) {
	s := w.writer(a)
	rule := ruleKinds[b.Rule]
	if b.Rule == "expression" && expr != nil {
		return expr.Root.Type.Table, true, expr.Root.Type.Nullable
	}
	table, known = rule.table(&s, b)
	return table, known, rule.mayBeNone(&s, b)
}
