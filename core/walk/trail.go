package walk

import (
	"context"
	"maps"
	"slices"

	"ambergate/core/ask"
	"ambergate/core/place"
	"ambergate/core/press"
	"ambergate/core/trail"
	"ambergate/core/use"
)

// spot is one place of the walker's trail, with what lies over it, the topmost last.
type spot struct {
	place place.Place
	over  []place.Overlay
}

func newSpot(p place.Place) *spot { return &spot{place: p} }

// top gives what one looks at: what lies over all.
func (s *spot) top() *place.Place { return s.layer(len(s.over)) }

func (s *spot) layer(depth int) *place.Place {
	if depth == 0 {
		return &s.place
	}
	return &s.over[depth-1].Place
}

// close takes away what lies over the place from a depth on.
func (s *spot) close(depth int) { s.over = s.over[:depth:depth] }

func (r *runner) spot() *spot { return r.spots[r.at] }

// typedAt gives what was typed at a place and not saved, by field; it is kept for when one comes back. Nil where nothing
// can be typed.
func (r *runner) typedAt(p place.Place) map[string]string {
	work := p.Work(r.app.Project)
	if work == "" {
		return nil
	}
	if r.typed[work] == nil {
		r.typed[work] = map[string]string{}
	}
	return r.typed[work]
}

// add puts a place behind where one stands; what lay ahead is gone.
func (r *runner) add(p place.Place) {
	r.spots = append(r.spots[:min(r.at+1, len(r.spots))], newSpot(p))
	if len(r.spots) > mostPlaces {
		r.spots = r.spots[len(r.spots)-mostPlaces:]
	}
	r.at = len(r.spots) - 1
}

// open opens a place as users see it.
func (r *runner) open(ctx context.Context, p place.Place, src use.Sources) (*use.Opening, error) {
	src.Records, src.Tags, src.Now, src.Others, src.Vars, src.Held = r.world.Records, r.plant, r.now, r.world.Others, r.vars, true
	if r.app.GuidesIn(p.Screen) {
		src.Typed = r.typedAt(p)
	}
	return use.Open(ctx, r.app, r.user, p, src)
}

// turn brings the trail to what a press came to that was made in what lies at a depth.
func (r *runner) turn(ctx context.Context, pressed press.Press, out press.Outcome, depth int) error {
	r.keepVars(out, depth)
	at := r.spot()
	if out.Forget {
		delete(r.typed, at.layer(depth).Work(r.app.Project))
	}
	turn := trail.After(out, depth, len(at.over))
	switch turn {
	case trail.Stays:
		return nil
	case trail.Chooses:
		p := at.layer(depth)
		*p = p.WithRows(map[string]string{out.Choose.List: out.Choose.Row})
		return nil
	case trail.Closes:
		return r.closes(ctx, out, depth)
	case trail.Back:
		return r.step(ctx, -1)
	case trail.Forward:
		return r.step(ctx, 1)
	case trail.Home:
		return r.home(ctx)
	case trail.Leaves:
		return r.leaveTask(ctx)
	}
	to := *out.To
	if turn != trail.Turned && turn != trail.Looks {
		trail.Along(r.app, &to, r.before())
	}
	o, err := r.open(ctx, to, use.Sources{Bare: true})
	if err != nil {
		return err
	}
	to = o.Place()
	switch {
	case turn == trail.Opens:
		var back *place.Return
		if out.Back != "" {
			back = &place.Return{Element: pressed.Element, Trigger: out.Back, Row: pressed.Row, Point: pressed.Point}
		}
		at.close(depth)
		at.over = append(at.over, place.Overlay{Place: to, As: out.As, Back: back})
	case turn == trail.Within, turn == trail.Looks && depth > 0:
		at.close(depth)
		at.over[depth-1].Place = to
	case turn == trail.Turned:
		at.place = to
	case turn == trail.Replaces:
		r.spots[r.at] = newSpot(to)
	default:
		at.close(0)
		r.add(to)
	}
	return r.entered(ctx, turn)
}

// closes takes away the dialog that was pressed in. What it came to is given to the field that asked for it, or goes on
// through the second gate of what opened it.
func (r *runner) closes(ctx context.Context, out press.Outcome, depth int) error {
	at := r.spot()
	over := at.over[depth-1]
	at.close(depth - 1)
	if typed := r.typedAt(*at.layer(depth - 1)); typed != nil && over.Into != "" && out.Saved != "" {
		typed[over.Into] = out.Saved
	}
	if back := over.Back; back != nil && out.Result != "" && out.Move == "close" {
		return r.press(ctx, press.Press{Element: back.Element, Trigger: back.Trigger, Row: back.Row, Point: back.Point, Result: out.Result, Confirmed: true}, depth-1)
	}
	return nil
}

// before gives the places that one came through, nearest first, the one where one stands among them.
func (r *runner) before() []place.Place {
	var out []place.Place
	for i := r.at; i >= 0 && len(out) < trail.Sought; i-- {
		out = append(out, r.spots[i].place)
	}
	return out
}

// step goes back or forward to the nearest place that is still open; back from the first of all leads up.
func (r *runner) step(ctx context.Context, by int) error {
	var refused error
	for at := r.at + by; at >= 0 && at < len(r.spots); at += by {
		_, err := r.open(ctx, r.spots[at].place, use.Sources{Bare: true})
		if _, is := err.(*ask.Refusal); is {
			refused = err
			continue
		}
		if err != nil {
			return err
		}
		r.at = at
		return nil
	}
	switch {
	case refused != nil:
		return refused
	case by > 0:
		return nil
	}
	return r.up(ctx)
}

// up goes to the screen above, or home.
func (r *runner) up(ctx context.Context) error {
	s := r.app.Project.Screens[r.spot().place.Screen]
	if s != nil && r.app.Project.Screens[s.Up] != nil {
		if o, err := r.open(ctx, place.Place{Screen: s.Up, Mode: "view", Inputs: map[string]string{}}, use.Sources{Bare: true}); err == nil {
			r.add(o.Place())
			return r.entered(ctx, trail.Adds)
		}
	}
	return r.home(ctx)
}

func (r *runner) home(ctx context.Context) error {
	start := r.app.Project.StartOf(r.user.Roles)
	if start == "" {
		return ask.Refuse("no-start", "There is no start screen for "+r.user.Name+".", "Name one with the role.")
	}
	if r.at < len(r.spots) && r.spot().place.Screen == start {
		r.spot().close(0)
		return nil
	}
	o, err := r.open(ctx, place.Place{Screen: start, Mode: "view", Inputs: map[string]string{}}, use.Sources{Bare: true})
	if err != nil {
		return err
	}
	r.add(o.Place())
	return r.entered(ctx, trail.Adds)
}

// leaveTask goes back to where a guided task was begun: past all its steps.
func (r *runner) leaveTask(ctx context.Context) error {
	screen := r.spot().place.Screen
	for at := r.at; at >= 0; at-- {
		if r.spots[at].place.Screen != screen {
			r.at = at + 1
			return r.step(ctx, -1)
		}
	}
	return r.up(ctx)
}

// keepVars keeps what a press set: with the walker, or with the place.
func (r *runner) keepVars(out press.Outcome, depth int) {
	if len(out.Vars) == 0 {
		return
	}
	tab, own := r.app.Keeping(out.Vars)
	maps.Copy(r.vars, tab)
	p := r.spot().layer(depth)
	*p = p.WithVars(own)
}

// entered sets off what is set off by entering the screen that one came to.
func (r *runner) entered(ctx context.Context, turn trail.Turn) error {
	if turn == trail.Looks || turn == trail.Turned {
		return nil
	}
	depth := len(r.spot().over)
	o, err := r.open(ctx, *r.spot().top(), use.Sources{Bare: true})
	if err != nil {
		return err
	}
	ways := o.View().Ways
	i := slices.IndexFunc(ways, func(w use.WayView) bool { return w.Trigger == "entered" })
	if i < 0 {
		return nil
	}
	if r.byItself++; r.byItself > mostByItself {
		return ask.Refuse("loop", "One screen leads on to the next by itself, without an end.", "Look at what is set off by entering them.")
	}
	return r.press(ctx, press.Press{Element: ways[i].ID, Trigger: "entered"}, depth)
}
