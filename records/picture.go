package records

import (
	"context"
	"errors"
	"fmt"
	"strings"

	"github.com/jackc/pgx/v5"

	"ambergate/core/ask"
	"ambergate/core/project"
)

// Picture gives the bytes of a picture that a record holds; nil when it is empty or the record is
// gone. Whether the user may see the record was judged by who asks.
func (r *Reader) Picture(ctx context.Context, t *project.Table, key, field string) ([]byte, error) {
	s := newStatement(r.project, t, ask.EveryRow)
	where, err := s.keyIs(key)
	if err != nil {
		return nil, err
	}
	var data []byte
	sql := fmt.Sprintf("select t0.%s from %s where %s", pgx.Identifier{t.Fields[field].Column}.Sanitize(), strings.Join(s.from, " "), where)
	if err := r.db.QueryRow(ctx, sql, s.args...).Scan(&data); err != nil && !errors.Is(err, pgx.ErrNoRows) {
		return nil, fmt.Errorf("read a picture of %s: %w", t.Label, err)
	}
	return data, nil
}
