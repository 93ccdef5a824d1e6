package store

import (
	"context"
	"errors"
	"fmt"
	"time"

	"ambergate/database"
)

// aged says what is forgotten by age, and after how long, as PostgreSQL writes it.
// at says how many go at once: none of it is to hold up what people wait for.
var aged = []struct {
	table, where, after string
	at                  int
}{
	{"session", "ends_at", "0 seconds", 5000},
	{"session", "seen_at", "4 hours", 5000}, // as long as one may be idle
	{"guess", "at", "1 day", 5000},
	{"trail", "seen_at", "30 days", 100}, // with its places
	{"draft", "at", "30 days", 2000},
	{"practice", "at", "1 day", 1000},
	{"attempt", "at", "90 days", 5000},
	{"known_browser", "seen_at", "365 days", 5000},
	{"walk", "at", "365 days", 5000},
	{"way_used", "week", "365 days", 5000},
	{"plant_command", "at", "730 days", 5000},
	{"callup", "ended", "365 days", 1000}, // with who has seen it
	{"audit", "at", "1095 days", 5000},
}

// releasesKept is how many releases of a project are kept, whatever their age; older ones go after a year.
const releasesKept = 50

// ForgetOld deletes what nobody comes back to: what ended, and what is older than its time.
// Where some of it cannot go, the rest does.
func (s *Store) ForgetOld(ctx context.Context, now time.Time) error {
	var failed []error
	for _, old := range aged {
		err := database.InParts(ctx, old.at, func(ctx context.Context, rows int) (int64, error) {
			tag, err := s.pool.Exec(ctx, `delete from `+old.table+` where ctid = any(array(select ctid from `+old.table+` where `+old.where+` < $1::timestamptz - interval '`+old.after+`' limit $2))`, now, rows)
			return tag.RowsAffected(), err
		})
		if err != nil {
			failed = append(failed, fmt.Errorf("forget what is old of %s: %w", old.table, err))
		}
	}
	_, err := s.pool.Exec(ctx, `delete from release r using project p where p.id = r.project and r.number <= p.released - $2 and r.at < $1::timestamptz - interval '365 days'`, now, releasesKept)
	if err != nil {
		failed = append(failed, fmt.Errorf("forget old releases: %w", err))
	}
	return errors.Join(failed...)
}
