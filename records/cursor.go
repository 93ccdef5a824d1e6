package records

import (
	"encoding/base64"
	"encoding/json"

	"ambergate/core/ask"
)

func (f *fetch) equalPrefix(cursor []*string) []string {
	var out []string
	for i, v := range cursor {
		if v == nil {
			out = append(out, f.orders[i].sql+" is null")
		} else {
			out = append(out, f.orders[i].sql+" = "+f.arg(*v))
		}
	}
	return out
}

func writeCursor(values []any) string {
	parts := make([]*string, len(values))
	for i, v := range values {
		if text, ok := v.(string); ok {
			parts[i] = &text
		}
	}
	text, err := json.Marshal(parts)
	if err != nil {
		return "" // strings always encode
	}
	return base64.RawURLEncoding.EncodeToString(text)
}

func readCursor(cursor string, n int) ([]*string, error) {
	text, err := base64.RawURLEncoding.DecodeString(cursor)
	var parts []*string
	if err == nil {
		err = json.Unmarshal(text, &parts)
	}
	if err != nil || len(parts) != n {
		return nil, &ask.Refusal{Code: "bad-cursor", What: "The list has been ordered anew.", Then: "Load it again."}
	}
	return parts, nil
}
