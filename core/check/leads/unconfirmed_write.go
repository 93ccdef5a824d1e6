package leads

import (
	"ambergate/core/check"
	"ambergate/core/cond"
	"ambergate/core/kinds/effect"
	"ambergate/core/patch"
	"ambergate/core/plan"
	"ambergate/core/words"
)

var UnconfirmedWrite = &check.Check{Name: "unconfirmed-write", Doc: "starts or stops something in the plant without asking", Local: true, Run: func(ix *check.Index, report func(check.Finding)) {
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
			f := w.OfGate(check.Note, "“"+said+"” "+does+" at one press, without asking.")
			f.Mends = []check.Mend{{Words: "ask before", Patch: []patch.Op{{Op: "add", Path: w.Wiring() + "/confirm", Value: check.Encode("“" + said + "”: really?")}}}}
			report(f)
			break
		}
	}
}}
