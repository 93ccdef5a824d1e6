package build

import (
	"bytes"
	"encoding/base64"
	"strings"

	"github.com/gin-gonic/gin"

	"ambergate/api"
	"ambergate/core/ask"
)

// How many bytes a picture and a clip of a project have at the most.
const (
	maxProjectPicture = 2_000_000
	maxProjectClip    = 8_000_000
)

// AddPicture keeps a picture for a project; the document names it by the digest that is answered.
func (s *Side) AddPicture(c *gin.Context, slug string) {
	s.keep(c, slug, kept{
		word: "picture", most: maxProjectPicture, large: "This picture is too large: at most 2 MB are kept.", media: MediaOfPicture,
		other: ask.Refusal{Code: "bad-value", What: "Only PNG, JPEG, WebP, GIF and plain SVG pictures are kept.", Then: "Choose another, or save the drawing without scripts and links."},
	})
}

// AddClip keeps a clip as AddPicture keeps a picture.
func (s *Side) AddClip(c *gin.Context, slug string) {
	s.keep(c, slug, kept{
		word: "clip", most: maxProjectClip, large: "This clip is too large: at most 8 MB are kept.", media: MediaOfClip,
		other: ask.Refusal{Code: "bad-value", What: "Only MP4 and WebM clips are kept.", Then: "Choose another, or save it as one of these."},
	})
}

// kept says what is kept of one sort, and what is not.
type kept struct {
	word, large string
	most        int
	media       func([]byte) string // "" for what is not kept
	other       ask.Refusal
}

func (s *Side) keep(c *gin.Context, slug string, k kept) {
	In(s, c, slug, func(_ *Building, req api.AddPicture) (api.PictureKept, error) {
		_, body, _ := strings.Cut(req.Data, ",")
		data, err := base64.StdEncoding.DecodeString(body)
		if err != nil || len(data) == 0 {
			return api.PictureKept{}, &ask.Refusal{Code: "bad-value", What: "This " + k.word + " is damaged.", Then: "Choose another."}
		}
		if len(data) > k.most {
			return api.PictureKept{}, &ask.Refusal{Code: "bad-value", What: k.large, Then: "Make it smaller, or choose another."}
		}
		media := k.media(data)
		if media == "" {
			return api.PictureKept{}, &k.other
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

// MediaOfClip tells the media type of a clip by its first bytes: MP4 (ISO/IEC 14496-12, a file type box) and WebM
// (Matroska, RFC 9559, of the document type webm); "" for anything else.
func MediaOfClip(data []byte) string {
	switch head := data[:min(len(data), 64)]; {
	case len(head) > 12 && string(head[4:8]) == "ftyp":
		return "video/mp4"
	case bytes.HasPrefix(head, []byte("\x1a\x45\xdf\xa3")) && bytes.Contains(head, []byte("webm")):
		return "video/webm"
	}
	return ""
}
