package cond

import "time"

// opaque runs the library when everything it reads is known and not empty; else the part is unknown.
func (n *Node) opaque(w World) Value {
	if n.Program == nil {
		return UnknownBecause("this part cannot be run")
	}
	input := map[string]any{"now": w.Now()}
	for i, p := range n.Written {
		v := n.Args[i].Eval(w)
		if !v.Known() {
			return v
		}
		if v.IsNull() {
			return UnknownBecause("a part of it is empty")
		}
		at := child(input, p.Root)
		for i, h := range p.Hops {
			if i == len(p.Hops)-1 {
				at[h.Alias], at[h.ID] = Native(v), Native(v)
				break
			}
			next := child(at, h.ID)
			at[h.Alias] = next
			at = next
		}
	}
	out, err := n.Program.Run(input)
	if err != nil {
		return UnknownBecause(err.Error())
	}
	return fromNative(out)
}

func child(m map[string]any, name string) map[string]any {
	next, ok := m[name].(map[string]any)
	if !ok {
		next = map[string]any{}
		m[name] = next
	}
	return next
}

// Native gives a value as the library takes it.
func Native(v Value) any {
	switch v.kind {
	case YesNo:
		return v.i == 1
	case Whole:
		return v.i
	case Number, Decimal:
		f, _ := v.Float64()
		return f
	case Date, Moment:
		t, _ := v.Time()
		return t
	case Duration:
		return time.Duration(v.i) * time.Microsecond
	case List:
		out := make([]any, len(v.items()))
		for i, item := range v.items() {
			out[i] = Native(item)
		}
		return out
	}
	return v.s
}

func fromNative(v any) Value {
	switch x := v.(type) {
	case bool:
		return Bool(x)
	case int64:
		return Int(x)
	case uint64:
		return Int(int64(x))
	case float64:
		return finite(x)
	case string:
		return String(x)
	case time.Time:
		return MomentOf(x)
	case time.Duration:
		return Span(x)
	}
	return UnknownBecause("a result of a kind that is not shown")
}
