package records

import (
	"context"
	"fmt"
	"time"
)

// pressesKept is how long what presses came to is kept: a browser that was away sends again within it.
const pressesKept = 30 * 24 * time.Hour

// pressesAtOnce is how many go at once: none of it is to hold up what people wait for.
const pressesAtOnce = 5000

// ForgetOld deletes what presses came to that nobody sends again. A source without the table for it has none.
func (s *Source) ForgetOld(ctx context.Context, now time.Time) error {
	for {
		tag, err := s.pool.Exec(ctx, `delete from ambergate.press where ctid = any(array(select ctid from ambergate.press where at < $1 limit $2))`, now.Add(-pressesKept), pressesAtOnce)
		if isOneOf(err, noPressTable) {
			return nil
		}
		if err != nil {
			return fmt.Errorf("forget old presses: %w", err)
		}
		if tag.RowsAffected() < pressesAtOnce {
			return nil
		}
	}
}
