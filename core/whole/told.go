package whole

import (
	"slices"
	"strings"

	"ambergate/core/check/reach"
	"ambergate/core/english"
)

// Told says what is different in who gets where from another time, a sentence for each screen and difference: “Office
// now reaches “Parts” in 2 presses.”, “Nobody reaches “Old list” any more.”
func Told(g *reach.Graph, who []Who, was *reach.Graph) []string {
	out := []string{}
	for _, line := range TableOf(g, who, was).Lines {
		out = append(out, line.told(who, was.App.Project.Screens[line.Screen] == nil)...)
	}
	for _, s := range screensOf(was.App) {
		if g.App.Project.Screens[s.ID] != nil {
			continue
		}
		var reached []string
		for _, w := range who {
			if len(w.Roles) == 1 && was.For(w.Set()).Cells[s.ID].Led() {
				reached = append(reached, w.Name)
			}
		}
		if len(reached) > 0 {
			out = append(out, english.Capital(english.List(reached, "and"))+" reached “"+s.Title+"”, which is gone.")
		}
	}
	return out
}

// told says it of one screen: those to whom the same happened are named together. Who has several roles is told of only
// where it is otherwise with each of them alone.
func (l Line) told(who []Who, isNew bool) []string {
	of := map[string][]string{} // words → names
	roles := map[string]map[string]bool{}
	led := false // somebody is led there still
	var order []string
	for i, c := range l.Cells {
		led = led || reach.Cell{Kind: c.Kind}.Led()
		if c.Was == nil {
			continue
		}
		words := c.toldFrom(*c.Was, l.Title)
		if words == "" || slices.ContainsFunc(who[i].Roles, func(r string) bool { return roles[words][r] }) {
			continue
		}
		if of[words] == nil {
			order, roles[words] = append(order, words), map[string]bool{}
		}
		of[words] = append(of[words], who[i].called())
		if len(who[i].Roles) == 1 {
			roles[words][who[i].Roles[0]] = true
		}
	}
	single := 0
	for _, w := range who {
		if len(w.Roles) == 1 {
			single++
		}
	}
	var out []string
	for _, words := range order {
		sentence := together(of[words], words)
		switch {
		case !led && strings.HasPrefix(words, "no longer reaches"):
			sentence = "Nobody reaches “" + l.Title + "” any more"
		case len(roles[words]) == single && single > 1:
			sentence = "Everybody " + words
		}
		if isNew {
			sentence = strings.Replace(sentence, " now ", " ", 1) + ", which is new"
		}
		if !slices.Contains(out, sentence+".") {
			out = append(out, sentence+".")
		}
	}
	return out
}

// called names who has these roles, so that several roles of one are not taken for several people.
func (w Who) called() string {
	if len(w.Roles) > 1 {
		return "who is both " + w.Name
	}
	return w.Name
}

// together says of several what is said of one.
func together(names []string, words string) string {
	if len(names) > 1 {
		words = strings.NewReplacer("reaches", "reach", "starts", "start", "gets", "get").Replace(words)
	}
	return english.Capital(english.List(names, "and")) + " " + words
}

// toldFrom says what became of a cell, without whose it is; "" for what makes no difference to somebody.
func (c Cell) toldFrom(was Cell, title string) string {
	led, before := reach.Cell{Kind: c.Kind}.Led(), reach.Cell{Kind: was.Kind}.Led()
	screen := "“" + title + "”"
	in := " in " + english.Count(c.Presses, "press", "presses")
	if c.Kind == reach.IsMaybe {
		in = " maybe," + in
	}
	switch {
	case c.Kind == reach.IsStart && was.Kind != reach.IsStart:
		return "now starts on " + screen
	case led && !before:
		return "now reaches " + screen + in
	case !led && before:
		switch c.Kind {
		case reach.ByAddress:
			return "no longer reaches " + screen + " by buttons, only by its address"
		case reach.BySelf:
			return "no longer reaches " + screen + " by buttons"
		}
		return "no longer reaches " + screen
	case led && c.Presses != was.Presses:
		return "reaches " + screen + in + "; it was " + english.Count(was.Presses, "press", "presses")
	case led && c.Trapped != was.Trapped:
		if c.Trapped {
			return "gets to " + screen + " and perhaps not back"
		}
		return "gets back from " + screen + " again"
	case led && c.Kind == reach.IsMaybe && was.Kind != reach.IsMaybe:
		return "reaches " + screen + " only maybe by now"
	case led && c.Kind != was.Kind && was.Kind == reach.IsMaybe:
		return "surely reaches " + screen + " by now"
	case led && c.Kind != was.Kind:
		if len(c.Given) > 0 {
			return "reaches " + screen + " as long as there is " + english.List(c.Given, "and")
		}
		return "reaches " + screen + " whatever there is"
	case !led && c.Kind == reach.IsNever && was.Kind != reach.IsNever:
		return "no longer gets to " + screen + ", by its address neither"
	case !led && was.Kind == reach.IsNever && c.Kind != reach.IsNever:
		return "now gets to " + screen + " by its address"
	}
	return ""
}
