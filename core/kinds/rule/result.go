package rule

import (
	"ambergate/core/cond"
	"ambergate/core/project"
	"ambergate/core/use"
	"ambergate/core/words"
)

// Result is what the dialog came back with.
type Result struct {
	project.BindingHead
	base
}

// Give gives it as the input takes it.
func (*Result) Give(x *use.Binding) cond.Value {
	if x.At.Result == "" {
		x.Later = true
		return cond.NullValue
	}
	v, err := cond.Parse(x.Input.TypeOf(), x.At.Result)
	if err != nil {
		return cond.UnknownBecause(err.Error())
	}
	return v
}

func (*Result) Say(*words.Writer, *project.Input) string {
	return "what it came back with"
}
