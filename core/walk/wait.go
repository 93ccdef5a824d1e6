package walk

import (
	"context"
	"maps"
	"slices"
	"time"

	"ambergate/core/ask"
	"ambergate/core/callup"
	"ambergate/core/place"
	"ambergate/core/plan"
	"ambergate/core/press"
	"ambergate/core/project"
	"ambergate/core/trail"
	"ambergate/core/use"
)

// clock is what happens as time goes by: since when one is here, since when nothing was touched, what the plant is
// watched for.
type clock struct {
	arrived time.Time // at what one looks at
	here    place.Place
	touched time.Time
	rested  bool                       // since the last touch: nobody is brought to rest twice
	fired   map[string]bool            // times of this screen that came, by way
	watched map[string]*callup.Machine // by call-up and record
	rows    map[string][]*ask.Row      // by call-up: what it is asked of
	ahead   []calledUp                 // came to the front, and one was not brought there yet
}

type calledUp struct {
	of     *plan.CallUp
	record string
}

// mostCalled is how many records of one call-up are watched.
const mostCalled = 500

// touches notes that somebody did something.
func (r *runner) touches() { r.clock.touched, r.clock.rested = r.now, false }

// settles does what follows when something was done at a place: what is set off by leaving it, and what the plant calls up.
func (r *runner) settles(ctx context.Context, was place.Place) error {
	if r.spot().place.Screen != was.Screen {
		if err := r.leaves(ctx, was); err != nil {
			return err
		}
	}
	r.arrives()
	return r.watch(ctx)
}

// leaves does what is set off by leaving a screen. What is refused there by now is not done.
func (r *runner) leaves(ctx context.Context, was place.Place) error {
	o, err := r.open(ctx, was, use.Sources{Bare: true})
	if _, refused := differs(err); refused {
		return nil
	}
	if err != nil {
		return err
	}
	for _, w := range o.View().Ways {
		if w.Trigger != "left" {
			continue
		}
		out, err := press.Follow(ctx, o, press.Press{Element: w.ID, Trigger: w.Trigger}, r.world.Records)
		if _, refused := differs(err); refused {
			continue
		}
		if err != nil {
			return err
		}
		tab, _ := r.app.Keeping(out.Vars)
		maps.Copy(r.vars, tab)
		r.written(out)
	}
	return nil
}

// arrives notes when one came to another screen than before.
func (r *runner) arrives() {
	at := *r.spot().top()
	if at.Screen != r.clock.here.Screen || !maps.Equal(at.Inputs, r.clock.here.Inputs) || at.Mode != r.clock.here.Mode {
		r.clock.arrived, r.clock.here, r.clock.fired = r.now, at, map[string]bool{}
	}
}

// waits lets time go by; what it sets off happens when it is due, the earliest first.
func (r *runner) waits(ctx context.Context, seconds float64) error {
	end := r.now.Add(time.Duration(seconds * float64(time.Second)))
	for n := 0; ; n++ {
		if n > mostByItself*10 {
			return ask.Refuse("loop", "So much happens by itself that it has no end.", "Look at what is set off by time.")
		}
		if err := r.watch(ctx); err != nil {
			return err
		}
		next, act, err := r.soonest(ctx, end)
		if err != nil {
			return err
		}
		if act == nil {
			r.now = end
			return r.watch(ctx)
		}
		if next.After(r.now) {
			r.now = next
		}
		r.byItself = 0
		was := r.spot().place
		if err := act(ctx); err != nil {
			return err
		}
		if err := r.settles(ctx, was); err != nil {
			return err
		}
	}
}

// soonest gives what happens next until a moment, and when; nil for nothing.
func (r *runner) soonest(ctx context.Context, end time.Time) (at time.Time, act func(context.Context) error, err error) {
	offer := func(when time.Time, what func(context.Context) error) {
		if !when.After(end) && (act == nil || when.Before(at)) {
			at, act = when, what
		}
	}
	if len(r.clock.ahead) > 0 {
		first := r.clock.ahead[0]
		return r.now, func(ctx context.Context) error {
			r.clock.ahead = r.clock.ahead[1:]
			return r.calledUp(ctx, first)
		}, nil
	}
	for _, key := range sorted(r.clock.watched) {
		if due, waits := r.clock.watched[key].Due(); waits {
			offer(due, r.watch)
		}
	}
	o, err := r.open(ctx, *r.spot().top(), use.Sources{Bare: true})
	if err != nil {
		return at, nil, err
	}
	for _, w := range o.View().Ways {
		if w.After == 0 || r.clock.fired[w.ID] {
			continue
		}
		since := r.clock.arrived
		if w.Since == "touch" && r.clock.touched.After(since) {
			since = r.clock.touched
		}
		offer(since.Add(duration(w.After)), func(ctx context.Context) error {
			r.clock.fired[w.ID] = true
			return r.press(ctx, press.Press{Element: w.ID, Trigger: w.Trigger}, len(r.spot().over))
		})
	}
	if after, _ := r.app.Project.IdleOf(r.user.Roles); after > 0 && !r.clock.rested && !r.app.GuidesIn(r.spot().top().Screen) {
		offer(r.clock.touched.Add(duration(after)), r.rests)
	}
	if stay, next := r.round(); next != nil {
		since := r.clock.arrived
		if r.clock.touched.After(since) {
			since = r.clock.touched
		}
		offer(since.Add(duration(stay)), next)
	}
	return at, act, nil
}

func duration(seconds float64) time.Duration { return time.Duration(seconds * float64(time.Second)) }

// rests goes back to the start, and forgets what was typed.
func (r *runner) rests(ctx context.Context) error {
	r.clock.rested = true
	clear(r.typed)
	r.spot().close(0)
	return r.home(ctx)
}

// round gives how long one stays here before the next of the round follows, and what leads there; nil where this is no
// stop of one.
func (r *runner) round() (stay float64, next func(context.Context) error) {
	stops := r.app.Project.RoundOf(r.user.Roles)
	at := slices.IndexFunc(stops, func(s *project.Stop) bool { return s.Screen == r.spot().place.Screen })
	if at < 0 || len(stops) < 2 || len(r.spot().over) > 0 {
		return 0, nil
	}
	return stops[at].Stay, func(ctx context.Context) error {
		for i := 1; i < len(stops); i++ {
			to := stops[(at+i)%len(stops)]
			if r.app.Project.Screens[to.Screen] == nil {
				continue
			}
			o, err := r.open(ctx, place.Place{Screen: to.Screen, Mode: "view", Inputs: map[string]string{}}, use.Sources{Bare: true})
			if _, refused := differs(err); refused {
				continue
			}
			if err != nil {
				return err
			}
			r.add(o.Place())
			return r.entered(ctx, trail.Adds)
		}
		r.clock.arrived = r.now // there is none: it is looked again after the next stay
		return nil
	}
}

// watch steps what the plant is watched for with what it says now.
func (r *runner) watch(ctx context.Context) error {
	for _, c := range r.app.CallUps {
		if c.While == nil || !c.IsFor(r.user.Roles) {
			continue
		}
		rows, err := r.asked(ctx, c)
		if err != nil {
			return err
		}
		for _, row := range rows {
			key, record := c.ID+"/", ""
			if row != nil {
				key, record = key+row.Key, row.Key
			}
			m := r.clock.watched[key]
			if m == nil {
				m = &callup.Machine{Dwell: duration(c.For)}
				r.clock.watched[key] = m
			}
			for _, event := range m.Step(r.now, c.While.Root.Eval(use.Alone(r.app, row, r.plant, r.now))) {
				if event == callup.Front {
					r.clock.ahead = append(r.clock.ahead, calledUp{c, record})
				}
			}
		}
	}
	return nil
}

// asked gives the records that a call-up is asked of; one that is none for the plant as a whole.
func (r *runner) asked(ctx context.Context, c *plan.CallUp) ([]*ask.Row, error) {
	if c.Table == "" {
		return []*ask.Row{nil}, nil
	}
	t := r.app.Project.Tables[c.Table]
	if rows, known := r.clock.rows[c.ID]; known || t == nil {
		return rows, nil
	}
	page, err := r.records.Fetch(ctx, ask.Query{Table: t, Paths: sorted(c.Reads), Limit: mostCalled, Rights: ask.EveryRow})
	if err != nil {
		return nil, err
	}
	r.clock.rows[c.ID] = page.Rows
	return page.Rows, nil
}

// calledUp brings one to the screen that the plant calls up, unless one may not be there, or is there already. Where one
// comes from stays as it is, a dialog over it too.
func (r *runner) calledUp(ctx context.Context, c calledUp) error {
	if !c.of.From(r.spot().place.Screen) {
		return nil
	}
	to := place.Place{Screen: c.of.Screen, Mode: "view", Inputs: map[string]string{}}
	if c.of.Input != "" && c.record != "" {
		to.Inputs[c.of.Input] = c.record
	}
	here := r.spot().place
	if here.Screen == to.Screen && maps.Equal(here.Inputs, to.Inputs) {
		return nil
	}
	o, err := r.open(ctx, to, use.Sources{Bare: true})
	if _, refused := differs(err); refused {
		return nil
	}
	if err != nil {
		return err
	}
	r.add(o.Place())
	return r.entered(ctx, trail.Adds)
}
