package ask

import (
	"bytes"
	"context"
	"encoding/base64"
	"errors"
	"strings"

	"ambergate/core/project"
)

// maxPicture is how many bytes a picture in a record has at the most.
const maxPicture = 700_000

// PictureType is the type of a column that holds a picture: bytes in the database, its digest where
// values are shown, a data URL where one is entered.
const PictureType = "picture"

// PictureOf reads a picture as it is entered: its bytes and their media type. Only kinds that show
// and cannot act are taken: PNG, JPEG, WebP, GIF. What a picture is is seen in its bytes, not in what is said of it.
func PictureOf(entered string) (data []byte, media string, err error) {
	head, body, ok := strings.Cut(entered, ",")
	if !ok || !strings.HasPrefix(head, "data:") || !strings.HasSuffix(head, ";base64") {
		return nil, "", errors.New("this is no picture")
	}
	if data, err = base64.StdEncoding.DecodeString(body); err != nil {
		return nil, "", errors.New("this picture is damaged")
	}
	if len(data) > maxPicture {
		return nil, "", errors.New("this picture is too large: at most 700 KB are kept")
	}
	if media = MediaOf(data); media == "" {
		return nil, "", errors.New("only PNG, JPEG, WebP and GIF pictures are kept")
	}
	return data, media, nil
}

// MediaOf tells the media type of a picture by its first bytes; "" for anything else.
func MediaOf(data []byte) string {
	switch {
	case bytes.HasPrefix(data, []byte("\x89PNG\r\n\x1a\n")):
		return "image/png"
	case bytes.HasPrefix(data, []byte("\xff\xd8\xff")):
		return "image/jpeg"
	case bytes.HasPrefix(data, []byte("GIF87a")), bytes.HasPrefix(data, []byte("GIF89a")):
		return "image/gif"
	case len(data) > 12 && bytes.HasPrefix(data, []byte("RIFF")) && string(data[8:12]) == "WEBP":
		return "image/webp"
	}
	return ""
}

// Pictures reads the pictures that records hold.
type Pictures interface {
	// Picture gives the bytes of a field of a record; nil when it is empty.
	Picture(ctx context.Context, t *project.Table, key, field string) ([]byte, error)
}
