package whole

import (
	"fmt"
	"slices"

	"ambergate/core/check"
	"ambergate/core/check/reach"
	"ambergate/core/english"
)

// Step is one step of a path, in words.
type Step struct {
	Screen  string   `json:"screen"` // that it leads to
	Title   string   `json:"title"`
	By      string   `json:"by"`                // “Its cabin”
	While   string   `json:"while,omitempty"`   // what is left to hold
	Given   []string `json:"given,omitempty"`   // what has to be there
	Unsure  []string `json:"unsure,omitempty"`  // what else cannot be proven
	Over    bool     `json:"over,omitempty"`    // as a dialog or drawer
	Presses int      `json:"presses"`           // that it takes
	On      string   `json:"on,omitempty"`      // screen that the way stands on
	Element string   `json:"element,omitempty"` // that sets it off
	Trigger string   `json:"trigger,omitempty"`
}

// Path is how somebody gets to a screen, and back.
type Path struct {
	Screen  string     `json:"screen"`
	Title   string     `json:"title"`
	Cell    Cell       `json:"cell"`
	Start   string     `json:"start,omitempty"` // title of where they begin
	Steps   []Step     `json:"steps"`
	Back    []Step     `json:"back"`
	Returns bool       `json:"returns"`        // it is proven that one comes back
	Shut    string     `json:"shut,omitempty"` // where nothing leads: why
	Others  []string   `json:"others"`         // what leads there for others, in words
	About   []Expected `json:"about"`          // what is expected of the screen
}

func stepOf(g *reach.Graph, s reach.Step) Step {
	by, while := check.StepWords(g, s)
	e := s.Edges[0]
	out := Step{Screen: e.To.ID, Title: e.To.Title, By: by, While: while, Given: s.Open.Given, Unsure: s.Open.Unsure, Over: e.Over(), Presses: e.Presses}
	if e.Way.Element != nil {
		out.On, out.Element, out.Trigger = e.Way.Screen.ID, e.Way.Element.ID, e.Way.Trigger
	}
	return out
}

func stepsOf(g *reach.Graph, steps []reach.Step) []Step {
	out := []Step{}
	for _, s := range steps {
		out = append(out, stepOf(g, s))
	}
	return out
}

// PathTo tells how a set of roles gets to a screen. False where there is no such screen.
func PathTo(g *reach.Graph, w Who, who []Who, screen string) (Path, bool) {
	s := g.App.Project.Screens[screen]
	if s == nil {
		return Path{}, false
	}
	r := g.For(w.Set())
	out := Path{Screen: screen, Title: s.Title, Cell: cellOf(r.Cells[screen]), Steps: stepsOf(g, r.Path(screen)), Back: []Step{}, Others: []string{}, About: []Expected{}}
	if start := g.App.Project.Screens[r.Start]; start != nil {
		out.Start = start.Title
	}
	back, _, returns := r.WayBack(screen)
	out.Returns = returns
	for _, b := range back {
		out.Back = append(out.Back, homeStep(g, b))
	}
	if len(out.Steps) == 0 && out.Cell.Kind != reach.IsStart {
		out.Shut = check.Shut(g, w.Set(), s)
		out.Others = closed(g, w.Set(), screen)
	}
	for _, e := range expectations(g, who) {
		if e.Screen == screen {
			out.About = append(out.About, e)
		}
	}
	return out, true
}

func homeStep(g *reach.Graph, b reach.Homeward) Step {
	out := Step{Screen: b.To, Presses: 1}
	if to := g.App.Project.Screens[b.To]; to != nil {
		out.Title = to.Title
	}
	switch {
	case b.Edge != nil:
		out.By = check.EdgeWords(g, b.Edge)
		if b.Edge.Way.Element != nil {
			out.On, out.Element, out.Trigger = b.Edge.Way.Screen.ID, b.Edge.Way.Element.ID, b.Edge.Way.Trigger
		}
	case b.What == "home":
		out.By = "Home, in the strip"
	case b.What == "back":
		out.By = "Back, in the strip"
	case b.What == "close":
		out.By = "closing it"
	}
	return out
}

// Between is the paths between two screens.
type Between struct {
	From, To string   `json:"-"`
	Paths    [][]Step `json:"paths"`
	More     bool     `json:"more"`
}

// PathsBetween tells every path by presses that a set of roles may go from one screen to another, the shortest first.
func PathsBetween(g *reach.Graph, w Who, from, to string) Between {
	paths, more := g.For(w.Set()).Paths(from, to)
	out := Between{From: from, To: to, Paths: [][]Step{}, More: more}
	for _, p := range paths {
		out.Paths = append(out.Paths, stepsOf(g, p))
	}
	return out
}

// closed tells what leads to a screen and not these roles, those that are shut for the same reason together.
func closed(g *reach.Graph, roles map[string]bool, screen string) []string {
	var reasons []string
	by := map[string][]string{}
	for _, e := range g.Into(screen) {
		what, why := check.Closed(g, roles, e)
		if by[why] == nil {
			reasons = append(reasons, why)
		}
		if !slices.Contains(by[why], what) {
			by[why] = append(by[why], what)
		}
	}
	out := []string{}
	for _, why := range reasons {
		what := by[why]
		if more := len(what) - shownOthers; more > 0 {
			what = append(what[:shownOthers:shownOthers], fmt.Sprint(more, " more"))
		}
		out = append(out, english.Capital(why)+": "+english.List(what, "and")+".")
	}
	return out
}

// shownOthers is how many ways are named that are shut for one reason.
const shownOthers = 4
