package build

import (
	"github.com/gin-gonic/gin"

	"ambergate/api"
	"ambergate/core/whole"
	"ambergate/server/answer"
)

// whoFor gives just one of those that are told for, or each role alone.
func (b *Building) whoFor(key *string) ([]whole.Who, error) {
	if key == nil || *key == "" {
		var out []whole.Who
		for _, w := range b.who() {
			if len(w.Roles) == 1 {
				out = append(out, w)
			}
		}
		return out, nil
	}
	w, err := b.whoIs(*key)
	return []whole.Who{w}, err
}

// GetMap lays all screens out, by the presses from the start.
func (s *Side) GetMap(c *gin.Context, slug string, params api.GetMapParams) {
	inBuild(s, c, slug, func(b *Building, _ answer.Nothing) (whole.Map, error) {
		who, err := b.whoFor(params.Who)
		if err != nil {
			return whole.Map{}, err
		}
		return whole.MapOf(b.Draft.Reach(), who), nil
	})
}

// GetWireWays tells the ways of one wire as sentences.
func (s *Side) GetWireWays(c *gin.Context, slug string, params api.GetWireWaysParams) {
	inBuild(s, c, slug, func(b *Building, _ answer.Nothing) ([]whole.WireWay, error) {
		who, err := b.whoFor(params.Who)
		if err != nil {
			return nil, err
		}
		return whole.WaysOf(b.Draft.Reach(), who, params.From, params.To), nil
	})
}
