package answer

import (
	"bytes"
	"encoding/json"
	"errors"
	"io"
	"net/http"
	"regexp"
	"unicode/utf8"

	"github.com/gin-gonic/gin"

	"ambergate/core/ask"
)

// zero finds a NUL as JSON escapes it, and not a backslash that is followed by its letters: no database keeps one.
var zero = regexp.MustCompile(`(?:^|[^\\])(?:\\\\)*\\u0000`)

// Read reads the body of a request; false when it cannot be read, and the answer was given.
func Read[T any](c *gin.Context, into *T) bool {
	text, err := io.ReadAll(c.Request.Body)
	if err == nil {
		err = json.Unmarshal(text, into)
	}
	if err == nil && (!utf8.Valid(text) || bytes.Contains(text, []byte("u0000")) && zero.Match(text)) {
		err = errors.New("it holds characters that are no text")
	}
	if err == nil {
		return true
	}
	var large *http.MaxBytesError
	if errors.As(err, &large) {
		Fail(c, err)
	} else {
		Fail(c, &ask.Refusal{Code: "bad-request", What: "The body of this call cannot be read: " + err.Error() + ".", Then: "See the API document."})
	}
	return false
}
