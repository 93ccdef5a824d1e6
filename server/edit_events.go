package server

import (
	"time"

	"github.com/gin-gonic/gin"
)

// GetBuildEvents tells a builder of the edits that others make.
func (s *buildersSide) GetBuildEvents(c *gin.Context, slug string) {
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
