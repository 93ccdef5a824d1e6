package build

import (
	"bytes"
	"encoding/xml"
	"io"
	"slices"
	"strings"
)

// svgSpace is the namespace of drawings (SVG 1.1).
const svgSpace = "http://www.w3.org/2000/svg"

// active are elements of a drawing that do more than show.
var active = []string{"script", "foreignobject", "iframe", "embed", "object", "handler", "listener", "audio", "video"}

// plainDrawing says whether text is a drawing that only shows: no script, nothing that is fetched from elsewhere, no
// entities of its own. Such a one is harmless also where somebody opens it by itself.
func plainDrawing(text []byte) bool {
	d := xml.NewDecoder(bytes.NewReader(text))
	depth, roots := 0, 0
	for {
		token, err := d.Token()
		if err == io.EOF {
			return depth == 0 && roots == 1
		}
		if err != nil {
			return false
		}
		switch t := token.(type) {
		case xml.Directive:
			return false // it may define entities
		case xml.ProcInst:
			if t.Target != "xml" {
				return false
			}
		case xml.StartElement:
			if depth == 0 {
				if roots++; t.Name.Local != "svg" || t.Name.Space != svgSpace {
					return false
				}
			}
			depth++
			if slices.Contains(active, strings.ToLower(t.Name.Local)) || t.Name.Space == "http://www.w3.org/1999/xhtml" || slices.ContainsFunc(t.Attr, acts) {
				return false
			}
		case xml.EndElement:
			depth--
		case xml.CharData:
			if depth > 0 && fetches(string(t)) {
				return false // a style
			}
		}
	}
}

func acts(a xml.Attr) bool {
	name, value := strings.ToLower(a.Name.Local), strings.TrimSpace(a.Value)
	switch {
	case strings.HasPrefix(name, "on"):
		return true
	case name == "href" || name == "src":
		return !strings.HasPrefix(value, "#") && !strings.HasPrefix(value, "data:image/png;base64,") && !strings.HasPrefix(value, "data:image/jpeg;base64,")
	}
	return a.Name.Space != "xmlns" && name != "xmlns" && fetches(value)
}

// fetches says whether a style, or a value, names something elsewhere.
func fetches(style string) bool {
	plain := strings.ToLower(strings.Join(strings.Fields(style), ""))
	for rest := plain; ; {
		_, after, found := strings.Cut(rest, "url(")
		if !found {
			break
		}
		if after = strings.TrimLeft(after, `"'`); !strings.HasPrefix(after, "#") {
			return true
		}
		rest = after
	}
	return strings.Contains(plain, "@import") || strings.Contains(plain, "javascript:") || strings.Contains(plain, "expression(")
}
