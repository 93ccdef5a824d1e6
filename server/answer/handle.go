package answer

import (
	"errors"
	"net/http"

	"github.com/gin-gonic/gin"
)

// Nothing is the body of a call that has none.
type Nothing struct{}

// ErrAnswered means that a call was answered already, by another server.
var ErrAnswered = errors.New("another server answered")

// ReadBody reads the body of a call; false when it could not be read, which is answered then.
func ReadBody[Req any](c *gin.Context, into *Req) bool {
	if _, none := any(into).(*Nothing); none {
		return true
	}
	return Read(c, into)
}

// With answers a call with what a function gives, or with its error.
func With[Resp any](c *gin.Context, run func() (Resp, error)) {
	resp, err := run()
	if errors.Is(err, ErrAnswered) {
		return
	}
	if err != nil {
		Fail(c, err)
		return
	}
	if _, none := any(resp).(Nothing); none {
		c.Status(http.StatusNoContent)
		return
	}
	if shown := shownIn(resp); shown != nil {
		writeShown(c, resp, shown)
		return
	}
	c.JSON(http.StatusOK, resp)
}
