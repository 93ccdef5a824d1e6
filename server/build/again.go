package build

import (
	"maps"
	"slices"

	"github.com/gin-gonic/gin"

	"ambergate/api"
	"ambergate/core/propose"
	"ambergate/server/answer"
)

// ReadAgain tells what differs between a project and its databases as they are now; nothing is changed by it.
func (s *Side) ReadAgain(c *gin.Context, slug string) {
	inBuild(s, c, slug, func(b *Building, _ answer.Nothing) ([]api.SourceRead, error) {
		p := b.Draft.App.Project
		out := []api.SourceRead{}
		for _, id := range slices.Sorted(maps.Keys(p.Sources)) {
			if p.Sources[id].Type != "postgresql" {
				continue
			}
			one := api.SourceRead{Source: id, Name: p.Sources[id].Name, Connection: p.Sources[id].Connection, Differences: []propose.Difference{}}
			db, err := s.Database(p.Sources[id].Connection)
			if err == nil {
				d, read := db.Catalogue(c)
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
		return out, nil
	})
}
