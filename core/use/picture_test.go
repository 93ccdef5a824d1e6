package use_test

import (
	"context"
	"encoding/base64"
	"strings"
	"testing"

	"ambergate/core/ask"
	"ambergate/core/kinds/element"
	"ambergate/core/project"
	"ambergate/core/stand"
	"ambergate/core/use"
)

const png = "\x89PNG\r\n\x1a\nrest"

func dataURL(media, data string) string {
	return "data:" + media + ";base64," + base64.StdEncoding.EncodeToString([]byte(data))
}

func TestOnlyPicturesThatCannotActAreTaken(t *testing.T) {
	for name, tc := range map[string]struct{ entered, media string }{
		"png": {dataURL("image/png", png), "image/png"}, "jpeg": {dataURL("image/jpeg", "\xff\xd8\xff\xe0"), "image/jpeg"},
		"gif": {dataURL("image/gif", "GIF89a..."), "image/gif"}, "webp": {dataURL("image/webp", "RIFF1234WEBPVP8 "), "image/webp"},
		"what it is, not what it says": {dataURL("text/html", png), "image/png"},
		"svg":                          {dataURL("image/svg+xml", "<svg onload='x()'/>"), ""}, "a page that says png": {dataURL("image/png", "<script>"), ""},
		"no data URL": {"https://elsewhere/x.png", ""}, "damaged": {"data:image/png;base64,%%%", ""}, "nothing": {"data:,", ""},
		"too large": {dataURL("image/png", png+strings.Repeat("x", 700_000)), ""},
	} {
		data, media, err := ask.PictureOf(tc.entered)
		if media != tc.media || (err == nil) != (tc.media != "") || err == nil && len(data) == 0 {
			t.Errorf("%s: %q, %v", name, media, err)
		}
	}
}

// onePicture is what a record holds.
type onePicture string

func (p onePicture) Picture(context.Context, *project.Table, string, string) ([]byte, error) {
	return []byte(p), nil
}

func TestAPictureIsSeenWhereItsFieldIs(t *testing.T) {
	s := stand.New(t, `[{"op":"add","path":"/t_defects/fields/f_pic","value":{"pos":9,"column":"pic","alias":"pic","label":"Photo","type":"picture","nullable":true}},
		{"op":"add","path":"/s_defect/elements/e_pic","value":{"kind":"field","pos":20,"cell":{"row":5,"col":1,"w":4},"path":"f_pic","shown":"record.f_state == \"open\""}},
		{"op":"add","path":"/gr_6/hidden","value":{"f_pic":true}}]`)
	if data, media, err := element.Picture(t.Context(), s.MustOpen(t, s.Mira, "defect?defect=1"), onePicture(png), "f_pic"); err != nil || media != "image/png" || string(data) != png {
		t.Errorf("%q, %v", media, err)
	}
	for name, o := range map[string]*use.Opening{
		"a hidden field": s.MustOpen(t, s.Sela, "defect?defect=1"), "an element that does not show": s.MustOpen(t, s.Mira, "defect?defect=2"),
		"another screen": s.MustOpen(t, s.Mira, "cabin?cabin=7"), "a new record": s.MustOpen(t, s.Mira, "defect?~mode=add"),
	} {
		if _, _, err := element.Picture(t.Context(), o, onePicture(png), "f_pic"); stand.Code(err) != "no-picture" {
			t.Errorf("%s: %v", name, err)
		}
	}
	o := s.MustOpen(t, s.Mira, "defect?defect=1")
	for _, held := range []onePicture{"", "<svg/>"} {
		if _, _, err := element.Picture(t.Context(), o, held, "f_pic"); stand.Code(err) != "no-picture" {
			t.Errorf("%q is given: %v", held, err)
		}
	}
	if _, _, err := element.Picture(t.Context(), o, onePicture(png), "f_what"); stand.Code(err) != "no-picture" {
		t.Errorf("a text is given as a picture: %v", err)
	}
}
