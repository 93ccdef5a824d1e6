package base

import (
	"encoding/json"
	"errors"
	"fmt"
	"net"

	"github.com/gin-gonic/gin"

	"ambergate/core/ask"
	"ambergate/plant"
	"ambergate/server/answer"
	"ambergate/server/fleet"
)

// ToLeader passes a call, with the body that was read of it (nil: none), on to the server that leads, where that is
// another one; the error is answer.ErrAnswered then. Without an error this server leads, and goes on itself.
func (b *Base) ToLeader(c *gin.Context, body any) error {
	if b.Fleet.Leads() {
		return nil
	}
	if fleet.Passed(c.Request.Context()) { // it led a moment ago
		return noLeader(nil)
	}
	var text []byte
	if body != nil {
		var err error
		if text, err = json.Marshal(body); err != nil {
			return fmt.Errorf("pass a call on: %w", err)
		}
	}
	var lost error
	b.Fleet.Pass(c.Writer, c.Request, text, c.ClientIP(), func(err error) { lost = err })
	if lost == nil {
		return answer.ErrAnswered
	}
	var network *net.OpError
	if errors.Is(lost, plant.ErrNoLead) || errors.As(lost, &network) && network.Op == "dial" {
		return noLeader(lost)
	}
	// It may have been done: what is asked again with the same id is done once.
	return LeaderAway(lost)
}

// LeaderAway is the answer to what may have been done by a server that does not answer: it is asked again.
func LeaderAway(why error) error {
	return &ask.Refusal{Cause: why, Code: "leader-away", What: "The server that talks to the plant does not answer.", Then: "This goes on by itself when another one does."}
}

func noLeader(why error) error {
	return &ask.Refusal{Cause: why, Code: "no-leader", What: "No server talks to the plant at this moment; nothing was sent.", Then: "Press again in a few seconds."}
}
