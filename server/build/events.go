package build

import (
	"time"

	"github.com/gin-gonic/gin"

	"ambergate/api"
	"ambergate/server/answer"
	"ambergate/server/base"
)

// ShowPresence notes where in the builder a tab is.
func (s *Side) ShowPresence(c *gin.Context, slug string) {
	In(s, c, slug, func(b *Building, req api.Presence) (answer.Nothing, error) {
		return answer.Nothing{}, s.Presence.Move(c, b.Project, req.Tab, base.Present{Account: b.Account.ID, Name: b.Account.Name, View: req.View, Screen: answer.Value(req.Screen), Element: answer.Value(req.Element)})
	})
}

// GetBuildEvents tells a builder of the edits that others make, and where they are.
func (s *Side) GetBuildEvents(c *gin.Context, slug string, params api.GetBuildEventsParams) {
	b, err := s.Building(c, slug)
	if err != nil {
		answer.Fail(c, err)
		return
	}
	leave, err := s.Streams.Now(b.Account.ID)
	if err != nil {
		answer.Fail(c, err)
		return
	}
	defer leave()
	defer s.Metrics.Stream("builders")()
	edits, stop := s.Edits.Add(b.Project)
	defer stop()
	moves, stopMoves := s.Presence.Add(b.Project)
	defer stopMoves()
	if tab := answer.Value(params.Tab); tab != "" {
		defer s.Presence.Come(c, b.Project, tab, base.Present{Account: b.Account.ID, Name: b.Account.Name})()
	}
	out := base.NewStream(c)
	// What was edited between what the tab has read and this stream: it compares.
	if st, err := s.Store.ProjectState(c, b.Project); err == nil && out.Send("edited", map[string]int64{"seq": st.Seq}) != nil {
		return
	}
	heartbeat, session := time.NewTicker(base.HeartbeatEvery), time.NewTicker(base.SessionEvery)
	defer heartbeat.Stop()
	defer session.Stop()
	for {
		select {
		case <-c.Done():
			return
		case <-s.Ending():
			return
		case <-session.C:
			if _, err := s.Building(c, slug); err != nil {
				_ = out.Send("ended", struct{}{}) // the stream ends anyway
				return
			}
		case seq := <-edits:
			if out.Send("edited", map[string]int64{"seq": seq}) != nil {
				return
			}
		case <-moves:
			others, err := s.Presence.Others(c, b.Project, b.Account.ID)
			if err == nil && out.Send("here", others) != nil {
				return
			}
		case <-heartbeat.C:
			if out.Send("alive", struct{}{}) != nil {
				return
			}
		}
	}
}
