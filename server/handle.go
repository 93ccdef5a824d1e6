package server

import (
	"net/http"

	"github.com/gin-gonic/gin"
)

// nothing is the body of a call that has none.
type nothing struct{}

func readBody[Req any](c *gin.Context, into *Req) bool {
	if _, none := any(into).(*nothing); none {
		return true
	}
	return read(c, into)
}

func answer[Resp any](c *gin.Context, run func() (Resp, error)) {
	resp, err := run()
	if err != nil {
		fail(c, err)
		return
	}
	c.JSON(http.StatusOK, resp)
}
