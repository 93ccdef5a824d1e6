package nav

// alongMove leads to the neighbour of this screen in the order of a rail.
type alongMove struct{}

func (alongMove) plan(*planner, *MovePlan) {}

func (alongMove) aim(o *Opening, v *Verdict, m *MovePlan, _ *world, _ aim) {
	var rail *RailPlan
	for _, r := range o.plan.Rails {
		if r.Rail.ID == m.Rail {
			rail = r
		}
	}
	if rail == nil {
		*v = Verdict{State: "greyed", By: "broken", Reason: "The rail whose order it follows is not on this screen.", Part: v.Part, chosen: v.chosen}
		return
	}
	var stops []Verdict
	here := -1
	for _, e := range rail.Elements {
		for _, trigger := range sortedKeys(e.Gates) {
			g := e.Gates[trigger]
			if isBack(trigger) || len(g.Cases) == 0 || g.Cases[0].Move == nil || g.Cases[0].Move.Kind != "screen" {
				continue
			}
			stop := o.judge(g, aim{})
			if !stop.Open() || stop.To == nil {
				continue
			}
			// The one that means the screen itself, rather than one that brings something there.
			if stop.To.Screen == o.place.Screen && (here < 0 || len(stops[here].move.Bind) > 0) {
				here = len(stops)
			}
			stops = append(stops, stop)
		}
	}
	by := map[string]int{"previous": -1, "next": 1}[m.Step]
	at := here + by
	if m.None == "round" && len(stops) > 0 {
		at = (at + len(stops)) % len(stops)
	}
	switch {
	case here < 0:
		*v = Verdict{State: "greyed", By: "record", Reason: "This screen is not on “" + rail.Rail.Name + "”.", Part: v.Part, chosen: v.chosen}
	case at < 0 || at >= len(stops):
		end := map[string]string{"previous": "first", "next": "last"}[m.Step]
		o.endOfSteps(v, m, "This is the "+end+" on “"+rail.Rail.Name+"”.")
	default:
		v.To, v.As, v.move = stops[at].To, m.As, stops[at].move
	}
}

func (alongMove) now(Verdict) string { return "goes along the rail" }

func (alongMove) words(w *sentenceWriter, c *CasePlan) {
	name := "a rail that is gone"
	if r := w.app.Project.Rails[c.Move.Rail]; r != nil {
		name = "“" + r.Name + "”"
	}
	w.out = append(w.out, Chunk{Text: "go to the " + c.Move.Step + " along " + name, Part: "target", Tone: "target", Case: c.ID, Bad: w.app.Project.Rails[c.Move.Rail] == nil})
	w.end(c)
}

func (alongMove) plate(w *sentenceWriter, way *WayOut, c *CasePlan) {
	way.Title, way.Glyph = sentenceWord(c.Move.Step)+" along", map[string]string{"previous": "back", "next": "forward"}[c.Move.Step]
	if r := w.app.Project.Rails[c.Move.Rail]; r != nil {
		way.How = r.Name
	}
}
