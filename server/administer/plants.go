package administer

import (
	"context"
	"encoding/json"
	"errors"
	"strings"

	"github.com/gin-gonic/gin"

	"ambergate/api"
	"ambergate/core/ask"
	"ambergate/plant"
	"ambergate/plant/certificate"
	"ambergate/server/answer"
	"ambergate/server/base"
	"ambergate/store"
)

// plantConnection is a plant as somebody wrote it down.
type plantConnection struct {
	side     *Side
	settings base.PlantSettings
}

func (s *Side) plantOf(p api.PlantSettings) plantConnection {
	trim := strings.TrimSpace
	return plantConnection{s, base.PlantSettings{Endpoint: trim(p.Endpoint), Namespace: trim(p.Namespace), Security: p.Security, Policy: p.Policy, Login: trim(p.Login), Trusted: trim(p.Trusted), Certified: answer.Value(p.Certified)}}
}

func (p plantConnection) kind() string  { return base.KindPlant }
func (p plantConnection) settled() any  { return p.settings }
func (p plantConnection) where() string { return p.settings.Endpoint }

func (p plantConnection) wrong(password string) map[string]string {
	return p.side.PlantOf(p.settings, password).Wrong()
}

// try connects, and tells what there is even where it is not let in.
func (p plantConnection) try(ctx context.Context, password string) (api.Tried, error) {
	ctx, stop := context.WithTimeout(ctx, tryWithin)
	defer stop()
	with := p.side.PlantOf(p.settings, password)
	if with.Security != plant.None && with.Own == nil {
		return api.Tried{}, &ask.Refusal{Code: "plant-offers-not", What: "This program was started without a certificate of its own.", Then: "Connect without safety, or start it with a folder."}
	}
	found, err := plant.Try(ctx, with)
	out := api.Tried{Schemas: []string{}, Plant: &api.TriedPlant{Server: found.Server, Namespaces: found.Namespaces, Offers: make([]api.PlantOffer, len(found.Offers))}}
	for i, o := range found.Offers {
		out.Plant.Offers[i] = api.PlantOffer{Security: o.Security, Policy: o.Policy, Named: o.Named}
	}
	var untrusted *plant.Untrusted
	if errors.As(err, &untrusted) {
		found.Shown = &untrusted.Shown
	}
	if found.Shown != nil {
		out.Plant.Certificate = shown(*found.Shown)
	}
	if err != nil {
		_, problem := answer.Describe(plant.InWords(err, with))
		out.No = &problem
	}
	return out, nil
}

func shown(c certificate.Shown) *api.ShownCertificate {
	return &api.ShownCertificate{Fingerprint: c.Fingerprint, Subject: c.Subject, Until: c.Until}
}

// describePlant says where a plant is, and what keeps it from being reached.
func describePlant(one *api.ConnectionInfo, k store.Connection, client *plant.Client, all bool) {
	var p base.PlantSettings
	_ = json.Unmarshal(k.Settings, &p) // what was written by this program can be read by it
	one.Where = p.Endpoint
	if all {
		one.Plant = &api.PlantSettings{Endpoint: p.Endpoint, Namespace: p.Namespace, Security: p.Security, Policy: p.Policy, Login: p.Login, Trusted: p.Trusted, Certified: &p.Certified}
	}
	if client == nil || client.Good() {
		return
	}
	if err := client.Away(); err != nil {
		one.Away = answer.Ptr(plant.InWords(err, plant.Settings{Endpoint: p.Endpoint, Namespace: p.Namespace, Login: p.Login, Certified: p.Certified}).What)
	}
}

// GetPlantCertificate gives the certificate that plants are to trust, without its key.
func (s *Side) GetPlantCertificate(c *gin.Context) {
	call(s, c, administers, func(_ store.Account, _ answer.Nothing) (*api.ShownCertificate, error) {
		if s.Certificate == nil {
			return nil, &ask.Refusal{Code: "no-file", What: "This program was started without a certificate of its own.", Then: "Start it with a folder."}
		}
		out := shown(certificate.Show(s.Certificate.DER))
		out.Pem = answer.Ptr(s.Certificate.PEM())
		return out, nil
	})
}

// GetNodes browses a plant, or searches it. Who builds may.
func (s *Side) GetNodes(c *gin.Context, name string, params api.GetNodesParams) {
	call(s, c, builds, func(_ store.Account, _ answer.Nothing) (api.PlantNodes, error) {
		if err := s.ToLeader(c, nil); err != nil {
			return api.PlantNodes{}, err
		}
		return s.Nodes(c, name, answer.Value(params.Below), answer.Value(params.Words))
	})
}
