package server

import (
	"bytes"
	"encoding/base64"
	"net/http"
	"strings"

	"github.com/gin-gonic/gin"

	"ambergate/api"
	"ambergate/core/ask"
	"ambergate/core/project"
)

// maxProjectPicture is how many bytes a picture of a project has at the most.
const maxProjectPicture = 2_000_000

// AddPicture keeps a picture for a project; the document names it by the digest that is answered.
func (s *buildersSide) AddPicture(c *gin.Context, slug string) {
	inBuild(s, c, slug, func(_ *building, req api.AddPicture) (api.PictureKept, error) {
		_, body, _ := strings.Cut(req.Data, ",")
		data, err := base64.StdEncoding.DecodeString(body)
		if err != nil || len(data) == 0 {
			return api.PictureKept{}, &ask.Refusal{Code: "bad-value", What: "This picture is damaged.", Then: "Choose another."}
		}
		if len(data) > maxProjectPicture {
			return api.PictureKept{}, &ask.Refusal{Code: "bad-value", What: "This picture is too large: at most 2 MB are kept.", Then: "Make it smaller, or choose another."}
		}
		media := MediaOfPicture(data)
		if media == "" {
			return api.PictureKept{}, &ask.Refusal{Code: "bad-value", What: "Only PNG, JPEG, WebP, GIF and SVG pictures are kept.", Then: "Choose another."}
		}
		digest, err := s.Store.AddPicture(c, media, data)
		return api.PictureKept{Digest: digest, Media: media}, err
	})
}

// MediaOfPicture tells the media type of a picture that a builder brings; "" for anything else.
// A drawing (SVG) is one too: it is only ever shown as an image, and sent sandboxed.
func MediaOfPicture(data []byte) string {
	if media := ask.MediaOf(data); media != "" {
		return media
	}
	head := bytes.TrimSpace(data[:min(len(data), 512)])
	if bytes.HasPrefix(head, []byte("<svg")) || bytes.HasPrefix(head, []byte("<?xml")) && bytes.Contains(head, []byte("<svg")) {
		return "image/svg+xml"
	}
	return ""
}

// GetPicture gives a picture of a project to those who use or build it. Its address is the digest
// of its bytes, so a browser may keep it for good.
func (s *Server) GetPicture(c *gin.Context, slug, digest string) {
	has := func(p *project.Project) bool {
		for _, one := range p.Pictures {
			if one.Digest == digest {
				return true
			}
		}
		return false
	}
	v, err := s.visit(c, slug)
	if err != nil || !has(v.app.Project) {
		b, refused := s.building(c, slug)
		if refused != nil || !has(b.draft.app.Project) {
			if err == nil {
				err = &ask.Refusal{Code: "no-record", What: "There is no such picture here.", Then: "Load the page again."}
			}
			fail(c, err)
			return
		}
	}
	media, data, err := s.Store.Picture(c, digest)
	if err != nil {
		fail(c, err)
		return
	}
	c.Header("Content-Security-Policy", "sandbox; default-src 'none'; style-src 'unsafe-inline'")
	c.Header("X-Content-Type-Options", "nosniff")
	c.Header("Cache-Control", "private, max-age=31536000, immutable")
	c.Data(http.StatusOK, media, data)
}
