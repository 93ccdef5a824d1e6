package build

import (
	"time"

	"github.com/gin-gonic/gin"

	"ambergate/server/answer"
	"ambergate/server/base"
)

// GetBuildEvents tells a builder of the edits that others make.
func (s *Side) GetBuildEvents(c *gin.Context, slug string) {
	b, err := s.Building(c, slug)
	if err != nil {
		answer.Fail(c, err)
		return
	}
	edits, stop := s.Edits.Add(b.project)
	defer stop()
	out := base.NewStream(c)
	// What was edited between what the tab has read and this stream: it compares.
	if seq, _, err := s.Store.ProjectState(c, b.project); err == nil && out.Send("edited", map[string]int64{"seq": seq}) != nil {
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
		case <-heartbeat.C:
			if out.Send("alive", struct{}{}) != nil {
				return
			}
		}
	}
}
