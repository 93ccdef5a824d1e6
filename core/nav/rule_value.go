package nav

import (
	"time"

	"ambergate/core/cond"
	"ambergate/core/project"
)

// pointRule is what the chosen point of a chart stands for: its value, or the end of its span of time.
type pointRule struct{ ruleBase }

func (pointRule) value(x *binding) cond.Value {
	wire := x.at.point
	if x.b.Value == "end" && wire != "" {
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

func (pointRule) words(_ *sentenceWriter, b *project.Binding, _ *project.Input) string {
	if b.Value == "end" {
		return "the end of the chosen bar"
	}
	return "the chosen bar"
}

func (pointRule) table(w *sentenceWriter, _ *project.Binding) (string, bool) {
	if c, ok := w.chart(); ok {
		if f, _ := w.app.Project.FieldAt(c.Table, c.By); f != nil && f.References != "" {
			return f.References, true
		}
	}
	return "", true
}

// valueRule is always the same value.
type valueRule struct{ ruleBase }

func (valueRule) value(x *binding) cond.Value {
	v, err := cond.Parse(x.in.TypeOf(), x.b.Value)
	if err != nil {
		return cond.UnknownBecause(err.Error())
	}
	return v
}

func (valueRule) words(w *sentenceWriter, b *project.Binding, in *project.Input) string {
	return w.constantWords(b.Value, in)
}

// inputRule passes on what the screen, or the shared gate, was given.
type inputRule struct{ ruleBase }

func (inputRule) value(x *binding) cond.Value {
	v, ok := x.w.inputs[x.b.Value]
	if !ok {
		return cond.UnknownBecause("the input is gone")
	}
	return v
}

func (inputRule) words(w *sentenceWriter, b *project.Binding, _ *project.Input) string {
	if in := w.inputs()[b.Value]; in != nil {
		return "the " + lowerLabel(in.Label) + " given"
	}
	return "an input that is gone"
}

func (inputRule) table(w *sentenceWriter, b *project.Binding) (string, bool) {
	if in := w.inputs()[b.Value]; in != nil {
		return in.Table, true
	}
	return "", true
}

func (inputRule) mayBeNone(w *sentenceWriter, b *project.Binding) bool {
	in := w.inputs()[b.Value]
	return in != nil && !in.Required
}

// expressionRule works the value out.
type expressionRule struct{ ruleBase }

func (expressionRule) value(x *binding) cond.Value {
	if x.expr == nil {
		return cond.UnknownBecause("its expression cannot be read")
	}
	return x.expr.Root.Eval(x.w)
}

func (expressionRule) words(w *sentenceWriter, b *project.Binding, in *project.Input) string {
	if e, problem := w.app.Compiler.Expression(w.scope(), b.Value); problem == nil {
		return w.valueWords(e, tableOf(in))
	}
	return "“" + b.Value + "”, which cannot be read"
}
