package build

import (
	"context"
	"log/slog"
	"maps"
	"slices"

	"github.com/gin-gonic/gin"

	"ambergate/api"
	"ambergate/core/project"
	"ambergate/core/propose"
	"ambergate/server/answer"
	"ambergate/server/base"
)

// ReadAgain tells what differs between a project and its databases as they are now; nothing is changed by it.
func (s *Side) ReadAgain(c *gin.Context, slug string) {
	In(s, c, slug, func(b *Building, _ answer.Nothing) ([]api.SourceRead, error) {
		return s.readAgain(c, b.Draft.App.Project), nil
	})
}

func (s *Side) readAgain(ctx context.Context, p *project.Project) []api.SourceRead {
	out := []api.SourceRead{}
	for _, id := range slices.Sorted(maps.Keys(p.Sources)) {
		if p.Sources[id].Type != "postgresql" {
			continue
		}
		one := api.SourceRead{Source: id, Name: p.Sources[id].Name, Connection: p.Sources[id].Connection, Differences: []propose.Difference{}}
		db, err := s.Database(p.Sources[id].Connection)
		if err == nil {
			d, read := db.Catalogue(ctx)
			if err = read; err == nil {
				one.Differences = append(one.Differences, propose.Again(p, id, d)...)
			}
		}
		if err != nil { // one that is away does not keep the others from being told
			_, problem := answer.Describe(err)
			one.No = &problem
		}
		out = append(out, one)
	}
	return out
}

// TellDifferences reads the databases of all projects again and logs what is gone from them or is otherwise now: it
// is done at each start. What is only not taken in is no trouble, and is told on the page alone.
func (s *Side) TellDifferences(ctx context.Context, log *slog.Logger) {
	defer base.Recovered(log, "read the databases again")
	all, err := s.Store.Projects(ctx)
	if err != nil {
		log.Warn("the databases could not be read again", "error", err)
		return
	}
	for _, info := range all {
		d, err := s.Apps.Draft(ctx, info.ID)
		if err != nil {
			log.Warn("an application could not be read", "application", info.Slug, "error", err)
			continue
		}
		for _, source := range s.readAgain(ctx, d.App.Project) {
			if source.No != nil {
				log.Warn("a database could not be read again", "application", info.Slug, "connection", source.Connection, "why", source.No.What)
			}
			for _, one := range source.Differences {
				if one.Kind != "new" {
					log.Warn("a database differs from an application", "application", info.Slug, "connection", source.Connection, "what", one.Words)
				}
			}
		}
	}
}
