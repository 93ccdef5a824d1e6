package base

import (
	"encoding/json"
	"fmt"
	"math/rand/v2"
	"net/http"
	"sync"
	"time"

	"github.com/gin-gonic/gin"
)

// How often a stream resolves at most, shows that it lives, and asks again who is there; how often it asks
// whether its place is open still, after records were changed, and anyway.
const (
	ResolveEvery   = 100 * time.Millisecond
	HeartbeatEvery = 2 * time.Second
	SessionEvery   = time.Second
	OpenAfterWrite = 3 * time.Second
	OpenEvery      = time.Minute
)

// After how long a browser opens a stream anew that was lost.
const (
	comeBackFrom   = 200 * time.Millisecond
	comeBackWithin = 600 * time.Millisecond
)

// Stream writes server-sent events; several may write to one.
type Stream struct {
	c  *gin.Context
	mu *sync.Mutex
}

// NewStream begins to answer a call with events.
func NewStream(c *gin.Context) Stream {
	h := c.Writer.Header()
	h.Set("Content-Type", "text/event-stream")
	h.Set("X-Accel-Buffering", "no")
	c.Writer.WriteHeader(http.StatusOK)
	// A browser whose server has gone comes back at another one soon, and not all of them at once.
	again := comeBackFrom + rand.N(comeBackWithin)
	_, _ = fmt.Fprintf(c.Writer, "retry: %d\n\n", again.Milliseconds()) // who has gone already is noticed by the next word
	c.Writer.Flush()
	return Stream{c, &sync.Mutex{}}
}

// Send writes one event with data as JSON. The error is that of a reader that is gone or takes nothing.
func (s Stream) Send(event string, data any) error {
	text, err := json.Marshal(data)
	if err != nil {
		return fmt.Errorf("write an event: %w", err)
	}
	return s.SendText(event, text)
}

// SendText writes one event with data that is JSON already, as Send does.
func (s Stream) SendText(event string, text []byte) error {
	s.mu.Lock()
	defer s.mu.Unlock()
	// A reader that takes nothing for a while is let go; it comes back for a snapshot.
	_ = http.NewResponseController(s.c.Writer).SetWriteDeadline(time.Now().Add(5 * time.Second))
	if _, err := fmt.Fprintf(s.c.Writer, "event: %s\ndata: %s\n\n", event, text); err != nil {
		return fmt.Errorf("send an event: %w", err)
	}
	s.c.Writer.Flush()
	return nil
}
