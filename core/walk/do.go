package walk

import (
	"context"
	"errors"
	"maps"
	"strings"

	"ambergate/core/ask"
	"ambergate/core/place"
	"ambergate/core/plan"
	"ambergate/core/press"
	"ambergate/core/project"
	"ambergate/core/trail"
	"ambergate/core/use"
)

// do does one step.
func (r *runner) do(ctx context.Context, s *project.WalkStep) error {
	at := r.spot()
	if s.Screen != "" && s.Does != "open" && s.Is != "at" && s.Is != "finds" && at.top().Screen != s.Screen {
		t := teller{app: r.app}
		return &Difference{Expected: "that one stands on " + t.titled(s.Screen), Found: t.titled(at.top().Screen), Why: r.why}
	}
	switch s.Does {
	case "open":
		return r.opens(ctx, s)
	case "press":
		p, err := r.pressOf(ctx, s)
		if err != nil {
			return err
		}
		return r.press(ctx, p, len(at.over))
	case "type":
		return r.types(ctx, s)
	case "choose":
		key, err := r.key(ctx, r.app.RowTable(at.top().Screen, s.Element), s.Row)
		if err != nil {
			return err
		}
		*at.top() = at.top().WithRows(map[string]string{s.Element: key})
		return nil
	case "look":
		return r.looks(ctx, s)
	case "go":
		return r.goes(ctx, s.To)
	case "wait":
		return r.waits(ctx, s.Seconds)
	case "plant":
		r.plant.say(s.Plant)
		return nil
	case "build":
		return r.builds(s)
	}
	return r.claims(ctx, s)
}

// opens goes to an address.
func (r *runner) opens(ctx context.Context, s *project.WalkStep) error {
	screen := r.app.Project.Screens[s.Screen]
	if screen == nil {
		return &Difference{Expected: "a screen", Found: "one that is gone"}
	}
	inputs, err := r.keys(ctx, func(id string) string { return tableOf(screen.Inputs[id]) }, s.Inputs)
	if err != nil {
		return err
	}
	to := place.Place{Screen: s.Screen, Mode: s.Mode, Inputs: inputs}
	if to.Mode == "" {
		to.Mode = "view"
	}
	if to.Inputs == nil {
		to.Inputs = map[string]string{}
	}
	trail.Along(r.app, &to, r.before())
	o, err := r.open(ctx, to, use.Sources{Bare: true})
	if s.Is == "refused" {
		return r.refused(s, err)
	}
	if err != nil {
		return err
	}
	r.spot().close(0)
	r.add(o.Place())
	return r.entered(ctx, trail.Adds)
}

// refused looks whether an address was refused that is to be.
func (r *runner) refused(s *project.WalkStep, err error) error {
	d, is := differs(err)
	switch {
	case err != nil && !is:
		return err
	case err == nil:
		return &Difference{Expected: "that it is refused", Found: "it is open", Now: asNow(s, func(now *project.WalkStep) { now.Is, now.Words = "", "" })}
	case s.Words != "" && !strings.Contains(d.Found, s.Words):
		return &Difference{Expected: "that it is refused: " + s.Words, Found: d.Found, Now: asNow(s, func(now *project.WalkStep) { now.Words = d.Found })}
	}
	return nil
}

func tableOf(in *project.Input) string {
	if in == nil {
		return ""
	}
	return in.Table
}

// pressOf gives the press that a step says.
func (r *runner) pressOf(ctx context.Context, s *project.WalkStep) (press.Press, error) {
	at := r.spot()
	screen := at.top().Screen
	table := r.app.RowTable(screen, s.Element)
	p := press.Press{Element: s.Element, Trigger: s.Trigger, Point: s.Point, Option: s.Option, Confirmed: s.Yes, Unsaved: s.Unsaved, Values: maps.Clone(r.typedAt(*at.top()))}
	var err error
	if p.Row, err = r.key(ctx, table, s.Row); err != nil {
		return p, err
	}
	rows, err := r.keys(ctx, func(string) string { return table }, s.Rows)
	if err != nil {
		return p, err
	}
	for _, key := range rows {
		p.Rows = append(p.Rows, key)
	}
	if len(s.Values) > 0 {
		p.Values = maps.Clone(s.Values) // of a row that is edited where it stands, or of what is asked
	}
	p.Picked, err = r.keys(ctx, func(id string) string { return pickedTable(r.app, screen, s, id) }, s.Picked)
	return p, err
}

// pickedTable gives the table of a record that is asked for, by the input of the screen that is led to.
func pickedTable(app *plan.App, screen string, s *project.WalkStep, input string) string {
	e := app.ElementAt(screen, s.Element)
	if e == nil {
		return ""
	}
	_, gate := e.GateOn(s.Trigger)
	if gate == nil {
		return ""
	}
	for _, c := range gate.Cases {
		for _, m := range c.Move.Leads() {
			if m.Target != nil && m.Target.Inputs[input] != nil {
				return m.Target.Inputs[input].Table
			}
		}
	}
	return ""
}

// press presses in what lies at a depth, and turns the trail to what it comes to.
func (r *runner) press(ctx context.Context, p press.Press, depth int) error {
	at := *r.spot().layer(depth)
	o, err := r.open(ctx, at, use.Sources{Bare: true, Pressed: p.Element, Lock: r.app.Writes(at.Screen, p.Element, p.Trigger) || p.Unsaved == "save"})
	if err != nil {
		return err
	}
	if len(p.Values) > 0 && o.World.Record != nil {
		p.Version = o.World.Record.Version // nobody else changes it meanwhile
	}
	if e := o.ListAt(p.Element); e != nil && p.Trigger == "keepRow" && p.Row != "" {
		row, err := o.RowOf(ctx, e, p.Row, r.world.Records, false)
		if err != nil {
			return err
		}
		p.Version = row.Version
	}
	out, err := press.Follow(ctx, o, p, r.world.Records)
	var fields *ask.FieldErrors
	if errors.As(err, &fields) {
		var said []string
		for _, field := range sorted(fields.Fields) {
			said = append(said, "“"+(&teller{app: r.app, here: at.Screen}).fieldLabel(field)+"”: "+fields.Fields[field])
		}
		return &Difference{Expected: "that it is done", Found: strings.Join(said, "; ")}
	}
	if err != nil {
		return err
	}
	r.why, r.left = "", out.Leave
	if took := out.Took(); took != nil && took.Condition != nil {
		r.why = "It did so because " + decided(took.Condition.Root.Explain(o.World)) + "."
	}
	if out.Kind == press.Asked {
		return &Difference{Expected: "that it is done", Found: "it asks: " + out.Question.Words}
	}
	r.written(out)
	return r.turn(ctx, p, out, depth)
}

// written lets the plant say what was written to it; what is held is over by then.
func (r *runner) written(out press.Outcome) {
	for _, w := range out.Writes {
		if !w.Held {
			r.plant[w.Ref.Source+"/"+w.Ref.Node] = w.Value
		}
	}
}

// types fills in fields of the form that one looks at; they are kept with the next press that saves.
func (r *runner) types(ctx context.Context, s *project.WalkStep) error {
	at := r.spot()
	o, err := r.open(ctx, *at.top(), use.Sources{Bare: true})
	if err != nil {
		return err
	}
	may := press.EditableOn(o)
	for field := range s.Values {
		if may[field] == nil {
			label := field
			if t := r.app.Project.Tables[o.Plan.Screen.RecordTable()]; t != nil && t.Fields[field] != nil {
				label = t.Fields[field].Label
			}
			return &Difference{Expected: "a field “" + label + "” that can be typed in", Found: "none that " + r.user.Name + " may change here"}
		}
	}
	if typed := r.typedAt(*at.top()); typed != nil {
		maps.Copy(typed, s.Values)
	}
	return nil
}

// looks looks at the list of a screen otherwise.
func (r *runner) looks(ctx context.Context, s *project.WalkStep) error {
	at := r.spot()
	to := *at.top()
	to.Find, to.Look, to.Filters, to.Sort = s.Find, nil, nil, nil
	for _, f := range project.Ordered(s.Filters) {
		to.Filters = append(to.Filters, place.Filter{Path: f.Path, Compare: f.Compare, Value: f.Value})
	}
	for _, o := range project.Ordered(s.Sort) {
		to.Sort = append(to.Sort, ask.Sort{Path: o.Path, Desc: o.Desc})
	}
	if s.Tabs != nil {
		to.Tabs = s.Tabs
	}
	o, err := r.open(ctx, to, use.Sources{Bare: true})
	if err != nil {
		return err
	}
	if len(at.over) > 0 {
		*at.top() = o.Place()
		return nil
	}
	r.add(o.Place())
	return nil
}

// goes goes back, forward, home or up, or closes what lies over all.
func (r *runner) goes(ctx context.Context, to string) error {
	at := r.spot()
	if len(at.over) > 0 && (to == "close" || to == "back") {
		at.close(len(at.over) - 1)
		return nil
	}
	switch to {
	case "forward":
		return r.step(ctx, 1)
	case "home":
		at.close(0)
		return r.home(ctx)
	case "up":
		return r.up(ctx)
	}
	return r.step(ctx, -1)
}
