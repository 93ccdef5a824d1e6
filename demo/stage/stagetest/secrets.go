package stagetest

import (
	"bytes"
	"context"
	"fmt"
	"strings"
	"sync"

	"github.com/jackc/pgx/v5"

	"ambergate/demo/stage"
)

// longestLog is how much is kept of what a stage logged, in bytes.
const longestLog = 16 << 20

// logged keeps what a stage logged.
type logged struct {
	mu   sync.Mutex
	text bytes.Buffer
}

// Write keeps it.
func (l *logged) Write(p []byte) (int, error) {
	l.mu.Lock()
	defer l.mu.Unlock()
	if l.text.Len() < longestLog {
		l.text.Write(p)
	}
	return len(p), nil
}

// leaks says where the password that the stage's databases are connected with stands in plain words: in what was
// logged, or in anything that the program keeps.
func leaks(ctx context.Context, s *stage.Stage, log *logged) ([]string, error) {
	var out []string
	secret := s.Cluster.Password
	log.mu.Lock()
	if i := bytes.Index(log.text.Bytes(), []byte(secret)); i >= 0 {
		out = append(out, "the log: "+strings.ReplaceAll(log.text.String()[max(0, i-200):i], secret, "…"))
	}
	log.mu.Unlock()
	conn, err := pgx.Connect(ctx, s.Cluster.AdminDSN("ambergate"))
	if err != nil {
		return out, fmt.Errorf("look into the store: %w", err)
	}
	defer conn.Close(ctx)
	rows, err := conn.Query(ctx, `select quote_ident(schemaname) || '.' || quote_ident(tablename) from pg_tables where schemaname not in ('pg_catalog', 'information_schema')`)
	if err != nil {
		return out, fmt.Errorf("list what the store keeps: %w", err)
	}
	tables, err := pgx.CollectRows(rows, pgx.RowTo[string])
	if err != nil {
		return out, fmt.Errorf("list what the store keeps: %w", err)
	}
	for _, table := range tables {
		var n int
		if err := conn.QueryRow(ctx, `select count(*) from `+table+` t where strpos(t::text, $1) > 0`, secret).Scan(&n); err != nil {
			return out, fmt.Errorf("look through %s: %w", table, err)
		}
		if n > 0 {
			out = append(out, fmt.Sprintf("%d rows of %s", n, table))
		}
	}
	return out, nil
}
