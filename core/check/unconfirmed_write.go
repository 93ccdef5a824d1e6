package check

import (
	"ambergate/core/cond"
	"ambergate/core/kinds/effect"
	"ambergate/core/patch"
	"ambergate/core/plan"
	"ambergate/core/words"
)

var unconfirmedWrite = &Check{Name: "unconfirmed-write", Doc: "starts or stops something in the plant without asking", Local: true, Run: func(ix *Index, report func(Finding)) {
	var told *plan.Gate // once, however many of its cases do
	for _, w := range ix.Ways {
		if w.Of == nil || w.Gate.Confirm != "" || w.Gate == told {
			continue
		}
		for _, e := range w.Of.Effects {
			does := ""
			if spec, is := e.Spec.(*effect.Write); is {
				if tag := e.Exprs["tag"]; spec.How != "hold" && spec.How != "choose" && tag != nil && tag.Root.Type.Kind == cond.YesNo {
					does = "switches something in the plant"
				}
			}
			if does == "" {
				continue
			}
			told = w.Gate
			said := words.Element(ix.App, w.Screen, w.Element)
			f := w.ofGate(Note, "“"+said+"” "+does+" at one press, without asking.")
			f.Mends = []Mend{{Words: "ask before", Patch: []patch.Op{{Op: "add", Path: w.Wiring() + "/confirm", Value: encode("“" + said + "”: really?")}}}}
			report(f)
			break
		}
	}
}}
