package alone

import (
	"bytes"
	"encoding/json"
	"fmt"
	"io"
	"net/http"
)

// Post makes a call of the API and reads its answer into something, nil: not at all. A no is an error, in its words.
func Post(client *http.Client, address string, body, into any) error {
	text, err := json.Marshal(body)
	if err != nil {
		return fmt.Errorf("write a call: %w", err)
	}
	resp, err := client.Post(address, "application/json", bytes.NewReader(text))
	if err != nil {
		return fmt.Errorf("call %s: %w", address, err)
	}
	defer resp.Body.Close()
	if into == nil && resp.StatusCode < 300 {
		if _, err := io.Copy(io.Discard, resp.Body); err != nil { // not kept: what reads it is measured too
			return fmt.Errorf("call %s: %w", address, err)
		}
		return nil
	}
	answer, err := io.ReadAll(resp.Body)
	if err != nil {
		return fmt.Errorf("call %s: %w", address, err)
	}
	if resp.StatusCode >= 300 {
		return fmt.Errorf("call %s: %d %.300s", address, resp.StatusCode, answer)
	}
	return json.Unmarshal(answer, into)
}
