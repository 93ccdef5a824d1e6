package records

import (
	"context"
	"sync"
	"sync/atomic"
	"time"

	"github.com/jackc/pgx/v5"
	"github.com/jackc/pgx/v5/pgxpool"

	"ambergate/core/ask"
	"ambergate/core/project"
	"ambergate/database"
	"ambergate/records/joined"
)

// Position is a place in what a database has written (PostgreSQL, “pg_lsn”); a greater one is later. 0 is before all.
type Position uint64

// How often a replica is asked how far it is, how long that is believed, how often the database itself is asked, and how
// far a replica may be behind it at the most.
const (
	replicaEvery  = 100 * time.Millisecond
	replicaFor    = time.Second
	primaryEvery  = time.Second
	replicaBehind = 5 * time.Second
	replicaWithin = 700 * time.Millisecond
)

// replica is a streaming replica of a database, from which it is read where that is recent enough.
type replica struct {
	pool   *pgxpool.Pool
	joined joined.Questions[[]ask.Answer]
	stop   context.CancelFunc
	done   sync.WaitGroup

	read atomic.Int64 // how often it was read from it

	mu    sync.Mutex
	at    Position  // that it has replayed
	known time.Time // when it said so
	marks []mark    // how far the database was, oldest first
}

type mark struct {
	at   Position
	when time.Time
}

// AddReplica lets a source be read from a streaming replica too, by its connection string. To be called before the source
// is used; once.
func (s *Source) AddReplica(ctx context.Context, dsn string, told pgx.QueryTracer) error {
	pool, err := database.Open(ctx, dsn, usual, settings, told)
	if err != nil {
		return err
	}
	watching, stop := context.WithCancel(context.WithoutCancel(ctx))
	s.replica = &replica{pool: pool, stop: stop}
	s.replica.done.Go(func() { s.replica.ask(watching) })
	s.replica.done.Go(func() { s.replica.mark(watching, s.pool) })
	return nil
}

// Replicated says whether there is a replica.
func (s *Source) Replicated() bool { return s.replica != nil }

// Position is how far the database has written by now: what is committed already lies before.
func (s *Source) Position(ctx context.Context) (at Position, err error) {
	err = s.pool.QueryRow(ctx, `select (pg_current_wal_insert_lsn() - '0/0')::bigint`).Scan(&at)
	return at, err
}

// ReaderSince gives a reader of a project's tables as they are at a position, or later: from the replica where it is so
// far, and not far behind; replica says whether it is that. An error of a replica is no reason not to ask the database.
func (s *Source) ReaderSince(p *project.Project, needed Position) (reader *Reader, fromReplica bool) {
	if s.replica == nil || !s.replica.has(needed, time.Now()) {
		return s.Reader(p), false
	}
	s.replica.read.Add(1)
	return &Reader{db: s.replica.pool, project: p, joined: &s.replica.joined}, true
}

// Doubted takes a replica for gone until it says again how far it is.
func (s *Source) Doubted() {
	s.replica.mu.Lock()
	defer s.replica.mu.Unlock()
	s.replica.known = time.Time{}
}

// ReplicaRead is how often it was read from the replica.
func (s *Source) ReplicaRead() int64 { return s.replica.read.Load() }

func (r *replica) close() {
	r.stop()
	r.done.Wait()
	r.pool.Close()
}

// has says whether the replica has replayed up to a position, and is not too far behind.
func (r *replica) has(needed Position, now time.Time) bool {
	r.mu.Lock()
	defer r.mu.Unlock()
	if now.Sub(r.known) > replicaFor || r.at < needed {
		return false
	}
	for i := len(r.marks) - 1; i >= 0; i-- { // the newest that is old enough
		if now.Sub(r.marks[i].when) >= replicaBehind {
			return r.at >= r.marks[i].at
		}
	}
	return len(r.marks) > 0 && r.at >= r.marks[0].at
}

// ask asks the replica how far it is, again and again.
func (r *replica) ask(ctx context.Context) {
	each(ctx, replicaEvery, func(ctx context.Context) {
		var at *Position
		began := time.Now()
		if r.pool.QueryRow(ctx, `select (pg_last_wal_replay_lsn() - '0/0')::bigint`).Scan(&at) != nil || at == nil {
			return // it is away, or is none (any more)
		}
		r.mu.Lock()
		r.at, r.known = *at, began
		r.mu.Unlock()
	})
}

// mark notes how far the database itself is, again and again. While it is away the replica may be read as it is.
func (r *replica) mark(ctx context.Context, primary *pgxpool.Pool) {
	each(ctx, primaryEvery, func(ctx context.Context) {
		var at Position
		if primary.QueryRow(ctx, `select (pg_current_wal_insert_lsn() - '0/0')::bigint`).Scan(&at) != nil {
			return
		}
		r.mu.Lock()
		defer r.mu.Unlock()
		r.marks = append(r.marks, mark{at, time.Now()})
		for len(r.marks) > 2 && time.Since(r.marks[1].when) >= replicaBehind {
			r.marks = r.marks[1:]
		}
	})
}

func each(ctx context.Context, every time.Duration, do func(ctx context.Context)) {
	tick := time.NewTicker(every)
	defer tick.Stop()
	for {
		asking, cancel := context.WithTimeout(ctx, replicaWithin)
		do(asking)
		cancel()
		select {
		case <-ctx.Done():
			return
		case <-tick.C:
		}
	}
}
