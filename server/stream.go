package server

import (
	"encoding/json"
	"fmt"
	"net/http"
	"time"

	"github.com/gin-gonic/gin"
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
