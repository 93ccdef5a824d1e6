package use

import (
	"context"
	"encoding/json"
	"errors"
	"fmt"
	"maps"
	"strconv"
	"strings"
	"sync"
	"time"

	"github.com/gin-gonic/gin"

	"ambergate/api"
	"ambergate/core/ask"
	"ambergate/core/place"
	"ambergate/core/use"
	"ambergate/server/answer"
	"ambergate/server/base"
	"ambergate/store"
)

// GetEvents sends the elements of places whose live values change, to all tabs of a browser over one stream. Only
// resolved elements are sent, never raw values; a slow reader gets the newest of each, not a backlog.
func (s *Side) GetEvents(c *gin.Context, slug string, params api.GetEventsParams) {
	if len(params.At) > s.Limits.Places {
		answer.Fail(c, &ask.Refusal{Code: "too-much", What: fmt.Sprintf("One stream is of at most %d places.", s.Limits.Places), Then: "Close some of the tabs."})
		return
	}
	var feeds []*liveFeed
	var refused []placeRefused
	for _, at := range params.At {
		f, err := s.feed(c, slug, at)
		switch {
		case err == nil:
			feeds = append(feeds, f)
		case len(params.At) == 1 || errors.Is(err, answer.ErrSignedOut) || !answer.IsRefusal(err):
			answer.Fail(c, err)
			return
		default:
			refused = append(refused, refusedAt(at, err))
		}
	}
	if len(feeds) > 0 {
		leave, err := s.Streams.Now(feeds[0].visit.account.ID)
		if err != nil {
			answer.Fail(c, err)
			return
		}
		defer leave()
	}
	defer s.Metrics.Stream("users")()
	out := base.NewStream(c)
	for _, r := range refused {
		if out.Send("refused", r) != nil {
			return
		}
	}
	s.serveLive(c, out, feeds)
}

// placeEnded says that a place is to be read again.
type placeEnded struct {
	At string `json:"at"`
}

// placeRefused says that a place is not open any more, and why.
type placeRefused struct {
	At string `json:"at"`
	api.Problem
}

func refusedAt(at string, err error) placeRefused {
	_, problem := answer.Describe(err)
	return placeRefused{at, problem}
}

// liveFeed is one open place of one tab.
type liveFeed struct {
	at      string // as the browser names it
	visit   *Visit
	place   place.Place
	opening *use.Opening // until the stream begins
	token   string
	trail   string
	n       int
	known   time.Time // when the session was last found
	session base.Belief
	account store.Account // as it was last found, with its roles
	checked time.Time     // when it was last asked whether the place is open
	writes  int           // how many presses had changed records by then
	group   *group
	seen    map[string]uint64 // what was sent of each element
	called  map[int64]bool    // by which occurrences the tab was told to go elsewhere
}

// feed opens a place for a stream: trail.n.depth.
func (s *Side) feed(c *gin.Context, slug, at string) (*liveFeed, error) {
	parts := strings.Split(at, ".")
	if len(parts) != 3 {
		return nil, &ask.Refusal{Code: "bad-request", What: "A place of a stream is a trail, its place and how deep, with dots between."}
	}
	n, nErr := strconv.Atoi(parts[1])
	depth, depthErr := strconv.Atoi(parts[2])
	if errors.Join(nErr, depthErr) != nil {
		return nil, &ask.Refusal{Code: "bad-request", What: "A place of a stream is named by numbers."}
	}
	v, o, err := s.opened(c, slug, parts[0], n, depth)
	if err != nil {
		return nil, err
	}
	// What was sent is compared with begins without live values: between the answer and this stream any of them may
	// have changed, and not change again for hours.
	seen := map[string]uint64{}
	if o.AllRead() { // where one is not known, what asks just for that looks the same
		seen = sums(encode(o.Unread().View()))
	}
	return &liveFeed{at: at, visit: v, place: o.Place(), opening: o, token: s.Cookies.Read(c, base.SessionCookie), trail: parts[0], n: n, seen: seen}, nil
}

// serveLive sends what changes at any of the places, until none of them is open any more.
func (s *Side) serveLive(ctx context.Context, out base.Stream, feeds []*liveFeed) {
	ctx, stop := context.WithCancel(ctx)
	defer stop()
	var open sync.WaitGroup
	for _, f := range feeds {
		open.Go(func() {
			if !f.serve(ctx, s, out) {
				stop() // nobody reads
			}
		})
	}
	heartbeat := time.NewTicker(base.HeartbeatEvery)
	defer heartbeat.Stop()
	all := make(chan struct{})
	go func() { open.Wait(); close(all) }()
	for {
		select {
		case <-all:
			return
		case <-s.Ending():
			stop()
			<-all
			return
		case <-heartbeat.C:
			if out.Send("alive", struct{}{}) != nil {
				stop()
			}
		}
	}
}

// serve sends what changes at one place as long as it is open; false when nobody reads any more.
func (f *liveFeed) serve(ctx context.Context, s *Side, out base.Stream) bool {
	defer base.Recovered(s.Log, "send live values")
	group, signals, leave := s.groups.join(ctx, f.visit, f.opening)
	f.group = group
	defer leave()
	f.opening, f.visit.noted = nil, nil // thousands of streams that kept what they were opened with would keep much
	var callUps <-chan int64
	if f.visit.mayBeCalled() {
		heard, unheard := s.CalledUp.Add(f.visit.project)
		defer unheard()
		callUps = heard
		if !f.tellCallUps(ctx, out) {
			return false
		}
	}
	session := time.NewTicker(base.SessionEvery)
	defer session.Stop()
	f.known, f.checked, f.writes = time.Now(), time.Now(), s.Changes.Of(f.visit.project)
	for revision := 1; ; {
		select {
		case <-ctx.Done():
			return true
		case <-session.C:
			if event, why := f.stillOpen(ctx); event != "" {
				return out.Send(event, why) == nil
			}
		case <-callUps:
			if !f.tellCallUps(ctx, out) {
				return false
			}
		case <-signals:
			now := group.state()
			if now.refused != nil {
				return out.Send("refused", refusedAt(f.at, now.refused)) == nil
			}
			if !f.push(out, now, revision) {
				return false
			}
			revision++
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
	// What is believed is not asked for: each stream comes by here each second.
	if !v.server.Sessions.Holds(f.session) {
		asking, cancel := context.WithTimeout(ctx, askWithin)
		account, belief, err := v.server.Sessions.Believe(asking, f.token, v.project)
		cancel()
		switch {
		case errors.Is(err, answer.ErrSignedOut), err == nil && !maps.Equal(account.Roles, v.account.Roles):
			return "ended", placeEnded{f.at}
		case err != nil && time.Since(f.known) > believedFor:
			return "ended", placeEnded{f.at}
		case err != nil: // the store is away: the plant is not, and who was there a moment ago is believed for a while
			return "", nil
		}
		f.account, f.session = account, belief
	}
	f.known = time.Now()
	for p := range f.group.plants {
		if !v.server.Connected.Holds(p) { // it was led to another address since
			return "ended", placeEnded{f.at}
		}
	}
	release, known := v.server.Apps.NumberKnown(v.project, f.account)
	if !known {
		asking, cancel := context.WithTimeout(ctx, askWithin)
		var err error
		if _, release, err = v.server.Apps.ReleasedFor(asking, v.project, f.account); err != nil {
			release = v.release
		}
		cancel()
	}
	if release != v.release {
		return "ended", placeEnded{f.at}
	}
	writes := v.server.Changes.Of(v.project)
	since := time.Since(f.checked)
	if since < base.OpenEvery && (writes == f.writes || since < base.OpenAfterWrite) {
		return "", nil
	}
	f.checked, f.writes = time.Now(), writes
	asking, cancel := context.WithTimeout(ctx, askWithin)
	defer cancel()
	if err := use.Check(asking, v.App, v.user, f.place, v.sources()); answer.IsRefusal(err) {
		return "refused", refusedAt(f.at, err)
	}
	return "", nil
}

// push sends what changed since; false when nobody reads any more.
func (f *liveFeed) push(out base.Stream, now *worked, revision int) bool {
	var changed []json.RawMessage
	for _, e := range now.elements {
		if was, known := f.seen[e.id]; !known || was != e.sum {
			changed = append(changed, e.text)
		}
	}
	var gone []string
	for id := range f.seen {
		if _, there := now.sums[id]; !there {
			gone = append(gone, id)
		}
	}
	f.seen = now.sums
	return len(changed)+len(gone) == 0 || out.SendText("live", liveEvent(f.at, f.n, revision, changed, gone)) == nil
}

// liveEvent writes an api.LiveEvent with elements that were encoded already: an encoder would read them once more.
func liveEvent(at string, n, revision int, elements []json.RawMessage, gone []string) []byte {
	size := 100 + len(at)
	for _, e := range elements {
		size += len(e) + 1
	}
	out := append(make([]byte, 0, size), `{"at":`...)
	out = append(out, wordsOf(at)...)
	out = strconv.AppendInt(append(out, `,"n":`...), int64(n), 10)
	out = strconv.AppendInt(append(out, `,"revision":`...), int64(revision), 10)
	out = append(out, `,"elements":[`...)
	for i, e := range elements {
		if i > 0 {
			out = append(out, ',')
		}
		out = append(out, e...)
	}
	out = append(out, ']')
	if len(gone) > 0 {
		out = append(append(out, `,"gone":`...), wordsOf(gone)...)
	}
	return append(out, '}')
}

// wordsOf is for words and lists of words, which always encode.
func wordsOf(v any) []byte {
	text, err := json.Marshal(v)
	if err != nil {
		panic("words do not encode: " + err.Error())
	}
	return text
}
