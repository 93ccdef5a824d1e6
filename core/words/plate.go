package words

import (
	"strings"

	"ambergate/core/english"
	"ambergate/core/plan"
	"ambergate/core/project"
)

// WriterOf gives a writer for a way.
func WriterOf(w plan.Way, a *plan.App) Writer { return Writer{Scene: w.Scene(a)} }

// Element names an element without a record at hand.
func Element(a *plan.App, s *project.Screen, e *plan.Element) string {
	if w := project.WayOf(e.Element); w != nil {
		return Trigger(w.Trigger, e.Element)
	}
	return plan.KindOf[ElementKind](e.Spec).Called(plan.Scene{App: a, Screen: s, Element: e}, e)
}

// PlateOf says how a way's destination looks, from its first case.
func PlateOf(a *plan.App, at plan.Way, titles *Called) Plate {
	if len(at.Gate.Cases) == 0 {
		return Plate{Kind: "none", Title: "nothing yet", Glyph: "none"}
	}
	c := at.Gate.Cases[0]
	w := WriterOf(at, a)
	w.Called = titles
	if c.Move == nil {
		var does []string
		for _, effect := range c.Effects {
			does = append(does, w.Effect(effect))
		}
		if len(does) == 0 {
			return Plate{Kind: "none", Title: "nothing yet", Glyph: "none"}
		}
		return Plate{Kind: "stay", Title: strings.Join(does, ", "), Glyph: "stay", How: "and stays here"}
	}
	plate := Plate{Kind: c.Move.Kind, Title: "stays here", Glyph: c.Move.Kind}
	saidMove(c).Plate(&w, &plate, c)
	return plate
}

// PlateTitle says where a gate of a screen leads, as its plate does.
func PlateTitle(a *plan.App, p *plan.Screen, e *plan.Element, g *plan.Gate) string {
	var plate Plate
	if len(g.Cases) > 0 && g.Cases[0].Move != nil {
		w := WriterOf(plan.Way{Screen: p.Screen, Plan: p, Element: e, Gate: g}, a)
		saidMove(g.Cases[0]).Plate(&w, &plate, g.Cases[0])
	}
	return plate.Title
}

// Brings says what a move brings to its target.
func (w *Writer) Brings(m *plan.Lead) string {
	of := *w
	of.Out = nil
	of.Bindings("", m)
	outer := *w
	outer.Shared = nil
	var parts []string
	for _, chunk := range of.Out {
		if chunk.Part != PartRecord || chunk.Bad {
			continue
		}
		// What a shared gate only passes on is told as the way gives it.
		if given := w.Given[passedOn(m.Bind[chunk.Item])]; given != nil {
			chunk.Text = outer.BindingWords(given, m.Target.Inputs[chunk.Item])
		}
		parts = append(parts, chunk.Text)
	}
	for _, in := range project.Ordered(m.Target.Inputs) {
		if m.Carried[in.ID] != "" {
			parts = append(parts, "the "+english.Lower(in.Label)+" given")
		}
	}
	return strings.Join(parts, ", ")
}

// passedOn gives the input that a binding passes on; "" for any other.
func passedOn(b *project.Binding) string {
	if b == nil {
		return ""
	}
	if p, ok := b.Spec.(interface{ PassesOn() string }); ok {
		return p.PassesOn()
	}
	return ""
}
