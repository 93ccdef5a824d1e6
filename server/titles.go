package server

import (
	"context"

	"ambergate/api"
	"ambergate/core/ask"
	"ambergate/core/plan"
	"ambergate/core/use"
)

// titlesShown is how many records a picker is given at once.
const titlesShown = 20

// titles gives records of a table by title.
func (s *base) titles(ctx context.Context, app *plan.App, user *ask.User, ask use.TitleQuery) ([]api.Title, error) {
	ask.Limit = titlesShown
	rows, err := use.Titles(ctx, app, user, s.reader(app), s.localNow(app), ask)
	if err != nil {
		return nil, err
	}
	out := make([]api.Title, len(rows))
	for i, r := range rows {
		out[i] = api.Title{Key: r.Key, Title: r.Title}
	}
	return out, nil
}
