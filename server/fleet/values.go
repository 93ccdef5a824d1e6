package fleet

import (
	"bytes"
	"context"
	"encoding/json"
	"errors"
	"fmt"
	"net/http"
	"time"

	"ambergate/plant"
)

// valuesPath is where the leading server tells the others the values of a plant.
const valuesPath = "/peer/values/"

// toldEvery is how often values are told at the most, stillEvery without a change, and unheardFor how long nothing may
// come until that is taken for lost.
const (
	toldEvery  = 50 * time.Millisecond
	stillEvery = 400 * time.Millisecond
	unheardFor = 1500 * time.Millisecond
)

// Values gives what the leading server reads of nodes of a plant. It implements plant.Lead.
func (f *Fleet) Values(ctx context.Context, name string, nodes []string, take func(plant.Batch)) error {
	at := f.Leader()
	if at == "" {
		return plant.ErrNoLead
	}
	ctx, stop := context.WithCancelCause(ctx)
	defer stop(nil)
	silence := time.AfterFunc(unheardFor, func() { stop(errors.New("the leading server is silent")) })
	defer silence.Stop()
	body, err := json.Marshal(nodes)
	if err != nil {
		return fmt.Errorf("ask for values: %w", err)
	}
	req, err := http.NewRequestWithContext(ctx, http.MethodPost, "https://"+at+valuesPath+name, bytes.NewReader(body))
	if err != nil {
		return fmt.Errorf("ask for values: %w", err)
	}
	resp, err := f.client.Do(req)
	if err != nil {
		return fmt.Errorf("ask the leading server for values: %w", err)
	}
	defer resp.Body.Close()
	if resp.StatusCode != http.StatusOK {
		return fmt.Errorf("the leading server gives no values of %s: %s", name, resp.Status)
	}
	lines := json.NewDecoder(resp.Body)
	for {
		var b plant.Batch
		if err := lines.Decode(&b); err != nil {
			return fmt.Errorf("hear values from the leading server: %w", err)
		}
		silence.Reset(unheardFor)
		take(b)
	}
}

// TellValues gives the handler by which other servers hear of values, of the plants that there are by name.
func (f *Fleet) TellValues(of func(name string) *plant.Client) http.Handler {
	return http.StripPrefix(valuesPath, http.HandlerFunc(func(w http.ResponseWriter, r *http.Request) {
		var nodes []string
		client := of(r.URL.Path)
		if client == nil || json.NewDecoder(r.Body).Decode(&nodes) != nil {
			http.Error(w, "no such plant", http.StatusNotFound)
			return
		}
		if !f.Direct() {
			http.Error(w, "this server does not lead", http.StatusServiceUnavailable)
			return
		}
		client.Watch(r.Context(), nodes, 0)
		f.tell(w, r, client, nodes)
	}))
}

// tell tells values until nobody hears any more, or another server leads.
func (f *Fleet) tell(w http.ResponseWriter, r *http.Request, client *plant.Client, nodes []string) {
	changed := client.Listen(nodes)
	defer changed.Close()
	out := http.NewResponseController(w)
	lines := json.NewEncoder(w)
	still := time.NewTicker(stillEvery)
	defer still.Stop()
	turn := uint64(0)
	for f.Direct() {
		var b plant.Batch
		b, turn = client.Tell(nodes, turn)
		_ = out.SetWriteDeadline(time.Now().Add(unheardFor))
		if lines.Encode(b) != nil || out.Flush() != nil {
			return
		}
		select {
		case <-r.Context().Done():
			return
		case <-still.C:
			continue
		case <-changed.C:
		}
		select { // what else changes within a moment goes along
		case <-r.Context().Done():
			return
		case <-time.After(toldEvery):
		}
	}
}

// Handler is that of what servers ask of each other: values, and requests of users that were passed on.
func (f *Fleet) Handler(everybody http.Handler, of func(name string) *plant.Client) http.Handler {
	mux := http.NewServeMux()
	mux.Handle(valuesPath, f.TellValues(of))
	mux.Handle("/", Taken(everybody))
	return mux
}
