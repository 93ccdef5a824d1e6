package server

import (
	"bytes"
	"net/http"
	"time"

	"github.com/gin-gonic/gin"

	"ambergate/core/ask"
	"ambergate/core/project"
	"ambergate/server/answer"
)

// GetPicture gives a picture or clip of a project to those who use or build it. Its address is the digest of its bytes,
// so a browser may keep it for good. It can be asked for in parts (RFC 9110, 14): that is how clips are played.
func (s *Server) GetPicture(c *gin.Context, slug, digest string) {
	has := func(p *project.Project) bool {
		for _, one := range p.AllKept() {
			if one.Digest == digest {
				return true
			}
		}
		return false
	}
	v, err := s.users.Visit(c, slug, "", 0)
	if err != nil || !has(v.App.Project) {
		b, refused := s.builders.Building(c, slug)
		if refused != nil || !has(b.Draft.App.Project) {
			if err == nil {
				err = &ask.Refusal{Code: "no-record", What: "There is no such picture or clip here.", Then: "Load the page again."}
			}
			answer.Fail(c, err)
			return
		}
	}
	media, data, err := s.Store.Picture(c, digest)
	if err != nil {
		answer.Fail(c, err)
		return
	}
	c.Header("Content-Security-Policy", "sandbox; default-src 'none'; style-src 'unsafe-inline'")
	c.Header("X-Content-Type-Options", "nosniff")
	c.Header("Cache-Control", "private, max-age=31536000, immutable")
	c.Header("Content-Type", media)
	http.ServeContent(c.Writer, c.Request, "", time.Time{}, bytes.NewReader(data))
}
