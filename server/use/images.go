package use

import (
	"net/http"

	"github.com/gin-gonic/gin"

	"ambergate/api"
	"ambergate/core/kinds/element"
	"ambergate/server/answer"
)

// GetImage gives the picture that a field of a place shows. Its address names its digest, so a
// browser may keep it; it can do nothing but be looked at.
func (s *Side) GetImage(c *gin.Context, slug string, params api.GetImageParams) {
	v, o, err := s.opened(c, slug, params.Trail, params.N, answer.Value(params.Depth))
	if err != nil {
		answer.Fail(c, err)
		return
	}
	tables := v.App.TablesOf(o.Place().Screen)
	source, err := s.SourceOf(v.App.Project, tables[0])
	if err != nil {
		answer.Fail(c, err)
		return
	}
	data, media, err := element.Picture(c, o, source.Reader(v.App.Project), answer.Value(params.Field))
	if err != nil {
		answer.Fail(c, err)
		return
	}
	c.Header("Content-Security-Policy", "sandbox; default-src 'none'")
	c.Header("Cache-Control", "private, max-age=3600")
	c.Data(http.StatusOK, media, data)
}
