package server

import (
	"context"

	"ambergate/core/nav"
)

// others finds other projects as they are released, for ways that lead there.
func (s *Server) others(ctx context.Context) func(slug string) *nav.App {
	return func(slug string) *nav.App {
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
