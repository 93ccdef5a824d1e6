package database

import (
	"context"
	"errors"

	"github.com/jackc/pgerrcode"
	"github.com/jackc/pgx/v5/pgconn"
)

// InParts lets much be done in many statements, each of at most so many rows, until one finds fewer: none of it is to
// hold up what people wait for. Where one was ended since it took too long, the next takes a tenth of the rows. do gives
// how many rows it was.
func InParts(ctx context.Context, rows int, do func(ctx context.Context, rows int) (int64, error)) error {
	for {
		n, err := do(ctx, rows)
		var pg *pgconn.PgError
		switch {
		case err != nil && ctx.Err() == nil && rows > 1 && errors.As(err, &pg) && pg.Code == pgerrcode.QueryCanceled:
			rows = max(1, rows/10)
		case err != nil:
			return err
		case n < int64(rows):
			return nil
		}
	}
}
