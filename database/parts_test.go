package database_test

import (
	"context"
	"errors"
	"fmt"
	"slices"
	"testing"

	"github.com/jackc/pgerrcode"
	"github.com/jackc/pgx/v5/pgconn"

	"ambergate/database"
)

// Where many rows at once take too long, fewer are taken, until all is done.
func TestWhatTakesTooLongIsDoneInSmallerParts(t *testing.T) {
	left, asked := int64(70), []int{}
	err := database.InParts(t.Context(), 1000, func(_ context.Context, rows int) (int64, error) {
		if asked = append(asked, rows); rows > 10 {
			return 0, fmt.Errorf("delete: %w", &pgconn.PgError{Code: pgerrcode.QueryCanceled})
		}
		n := min(left, int64(rows))
		left -= n
		return n, nil
	})
	if err != nil || left != 0 || !slices.Equal(asked[:3], []int{1000, 100, 10}) || len(asked) != 10 {
		t.Errorf("%d are left after %v: %v", left, asked, err)
	}
	other := errors.New("away")
	if err := database.InParts(t.Context(), 10, func(context.Context, int) (int64, error) { return 0, other }); !errors.Is(err, other) {
		t.Errorf("another error is %v", err)
	}
	never := &pgconn.PgError{Code: pgerrcode.QueryCanceled}
	if err := database.InParts(t.Context(), 10, func(context.Context, int) (int64, error) { return 0, never }); !errors.Is(err, never) {
		t.Errorf("one row that takes too long is %v", err)
	}
}
