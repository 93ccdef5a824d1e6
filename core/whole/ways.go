package whole

import (
	"ambergate/core/check"
	"ambergate/core/check/reach"
	"ambergate/core/words"
)

// WireWay is one way of a wire, as a sentence.
type WireWay struct {
	On       string        `json:"on"` // screen
	Element  string        `json:"element"`
	Trigger  string        `json:"trigger"`
	By       string        `json:"by"`
	Sentence []words.Chunk `json:"sentence"`
	Hold     string        `json:"hold"`             // how far it is open: sure, maybe, never
	While    []string      `json:"while,omitempty"`  // what is left to hold
	Unsure   []string      `json:"unsure,omitempty"` // what else cannot be proven
	Week     int64         `json:"week"`             // presses this week
	Long     int64         `json:"long"`             // and as far back as is counted
}

// WaysOf tells the ways of a wire, from a screen or a rail to a screen, for some roles.
func WaysOf(g *reach.Graph, who []Who, uses Uses, from, to string) []WireWay {
	out := []WireWay{}
	seen := map[[3]string]bool{}
	for _, id := range g.Screens {
		for _, e := range g.Edges(id) {
			rail := e.Way.Rail != nil && e.Way.Rail.ID == from
			if e.To == nil || e.To.ID != to || e.Along != nil || e.Bottom() || !rail && (id != from || e.Way.Rail != nil) {
				continue
			}
			key := [3]string{e.Way.Element.ID, e.Way.Trigger, ""}
			if seen[key] {
				continue
			}
			seen[key] = true
			one := WireWay{On: id, Element: e.Way.Element.ID, Trigger: e.Way.Trigger, By: check.EdgeWords(g, e), Sentence: words.Sentence(g.App, e.Way.Screen, e.Way.Element, e.Way.Trigger), Hold: "never", Week: uses.of(e).Week, Long: uses.of(e).Long}
			for _, w := range who {
				open := g.For(w.Set()).OpenFrom(e)
				hold := holdWords(open.Hold)
				if one.Hold == "never" || hold == "sure" {
					one.Hold, one.While, one.Unsure = hold, nil, open.Unsure
					for _, p := range open.Left {
						one.While = append(one.While, p.Words())
					}
				}
			}
			out = append(out, one)
		}
	}
	return out
}

func holdWords(h reach.Hold) string {
	switch h {
	case reach.Never:
		return "never"
	case reach.Maybe:
		return "maybe"
	}
	return "sure"
}
