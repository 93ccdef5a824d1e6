package use

import (
	"bytes"
	"context"
	"encoding/json"
	"errors"
	"hash/maphash"
	"maps"
	"time"

	"github.com/gin-gonic/gin"

	"ambergate/api"
	"ambergate/core/use"
	"ambergate/plant"
	"ambergate/server/answer"
	"ambergate/server/base"
)

// GetEvents sends the elements of a place whose live values change. Only resolved elements are
// sent, never raw values; a slow reader gets the newest of each, not a backlog.
func (s *Side) GetEvents(c *gin.Context, slug string, params api.GetEventsParams) {
	v, o, err := s.opened(c, slug, params.Trail, params.N, answer.Value(params.Depth))
	if err != nil {
		answer.Fail(c, err)
		return
	}
	s.serveLive(c, liveFeed{visit: v, opening: o, token: s.Cookies.Read(c, base.SessionCookie), trail: params.Trail, n: params.N})
}

// liveFeed is one open place of one tab.
type liveFeed struct {
	visit   *Visit
	opening *use.Opening
	token   string
	trail   string
	n       int
	known   time.Time // when the session was last found
	checked time.Time // when it was last asked whether the place is open
	writes  int       // how many presses had changed records by then
	plants  map[*plant.Client][]string
	called  map[int64]bool // by which occurrences the tab was told to go elsewhere
}

func (s *Side) serveLive(c *gin.Context, f liveFeed) {
	out := base.NewStream(c)
	// One is on its way before anybody listens, and what was sent is compared with begins without live values: between
	// the answer and this stream any of them may have changed, and not change again for hours.
	signals := make(chan struct{}, 1)
	signals <- struct{}{}
	f.plants = f.visit.tags().Watch(c, f.opening.TagRefs())
	stop := base.Listen(c, f.plants, signals)
	defer stop()
	seen := map[string]uint64{}
	if f.opening.AllRead() { // where one is not known, what asks just for that looks the same
		seen = elementsNow(f.opening.Unread().View())
	}
	var callUps <-chan int64
	if f.visit.mayBeCalled() {
		heard, unheard := s.CallUps.Heard.Add(f.visit.project)
		defer unheard()
		callUps = heard
		if !f.tellCallUps(c, out) {
			return
		}
	}
	heartbeat, session := time.NewTicker(base.HeartbeatEvery), time.NewTicker(base.SessionEvery)
	defer heartbeat.Stop()
	defer session.Stop()
	f.known, f.checked, f.writes = time.Now(), time.Now(), s.Changes.Of(f.visit.project)
	revision := 0
	for {
		select {
		case <-c.Done():
			return
		case <-s.Ending():
			return
		case <-heartbeat.C:
			if out.Send("alive", struct{}{}) != nil {
				return
			}
		case <-session.C:
			if event, why := f.stillOpen(c); event != "" {
				_ = out.Send(event, why) // the stream ends anyway
				return
			}
		case <-callUps:
			if !f.tellCallUps(c, out) {
				return
			}
		case <-signals:
			revision++
			if !f.push(out, seen, revision) {
				return
			}
			time.Sleep(base.ResolveEvery)
		}
	}
}

// How long a stream waits for the databases when it asks who is there, and how long it goes on without an answer.
const (
	askWithin   = 700 * time.Millisecond
	believedFor = time.Minute
)

// stillOpen asks again who is there, in which release, and, after records were changed and each minute,
// whether the place is open to them. It gives the event that ends the stream: “ended” where the browser is to
// read the screen again, “refused” with the reason.
func (f *liveFeed) stillOpen(ctx context.Context) (event string, why any) {
	v := f.visit
	asking, cancel := context.WithTimeout(ctx, askWithin)
	defer cancel()
	account, err := v.server.Sessions.ByToken(asking, f.token, v.project)
	switch {
	case errors.Is(err, answer.ErrSignedOut), err == nil && !maps.Equal(account.Roles, v.account.Roles):
		return "ended", struct{}{}
	case err != nil && time.Since(f.known) > believedFor:
		return "ended", struct{}{}
	case err != nil: // the store is away: the plant is not, and who was there a moment ago is believed for a while
		return "", nil
	}
	f.known = time.Now()
	for p := range f.plants {
		if !v.server.Connected.Holds(p) { // it was led to another address since
			return "ended", struct{}{}
		}
	}
	if _, release, err := v.server.Apps.Released(asking, v.project); err == nil && release != v.release {
		return "ended", struct{}{}
	}
	writes := v.server.Changes.Of(v.project)
	since := time.Since(f.checked)
	if since < base.OpenEvery && (writes == f.writes || since < base.OpenAfterWrite) {
		return "", nil
	}
	f.checked, f.writes = time.Now(), writes
	if err := use.Check(asking, v.App, v.user, f.opening.Place(), v.sources()); answer.IsRefusal(err) {
		_, problem := answer.Describe(err)
		return "refused", problem
	}
	return "", nil
}

// push sends what changed since; false when the stream has to end.
func (f liveFeed) push(out base.Stream, seen map[string]uint64, revision int) bool {
	if err := f.opening.StillOpen(); err != nil {
		_, problem := answer.Describe(err)
		_ = out.Send("refused", problem) // the stream ends anyway
		return false
	}
	view := f.opening.View()
	event := api.LiveEvent{N: f.n, Revision: revision, Elements: []use.ElementView{}}
	var gone []string
	now := elementsNow(view)
	for _, e := range view.Elements {
		if was, known := seen[e.ID]; !known || was != now[e.ID] {
			event.Elements = append(event.Elements, e)
		}
	}
	for id := range seen {
		if _, there := now[id]; !there {
			gone = append(gone, id)
			delete(seen, id)
		}
	}
	if len(gone) > 0 {
		event.Gone = &gone
	}
	maps.Copy(seen, now)
	return len(event.Elements)+len(gone) == 0 || out.Send("live", event) == nil
}

var elementSeed = maphash.MakeSeed()

// elementsNow gives a number for how each element of a view is, by which a change is seen: thousands of streams that
// kept what they sent would keep much.
func elementsNow(v *use.View) map[string]uint64 {
	out := make(map[string]uint64, len(v.Elements))
	var text bytes.Buffer
	for _, e := range v.Elements {
		text.Reset()
		if err := json.NewEncoder(&text).Encode(e); err != nil {
			panic("an element does not encode: " + err.Error())
		}
		out[e.ID] = maphash.Bytes(elementSeed, text.Bytes())
	}
	return out
}
