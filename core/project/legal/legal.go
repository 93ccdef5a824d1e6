// Package legal looks at the text of a document before it is read: what is too large or too deep, or holds null, is
// refused, and the kind of a thing is found without reading the thing.
package legal

import (
	"bytes"
	"encoding/json"
	"fmt"
	"runtime/debug"
	"strings"
)

// What an entity may be at the most: more is nobody's work.
const (
	maxEntity = 2 << 20 // bytes
	maxNested = 60
)

// Body refuses a body before it is read: one that is too large or too deep, and null anywhere, which would
// stand where every reader of the document expects something. What is not there is left out.
func Body(body []byte) error {
	if len(body) > maxEntity {
		return fmt.Errorf("it is larger than %d MB", maxEntity>>20)
	}
	depth := 0
	for i := 0; i < len(body); i++ {
		switch body[i] {
		case '"':
			i = closing(body, i)
		case '{', '[':
			if depth++; depth > maxNested {
				return fmt.Errorf("it is nested more than %d deep", maxNested)
			}
		case '}', ']':
			depth--
		case 'n':
			return fmt.Errorf("null stands at %s: leave out what is not there", nullAt(body))
		}
	}
	return nil
}

// TextUnder gives the text that stands under a name of an object, and reads nothing else: an object is in an object is
// in an object, and each would be read as a whole once more only to learn its kind. It is false where there is none, and
// where that takes more to know: in what is no JSON, in names and texts with escapes, in names that differ by their case.
func TextUnder(name string, body []byte) (text string, ok bool) {
	i := unspaced(body, 0)
	if i == len(body) || body[i] != '{' {
		return "", false
	}
	for i = unspaced(body, i+1); i < len(body) && body[i] == '"'; i = unspaced(body, i+1) {
		key, end := textAt(body, i)
		i = unspaced(body, end)
		if end == 0 || i == len(body) || body[i] != ':' {
			return "", false
		}
		i = unspaced(body, i+1)
		value, end := textAt(body, i)
		switch is := string(key) == name; {
		case end > 0 && is:
			text, ok, i = string(value), true, end
		case is, bytes.EqualFold(key, []byte(name)):
			return "", false
		default:
			i = passed(body, i)
		}
		if i = unspaced(body, i); i == len(body) || body[i] != ',' {
			break
		}
	}
	if i >= len(body) || body[i] != '}' || unspaced(body, i+1) < len(body) {
		return "", false
	}
	return text, ok
}

// textAt gives a text without escapes that begins at i, and where it has ended; 0 if there is none.
func textAt(body []byte, i int) (text []byte, end int) {
	if i >= len(body) || body[i] != '"' {
		return nil, 0
	}
	for end = i + 1; end < len(body) && body[end] != '"'; end++ {
		if body[end] == '\\' {
			return nil, 0
		}
	}
	if end == len(body) {
		return nil, 0
	}
	return body[i+1 : end], end + 1
}

// passed gives where the value that begins at i has ended, by its brackets.
func passed(body []byte, i int) int {
	for depth := 0; i < len(body); i++ {
		switch body[i] {
		case '"':
			i = closing(body, i)
		case '{', '[':
			depth++
		case '}', ']':
			if depth--; depth < 0 {
				return i
			}
		case ',':
			if depth == 0 {
				return i
			}
		}
	}
	return len(body)
}

// closing gives where the quote stands that ends the text which begins at i.
func closing(body []byte, i int) int {
	for i++; i < len(body) && body[i] != '"'; i++ {
		if body[i] == '\\' {
			i++
		}
	}
	return i
}

func unspaced(body []byte, i int) int {
	for i < len(body) && (body[i] == ' ' || body[i] == '\n' || body[i] == '\t' || body[i] == '\r') {
		i++
	}
	return i
}

// nullAt gives the place of the first null, as a JSON Pointer (RFC 6901).
func nullAt(body []byte) string {
	d := json.NewDecoder(bytes.NewReader(body))
	type level struct {
		object bool
		key    string
		n      int
	}
	var path []level
	expectKey := false
	for {
		token, err := d.Token()
		if err != nil {
			return "a place that cannot be read"
		}
		top := len(path) - 1
		if key, is := token.(string); is && expectKey {
			path[top].key, expectKey = key, false
			continue
		}
		switch token {
		case json.Delim('{'), json.Delim('['):
			path = append(path, level{object: token == json.Delim('{')})
		case json.Delim('}'), json.Delim(']'):
			path = path[:top]
		case nil:
			var parts strings.Builder
			for _, l := range path {
				if l.object {
					fmt.Fprintf(&parts, "/%s", l.key)
				} else {
					fmt.Fprintf(&parts, "/%d", l.n)
				}
			}
			return parts.String()
		}
		if top = len(path) - 1; top >= 0 && !(token == json.Delim('{') || token == json.Delim('[')) && !path[top].object {
			path[top].n++
		}
		expectKey = top >= 0 && path[top].object
	}
}

// Rescued turns a panic while a body is read into an error of that body: no document ends the program. It is
// a fault of the program all the same, and says so.
func Rescued(err *error) {
	if r := recover(); r != nil {
		*err = &Fault{Value: r, Stack: string(debug.Stack())}
	}
}

// Fault is a panic while a body was read.
type Fault struct {
	Value any
	Stack string
}

// Error says that it is no fault of the document.
func (*Fault) Error() string {
	return "the program has a fault that shows when it reads this; it was logged"
}
