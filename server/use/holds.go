package use

import (
	"context"
	"errors"
	"log/slog"
	"maps"
	"sync"
	"time"

	"github.com/gin-gonic/gin"

	"ambergate/api"
	"ambergate/core/ask"
	"ambergate/core/cond"
	"ambergate/core/press"
	"ambergate/core/use"
	"ambergate/fault"
	"ambergate/plant"
	"ambergate/server/answer"
	"ambergate/server/base"
	"ambergate/store"
)

// How long a hold lasts without being renewed, how often it is looked after, how often the plant's watchdog is told,
// and how often it is asked whether whoever holds is still there.
const (
	leaseFor    = 600 * time.Millisecond
	lookEvery   = 50 * time.Millisecond
	beatEvery   = 200 * time.Millisecond
	thereEvery  = 500 * time.Millisecond
	letGoAgain  = 200 * time.Millisecond
	tombstones  = 30 * time.Second
	letGoWithin = time.Second // a try to write false
)

// holds are the buttons that are held now. A tag that one holds true is made false again at every end of it.
type holds struct {
	log   *slog.Logger
	store *store.Store
	wait  sync.WaitGroup

	mu    sync.Mutex
	open  map[string]*hold
	ended map[string]ending // by press; a release that comes before its press is found here too
}

// ending is why something is not held any more.
type ending struct {
	at  time.Time
	why string
}

// hold is one button that is held.
type hold struct {
	press, label, connection, source, node, account string
	plant                                           *plant.Client
	beat                                            string
	still                                           func() string // says why it may not go on, now; "" for nothing
	there                                           func() string // the same, of what has to be asked for

	mu    sync.Mutex
	lease time.Time
	stop  chan string // why it ends; the first counts
}

func newHolds(log *slog.Logger, st *store.Store) *holds {
	return &holds{log: log, store: st, open: map[string]*hold{}, ended: map[string]ending{}}
}

// begin takes a tag for a press, before it is made true; or says why not.
func (hs *holds) begin(h *hold) string {
	hs.mu.Lock()
	defer hs.mu.Unlock()
	for id, e := range hs.ended {
		if time.Since(e.at) > tombstones {
			delete(hs.ended, id)
		}
	}
	if _, over := hs.ended[h.press]; over {
		return "it was let go before it began"
	}
	for _, other := range hs.open {
		if other.plant == h.plant && other.node == h.node {
			return "somebody else holds it"
		}
	}
	h.stop = make(chan string, 1)
	h.renewed()
	hs.open[h.press] = h
	return ""
}

func (h *hold) renewed() {
	h.mu.Lock()
	defer h.mu.Unlock()
	h.lease = time.Now().Add(leaseFor)
}

func (h *hold) lapsed() bool {
	h.mu.Lock()
	defer h.mu.Unlock()
	return time.Now().After(h.lease)
}

func (h *hold) end(why string) {
	select {
	case h.stop <- why:
	default:
	}
}

// Renew goes on holding; or says why that is over. What has not begun yet is gone on with.
func (hs *holds) renew(id, account string) string {
	hs.mu.Lock()
	defer hs.mu.Unlock()
	if h := hs.open[id]; h != nil && h.account == account {
		h.renewed()
		return ""
	}
	return hs.ended[id].why
}

// letGo ends a hold by whoever holds it. What has not begun yet will not.
func (hs *holds) letGo(id, account string) {
	hs.mu.Lock()
	defer hs.mu.Unlock()
	h := hs.open[id]
	switch {
	case h == nil:
		if _, over := hs.ended[id]; !over {
			hs.ended[id] = ending{time.Now(), "let go"}
		}
	case h.account == account:
		h.end("let go")
	}
}

// run looks after a hold until it ends, and then until its tag is false.
func (hs *holds) run(h *hold) {
	defer hs.wait.Done()
	why := h.watch()
	hs.release(h, why)
}

// over forgets a hold whose tag is false again: it can be held anew at once.
func (hs *holds) over(h *hold, why string) {
	hs.mu.Lock()
	defer hs.mu.Unlock()
	delete(hs.open, h.press)
	hs.ended[h.press] = ending{time.Now(), why}
}

// watch waits for the end of a hold and says why it ends.
func (h *hold) watch() string {
	look, beat, there := time.NewTicker(lookEvery), time.NewTicker(beatEvery), time.NewTicker(thereEvery)
	defer look.Stop()
	defer beat.Stop()
	defer there.Stop()
	asked := make(chan string, 1) // what has to be asked for is not waited for: the lease goes on meanwhile
	asking := false
	n := 0.0
	for {
		select {
		case why := <-h.stop:
			return why
		case <-look.C:
			if h.lapsed() {
				return "nothing was heard of whoever held it"
			}
			if why := h.still(); why != "" {
				return why
			}
		case <-beat.C:
			if h.beat == "" {
				continue
			}
			n++
			if err := h.write(h.beat, cond.Float(n)); err != nil {
				return "the plant did not take that it is held"
			}
		case why := <-asked:
			if asking = false; why != "" {
				return why
			}
		case <-there.C:
			if !asking {
				asking = true
				go func() { asked <- h.there() }()
			}
		}
	}
}

func (h *hold) write(node string, v cond.Value) error {
	ctx, cancel := context.WithTimeout(context.Background(), letGoWithin)
	defer cancel()
	return h.plant.Write(ctx, node, v)
}

// release makes the tag false, again and again until the plant has taken or refused it, and logs that.
func (hs *holds) release(h *hold, why string) {
	state := "done"
	for {
		if !h.plant.Leads() { // the server that leads now makes it false
			hs.over(h, "another server leads now")
			return
		}
		err := h.write(h.node, cond.Bool(false))
		var refused *plant.Refused
		if err == nil {
			break
		}
		if errors.As(err, &refused) {
			state, why = "refused", why+"; "+err.Error()
			break
		}
		if h.plant.Closed() { // the program ends or the connection was led elsewhere; the plant's watchdog and the next start see to it
			hs.log.Warn("what was held could not be let go", "node", h.node, "error", err)
			hs.over(h, why)
			return
		}
		time.Sleep(letGoAgain)
	}
	hs.over(h, why)
	fault.At(fault.HoldReleased)
	ctx := context.Background()
	if err := hs.store.LogRelease(ctx, store.Command{Press: h.press, Pos: 1, Source: h.source, Node: h.node, Label: h.label, Value: "false", Old: "true", Account: h.account, State: state, Reason: why}); err != nil {
		hs.log.Warn("what was let go is not logged", "error", err)
	}
	if err := hs.store.EndHold(ctx, h.press); err != nil {
		hs.log.Warn("what was let go is still kept as held", "error", err) // made false once more at the next start
	}
}

// EndHolds ends all that is held and waits until it is false, for a short while.
func (s *Side) EndHolds(ctx context.Context) {
	s.holds.mu.Lock()
	for _, h := range s.holds.open {
		h.end("the program ended")
	}
	s.holds.mu.Unlock()
	over := make(chan struct{})
	go func() { s.holds.wait.Wait(); close(over) }()
	select {
	case <-over:
	case <-ctx.Done():
	}
}

// SettleHolds finds what an earlier run of the program, or the server that led before, left held; what is given makes
// each false as soon as its plant is there.
func (s *Side) SettleHolds(ctx context.Context) (begin func(), err error) {
	left, err := s.Store.Holds(ctx)
	return func() { s.release(left) }, err
}

func (s *Side) release(left []store.Hold) {
	for _, l := range left {
		client, err := s.Plant(l.Plant)
		if err != nil {
			s.Log.Warn("what was held is of a plant that is gone", "plant", l.Plant, "node", l.Node)
			continue
		}
		s.holds.wait.Go(func() {
			s.holds.release(&hold{press: l.Press, label: l.Node, connection: l.Plant, node: l.Node, account: l.Account, plant: client}, "the program had ended")
		})
	}
}

// hold begins to hold what a press decided. The log is as for any command; the tag is kept as held before it is true.
func (v *Visit) hold(ctx context.Context, at *store.Standing, req api.PressRequest, w press.TagWrite) (state, reason string, err error) {
	side := v.server
	client := v.tags().Plant(w.Ref.Source)
	if client == nil {
		return "refused", "the plant is not configured on this server", nil
	}
	place, err := layer(at, answer.Value(req.Depth))
	if err != nil {
		return "", "", err
	}
	o, err := v.open(ctx, *place)
	if err != nil {
		return "", "", err
	}
	h := &hold{press: req.Press, label: w.Label, connection: v.plantOf(w.Ref), source: w.Ref.Source, node: w.Ref.Node, account: v.account.ID, plant: client, beat: w.Beat}
	h.still = func() string { return stillHeld(o, req.Element, client) }
	h.there = func() string { return v.stillThere(at) }
	if why := side.holds.begin(h); why != "" {
		return "refused", why, nil
	}
	undone := func(state, reason string, err error) (string, string, error) {
		side.holds.mu.Lock()
		delete(side.holds.open, req.Press)
		side.holds.mu.Unlock()
		return state, reason, err
	}
	if err := side.Store.BeginHold(ctx, store.Hold{Press: req.Press, Plant: h.connection, Node: h.node, Account: h.account}); err != nil {
		return undone("", "", err)
	}
	fault.At(fault.HoldKept)
	err = client.Write(ctx, h.node, cond.Bool(true))
	fault.At(fault.HoldWritten)
	var refused *plant.Refused
	if errors.Is(err, plant.ErrAway) || errors.As(err, &refused) {
		return undone("refused", err.Error(), side.Store.EndHold(ctx, req.Press))
	}
	// Whether it arrived or is not known: from here on it is looked after, and made false at the end.
	side.holds.wait.Add(1)
	go side.holds.run(h)
	if err != nil {
		h.end("it is not known whether the plant took it")
		return "unknown", err.Error(), nil
	}
	return "done", "", nil
}

// stillHeld says why a button may not be held any more, by what is known here: its own way is shut, or the plant's
// values are not good.
func stillHeld(o *use.Opening, element string, client *plant.Client) string {
	if !client.Good() {
		return "the plant’s values are stale"
	}
	for _, e := range o.Pressable() {
		if e.ID != element {
			continue
		}
		if _, gate := e.GateOn(""); gate != nil {
			if verdict := o.Judge(gate, use.Aim{}); !verdict.Open() {
				return "it may not be pressed any more: " + verdict.Reason
			}
			return ""
		}
	}
	return "its button is gone"
}

// stillThere says why somebody is not at the place any more where they hold a button: signed out, other roles, gone on,
// or another release.
func (v *Visit) stillThere(at *store.Standing) string {
	ctx, cancel := context.WithTimeout(context.Background(), base.FirstValues)
	defer cancel()
	account, err := v.server.Sessions.ByToken(ctx, v.token, v.project)
	switch {
	case errors.Is(err, answer.ErrSignedOut), err == nil && !maps.Equal(account.Roles, v.account.Roles):
		return "who held it is not signed in any more"
	case err != nil:
		return "it cannot be asked who holds it"
	}
	now, err := v.server.Store.Load(ctx, at.Trail, at.N, v.account.ID, v.project)
	if err != nil || now.At != at.N || now.Place.Screen != at.Place.Screen || len(now.Overlays) != len(at.Overlays) {
		return "the screen was left"
	}
	if _, release, err := v.server.Apps.ReleasedFor(ctx, v.project, account); err != nil || release != v.release {
		return "the application was changed"
	}
	return ""
}

// Hold goes on holding a button, or says that it is over.
func (s *Side) Hold(c *gin.Context, slug, press string) {
	inUse(s, c, slug, func(v *Visit, _ answer.Nothing) (answer.Nothing, error) {
		if err := s.ToLeader(c, nil); err != nil {
			return answer.Nothing{}, err
		}
		if why := s.holds.renew(press, v.account.ID); why != "" {
			return answer.Nothing{}, &ask.Refusal{Code: "let-go", What: "It is not held any more: " + why + ".", Then: "Let go, and press again."}
		}
		return answer.Nothing{}, nil
	})
}

// LetGo ends holding a button; one that has not begun yet will not begin.
func (s *Side) LetGo(c *gin.Context, slug, press string) {
	inUse(s, c, slug, func(v *Visit, _ answer.Nothing) (answer.Nothing, error) {
		if err := s.ToLeader(c, nil); err != nil {
			return answer.Nothing{}, err
		}
		s.holds.letGo(press, v.account.ID)
		return answer.Nothing{}, nil
	})
}
