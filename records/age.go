package records

import (
	"context"
	"errors"
	"fmt"
	"time"

	"ambergate/database"
)

// pressesKept is how long what presses came to is kept: a browser that was away sends again within it.
const pressesKept = 30 * 24 * time.Hour

// pressesAtOnce is how many go at once: none of it is to hold up what people wait for.
const pressesAtOnce = 5000

// ErrMayNotForget means that the login may not delete old presses: their table grows until it may.
var ErrMayNotForget = errors.New("the login may not delete from ambergate.press")

// ForgetOld deletes what presses came to that nobody sends again. A source without the table for it has none.
// Error: ErrMayNotForget, where its login may add to it and not delete.
func (s *Source) ForgetOld(ctx context.Context, now time.Time) error {
	err := database.InParts(ctx, pressesAtOnce, func(ctx context.Context, rows int) (int64, error) {
		tag, err := s.pool.Exec(ctx, `delete from ambergate.press where ctid = any(array(select ctid from ambergate.press where at < $1 limit $2))`, now.Add(-pressesKept), rows)
		return tag.RowsAffected(), err
	})
	switch {
	case isOneOf(err, mayNot) && !s.OnlyRead():
		return fmt.Errorf("%w: %w", ErrMayNotForget, err)
	case err != nil && !isOneOf(err, noPressTable):
		return fmt.Errorf("forget old presses: %w", err)
	}
	return nil
}
