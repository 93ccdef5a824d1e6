package store

import (
	"context"
	"embed"
	"errors"
	"fmt"

	_ "ambergate/core/kinds"
	"ambergate/database"

	"github.com/jackc/pgx/v5"
	"github.com/jackc/pgx/v5/pgxpool"
	"github.com/jackc/pgx/v5/stdlib"
	"github.com/pressly/goose/v3"
)

//go:embed migrations/*.sql
var migrations embed.FS

// ErrNone means that what was asked for is not there.
var ErrNone = errors.New("not there")

// Store is the program's own database. Safe for use by many at once.
type Store struct {
	pool   *pgxpool.Pool
	hasher *hasher
}

// Open prepares the pool and brings the database to the newest structure.
func Open(ctx context.Context, dsn string, cost Cost, told pgx.QueryTracer) (*Store, error) {
	pool, err := database.Open(ctx, dsn, database.Limits{Connections: 8, Statement: "5s", Lock: "2s"}, nil, told)
	if err != nil {
		return nil, err
	}
	s := &Store{pool: pool, hasher: newHasher(cost)}
	if err := s.migrate(ctx); err != nil {
		pool.Close()
		return nil, err
	}
	return s, nil
}

// Close ends all connections.
func (s *Store) Close() { s.pool.Close() }

// Ping says whether the database answers.
func (s *Store) Ping(ctx context.Context) error { return s.pool.Ping(ctx) }

func (s *Store) migrate(ctx context.Context) error {
	db := stdlib.OpenDBFromPool(s.pool)
	defer db.Close()
	goose.SetBaseFS(migrations)
	goose.SetLogger(goose.NopLogger())
	if err := goose.SetDialect("postgres"); err != nil {
		return fmt.Errorf("prepare the migrations: %w", err)
	}
	if err := goose.UpContext(ctx, db, "migrations"); err != nil {
		return fmt.Errorf("bring the store to its newest structure: %w", err)
	}
	return nil
}

// inTx runs a function in a transaction and commits what it did, unless it fails.
func (s *Store) inTx(ctx context.Context, doing string, run func(pgx.Tx) error) error {
	tx, err := s.pool.Begin(ctx)
	if err != nil {
		return fmt.Errorf("%s: %w", doing, err)
	}
	defer func() { _ = tx.Rollback(context.WithoutCancel(ctx)) }() // after a commit this does nothing
	if err := run(tx); err != nil {
		return fmt.Errorf("%s: %w", doing, err)
	}
	if err := tx.Commit(ctx); err != nil {
		return fmt.Errorf("%s: %w", doing, err)
	}
	return nil
}

func none(err error) error {
	if errors.Is(err, pgx.ErrNoRows) {
		return ErrNone
	}
	return err
}
