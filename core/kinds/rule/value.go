package rule

import (
	"ambergate/core/cond"
	"ambergate/core/project"
	"ambergate/core/use"
	"ambergate/core/words"
)

// Value is always the same value.
type Value struct {
	project.BindingHead
	base
	Value string `json:"value,omitempty"` // as the wire writes it
}

// Give gives it as the input takes it.
func (spec *Value) Give(x *use.Binding) cond.Value {
	v, err := cond.Parse(x.Input.TypeOf(), spec.Value)
	if err != nil {
		return cond.UnknownBecause(err.Error())
	}
	return v
}

// Always says that it is the same each time.
func (*Value) Always() bool { return true }

// Say says it.
func (spec *Value) Say(w *words.Writer, in *project.Input) string {
	return w.ConstantWords(spec.Value, in)
}
