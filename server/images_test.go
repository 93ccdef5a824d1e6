package server_test

import (
	"encoding/base64"
	"fmt"
	"net/http"
	"strings"
	"testing"

	"ambergate/core/kinds/element"
)

func TestPhotosAreShownChangedAndGuarded(t *testing.T) {
	p := as(t, "sela")
	shown := p.open("/defect?defect=107")
	image := fmt.Sprintf(used+"/image?trail=%s&n=%d&field=f_photo", shown.Trail, shown.N)
	status, first := p.call("GET", image, nil)
	if status != http.StatusOK || !strings.HasPrefix(string(first), "\x89PNG") || elementOf(shown, "e_photo").View.(*element.FieldView).Value == "" {
		t.Fatalf("%d, %d bytes", status, len(first))
	}
	p.refused("GET", strings.Replace(image, "f_photo", "f_what", 1), nil, http.StatusNotFound, "no-picture")
	as(t, "mira").refused("GET", image, nil, http.StatusNotFound, "no-place")

	edit := p.open("/defect?defect=107&~mode=edit")
	gif := "GIF89a\x01\x00\x01\x00\x00\x00\x00;"
	base := map[string]string{"f_photo": elementOf(edit, "e_photo").View.(*element.FieldView).Value}
	send := func(id, picture string) int {
		values := map[string]string{"f_photo": picture}
		status, _, _ := p.press(edit, id, "e_save", map[string]any{"values": values, "base": base, "version": edit.View.Record.Version})
		return status
	}
	if status := send("photo-wrong-1", "data:image/png;base64,"+base64.StdEncoding.EncodeToString([]byte("<svg/>"))); status != http.StatusUnprocessableEntity {
		t.Errorf("what is no picture: %d", status)
	}
	if status := send("photo-right-1", "data:image/gif;base64,"+base64.StdEncoding.EncodeToString([]byte(gif))); status != http.StatusOK {
		t.Fatalf("a picture: %d", status)
	}
	if _, now := p.call("GET", image, nil); string(now) != gif {
		t.Errorf("it is kept as %q", now)
	}
	again := p.open("/defect?defect=107&~mode=edit")
	if status, _, problem := p.press(again, "photo-gone-1", "e_save", map[string]any{"values": map[string]string{"f_photo": ""}, "version": again.View.Record.Version}); status != http.StatusOK {
		t.Fatalf("removing it: %d %+v", status, problem)
	}
	p.refused("GET", image, nil, http.StatusNotFound, "no-picture")
}
