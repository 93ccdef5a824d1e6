package base

import (
	"context"
	"errors"
	"strings"

	"ambergate/api"
	"ambergate/core/ask"
	"ambergate/plant"
	"ambergate/server/answer"
)

// PlantSettings is where a plant is, how the way there is kept safe, and who signs in to it: all but the password.
type PlantSettings struct {
	Endpoint  string `json:"endpoint"`
	Namespace string `json:"namespace"`
	Security  string `json:"security"` // off, signed, encrypted
	Policy    string `json:"policy"`
	Login     string `json:"login"`
	Trusted   string `json:"trusted"` // fingerprint of its certificate
	Certified bool   `json:"certified,omitempty"`
}

// PlantOf gives what a client is opened with.
func (b *Base) PlantOf(s PlantSettings, password string) plant.Settings {
	return plantOf(b.Config, s, password)
}

func plantOf(c Config, s PlantSettings, password string) plant.Settings {
	return plant.Settings{Endpoint: s.Endpoint, Namespace: s.Namespace, Security: s.Security, Policy: s.Policy, Login: s.Login, Password: password, Trusted: s.Trusted, Certified: s.Certified, Own: c.Certificate}
}

// longestAsked bounds what a plant is asked for, in characters.
const longestAsked = 2000

// Plant gives the plant behind a connection. The error is a refusal in words.
func (b *Base) Plant(connection string) (*plant.Client, error) {
	if client := b.Connected.Now().Plants[connection]; client != nil {
		return client, nil
	}
	return nil, &ask.Refusal{Code: "no-source", What: "There is no plant “" + connection + "”.", Then: "Look at the connections."}
}

// Nodes browses a plant below a path, or searches it by words where there are some. Errors are refusals in words.
func (b *Base) Nodes(ctx context.Context, connection, below, words string) (api.PlantNodes, error) {
	client, err := b.Plant(connection)
	if err != nil {
		return api.PlantNodes{}, err
	}
	if words = strings.TrimSpace(words); len(below)+len(words) > longestAsked {
		return api.PlantNodes{}, &ask.Refusal{Code: "too-much", What: "Nothing in a plant is called by so many words.", Then: "Look for fewer."}
	}
	var found []plant.Found
	var more bool
	if words != "" {
		found, more, err = client.Search(ctx, words)
	} else {
		found, more, err = client.Browse(ctx, below)
	}
	if err != nil {
		return api.PlantNodes{}, Browsing(client, err)
	}
	out := api.PlantNodes{More: more, Nodes: make([]api.PlantNode, len(found))}
	for i, f := range found {
		out.Nodes[i] = api.PlantNode{Path: f.Path, Name: f.Name, Folder: f.Folder, Kind: f.Kind.String(), Readable: f.Readable, Writable: f.Writable, Unit: answer.OrNil(f.Unit), Low: f.Low, High: f.High, Now: answer.OrNil(f.Now)}
	}
	return out, nil
}

// Browsing says why a plant cannot be browsed now.
func Browsing(client *plant.Client, err error) error {
	why := client.Away()
	switch {
	case errors.Is(err, plant.ErrAway) && why != nil:
		return plant.InWords(why, client.Settings())
	case errors.Is(err, plant.ErrAway):
		return &ask.Refusal{Cause: err, Code: "no-plant", What: "The plant is not connected yet.", Then: "Try again in a moment."}
	}
	return plant.InWords(err, client.Settings())
}
