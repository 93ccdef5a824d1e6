package store

import (
	"context"
	"fmt"
	"time"
)

// aged says what is forgotten by age, and after how long, as PostgreSQL writes it.
var aged = []struct{ table, where, after string }{
	{"session", "ends_at", "0 seconds"},
	{"session", "seen_at", "4 hours"}, // as long as one may be idle
	{"guess", "at", "1 day"},
	{"trail", "seen_at", "30 days"}, // with its places
	{"draft", "at", "30 days"},
	{"practice", "at", "1 day"},
	{"attempt", "at", "90 days"},
	{"known_browser", "seen_at", "365 days"},
	{"walk", "at", "365 days"},
	{"way_used", "week", "365 days"},
	{"plant_command", "at", "730 days"},
	{"callup", "ended", "365 days"}, // with who has seen it
	{"audit", "at", "1095 days"},
}

// releasesKept is how many releases of a project are kept, whatever their age; older ones go after a year.
const releasesKept = 50

// ForgetOld deletes what nobody comes back to: what ended, and what is older than its time.
func (s *Store) ForgetOld(ctx context.Context, now time.Time) error {
	for _, old := range aged {
		if _, err := s.pool.Exec(ctx, `delete from `+old.table+` where `+old.where+` < $1::timestamptz - interval '`+old.after+`'`, now); err != nil {
			return fmt.Errorf("forget what is old: %w", err)
		}
	}
	_, err := s.pool.Exec(ctx, `delete from release r using project p where p.id = r.project and r.number <= p.released - $2 and r.at < $1::timestamptz - interval '365 days'`, now, releasesKept)
	if err != nil {
		return fmt.Errorf("forget old releases: %w", err)
	}
	return nil
}
