package walk

import (
	"context"
	"encoding/json"
	"errors"
	"time"

	"ambergate/core/ask"
	"ambergate/core/callup"
	"ambergate/core/check"
	"ambergate/core/plan"
	"ambergate/core/project"
)

// Bounds of what one walk does: documents come from anywhere.
const (
	mostPlaces   = 200 // of its trail
	mostByItself = 20  // times that one is led on by itself, between two steps
	mostChecks   = 20  // times that the whole application is checked
)

// World is what is walked through.
type World struct {
	Records ask.Changer                 // what is changed in it is seen by the walk, and given up by who opened it
	Others  func(slug string) *plan.App // other projects, as released; nil: none can be reached
	Now     time.Time                   // of walks that say no moment of their own
	// Entities are the application as it is kept, for walks on which a builder changes it; nil: nothing can be changed.
	Entities map[string]json.RawMessage
}

// Result is what came of a walk.
type Result struct {
	Walk  string `json:"walk"` // id
	Name  string `json:"name"`
	Steps []Step `json:"steps"`
	// Differs is the first that was not as expected; there the walk ended. Nil: all was.
	Differs *Difference `json:"differs,omitempty"`
}

// Step is one step that was gone.
type Step struct {
	ID     string `json:"id"`
	Words  string `json:"words"`  // what was done, or claimed
	Stands string `json:"stands"` // heading of the screen where one stood then; "" for none
	Screen string `json:"screen"` // its id
	Over   string `json:"over,omitempty"`
}

// Difference is where a walk is not as it is expected to be.
type Difference struct {
	Step     string `json:"step"` // id
	Words    string `json:"words"`
	Expected string `json:"expected"`
	Found    string `json:"found"`
	Why      string `json:"why,omitempty"`    // the condition that decided
	Screen   string `json:"screen,omitempty"` // where one stood then
	// Now is the step as it would be kept now; nil where there is none such.
	Now *project.WalkStep `json:"now,omitempty"`
}

// Error says both.
func (d *Difference) Error() string { return "expected " + d.Expected + ", found " + d.Found }

// runner is somebody who goes a walk.
type runner struct {
	finder
	world    World
	plant    plant
	spots    []*spot
	at       int
	vars     map[string]string
	typed    map[string]map[string]string // and not saved, by what is worked on, then by field
	byItself int
	why      string // how what was pressed last was decided
	clock    clock
	entities map[string]json.RawMessage // of the application, as it was changed on the walk
	checked  *plan.App                  // what the checks looked at last, and found
	found    []check.Finding
	checks   int    // how often they ran
	left     string // the address that was led to by it, out of the application
}

// Run goes a walk to its end, or to the first difference. The error is the context's, or that of what records are read
// from: then nothing is known of the walk.
func Run(ctx context.Context, app *plan.App, w *project.Walk, world World) (Result, error) {
	out := Result{Walk: w.ID, Name: w.Name, Steps: []Step{}}
	r, err := begin(ctx, app, w, world)
	if err != nil {
		d, is := differs(err)
		if !is {
			return out, err
		}
		out.Differs = d
		return out, nil
	}
	for _, s := range project.Ordered(w.Steps) {
		words := r.say(s)
		d, err := r.take(ctx, s, words)
		if err != nil || d != nil {
			out.Differs = d
			return out, err
		}
		step := Step{ID: s.ID, Words: words, Screen: r.spot().top().Screen}
		if over := r.spot().over; len(over) > 0 {
			step.Over = over[len(over)-1].As
		}
		if step.Stands, err = r.heading(ctx); err != nil {
			return out, err
		}
		out.Steps = append(out.Steps, step)
	}
	return out, nil
}

// begin lets the walker stand at the start. The error may be a *Difference.
func begin(ctx context.Context, app *plan.App, w *project.Walk, world World) (*runner, error) {
	r, err := start(ctx, app, w, world)
	if err == nil {
		err = r.home(ctx)
	}
	if d, is := differs(err); is {
		d.Words, d.Expected = "begins", "the start screen of "+w.Who.Name
		return nil, d
	}
	if err != nil {
		return nil, err
	}
	return r, nil
}

// take does one step, and says where it differs; nil where it does not. The error is the context's, or that of what
// records are read from.
func (r *runner) take(ctx context.Context, s *project.WalkStep, words string) (*Difference, error) {
	if err := ctx.Err(); err != nil {
		return nil, err
	}
	r.byItself = 0
	if s.Does != "wait" && s.Does != "plant" && s.Does != "claim" {
		r.touches()
	}
	was := r.spot().place
	err := r.do(ctx, s)
	if err == nil {
		err = r.settles(ctx, was)
	}
	if err == nil {
		return nil, nil
	}
	d, is := differs(err)
	if !is {
		return nil, err
	}
	d.Step, d.Words, d.Screen = s.ID, words, r.spot().top().Screen
	if d.Why == "" && s.Does == "claim" {
		d.Why = r.why
	}
	return d, nil
}

// start makes the walker ready.
func start(ctx context.Context, app *plan.App, w *project.Walk, world World) (*runner, error) {
	zone, err := time.LoadLocation(app.Project.Settings.Zone)
	if err != nil {
		zone = time.UTC // a zone that is not known is told elsewhere
	}
	now := world.Now.In(zone)
	if w.At != "" {
		if now, err = time.ParseInLocation(project.WalkClock, w.At, zone); err != nil {
			return nil, &Difference{Expected: "a clock like 2026-11-24T10:00", Found: w.At}
		}
	}
	r := &runner{finder: finder{app: app, records: world.Records, now: now}, world: world, plant: plant{}, vars: map[string]string{}, typed: map[string]map[string]string{}, entities: world.Entities}
	r.plant.say(w.Plant)
	r.clock = clock{arrived: now, touched: now, watched: map[string]*callup.Machine{}, rows: map[string][]*ask.Row{}}
	r.user = &ask.User{ID: "walk." + w.ID, Name: w.Who.Name, Roles: map[string]bool{}}
	for id, has := range w.Who.Roles {
		r.user.Roles[id] = has
	}
	if r.user.Record, err = r.key(ctx, app.Project.Settings.UserTable, w.Who.Record); err != nil {
		return nil, err
	}
	return r, nil
}

// differs says whether an error is about the walk, and what it says.
func differs(err error) (*Difference, bool) {
	var d *Difference
	if errors.As(err, &d) {
		return d, true
	}
	var refused *ask.Refusal
	if errors.As(err, &refused) {
		d := &Difference{Expected: "that it is done", Found: refused.What}
		if refused.Then != "" {
			d.Found += " " + refused.Then
		}
		if refused.Part != nil {
			d.Why = decided(*refused.Part)
		}
		return d, true
	}
	return nil, false
}
