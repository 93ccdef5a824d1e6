package build

import (
	"github.com/gin-gonic/gin"

	"ambergate/api"
	"ambergate/server/answer"
	"ambergate/server/called"
)

// GetCallUpsNow tells how it is with the call-ups of the draft, so that they can be tried before they are released.
func (s *Side) GetCallUpsNow(c *gin.Context, slug string) {
	In(s, c, slug, func(b *Building, _ answer.Nothing) ([]api.CallUpNow, error) {
		all, err := called.Now(c, s.Base, b.Draft.App)
		out := make([]api.CallUpNow, len(all))
		for i, one := range all {
			out[i] = api.CallUpNow{CallUp: one.CallUp, Of: one.Of, On: one.On, Unknown: answer.OrNil(one.Unknown)}
		}
		return out, err
	})
}
