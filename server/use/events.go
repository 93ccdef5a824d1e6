package use

import (
	"bytes"
	"context"
	"encoding/json"
	"maps"
	"sync"
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
	token, _ := c.Cookie(base.CookieName) // it was there a moment ago
	s.serveLive(c, liveFeed{visit: v, opening: o, token: token, n: params.N})
}

// liveFeed is one open place of one tab.
type liveFeed struct {
	visit   *Visit
	opening *use.Opening
	token   string
	n       int
}

func (s *Side) serveLive(c *gin.Context, f liveFeed) {
	out := base.NewStream(c)
	signals := make(chan struct{}, 1)
	stop := listen(c, f.visit.tags().Watch(c, f.opening.TagRefs()), signals)
	defer stop()
	seen := elementTexts(f.opening.View())
	heartbeat, session := time.NewTicker(base.HeartbeatEvery), time.NewTicker(base.SessionEvery)
	defer heartbeat.Stop()
	defer session.Stop()
	revision := 0
	signals <- struct{}{} // what changed between the answer and this stream
	for {
		select {
		case <-c.Done():
			return
		case <-heartbeat.C:
			if out.Send("alive", struct{}{}) != nil {
				return
			}
		case <-session.C:
			account, err := s.Sessions.ByToken(c, f.token, f.visit.project)
			if err != nil {
				_ = out.Send("ended", struct{}{}) // the stream ends anyway
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
			time.Sleep(base.ResolveEvery)
		}
	}
}

// push sends what changed since; false when the stream has to end.
func (f liveFeed) push(out base.Stream, seen map[string][]byte, revision int) bool {
	if err := f.opening.StillOpen(); err != nil {
		_, problem := answer.Describe(err)
		_ = out.Send("refused", problem) // the stream ends anyway
		return false
	}
	view := f.opening.View()
	event := api.LiveEvent{N: f.n, Revision: revision, Elements: []use.ElementView{}}
	var gone []string
	now := elementTexts(view)
	for _, e := range view.Elements {
		if !bytes.Equal(now[e.ID], seen[e.ID]) {
			event.Elements = append(event.Elements, e)
		}
	}
	for id := range seen {
		if now[id] == nil {
			gone = append(gone, id)
			delete(seen, id)
		}
	}
	if len(gone) > 0 {
		event.Gone = &gone
	}
	for id, text := range now {
		seen[id] = text
	}
	return len(event.Elements)+len(gone) == 0 || out.Send("live", event) == nil
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
