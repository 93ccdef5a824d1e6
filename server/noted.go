package server

import (
	"crypto/rand"
	"log/slog"
	"regexp"
	"strings"
	"time"

	"github.com/gin-gonic/gin"

	"ambergate/server/answer"
)

// requestHeader is where a request says by what it is named, and an answer by what it was.
const requestHeader = "X-Request-Id"

// named is what is taken as the name of a request from whoever asks: nothing that could be read as more than one line.
var named = regexp.MustCompile(`^[A-Za-z0-9._-]{8,64}$`)

// slowAfter is from when on a call is logged though nothing was wrong with it.
const slowAfter = 2 * time.Second

// noted names each request, counts and times it, and logs it where it was slow. All of them are logged at level debug.
func (s *Server) noted(c *gin.Context) {
	began := time.Now()
	id := c.GetHeader(requestHeader)
	if !named.MatchString(id) {
		id = rand.Text()[:16]
	}
	answer.Name(c, id)
	c.Header(requestHeader, id)
	c.Next()
	took := time.Since(began)
	call := c.FullPath()
	lasts := strings.HasSuffix(call, "/events") // until somebody closes it
	if !lasts {
		s.Metrics.Request(call, c.Request.Method, c.Writer.Status(), took)
	}
	level := slog.LevelDebug
	if took > slowAfter && !lasts && !strings.HasSuffix(call, "/csv") {
		level = slog.LevelWarn
	}
	if s.Log.Enabled(c, level) {
		s.Log.Log(c, level, "answered", "request", id, "method", c.Request.Method, "call", call, "status", c.Writer.Status(), "took", took.Round(100*time.Microsecond), "from", c.ClientIP())
	}
}
