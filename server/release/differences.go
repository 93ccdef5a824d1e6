package release

import (
	"context"
	"slices"
	"strings"

	"github.com/gin-gonic/gin"

	"ambergate/api"
	"ambergate/core/check/reach"
	"ambergate/core/differ"
	"ambergate/core/whole"
	"ambergate/server/answer"
	"ambergate/server/build"
	"ambergate/store"
)

// GetDifferences tells what is different between two releases, or a release and the draft.
func (s *Side) GetDifferences(c *gin.Context, slug string, params api.GetDifferencesParams) {
	build.In(s.of, c, slug, func(b *build.Building, _ answer.Nothing) (api.Differences, error) {
		was, first, err := s.sideOf(c, b, &params.Was)
		if err != nil {
			return api.Differences{}, err
		}
		now, last, err := s.sideOf(c, b, params.Now)
		if err != nil {
			return api.Differences{}, err
		}
		made, err := s.of.Store.Edits(c, store.HistoryQuery{Project: b.Project, After: min(first, last), Before: max(first, last) + 1, Limit: mostAttributed})
		if err != nil {
			return api.Differences{}, err
		}
		out := api.Differences{From: params.Was, To: params.Now, Changes: differ.Tell(differ.Of(was, now), whoMade(made)), Reach: []string{}}
		graph := b.Draft.Reach()
		if params.Now != nil {
			graph = reach.Of(now.App, graph)
		}
		if params.Was != 0 {
			out.Reach = whole.Told(graph, whole.Sets(now.App.Project, b.Draft.Sets), reach.Of(was.App, graph))
		}
		return out, nil
	})
}

// mostAttributed is how many edits are looked at for who made what.
const mostAttributed = 5000

// sideOf gives a release, 0 for nothing at all, nil for the draft; and the last edit that is in it.
func (s *Side) sideOf(ctx context.Context, b *build.Building, number *int) (differ.Side, int64, error) {
	switch {
	case number == nil:
		return b.Draft.Side(), b.Draft.Seq, nil
	case *number == 0:
		return differ.Side{App: b.Draft.App}, 0, nil // names are those of the draft
	}
	side, r, err := s.of.Apps.ReleaseSide(ctx, b.Project, *number)
	if err != nil {
		return differ.Side{}, 0, noRelease(err, *number)
	}
	return side, r.Seq, nil
}

// whoMade says whose edits touched some places, the newest first; those that were taken back count for nothing.
func whoMade(edits []store.Made) func(paths []string) []string {
	return func(paths []string) []string {
		var out []string
		for _, e := range edits {
			if e.Undone != 0 || e.Undoes != 0 || slices.Contains(out, e.Name) {
				continue
			}
			if touches(e, paths) {
				out = append(out, e.Name)
			}
		}
		return out
	}
}

func touches(e store.Made, paths []string) bool {
	for _, op := range e.Patch {
		if op.Op == "test" {
			continue
		}
		for _, p := range paths {
			if p == op.Path || strings.HasPrefix(p, op.Path+"/") || strings.HasPrefix(op.Path, p+"/") {
				return true
			}
		}
	}
	return false
}
