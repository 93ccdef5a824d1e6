package base

import (
	"context"

	"ambergate/api"
)

// logPage is how many entries of the audit log are told at once.
const logPage = 100

// Deeds gives the entries of the audit log of a project ("": of all) older than one (0: the newest).
func (s *Base) Deeds(ctx context.Context, project string, before int64) ([]api.LogEntry, error) {
	entries, err := s.Store.Audit(ctx, project, before, logPage)
	out := make([]api.LogEntry, len(entries))
	for i, e := range entries {
		out[i] = api.LogEntry{Id: e.ID, At: e.At, Who: e.Who, What: e.What, Detail: e.Detail, From: e.Origin}
	}
	return out, err
}
