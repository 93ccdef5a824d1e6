package administer

import (
	"github.com/gin-gonic/gin"

	"ambergate/api"
	"ambergate/server/answer"
	"ambergate/store"
)

// GetProgramLog tells who did what anywhere, to who administers the program.
func (s *Side) GetProgramLog(c *gin.Context, params api.GetProgramLogParams) {
	call(s, c, administers, func(_ store.Account, _ answer.Nothing) ([]api.LogEntry, error) {
		return s.Deeds(c, "", answer.Value(params.Before))
	})
}
