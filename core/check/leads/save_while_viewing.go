package leads

import (
	"ambergate/core/check"
	"ambergate/core/patch"
	"ambergate/core/plan"
	"ambergate/core/words"
)

var SaveWhileViewing = &check.Check{Name: "save-while-viewing", Doc: "a button that saves and shows while a form is only viewed", Local: true, Run: func(ix *check.Index, report func(check.Finding)) {
	for _, w := range ix.Ways {
		if w.Of == nil || !plan.Saves(w.Of) || w.Element.Modes != nil && !w.Element.Modes["view"] || w.Rail != nil || w.Element.Kind == "way" {
			continue
		}
		f := w.Finding(check.Doubtful, "“"+words.Element(ix.App, w.Screen, w.Element)+"” saves, and shows while nothing can be typed too: it is grey then.")
		op := "add"
		if w.Element.Modes != nil {
			op = "replace"
		}
		f.Mends = []check.Mend{{Words: "only while editing", Patch: []patch.Op{{Op: op, Path: "/" + w.Screen.ID + "/elements/" + w.Element.ID + "/modes", Value: check.Encode(map[string]bool{"edit": true, "add": true})}}}}
		report(f)
	}
}}
