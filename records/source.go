package records

import (
	"context"

	"github.com/jackc/pgx/v5"
	"github.com/jackc/pgx/v5/pgconn"
	"github.com/jackc/pgx/v5/pgxpool"

	"ambergate/core/ask"
	"ambergate/core/project"
	"ambergate/database"
	"ambergate/records/joined"
)

// Source is one PostgreSQL database with records. It is safe for use by many at once.
type Source struct {
	pool    *pgxpool.Pool
	whole   *pgxpool.Pool // for whole lists, so that they take nothing from what people wait for
	joined  joined.Questions[[]ask.Answer]
	claimed claimed
	replica *replica // nil for none
}

// usual is for what people wait for. A server that was cut off within a press keeps nobody else from its record for longer
// than it may do nothing there.
var usual = database.Limits{Connections: 8, Statement: "5s", Lock: "500ms", Idle: "4s"}

// forWhole is for lists that are read to their end.
var forWhole = database.Limits{Connections: 3, Statement: "10min", Lock: "500ms", Idle: "1min"}

// settings make days and moments compare as they do in core/cond; pages after a cursor rely on the order of
// the parts of a union.
var settings = map[string]string{"timezone": "UTC", "max_parallel_workers_per_gather": "0"}

// Open prepares a pool for a connection string. It does not connect yet. Whoever is told hears of every
// statement; nil: nobody.
func Open(ctx context.Context, dsn string, told pgx.QueryTracer) (*Source, error) {
	pool, err := database.Open(ctx, dsn, usual, settings, told)
	if err != nil {
		return nil, err
	}
	whole, err := database.Open(ctx, dsn, forWhole, settings, told)
	if err != nil {
		pool.Close()
		return nil, err
	}
	return &Source{pool: pool, whole: whole}, nil
}

// Close ends all connections.
func (s *Source) Close() {
	if s.replica != nil {
		s.replica.close()
	}
	s.pool.Close()
	s.whole.Close()
}

// Stat tells how the connections to the database are used.
func (s *Source) Stat() *pgxpool.Stat { return s.pool.Stat() }

// Joined gives how often somebody got an answer that another asked for at the same moment.
func (s *Source) Joined() int {
	n := s.joined.Told()
	if s.replica != nil {
		n += s.replica.joined.Told()
	}
	return n
}

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
	within  bool                            // a transaction, which one statement that fails spoils
	joined  *joined.Questions[[]ask.Answer] // of all who read there; nil: each asks alone
}

// Reader gives a reader of a project's tables outside of any transaction.
func (s *Source) Reader(p *project.Project) *Reader {
	return &Reader{db: s.pool, project: p, joined: &s.joined}
}

// Ping says whether the database answers.
func (s *Source) Ping(ctx context.Context) error { return s.pool.Ping(ctx) }
