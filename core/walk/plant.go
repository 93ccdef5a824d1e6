package walk

import (
	"ambergate/core/ask"
	"ambergate/core/cond"
)

// plant is what is read as live values: what the walk says, and what was written since.
type plant map[string]cond.Value

// Read gives a live value; all that nothing was said of is not known.
func (p plant) Read(ref ask.TagRef) ask.Reading {
	if v, said := p[ref.Source+"/"+ref.Node]; said {
		return ask.Reading{Value: v}
	}
	return ask.Reading{Value: cond.UnknownBecause("the walk does not say what the plant does")}
}

func (p plant) say(values map[string]any) {
	for node, v := range values {
		switch v := v.(type) {
		case bool:
			p[node] = cond.Bool(v)
		case float64:
			p[node] = cond.Float(v)
		case string:
			p[node] = cond.String(v)
		}
	}
}
