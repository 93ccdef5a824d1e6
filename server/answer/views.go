package answer

import (
	"bytes"
	"encoding/json"
	"fmt"
	"net/http"

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

// writeShown answers with what shows a screen, which is written once, into its place.
func writeShown(c *gin.Context, resp any, shown *api.Shown) {
	text, err := encodeShown(resp, viewsIn(shown))
	if err != nil {
		Fail(c, err)
		return
	}
	c.Data(http.StatusOK, "application/json; charset=utf-8", text)
}

func encodeShown(resp any, views []*use.View) ([]byte, error) {
	whole := make([]use.View, len(views))
	for i, v := range views {
		whole[i], *v = *v, use.Place
	}
	around, err := json.Marshal(resp)
	for i, v := range views {
		*v = whole[i]
	}
	if err != nil {
		return nil, fmt.Errorf("write a screen: %w", err)
	}
	var out bytes.Buffer
	for _, v := range views {
		before, after, found := bytes.Cut(around, use.PlaceOf)
		if !found {
			return nil, fmt.Errorf("write a screen: it has no place")
		}
		out.Grow(len(around) + len(v.Written) + 1)
		out.Write(before)
		if err := v.Write(&out); err != nil {
			return nil, fmt.Errorf("write a screen: %w", err)
		}
		around = after
	}
	out.Write(around)
	return out.Bytes(), nil
}
