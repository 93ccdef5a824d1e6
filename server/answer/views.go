package answer

import (
	"bytes"
	"encoding/json"
	"fmt"
	"net/http"
	"strconv"
	"sync"

	"github.com/gin-gonic/gin"

	"ambergate/api"
	"ambergate/core/use"
)

// shownIn gives the screen that an answer shows; nil for none.
func shownIn(resp any) *api.Shown {
	switch r := resp.(type) {
	case *api.Shown:
		return r
	case api.PressResult:
		return r.Shown
	case *api.PressResult:
		return r.Shown
	}
	return nil
}

// viewsIn gives the views of a shown screen, in the order in which they are written.
func viewsIn(shown *api.Shown) []*use.View {
	var out []*use.View
	for i := range Value(shown.Overlays) {
		out = append(out, &(*shown.Overlays)[i].View)
	}
	return append(out, &shown.View)
}

// texts are where answers are written before they are sent: screens are large, and one is sent with most calls.
var texts = sync.Pool{New: func() any { return new(bytes.Buffer) }}

// kept is how large such a place may have become to be used again.
const kept = 256 << 10

// writeShown answers with what shows a screen, which is written once, into its place. Its length is told: what is sent in
// chunks takes more writing and reading.
func writeShown(c *gin.Context, resp any, shown *api.Shown) {
	text := texts.Get().(*bytes.Buffer)
	text.Reset()
	if err := encodeShown(text, resp, viewsIn(shown)); err != nil {
		Fail(c, err)
		return
	}
	c.Header("Content-Length", strconv.Itoa(text.Len()))
	c.Data(http.StatusOK, "application/json; charset=utf-8", text.Bytes())
	if text.Cap() <= kept {
		texts.Put(text)
	}
}

func encodeShown(out *bytes.Buffer, resp any, views []*use.View) error {
	whole := make([]use.View, len(views))
	for i, v := range views {
		whole[i], *v = *v, use.Place
	}
	around, err := json.Marshal(resp)
	for i, v := range views {
		*v = whole[i]
	}
	if err != nil {
		return fmt.Errorf("write a screen: %w", err)
	}
	for _, v := range views {
		before, after, found := bytes.Cut(around, use.PlaceOf)
		if !found {
			return fmt.Errorf("write a screen: it has no place")
		}
		out.Grow(len(around) + len(v.Written) + 1)
		out.Write(before)
		if err := v.Write(out); err != nil {
			return fmt.Errorf("write a screen: %w", err)
		}
		around = after
	}
	out.Write(around)
	return nil
}
