package check

import (
	"ambergate/core/patch"
	"ambergate/core/plan"
	"ambergate/core/words"
)

var saveWhileViewing = &Check{Name: "save-while-viewing", Doc: "a button that saves and shows while a form is only viewed", Local: true, Run: func(ix *Index, report func(Finding)) {
	for _, w := range ix.Ways {
		if w.Of == nil || !plan.Saves(w.Of) || w.Element.Modes != nil && !w.Element.Modes["view"] || w.Rail != nil || w.Element.Kind == "way" {
			continue
		}
		f := w.Finding(Doubtful, "“"+words.Element(ix.App, w.Screen, w.Element)+"” saves, and shows while nothing can be typed too: it is grey then.")
		op := "add"
		if w.Element.Modes != nil {
			op = "replace"
		}
		f.Mends = []Mend{{Words: "only while editing", Patch: []patch.Op{{Op: op, Path: "/" + w.Screen.ID + "/elements/" + w.Element.ID + "/modes", Value: encode(map[string]bool{"edit": true, "add": true})}}}}
		report(f)
	}
}}
