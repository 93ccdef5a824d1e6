package server

import (
	"context"
	"maps"
	"slices"

	"github.com/gin-gonic/gin"

	"ambergate/api"
	"ambergate/core/plan"
	"ambergate/core/project"
)

// others finds other projects as they are released, for ways that lead there.
func (s *base) others(ctx context.Context) func(slug string) *plan.App {
	return func(slug string) *plan.App {
		id, err := s.apps.id(ctx, slug)
		if err != nil {
			return nil
		}
		app, _, err := s.apps.released(ctx, id)
		if err != nil {
			return nil
		}
		return app
	}
}

// GetOffers lists the screens that other projects offer, as they are released.
func (s *buildersSide) GetOffers(c *gin.Context, slug string) {
	inBuild(s, c, slug, func(b *building, _ nothing) ([]api.OfferedScreen, error) {
		out := []api.OfferedScreen{}
		projects, err := s.Store.Projects(c)
		if err != nil {
			return nil, err
		}
		others := s.others(c)
		for _, p := range projects {
			app := others(p.Slug)
			if p.ID == b.project || app == nil {
				continue
			}
			for _, id := range slices.Sorted(maps.Keys(app.Project.Screens)) {
				screen := app.Project.Screens[id]
				if !screen.Offered {
					continue
				}
				offer := api.OfferedScreen{Project: p.Slug, Title: p.Title, Entry: screen.Slug, Screen: screen.Title, Inputs: []api.OfferedInput{}}
				for _, in := range project.Ordered(screen.Inputs) {
					offer.Inputs = append(offer.Inputs, api.OfferedInput{Alias: in.Alias, Label: in.Label, Required: orNil(in.Required)})
				}
				out = append(out, offer)
			}
		}
		return out, nil
	})
}
