package build

import (
	"maps"
	"slices"

	"github.com/gin-gonic/gin"

	"ambergate/api"
	"ambergate/core/project"
	"ambergate/server/answer"
)

// GetOffers lists the screens that other projects offer, as they are released.
func (s *Side) GetOffers(c *gin.Context, slug string) {
	In(s, c, slug, func(b *Building, _ answer.Nothing) ([]api.OfferedScreen, error) {
		out := []api.OfferedScreen{}
		projects, err := s.Store.Projects(c)
		if err != nil {
			return nil, err
		}
		others := s.Others(c)
		for _, p := range projects {
			app := others(p.Slug)
			if p.ID == b.Project || app == nil {
				continue
			}
			for _, id := range slices.Sorted(maps.Keys(app.Project.Screens)) {
				screen := app.Project.Screens[id]
				if !screen.Offered {
					continue
				}
				offer := api.OfferedScreen{Project: p.Slug, Title: p.Title, Entry: screen.Slug, Screen: screen.Title, Inputs: []api.OfferedInput{}}
				for _, in := range project.Ordered(screen.Inputs) {
					offer.Inputs = append(offer.Inputs, api.OfferedInput{Alias: in.Alias, Label: in.Label, Type: in.Type, Required: answer.OrNil(in.Required)})
				}
				out = append(out, offer)
			}
		}
		return out, nil
	})
}
