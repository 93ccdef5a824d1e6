package records

import (
	"context"
	"fmt"
	"time"
)

// pressesKept is how long what presses came to is kept: a browser that was away sends again within it.
const pressesKept = 30 * 24 * time.Hour

// ForgetOld deletes what presses came to that nobody sends again. A source without the table for it has none.
func (s *Source) ForgetOld(ctx context.Context, now time.Time) error {
	_, err := s.pool.Exec(ctx, `delete from ambergate.press where at < $1`, now.Add(-pressesKept))
	if err != nil && !isOneOf(err, noPressTable) {
		return fmt.Errorf("forget old presses: %w", err)
	}
	return nil
}
