package base

import (
	"context"

	"ambergate/api"
	"ambergate/core/ask"
	"ambergate/core/plan"
	"ambergate/core/use"
)

// titlesShown is how many records a picker is given at once.
const titlesShown = 20

// Titles gives records of a table by title.
func (s *Base) Titles(ctx context.Context, app *plan.App, user *ask.User, ask use.TitleQuery) ([]api.Title, error) {
	ask.Limit = titlesShown
	rows, err := use.Titles(ctx, app, user, s.Reader(app), s.LocalNow(app), ask)
	if err != nil {
		return nil, err
	}
	out := make([]api.Title, len(rows))
	for i, r := range rows {
		out[i] = api.Title{Key: r.Key, Title: r.Title}
	}
	return out, nil
}
