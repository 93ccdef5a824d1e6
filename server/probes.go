package server

import (
	"context"
	"net/http"
	"time"

	"github.com/gin-gonic/gin"

	"ambergate/api"
)

// readyWithin is how long the store may take to say that it is there.
const readyWithin = time.Second

// GetHealth says that the program lives: that it answers is all there is to say.
func (s *Server) GetHealth(c *gin.Context) { c.JSON(http.StatusOK, api.Health{Alive: true}) }

// GetReady says whether requests are to be sent here: the store answers, in the structure that this program knows, and
// the program does not end. Of plants it only counts: without one everything else is used as before.
func (s *Server) GetReady(c *gin.Context) {
	ctx, cancel := context.WithTimeout(c, readyWithin)
	defer cancel()
	out := api.Probe{Store: s.Store.Ping(ctx) == nil, Structure: s.Store.Structure(), Leads: s.Fleet.Leads()}
	for _, p := range s.Connected.Now().Plants {
		out.Plants++
		if p.Good() {
			out.PlantsGood++
		}
	}
	select {
	case <-s.Leaving():
		out.Ending = true
	default:
	}
	out.Ready = out.Store && !out.Ending
	status := http.StatusOK
	if !out.Ready {
		status = http.StatusServiceUnavailable
	}
	c.JSON(status, out)
}

// measure lets what is so at a moment be read with the metrics.
func (s *Server) measure() {
	m := s.Metrics
	m.Pool("store", s.Store.Stat)
	for name, r := range s.Config.Records {
		m.Pool(name, r.Stat)
		m.Live("answers_joined", "Answers that somebody else asked for at the same moment.", map[string]string{"database": name}, func() float64 { return float64(r.Joined()) })
	}
	yes := func(is bool) float64 {
		if is {
			return 1
		}
		return 0
	}
	m.Live("screens_found", "Screens that were kept as they were drawn, and not drawn again.", nil, func() float64 { found, _ := s.Drawn.Kept(); return float64(found) })
	m.Live("screens_kept_bytes", "Memory of the screens that are kept as they were drawn.", nil, func() float64 { _, size := s.Drawn.Kept(); return float64(size) })
	m.Live("places_believed", "Places of trails that were known, and not asked for.", nil, func() float64 { return float64(s.Store.Believed()) })
	m.Live("leads", "1 where this server talks to the plants and watches call-ups, for all.", nil, func() float64 { return yes(s.Fleet.Leads()) })
	for name, p := range s.Config.Plants {
		m.Live("plant_good", "1 while the values of a plant are good.", map[string]string{"plant": name}, func() float64 { return yes(p.Good()) })
	}
}
