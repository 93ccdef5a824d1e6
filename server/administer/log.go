package administer

import (
	"github.com/gin-gonic/gin"

	"ambergate/api"
	"ambergate/server/answer"
	"ambergate/store"
)

// logPage is how many entries of the audit log are told at once.
const logPage = 100

// GetProgramLog tells who did what anywhere, to who administers the program.
func (s *Side) GetProgramLog(c *gin.Context, params api.GetProgramLogParams) {
	call(s, c, administers, func(_ store.Account, _ answer.Nothing) ([]api.LogEntry, error) {
		entries, err := s.Store.Audit(c, "", answer.Value(params.Before), logPage)
		out := make([]api.LogEntry, len(entries))
		for i, e := range entries {
			out[i] = api.LogEntry{Id: e.ID, At: e.At, Who: e.Who, What: e.What, Detail: e.Detail, From: e.Origin}
		}
		return out, err
	})
}
