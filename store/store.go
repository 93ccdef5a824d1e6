package store

import (
	"context"
	"crypto/cipher"
	"database/sql"
	"embed"
	"errors"
	"fmt"
	"sync/atomic"
	"time"

	_ "ambergate/core/kinds"
	"ambergate/database"
	"ambergate/store/hashing"
	"ambergate/store/near"

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
	pool            *pgxpool.Pool
	hasher          *hashing.Hasher
	sealer          cipher.AEAD  // of what is secret; nil: nothing can be sealed
	near            *near.Kept   // places of trails; nil: they are read each time
	believed, every atomic.Int64 // how many of them were; of how many one is compared with how it is
	wrong           atomic.Value // string: how it was not

	structure int64 // the newest migration
}

// KeepPlaces lets places of trails be kept while this is the only server that writes them: alone says since when that is so
// without a break.
func (s *Store) KeepPlaces(alone func() (since time.Time, is bool)) {
	s.near = near.New(alone)
	s.every.CompareAndSwap(0, doubtEvery)
}

// idleWithin is how long a transaction may do nothing: one whose server was cut off, or stands still, keeps others from
// what it has locked for no longer.
const idleWithin = "3s"

// Open prepares the pool and brings the database to the newest structure.
func Open(ctx context.Context, dsn string, cost hashing.Cost, told pgx.QueryTracer) (*Store, error) {
	pool, err := database.Open(ctx, dsn, database.Limits{Connections: 8, Statement: "5s", Lock: "2s", Idle: idleWithin}, nil, told)
	if err != nil {
		return nil, err
	}
	s := &Store{pool: pool, hasher: hashing.New(cost)}
	if err := s.migrate(ctx, dsn); err != nil {
		pool.Close()
		return nil, err
	}
	return s, nil
}

// Structure is the number of the newest migration that this program knows.
func (s *Store) Structure() int64 { return s.structure }

// Stat tells how the connections to the store are used.
func (s *Store) Stat() *pgxpool.Stat { return s.pool.Stat() }

// Close ends all connections.
func (s *Store) Close() { s.pool.Close() }

// Ping says whether the database answers.
func (s *Store) Ping(ctx context.Context) error { return s.pool.Ping(ctx) }

// migrating is the number of the advisory lock under which one program at a time brings the database up to date.
const migrating = 7_281_903

func (s *Store) migrate(ctx context.Context, dsn string) error {
	// A large store takes its time: nothing that is limited for what people wait for is limited here.
	pool, err := database.Open(ctx, dsn, database.Limits{Connections: 2, Statement: "0", Lock: "60s"}, nil, nil)
	if err != nil {
		return err
	}
	defer pool.Close()
	conn, err := pool.Acquire(ctx)
	if err != nil {
		return fmt.Errorf("prepare the migrations: %w", err)
	}
	defer conn.Release()
	if err := taken(ctx, conn); err != nil {
		return fmt.Errorf("wait for another program that brings the store up to date: %w", err)
	}
	defer func() {
		_, _ = conn.Exec(ctx, `select pg_advisory_unlock($1)`, migrating) // it ends with the connection at the latest
	}()
	db := stdlib.OpenDBFromPool(pool)
	defer db.Close()
	goose.SetBaseFS(migrations)
	goose.SetLogger(goose.NopLogger())
	if err := goose.SetDialect("postgres"); err != nil {
		return fmt.Errorf("prepare the migrations: %w", err)
	}
	if s.structure, err = refuseNewer(ctx, db); err != nil {
		return err
	}
	if err := goose.UpContext(ctx, db, "migrations"); err != nil {
		return fmt.Errorf("bring the store to its newest structure: %w", err)
	}
	return nil
}

// takenEvery is how often it is asked for the lock.
const takenEvery = 50 * time.Millisecond

// taken waits for the lock of migrations, by asking again and again: a statement that waits for it would be waited for by
// indexes that are made concurrently.
func taken(ctx context.Context, conn *pgxpool.Conn) error {
	for {
		var got bool
		if err := conn.QueryRow(ctx, `select pg_try_advisory_lock($1)`, migrating).Scan(&got); err != nil || got {
			return err
		}
		select {
		case <-ctx.Done():
			return ctx.Err()
		case <-time.After(takenEvery):
		}
	}
}

// refuseNewer keeps a program from a store that a newer one has changed: it would not know what it writes over.
// It gives the newest structure that this program knows.
func refuseNewer(ctx context.Context, db *sql.DB) (int64, error) {
	own, err := goose.CollectMigrations("migrations", 0, goose.MaxVersion)
	if err != nil {
		return 0, fmt.Errorf("prepare the migrations: %w", err)
	}
	newest := own[len(own)-1].Version
	has, err := goose.GetDBVersionContext(ctx, db)
	if err != nil {
		return 0, fmt.Errorf("read the structure of the store: %w", err)
	}
	if has > newest {
		return 0, fmt.Errorf("the store has structure %d, made by a newer program; this one knows up to %d: start the newer one, or restore the store from before", has, newest)
	}
	return newest, nil
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
