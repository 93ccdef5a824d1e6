package server

import (
	"github.com/gin-gonic/gin"

	"ambergate/api"
	"ambergate/core/words"
)

// GetMyRights tells users what they may do in an application, in words.
func (s *usersSide) GetMyRights(c *gin.Context, slug string) {
	inUse(s, c, slug, func(v *visit, _ nothing) (api.MyRights, error) {
		out := api.MyRights{Roles: v.roleNames(), Start: orNil(v.homeTitle())}
		out.Tables, out.Screens = words.MayDo(v.app, v.user)
		return out, nil
	})
}
