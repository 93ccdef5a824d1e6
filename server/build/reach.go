package build

import (
	"context"
	"slices"

	"github.com/gin-gonic/gin"

	"ambergate/api"
	"ambergate/core/ask"
	"ambergate/core/check/reach"
	"ambergate/core/whole"
	"ambergate/server/answer"
)

// Who gives those that reach is told for: each role, and each set of several that people have.
func (b *Building) Who() []whole.Who { return whole.Sets(b.Draft.App.Project, b.Draft.Sets) }

// whoIs finds one of them by its key. The error is a refusal.
func (b *Building) whoIs(key string) (whole.Who, error) {
	all := b.Who()
	i := slices.IndexFunc(all, func(w whole.Who) bool { return w.Key == key })
	if i < 0 {
		return whole.Who{}, &ask.Refusal{Code: "no-role", What: "Nobody has just these roles any more.", Then: "Choose another."}
	}
	return all[i], nil
}

// GetReach tells who gets where.
func (s *Side) GetReach(c *gin.Context, slug string, params api.GetReachParams) {
	In(s, c, slug, func(b *Building, _ answer.Nothing) (whole.Table, error) {
		was, err := s.reachBefore(c, b, string(answer.Value(params.Against)))
		return whole.TableOf(b.Draft.Reach(), b.Who(), was), err
	})
}

// reachBefore gives what led where at another time; nil for none.
func (s *Side) reachBefore(ctx context.Context, b *Building, when string) (*reach.Graph, error) {
	switch when {
	case "release":
		if b.Draft.Newest() == 0 {
			return nil, nil
		}
		app, err := s.Apps.Release(ctx, b.Project, b.Draft.Newest())
		if err != nil {
			return nil, err
		}
		return reach.Of(app, nil), nil
	case "edit":
		inverse, err := s.Store.LastEdit(ctx, b.Project, b.Account.ID)
		if err != nil || inverse == nil {
			return nil, err
		}
		if app, ok := b.Draft.Without(inverse); ok {
			return reach.Of(app, b.Draft.Reach()), nil
		}
	}
	return nil, nil
}

// GetReachPath tells how somebody gets to a screen, and back.
func (s *Side) GetReachPath(c *gin.Context, slug string, params api.GetReachPathParams) {
	In(s, c, slug, func(b *Building, _ answer.Nothing) (whole.Path, error) {
		w, err := b.whoIs(params.Who)
		if err != nil {
			return whole.Path{}, err
		}
		out, there := whole.PathTo(b.Draft.Reach(), w, b.Who(), params.Screen)
		if !there {
			return out, noScreen()
		}
		return out, nil
	})
}

func noScreen() error {
	return &ask.Refusal{Code: "no-screen", What: "This screen does not exist any more.", Then: "Choose another."}
}

// GetPathsBetween tells every path from one screen to another.
func (s *Side) GetPathsBetween(c *gin.Context, slug string, params api.GetPathsBetweenParams) {
	In(s, c, slug, func(b *Building, _ answer.Nothing) (whole.Between, error) {
		w, err := b.whoIs(params.Who)
		if err != nil {
			return whole.Between{}, err
		}
		screens := b.Draft.App.Project.Screens
		if screens[params.From] == nil || screens[params.To] == nil {
			return whole.Between{}, noScreen()
		}
		return whole.PathsBetween(b.Draft.Reach(), w, params.From, params.To), nil
	})
}
