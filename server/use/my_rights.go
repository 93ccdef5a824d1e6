package use

import (
	"github.com/gin-gonic/gin"

	"ambergate/api"
	"ambergate/core/words"
	"ambergate/server/answer"
)

// GetMyRights tells users what they may do in an application, in words.
func (s *Side) GetMyRights(c *gin.Context, slug string) {
	inUse(s, c, slug, func(v *Visit, _ answer.Nothing) (api.MyRights, error) {
		out := api.MyRights{Roles: v.roleNames(), Start: answer.OrNil(v.homeTitle())}
		out.Tables, out.Screens = words.MayDo(v.App, v.user)
		return out, nil
	})
}
