package records

import (
	"context"
	"fmt"
	"time"

	"github.com/jackc/pgx/v5"
	"github.com/jackc/pgx/v5/pgconn"
	"github.com/jackc/pgx/v5/pgxpool"

	"ambergate/core/project"
)

// Source is one PostgreSQL database with records. It is safe for use by many at once.
type Source struct {
	pool    *pgxpool.Pool
	claimed claimed
}

// Limits on one statement, so that nothing hangs.
const (
	statementLimit = "5s"
	lockLimit      = "500ms"
	poolSize       = 8
)

// Open prepares a pool for a connection string. It does not connect yet: a database that is
// away is an error of each query, and goes away by itself when the database is back. Whoever is told
// hears of every statement; nil: nobody.
func Open(ctx context.Context, dsn string, told pgx.QueryTracer) (*Source, error) {
	config, err := pgxpool.ParseConfig(dsn)
	if err != nil {
		return nil, fmt.Errorf("read the connection of a record source: %w", err)
	}
	config.ConnConfig.Tracer = told
	config.MaxConns = poolSize
	config.ConnConfig.ConnectTimeout = 3 * time.Second
	config.ConnConfig.RuntimeParams["statement_timeout"] = statementLimit
	config.ConnConfig.RuntimeParams["lock_timeout"] = lockLimit
	config.ConnConfig.RuntimeParams["idle_in_transaction_session_timeout"] = "10s"
	config.ConnConfig.RuntimeParams["timezone"] = "UTC" // days and moments compare as they do in core/cond
	config.ConnConfig.RuntimeParams["application_name"] = "ambergate"
	// Pages after a cursor rely on the order of the parts of a union.
	config.ConnConfig.RuntimeParams["max_parallel_workers_per_gather"] = "0"
	pool, err := pgxpool.NewWithConfig(ctx, config)
	if err != nil {
		return nil, fmt.Errorf("prepare the pool of a record source: %w", err)
	}
	return &Source{pool: pool}, nil
}

// Close ends all connections.
func (s *Source) Close() { s.pool.Close() }

// querier is what a pool and a transaction have in common.
type querier interface {
	Query(ctx context.Context, sql string, args ...any) (pgx.Rows, error)
	Exec(ctx context.Context, sql string, args ...any) (pgconn.CommandTag, error)
	QueryRow(ctx context.Context, sql string, args ...any) pgx.Row
	SendBatch(ctx context.Context, b *pgx.Batch) pgx.BatchResults
}

// Reader reads the tables of one project. It implements ask.Records.
type Reader struct {
	db      querier
	project *project.Project
	within  bool // a transaction, which one statement that fails spoils
}

// Reader gives a reader of a project's tables outside of any transaction.
func (s *Source) Reader(p *project.Project) *Reader { return &Reader{db: s.pool, project: p} }

// Ping says whether the database answers.
func (s *Source) Ping(ctx context.Context) error { return s.pool.Ping(ctx) }
