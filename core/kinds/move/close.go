package move

import (
	"ambergate/core/cond"
	"ambergate/core/plan"
	"ambergate/core/project"
	"ambergate/core/words"
)

// Close closes a dialog or drawer, and may say what it comes back with.
type Close struct {
	Trail
	Result *project.Binding `json:"result,omitempty"`
}

// resultRules are the rules by which a dialog can say what it comes back with.
var resultRules = []string{"this", "row", "saved", "parent", "user", "input", "expression"}

// Validate refuses rules that have nothing to say when a dialog closes.
func (spec *Close) Validate() error {
	if spec.Result == nil {
		return nil
	}
	if err := project.OneOf("rule for what it comes back with", spec.Result.Rule, resultRules...); err != nil {
		return err
	}
	return spec.Result.Validate()
}

// Gives says what it comes back with; nil for what was saved.
func (spec *Close) Gives() *project.Binding { return spec.Result }

func (spec *Close) Plan(b *plan.Planner, m *plan.Move) {
	if spec.Result == nil {
		return
	}
	if x := plan.RuleOf(spec.Result).Plan(b); x != nil {
		m.Exprs = map[string]*cond.Expr{"result": x}
	}
}

func (spec *Close) Say(w *words.Writer, c *plan.Case) {
	spec.Trail.Say(w, c)
	if spec.Result == nil {
		return
	}
	w.Plain(" with ")
	w.Out = append(w.Out, words.Chunk{Text: w.BindingWords(spec.Result, nil), Part: words.PartResult, Tone: "record", Case: c.ID})
}
