package nav

import (
	"time"

	"ambergate/core/cond"
	"ambergate/core/english"
	"ambergate/core/project"
)

// pointRule is what the chosen point of a chart stands for: its value, or the end of its span of time.
type pointRule struct {
	project.BindingHead
	ruleBase
	Value string `json:"value,omitempty"` // end: of a span of time
}

// Chooses says that the point's own value is brought, not the end of its span.
func (spec *pointRule) Chooses() bool { return spec.Value == "" }

// Give gives its value.
func (spec *pointRule) Give(x *binding) cond.Value {
	wire := x.at.point
	if spec.Value == "end" && wire != "" {
		day, err := time.Parse(time.DateOnly, wire)
		if err != nil {
			return cond.UnknownBecause("this point is no span of time")
		}
		wire = spanEnd(day, x.at.span).Format(time.DateOnly)
	}
	if x.at.again(x.in.ID, wire) {
		return cond.NullValue // chosen again: it is taken back
	}
	v, err := cond.Parse(x.in.TypeOf(), wire)
	if err != nil {
		return cond.UnknownBecause(err.Error())
	}
	return v
}

// spanEnd gives the last day of the span that begins with a day.
func spanEnd(day time.Time, span string) time.Time {
	switch span {
	case "week":
		return day.AddDate(0, 0, 6)
	case "month":
		return day.AddDate(0, 1, -1)
	}
	return day
}

// Say says it.
func (spec *pointRule) Say(*sentenceWriter, *project.Input) string {
	if spec.Value == "end" {
		return "the end of the chosen bar"
	}
	return "the chosen bar"
}

// Finds gives the table whose records the points stand for.
func (*pointRule) Finds(s scene, _ *cond.Expr) (string, bool) {
	if c := s.points(); c != nil {
		if f, _ := s.app.Project.FieldAt(c.Table, c.By); f != nil && f.References != "" {
			return f.References, true
		}
	}
	return "", true
}

// valueRule is always the same value.
type valueRule struct {
	project.BindingHead
	ruleBase
	Value string `json:"value,omitempty"` // as the wire writes it
}

// Give gives it as the input takes it.
func (spec *valueRule) Give(x *binding) cond.Value {
	v, err := cond.Parse(x.in.TypeOf(), spec.Value)
	if err != nil {
		return cond.UnknownBecause(err.Error())
	}
	return v
}

// Always says that it is the same each time.
func (*valueRule) Always() bool { return true }

// Say says it.
func (spec *valueRule) Say(w *sentenceWriter, in *project.Input) string {
	return w.constantWords(spec.Value, in)
}

// inputRule passes on what the screen, or the shared gate, was given.
type inputRule struct {
	project.BindingHead
	ruleBase
	Value string `json:"value,omitempty"` // input
}

// PassesOn gives the input that it passes on.
func (spec *inputRule) PassesOn() string { return spec.Value }

// Give gives its value.
func (spec *inputRule) Give(x *binding) cond.Value {
	v, ok := x.w.inputs[spec.Value]
	if !ok {
		return cond.UnknownBecause("the input is gone")
	}
	return v
}

// Row gives its record.
func (spec *inputRule) Row(x *binding, _, _ string) *Row { return x.w.inputRows[spec.Value] }

// Via reads it with the record that was given.
func (spec *inputRule) Via(b *planner) via {
	return via{set: b.plan.inputs[spec.Value], root: "inputs", segs: []string{spec.Value}}
}

// Say says it: “the cabin given”.
func (spec *inputRule) Say(w *sentenceWriter, _ *project.Input) string {
	if in := w.inputs()[spec.Value]; in != nil {
		return "the " + english.Lower(in.Label) + " given"
	}
	return "an input that is gone"
}

// Finds gives the table of the input.
func (spec *inputRule) Finds(s scene, _ *cond.Expr) (string, bool) {
	if in := s.inputs()[spec.Value]; in != nil {
		return in.Table, true
	}
	return "", true
}

// MayBeNone says whether the input may be missing.
func (spec *inputRule) MayBeNone(s scene, _ *cond.Expr) bool {
	in := s.inputs()[spec.Value]
	return in != nil && !in.Required
}

// expressionRule works the value out.
type expressionRule struct {
	project.BindingHead
	ruleBase
	Value string `json:"value,omitempty"`
}

// Plan compiles it.
func (spec *expressionRule) Plan(b *planner) *cond.Expr { return b.expression("binding", spec.Value) }

// Give gives what it comes to.
func (*expressionRule) Give(x *binding) cond.Value {
	if x.expr == nil {
		return cond.UnknownBecause("its expression cannot be read")
	}
	return x.expr.Root.Eval(x.w)
}

// Say says it.
func (spec *expressionRule) Say(w *sentenceWriter, in *project.Input) string {
	if e, problem := w.app.Compiler.Expression(w.scope(), spec.Value); problem == nil {
		return w.valueWords(e, tableOf(in))
	}
	return "“" + spec.Value + "”, which cannot be read"
}

// Finds gives the table of the record that it comes to.
func (*expressionRule) Finds(_ scene, x *cond.Expr) (string, bool) {
	if x == nil {
		return "", false
	}
	return x.Root.Type.Table, true
}

// MayBeNone says whether it may come to nothing.
func (*expressionRule) MayBeNone(_ scene, x *cond.Expr) bool { return x != nil && x.Root.Type.Nullable }
