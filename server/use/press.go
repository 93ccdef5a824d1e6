package use

import (
	"context"
	"crypto/sha256"
	"encoding/hex"
	"encoding/json"
	"errors"
	"fmt"
	"maps"
	"slices"

	"github.com/gin-gonic/gin"

	"ambergate/api"
	"ambergate/core/ask"
	"ambergate/core/cond"
	"ambergate/core/place"
	"ambergate/core/press"
	"ambergate/core/project"
	"ambergate/core/trail"
	"ambergate/core/use"
	"ambergate/fault"
	"ambergate/records"
	"ambergate/server/answer"
	"ambergate/server/base"
	"ambergate/store"
)

// Press does what core/press decides on a press: record changes exactly once, tag writes at most
// once, the trail repaired by press id.
func (s *Side) Press(c *gin.Context, slug string) {
	inUse(s, c, slug, func(v *Visit, req api.PressRequest) (*api.PressResult, error) {
		if len(req.Press) < 8 || len(req.Press) > 64 {
			return nil, &ask.Refusal{Code: "bad-request", What: "A press needs an id of 8 to 64 characters."}
		}
		out, err := v.press(c, req, func() error { return s.ToLeader(c, req) })
		s.notePress(out, err)
		if v.changed {
			s.Cookies.Remember(c, v.seen)
		}
		return out, err
	})
}

// errAsk rolls back a press that turned out to need an answer first.
var errAsk = errors.New("the press asks first")

// press does a press; toLeader passes it on where only the server that talks to plants can do it.
func (v *Visit) press(ctx context.Context, req api.PressRequest, toLeader func() error) (*api.PressResult, error) {
	at, err := v.at(ctx, req.Trail, req.N)
	if err != nil {
		return nil, err
	}
	found, err := layer(at, answer.Value(req.Depth))
	if err != nil || at.At != at.N {
		// The screen was left: by this very press, if it is one that is asked about again.
		if out, done, storedErr := v.server.doneBefore(ctx, req, v.account.ID); done || storedErr != nil {
			if storedErr != nil {
				return nil, storedErr
			}
			return v.afterPress(ctx, req, at, out, true)
		}
	}
	if err != nil {
		return nil, err
	}
	if v.App.Commands(found.Screen, req.Element, answer.Value(req.Trigger)) {
		if err := toLeader(); err != nil {
			if err := v.sentBefore(ctx, req.Press, err); err != nil {
				return nil, err
			}
		}
	}
	if v.App.GuidesIn(found.Screen) {
		v.typed = answer.Value(req.Values)
	}
	v.asBefore(req.Press, at, found)
	over := overlayAt(at, answer.Value(req.Depth))
	place := found.WithRows(answer.Value(req.Chosen))
	if err := v.stillWired(ctx, req, at, place); err != nil {
		return nil, err
	}
	var outcome press.Outcome
	again := false
	if v.App.Writes(place.Screen, req.Element, answer.Value(req.Trigger)) || answer.Value(req.Unsaved) == "save" {
		if at.At != at.N && !v.App.OnLeaving(place.Screen, req.Element) {
			return nil, &ask.Refusal{Code: "place-left", What: "The screen had changed before you pressed.", Then: "Look at it as it is now and press again."}
		}
		outcome, again, err = v.pressWriting(ctx, req, place, over)
	} else {
		outcome, err = v.pressReading(ctx, req, place)
		outcome.Return = over.Back
	}
	if err != nil {
		return nil, err
	}
	if outcome.Forget {
		if err := v.server.Store.DropFormDraft(ctx, at.Trail, found.Work(v.App.Project)); err != nil {
			return nil, err
		}
	}
	if outcome.Kind == press.Asked {
		return &api.PressResult{Kind: "question", Question: v.put(req, outcome.Question)}, nil
	}
	if !again {
		v.countPress(place.Screen, req.Element, answer.Value(req.Trigger))
	}
	return v.afterPress(ctx, req, at, outcome, again)
}

// stillWired refuses a press on a screen that was drawn in an older release where the same would do something
// else by now, or is gone. All else is judged in the newest release, whatever the tab says.
func (v *Visit) stillWired(ctx context.Context, req api.PressRequest, at *store.Standing, place place.Place) error {
	drawn := at.Release // the tab's word can only make it older
	if told := req.Release; told > 0 && (drawn == 0 || told < drawn) {
		drawn = told
	}
	if drawn == 0 || drawn >= v.release {
		return nil
	}
	rewired := &ask.Refusal{Code: "rewired", What: "What this does was changed while you looked at it.", Then: "Nothing was done. Look at it as it is now, and press again."}
	app, err := v.server.Apps.Release(ctx, v.project, drawn)
	if errors.Is(err, store.ErrNone) {
		return rewired // it is so old that it was forgotten
	}
	if err != nil {
		return err
	}
	trigger := answer.Value(req.Trigger)
	did, was := app.Acts(place.Screen, req.Element, trigger)
	does, is := v.App.Acts(place.Screen, req.Element, trigger)
	switch {
	case was && !is:
		return &ask.Refusal{Code: "taken-out", What: "This was taken out of the application.", Then: "Nothing was done. The screen is shown as it is now."}
	case did != does:
		return rewired
	}
	return nil
}

func (v *Visit) pressReading(ctx context.Context, req api.PressRequest, place place.Place) (press.Outcome, error) {
	src := v.sources()
	src.Bare, src.Pressed = true, req.Element
	o, err := use.Open(ctx, v.App, v.user, place, src)
	if err != nil {
		return press.Outcome{}, err
	}
	return press.Follow(ctx, o, v.pressOf(req), readOnly{src.Records})
}

// readOnly lets a press read; it has nothing to change.
type readOnly struct{ ask.Records }

var errReadOnly = errors.New("a press that only moves tried to change a record")

// Insert is never called: presses that write go another way.
func (readOnly) Insert(context.Context, *project.Table, map[string]cond.Value) (string, error) {
	return "", errReadOnly
}

// Update is never called: presses that write go another way.
func (readOnly) Update(context.Context, *project.Table, string, map[string]cond.Value) error {
	return errReadOnly
}

// Delete is never called: presses that write go another way.
func (readOnly) Delete(context.Context, *project.Table, string) error { return errReadOnly }

// Hanging is asked only of what is to be deleted.
func (readOnly) Hanging(context.Context, *project.Table, string, ask.RowRules) ([]ask.Hanging, error) {
	return nil, errReadOnly
}

// pressWriting does a press that changes records or the plant; again says that it was done before.
func (v *Visit) pressWriting(ctx context.Context, req api.PressRequest, place place.Place, over place.Overlay) (out press.Outcome, again bool, err error) {
	source, err := v.server.Writes(v.App, place.Screen)
	if err != nil {
		return press.Outcome{}, false, err
	}
	var asked, done press.Outcome
	stored := records.Stored{ID: req.Press, User: v.account.ID, Content: digest(req)}
	text, again, err := source.Do(ctx, v.App.Project, stored, func(p *records.Press) (any, error) {
		src := v.sources()
		src.Records, src.Bare, src.Pressed, src.Lock = p, true, req.Element, true
		o, err := use.Open(ctx, v.App, v.user, place, src)
		if err != nil {
			return nil, err
		}
		out, err := press.Follow(ctx, o, v.pressOf(req), p)
		if err != nil {
			return nil, err
		}
		out.Into, out.Return = over.Into, over.Back
		if out.Kind == press.Asked {
			asked = out
			return nil, errAsk
		}
		if err := v.tagsFree(ctx, out.Writes); err != nil {
			return nil, err
		}
		done = out
		return out, v.openTarget(ctx, req, out, p)
	})
	if errors.Is(err, errAsk) {
		return asked, false, nil
	}
	if err != nil {
		v.target = nil // it was rolled back
		return press.Outcome{}, false, err
	}
	if !again {
		v.server.Changes.Done(v.project)
		v.wrote(ctx, source)
		return done, false, nil
	}
	if err := json.Unmarshal(text, &out); err != nil {
		return press.Outcome{}, false, fmt.Errorf("read the stored outcome: %w", err)
	}
	return out, again, nil
}

// wrote notes how far a database has written that was just changed, where a replica of it may be behind.
func (v *Visit) wrote(ctx context.Context, source *records.Source) {
	if !source.Replicated() {
		return
	}
	at, err := source.Position(ctx)
	if err != nil {
		v.server.Log.Warn("it is not known how far a database has written; what was changed may show a moment later", "error", err)
		return
	}
	for name, db := range v.server.Connected.Now().Records {
		if db == source {
			v.seen[name], v.changed = at, true
		}
	}
}

// doneBefore gives what a press came to that was done already, whatever became of the screen since.
func (s *Side) doneBefore(ctx context.Context, req api.PressRequest, user string) (out press.Outcome, done bool, err error) {
	connected := s.Connected.Now().Records
	for _, name := range slices.Sorted(maps.Keys(connected)) {
		text, err := connected[name].Outcome(ctx, records.Stored{ID: req.Press, User: user, Content: digest(req)})
		if err != nil || text != nil {
			if err == nil {
				err = json.Unmarshal(text, &out)
			}
			return out, err == nil, err
		}
	}
	return out, false, nil
}

// digest tells presses with the same id but another content apart.
func digest(req api.PressRequest) string {
	req.Confirmed, req.Keep, req.Unsaved, req.Tokens, req.Picked = nil, nil, nil, nil, nil // answers to questions belong to the same press
	text, err := json.Marshal(req)
	if err != nil {
		panic("a decoded request does not encode: " + err.Error())
	}
	sum := sha256.Sum256(text)
	return hex.EncodeToString(sum[:])
}

// afterPress brings the trail and the plant to what the press came to, and resolves what is shown
// now. A press that was done before sends nothing to the plant any more.
func (v *Visit) afterPress(ctx context.Context, req api.PressRequest, at *store.Standing, out press.Outcome, again bool) (*api.PressResult, error) {
	result := &api.PressResult{Kind: "moved", Message: answer.OrNil(out.Message), Choose: out.Choose, Done: answer.OrNil(out.Done), Forgot: answer.OrNil(out.Forget)}
	if out.Kind == press.Stayed {
		result.Kind = "stayed"
	}
	result.Does = base.ActsOf(out)
	if out.Leave != "" {
		result.Leave, result.As = &out.Leave, answer.OrNil(out.As)
	}
	if out.Move == "out" {
		result.Out = answer.Ptr(true)
	}
	if out.As == "tab" && out.To != nil {
		result.Kind, result.Address = "stayed", answer.Ptr(out.To.Address(v.App.Project))
	}
	result.Given, result.Then = given(answer.Value(req.Depth), out), then(answer.Value(req.Depth), out)
	err := v.keepVars(ctx, req, at, out)
	if err != nil {
		return nil, err
	}
	moves := out.Kind != press.Stayed
	if moves { // the trail first: it is repaired by the press id, a tag write never is
		if result.Shown, err = v.move(ctx, req, at, out); err != nil {
			return nil, err
		}
	}
	commands, err := v.send(ctx, req, at, out.Writes, again)
	if err != nil {
		return nil, err
	}
	if len(commands) > 0 {
		result.Commands = &commands
	}
	if !moves {
		result.Shown, err = v.move(ctx, req, at, out)
	}
	fault.At(fault.PressAnswering)
	return result, err
}

// given gives what a dialog came to, for the field of the screen below that asked for it.
func given(depth int, out press.Outcome) *api.Given {
	closes := out.Move == "close" || out.Move == "back"
	if depth == 0 || !closes || out.Saved == "" || out.Into == "" {
		return nil
	}
	return &api.Given{Depth: depth - 1, Field: out.Into, Key: out.Saved, Title: out.Title}
}

// move brings the trail to what a press came to, and shows it.
func (v *Visit) move(ctx context.Context, req api.PressRequest, at *store.Standing, out press.Outcome) (*api.Shown, error) {
	depth := answer.Value(req.Depth)
	change := func(place place.Place, overlays []place.Overlay) (*api.Shown, error) {
		at.Place, at.Overlays = place, overlays
		if err := v.server.Store.Change(ctx, at.Spot); err != nil {
			return nil, err
		}
		return v.show(ctx, at)
	}
	turn := trail.After(out, depth, len(at.Overlays))
	switch turn {
	case trail.Stays:
		return v.show(ctx, at)
	case trail.Chooses:
		return v.choose(ctx, at, depth, *out.Choose)
	case trail.Turned:
		return change(*out.To, at.Overlays)
	case trail.Looks:
		return v.rearrange(ctx, at, depth, *out.To, "press."+req.Element)
	case trail.Closes:
		return change(at.Place, at.Overlays[:depth-1])
	case trail.Back, trail.Forward:
		return v.step(ctx, at, string(turn))
	case trail.Leaves:
		return v.leaveTask(ctx, at)
	case trail.Home:
		return v.goHome(ctx, at, req.Press)
	}
	if err := v.arrive(ctx, at.Trail, at.N, out.To); err != nil {
		return nil, err
	}
	o, err := v.opened(ctx, *out.To)
	if err != nil {
		return nil, err
	}
	to := o.Place()
	switch turn {
	case trail.Opens:
		return change(at.Place, append(at.Overlays[:depth:depth], place.Overlay{Place: to, As: out.As, Back: returnOf(req, out)}))
	case trail.Within:
		over := at.Overlays[depth-1]
		over.Place = to
		return change(at.Place, append(at.Overlays[:depth-1:depth-1], over))
	case trail.Replaces:
		at.Place, at.Overlays, at.Title = to, nil, o.View().Heading
		if err := v.server.Store.Change(ctx, at.Spot); err != nil {
			return nil, err
		}
		return v.showOpened(ctx, at, o)
	}
	if len(at.Overlays) > 0 {
		at.Overlays = nil // a full move from inside a dialog closes it first
		if err := v.server.Store.Change(ctx, at.Spot); err != nil {
			return nil, err
		}
	}
	return v.append(ctx, at, o, req.Press, "")
}

// choose notes the chosen row of a list, and shows what comes of it.
func (v *Visit) choose(ctx context.Context, at *store.Standing, depth int, c use.Choice) (*api.Shown, error) {
	place, err := layer(at, depth)
	if err != nil {
		return nil, err
	}
	*place = place.WithRows(map[string]string{c.List: c.Row})
	if err := v.server.Store.KeepLook(ctx, at.Trail, at.N, depth, place.Look); err != nil {
		return nil, err
	}
	return v.show(ctx, at)
}
