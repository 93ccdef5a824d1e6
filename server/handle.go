package server

import (
	"net/http"

	"github.com/gin-gonic/gin"
)

// nothing is the body of a call that has none.
type nothing struct{}

// inUse answers a call of the users' side: it reads the body, finds out who asks in which
// release, and writes the answer or the no.
func inUse[Req, Resp any](s *Server, c *gin.Context, slug string, run func(v *visit, req Req) (Resp, error)) {
	var req Req
	if !readBody(c, &req) {
		return
	}
	v, err := s.visit(c, slug)
	if err != nil {
		fail(c, err)
		return
	}
	answer(c, func() (Resp, error) { return run(v, req) })
}

// inBuild answers a call of the builder's side.
func inBuild[Req, Resp any](s *Server, c *gin.Context, slug string, run func(b *building, req Req) (Resp, error)) {
	var req Req
	if !readBody(c, &req) {
		return
	}
	b, err := s.building(c, slug)
	if err != nil {
		fail(c, err)
		return
	}
	answer(c, func() (Resp, error) { return run(b, req) })
}

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
