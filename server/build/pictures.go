package build

import (
	"bytes"
	"encoding/base64"
	"strings"

	"github.com/gin-gonic/gin"

	"ambergate/api"
	"ambergate/core/ask"
)

// maxProjectPicture is how many bytes a picture of a project has at the most.
const maxProjectPicture = 2_000_000

// AddPicture keeps a picture for a project; the document names it by the digest that is answered.
func (s *Side) AddPicture(c *gin.Context, slug string) {
	inBuild(s, c, slug, func(_ *Building, req api.AddPicture) (api.PictureKept, error) {
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
			return api.PictureKept{}, &ask.Refusal{Code: "bad-value", What: "Only PNG, JPEG, WebP, GIF and plain SVG pictures are kept.", Then: "Choose another, or save the drawing without scripts and links."}
		}
		digest, err := s.Store.AddPicture(c, media, data)
		return api.PictureKept{Digest: digest, Media: media}, err
	})
}

// MediaOfPicture tells the media type of a picture that a builder brings; "" for anything else.
// A drawing (SVG) is one too, if it only shows; it is only ever shown as an image, and sent sandboxed.
func MediaOfPicture(data []byte) string {
	if media := ask.MediaOf(data); media != "" {
		return media
	}
	if head := bytes.TrimSpace(data[:min(len(data), 512)]); bytes.HasPrefix(head, []byte("<")) && plainDrawing(data) {
		return "image/svg+xml"
	}
	return ""
}
