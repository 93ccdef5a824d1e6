package server

import (
	"bytes"
	"context"
	"encoding/json"
	"fmt"
	"maps"
	"net/http"
	"sync"
	"time"

	"github.com/gin-gonic/gin"

	"ambergate/api"
	"ambergate/core/use"
	"ambergate/plant"
)

// How often a stream resolves at most, shows that it lives, and asks again who is there.
const (
	resolveEvery   = 50 * time.Millisecond
	heartbeatEvery = 2 * time.Second
	sessionEvery   = time.Second
)

// stream writes server-sent events.
type stream struct {
	c *gin.Context
}

func newStream(c *gin.Context) stream {
	h := c.Writer.Header()
	h.Set("Content-Type", "text/event-stream")
	h.Set("X-Accel-Buffering", "no")
	c.Writer.WriteHeader(http.StatusOK)
	c.Writer.Flush()
	return stream{c}
}

func (s stream) send(event string, data any) error {
	text, err := json.Marshal(data)
	if err != nil {
		return fmt.Errorf("write an event: %w", err)
	}
	// A reader that takes nothing for a while is let go; it comes back for a snapshot.
	_ = http.NewResponseController(s.c.Writer).SetWriteDeadline(time.Now().Add(5 * time.Second))
	if _, err := fmt.Fprintf(s.c.Writer, "event: %s\ndata: %s\n\n", event, text); err != nil {
		return fmt.Errorf("send an event: %w", err)
	}
	s.c.Writer.Flush()
	return nil
}

// GetEvents sends the elements of a place whose live values change. Only resolved elements are
// sent, never raw values; a slow reader gets the newest of each, not a backlog.
func (s *Server) GetEvents(c *gin.Context, slug string, params api.GetEventsParams) {
	v, o, err := s.opened(c, slug, params.Trail, params.N, value(params.Depth))
	if err != nil {
		fail(c, err)
		return
	}
	token, _ := c.Cookie(cookieName) // it was there a moment ago
	s.serveLive(c, liveFeed{visit: v, opening: o, token: token, n: params.N})
}

// liveFeed is one open place of one tab.
type liveFeed struct {
	visit   *visit
	opening *use.Opening
	token   string
	n       int
}

func (s *Server) serveLive(c *gin.Context, f liveFeed) {
	out := newStream(c)
	signals := make(chan struct{}, 1)
	stop := listen(c, f.visit.tags().watch(c, f.opening.TagRefs()), signals)
	defer stop()
	seen := elementTexts(f.opening.View())
	heartbeat, session := time.NewTicker(heartbeatEvery), time.NewTicker(sessionEvery)
	defer heartbeat.Stop()
	defer session.Stop()
	revision := 0
	signals <- struct{}{} // what changed between the answer and this stream
	for {
		select {
		case <-c.Done():
			return
		case <-heartbeat.C:
			if out.send("alive", struct{}{}) != nil {
				return
			}
		case <-session.C:
			account, err := s.sessions.byToken(c, f.token, f.visit.project)
			if err != nil {
				_ = out.send("ended", struct{}{}) // the stream ends anyway
				return
			}
			if !maps.Equal(account.Roles, f.visit.account.Roles) {
				return // the browser comes back, and is judged by the roles of now
			}
		case <-signals:
			revision++
			if !f.push(out, seen, revision) {
				return
			}
			time.Sleep(resolveEvery)
		}
	}
}

// push sends what changed since; false when the stream has to end.
func (f liveFeed) push(out stream, seen map[string][]byte, revision int) bool {
	if err := f.opening.StillOpen(); err != nil {
		_, problem := describe(err)
		_ = out.send("refused", problem) // the stream ends anyway
		return false
	}
	view := f.opening.View()
	event := api.LiveEvent{N: f.n, Revision: revision, Elements: []use.ElementView{}}
	now := elementTexts(view)
	for _, e := range view.Elements {
		if !bytes.Equal(now[e.ID], seen[e.ID]) {
			event.Elements = append(event.Elements, e)
		}
	}
	for id := range seen {
		if now[id] == nil {
			event.Elements = append(event.Elements, use.ElementView{ID: id, State: "gone"})
			delete(seen, id)
		}
	}
	for id, text := range now {
		seen[id] = text
	}
	return len(event.Elements) == 0 || out.send("live", event) == nil
}

func elementTexts(v *use.View) map[string][]byte {
	out := make(map[string][]byte, len(v.Elements))
	for _, e := range v.Elements {
		text, err := json.Marshal(e)
		if err != nil {
			panic("an element does not encode: " + err.Error())
		}
		out[e.ID] = text
	}
	return out
}

// listen joins the signals of several plants into one.
func listen(ctx context.Context, byPlant map[*plant.Client][]string, signals chan<- struct{}) (stop func()) {
	ctx, cancel := context.WithCancel(ctx)
	var wait sync.WaitGroup
	for p, names := range byPlant {
		l := p.Listen(names)
		wait.Add(1)
		go func() {
			defer wait.Done()
			defer l.Close()
			for {
				select {
				case <-ctx.Done():
					return
				case <-l.C:
					select {
					case signals <- struct{}{}:
					default:
					}
				}
			}
		}()
	}
	return func() { cancel(); wait.Wait() }
}

// watchers are the builders' tabs that want to know of edits.
type watchers struct {
	mu   sync.Mutex
	tabs map[chan int64]string // → project
}

func newWatchers() *watchers { return &watchers{tabs: map[chan int64]string{}} }

func (w *watchers) add(project string) (chan int64, func()) {
	ch := make(chan int64, 1)
	w.mu.Lock()
	w.tabs[ch] = project
	w.mu.Unlock()
	return ch, func() {
		w.mu.Lock()
		delete(w.tabs, ch)
		w.mu.Unlock()
	}
}

// tell tells all tabs of a project the newest sequence number.
func (w *watchers) tell(project string, seq int64) {
	w.mu.Lock()
	defer w.mu.Unlock()
	for ch, p := range w.tabs {
		if p != project {
			continue
		}
		select {
		case <-ch: // an older number that nobody took yet
		default:
		}
		select {
		case ch <- seq:
		default:
		}
	}
}

// GetBuildEvents tells a builder of the edits that others make.
func (s *Server) GetBuildEvents(c *gin.Context, slug string) {
	b, err := s.building(c, slug)
	if err != nil {
		fail(c, err)
		return
	}
	edits, stop := s.edits.add(b.project)
	defer stop()
	out := newStream(c)
	heartbeat := time.NewTicker(heartbeatEvery)
	defer heartbeat.Stop()
	for {
		select {
		case <-c.Done():
			return
		case seq := <-edits:
			if out.send("edited", map[string]int64{"seq": seq}) != nil {
				return
			}
		case <-heartbeat.C:
			if out.send("alive", struct{}{}) != nil {
				return
			}
		}
	}
}
