package server

import (
	"context"
	"crypto/sha256"
	"encoding/hex"
	"encoding/json"
	"errors"
	"fmt"
	"sync"

	"github.com/gin-gonic/gin"

	"ambergate/api"
	"ambergate/core/cond"
	"ambergate/core/nav"
	"ambergate/core/project"
	"ambergate/plant"
	"ambergate/records"
	"ambergate/store"
)

// Press does what core/nav decides on a press: record changes exactly once, tag writes at most
// once, the trail repaired by press id.
func (s *Server) Press(c *gin.Context, slug string) {
	inUse(s, c, slug, func(v *visit, req api.PressRequest) (*api.PressResult, error) {
		if len(req.Press) < 8 || len(req.Press) > 64 {
			return nil, &nav.Refusal{Code: "bad-request", What: "A press needs an id of 8 to 64 characters."}
		}
		return v.press(c, req)
	})
}

// errAsk rolls back a press that turned out to need an answer first.
var errAsk = errors.New("the press asks first")

func (v *visit) press(ctx context.Context, req api.PressRequest) (*api.PressResult, error) {
	at, err := v.at(ctx, req.Trail, req.N)
	if err != nil {
		return nil, err
	}
	place := at.Place
	if value(req.Overlay) {
		if at.Overlay == nil {
			return nil, &nav.Refusal{Code: "place-left", What: "The dialog was closed meanwhile.", Then: "Look at the screen as it is now."}
		}
		place = *at.Overlay
	}
	drawn, err := v.drawnIn(ctx, req.Release, place)
	if err != nil {
		return nil, err
	}
	var outcome nav.Outcome
	if drawn.Writes(place.Screen, req.Element) || value(req.Unsaved) == "save" {
		if at.At != at.N {
			return nil, &nav.Refusal{Code: "place-left", What: "The screen had changed before you pressed.", Then: "Look at it as it is now and press again."}
		}
		outcome, err = v.pressWriting(ctx, req, drawn, place)
	} else {
		outcome, err = v.pressReading(ctx, req, drawn, place)
	}
	if err != nil {
		return nil, err
	}
	if outcome.Kind == "question" {
		return &api.PressResult{Kind: "question", Question: outcome.Question}, nil
	}
	return v.afterPress(ctx, req, at, outcome)
}

// drawnIn gives the release that the pressed screen was drawn in. Grants and guards of the newest
// release must pass as well: an old screen opens nothing that is shut by now.
func (v *visit) drawnIn(ctx context.Context, release int, place nav.Place) (*nav.App, error) {
	if release == v.release {
		return v.app, nil
	}
	if release < 1 || release > v.release {
		return nil, &nav.Refusal{Code: "bad-request", What: "There is no such release."}
	}
	if _, err := v.open(ctx, place); err != nil {
		return nil, err
	}
	return v.server.apps.release(ctx, v.project, release)
}

func pressOf(req api.PressRequest) nav.Press {
	return nav.Press{
		Element: req.Element, Row: value(req.Row), Point: value(req.Point), Values: value(req.Values), Base: value(req.Base), Version: value(req.Version),
		Confirmed: value(req.Confirmed), Unsaved: value(req.Unsaved), Keep: value(req.Keep),
	}
}

func (v *visit) pressReading(ctx context.Context, req api.PressRequest, app *nav.App, place nav.Place) (nav.Outcome, error) {
	src := nav.Sources{Records: v.server.reader(app), Tags: v.tags(), Now: v.server.localNow(app), Bare: true}
	if err := v.newestRights(ctx, app, &src); err != nil {
		return nav.Outcome{}, err
	}
	o, err := app.Open(ctx, v.user, place, src)
	if err != nil {
		return nav.Outcome{}, err
	}
	return o.Follow(ctx, pressOf(req), readOnly{src.Records})
}

// newestRights lets a press in an older release be judged by the grants and row rules of the newest.
func (v *visit) newestRights(ctx context.Context, app *nav.App, src *nav.Sources) (err error) {
	if app != v.app {
		src.Rights, err = v.app.RightsOf(ctx, v.user, src.Records, src.Now)
	}
	return err
}

// readOnly lets a press read; it has nothing to change.
type readOnly struct{ nav.Records }

var errReadOnly = errors.New("a press that only moves tried to change a record")

// Insert is never called: presses that write go another way.
func (readOnly) Insert(context.Context, *project.Table, map[string]cond.Value) (string, error) {
	return "", errReadOnly
}

// Update is never called: presses that write go another way.
func (readOnly) Update(context.Context, *project.Table, string, map[string]cond.Value) error {
	return errReadOnly
}

func (v *visit) pressWriting(ctx context.Context, req api.PressRequest, app *nav.App, place nav.Place) (nav.Outcome, error) {
	source, err := v.server.writes(app, place.Screen)
	if err != nil {
		return nav.Outcome{}, err
	}
	var asked nav.Outcome
	stored := records.Stored{ID: req.Press, User: v.account.ID, Content: digest(req)}
	text, _, err := source.Do(ctx, app.Project, stored, func(p *records.Press) (any, error) {
		src := nav.Sources{Records: p, Tags: v.tags(), Now: v.server.localNow(app), Bare: true, Lock: true}
		if err := v.newestRights(ctx, app, &src); err != nil {
			return nil, err
		}
		o, err := app.Open(ctx, v.user, place, src)
		if err != nil {
			return nil, err
		}
		out, err := o.Follow(ctx, pressOf(req), p)
		if err != nil {
			return nil, err
		}
		if out.Kind == "question" {
			asked = out
			return nil, errAsk
		}
		if err := v.server.pending.free(out.Writes); err != nil {
			return nil, err
		}
		return out, v.mayOpen(ctx, out, p)
	})
	if errors.Is(err, errAsk) {
		return asked, nil
	}
	if err != nil {
		return nav.Outcome{}, err
	}
	var out nav.Outcome
	if err := json.Unmarshal(text, &out); err != nil {
		return nav.Outcome{}, fmt.Errorf("read the stored outcome: %w", err)
	}
	return out, nil
}

// mayOpen judges the target with the values as they are after the effects: a refusal rolls back all.
func (v *visit) mayOpen(ctx context.Context, out nav.Outcome, p *records.Press) error {
	if out.To == nil {
		return nil
	}
	_, err := v.app.Open(ctx, v.user, *out.To, nav.Sources{Records: p, Tags: v.tags(), Now: v.server.localNow(v.app), Bare: true})
	return err
}

// digest tells presses with the same id but another content apart.
func digest(req api.PressRequest) string {
	req.Confirmed, req.Keep, req.Unsaved = nil, nil, nil // answers to questions belong to the same press
	text, err := json.Marshal(req)
	if err != nil {
		panic("a decoded request does not encode: " + err.Error())
	}
	sum := sha256.Sum256(text)
	return hex.EncodeToString(sum[:])
}

// afterPress brings the trail and the plant to what the press came to, and resolves what is shown now.
func (v *visit) afterPress(ctx context.Context, req api.PressRequest, at *store.Standing, out nav.Outcome) (*api.PressResult, error) {
	commands, err := v.send(ctx, req.Press, out.Writes)
	if err != nil {
		return nil, err
	}
	result := &api.PressResult{Kind: "moved", Message: orNil(out.Message)}
	if len(commands) > 0 {
		result.Commands = &commands
	}
	if out.Kind == "stay" {
		result.Kind = "stayed"
	}
	result.Shown, err = v.move(ctx, req, at, out)
	return result, err
}

func (v *visit) move(ctx context.Context, req api.PressRequest, at *store.Standing, out nav.Outcome) (*api.Shown, error) {
	overlay := value(req.Overlay)
	change := func(place nav.Place, over *nav.Place) (*api.Shown, error) {
		at.Place, at.Overlay = place, over
		if err := v.server.Store.Change(ctx, at.Spot); err != nil {
			return nil, err
		}
		return v.show(ctx, at)
	}
	if out.Kind == "stay" {
		return v.show(ctx, at)
	}
	if out.Move == "close" || overlay && out.Move == "back" {
		return change(at.Place, nil)
	}
	if out.Move == "back" || out.Move == "forward" {
		return v.step(ctx, at, out.Move)
	}
	if out.Move == "home" || out.To == nil {
		return v.goHome(ctx, at, req.Press)
	}
	o, err := v.open(ctx, *out.To)
	if err != nil {
		return nil, err
	}
	switch {
	case out.As == "dialog":
		return change(at.Place, out.To)
	case out.As == "replace" && overlay:
		return change(at.Place, out.To)
	case out.As == "replace":
		at.Title = o.View().Heading
		return change(*out.To, nil)
	}
	if at.Overlay != nil {
		at.Overlay = nil // a full move from inside a dialog closes it first
		if err := v.server.Store.Change(ctx, at.Spot); err != nil {
			return nil, err
		}
	}
	return v.append(ctx, at, o, req.Press)
}

// pending is the tags that a command is on its way to: another is refused meanwhile.
type pending struct {
	mu    sync.Mutex
	nodes map[nav.TagRef]bool
}

func newPending() *pending { return &pending{nodes: map[nav.TagRef]bool{}} }

func (p *pending) free(writes []nav.TagWrite) error {
	p.mu.Lock()
	defer p.mu.Unlock()
	for _, w := range writes {
		if p.nodes[w.Ref] {
			return &nav.Refusal{Code: "pending", What: "A command is on its way already.", Then: "Wait for the plant’s answer."}
		}
	}
	return nil
}

func (p *pending) set(ref nav.TagRef, on bool) {
	p.mu.Lock()
	defer p.mu.Unlock()
	if on {
		p.nodes[ref] = true
	} else {
		delete(p.nodes, ref)
	}
}

// send writes to the plant what a press decided: logged before, sent at most once, the outcome always told.
func (v *visit) send(ctx context.Context, press string, writes []nav.TagWrite) ([]api.CommandOutcome, error) {
	if len(writes) == 0 {
		return nil, nil
	}
	st := v.server.Store
	log := make([]store.Command, len(writes))
	for i, w := range writes {
		log[i] = store.Command{Press: press, Pos: i, Source: w.Ref.Source, Node: w.Ref.Node, Label: w.Label, Value: w.Value.Wire(), Old: v.tags().Read(w.Ref).Value.Wire(), Account: v.account.ID}
	}
	added, err := st.Intend(ctx, log)
	if err != nil {
		return nil, err
	}
	if added {
		for i, w := range writes {
			if err := v.sendOne(ctx, press, i, w); err != nil {
				return nil, err
			}
		}
	}
	ended, err := st.Commands(ctx, press)
	if err != nil {
		return nil, err
	}
	out := make([]api.CommandOutcome, len(ended))
	for i, c := range ended {
		out[i] = api.CommandOutcome{Label: c.Label, State: c.State, Reason: orNil(c.Reason)}
	}
	return out, nil
}

func (v *visit) sendOne(ctx context.Context, press string, pos int, w nav.TagWrite) error {
	st := v.server.Store
	v.server.pending.set(w.Ref, true)
	defer v.server.pending.set(w.Ref, false)
	client := v.tags().plant(w.Ref.Source)
	if client == nil {
		return st.EndCommand(ctx, press, pos, "refused", "the plant is not configured on this server")
	}
	client.Watch(ctx, []string{w.Ref.Node}, firstValues) // so that the type of the node is known
	send, err := st.MarkSent(ctx, press, pos)
	if err != nil || !send {
		return err
	}
	// The browser may go away while it is under way: the outcome is logged all the same.
	ctx = context.WithoutCancel(ctx)
	err = client.Write(ctx, w.Ref.Node, w.Value)
	var refused *plant.Refused
	switch {
	case err == nil:
		return st.EndCommand(ctx, press, pos, "done", "")
	case errors.Is(err, plant.ErrAway), errors.As(err, &refused):
		return st.EndCommand(ctx, press, pos, "refused", err.Error())
	}
	return st.EndCommand(ctx, press, pos, "unknown", err.Error())
}
