package alone

import (
	"encoding/json"
	"fmt"
	"net/http"

	"ambergate/api"
)

// Release puts an application, named by its slug, into use as it is, whatever stands in the way. A no is an error.
func Release(client *http.Client, base, slug string) error {
	resp, err := client.Get(base + "/api/build/" + slug + "/readiness")
	if err != nil {
		return fmt.Errorf("ask what stops a release: %w", err)
	}
	defer resp.Body.Close()
	var ready api.Readiness
	if err := json.NewDecoder(resp.Body).Decode(&ready); err != nil {
		return fmt.Errorf("read what stops a release: %w", err)
	}
	accepted := []map[string]string{}
	for _, stop := range ready.Stops {
		accepted = append(accepted, map[string]string{"key": stop.Key, "because": "it is measured"})
	}
	return Post(client, base+"/api/build/"+slug+"/releases", map[string]any{"accepted": accepted}, nil)
}
