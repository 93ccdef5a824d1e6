package base

import (
	"context"

	"ambergate/core/plan"
)

// Others finds other projects as they are released, for ways that lead there.
func (s *Base) Others(ctx context.Context) func(slug string) *plan.App {
	return func(slug string) *plan.App {
		id, err := s.Apps.ID(ctx, slug)
		if err != nil {
			return nil
		}
		app, _, err := s.Apps.Released(ctx, id)
		if err != nil {
			return nil
		}
		return app
	}
}
