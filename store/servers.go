package store

import (
	"context"
	"fmt"
	"strings"
	"time"

	"github.com/jackc/pgx/v5"
)

// How long a server leads without being heard of: Lead, and as PostgreSQL writes it.
const (
	Lead      = 1600 * time.Millisecond
	leadFor   = "1600 milliseconds"
	goneAfter = "5 seconds" // without a word of a server its builders are not there any more
	forgotten = "1 hour"
)

// Beat is the word of a server that it lives.
type Beat struct {
	Name, Address, Version string
	Fresh                  bool // it has just begun: whatever it led before is over
}

// Led is which server leads.
type Led struct {
	Number  int64  // of this server, where it leads; else 0
	Server  string // that led before this word
	Address string // where that is reached; "" where nobody leads
	Others  int    // servers that were heard of lately
}

// Beats notes that a server lives, lets it lead where nobody does, and says who leads. A server that has the name of the
// one that leads is that one, begun anew: two are never called alike, since the name is of the address that it serves on.
func (s *Store) Beats(ctx context.Context, b Beat) (Led, error) {
	var out Led
	err := s.pool.QueryRow(ctx, `with me as (insert into server (name, address, version) values ($1, $2, $3) on conflict (name) do update set address = excluded.address, version = excluded.version, seen = now(), began = case when $4 then now() else server.began end),
		taken as (update lead set server = $1, number = number + case when server = $1 and until > now() and not $4 then 0 else 1 end, until = now() + interval '`+leadFor+`'
			where of = 'plants' and (server = $1 or until < now()) returning number)
		select coalesce((select number from taken), 0), l.server, case when l.until >= now() then coalesce(s.address, '') else '' end,
			(select count(*) from server o where o.name <> $1 and o.seen > now() - interval '`+goneAfter+`')
		from lead l left join server s on s.name = l.server where l.of = 'plants'`,
		b.Name, b.Address, b.Version, b.Fresh).Scan(&out.Number, &out.Server, &out.Address, &out.Others)
	if err != nil {
		return out, fmt.Errorf("say that this server lives: %w", err)
	}
	return out, nil
}

// Resign notes that a server ends: another one may lead at once.
func (s *Store) Resign(ctx context.Context, name string) error {
	b := &pgx.Batch{}
	b.Queue(`update lead set until = '-infinity' where of = 'plants' and server = $1`, name)
	b.Queue(`delete from presence where server = $1`, name)
	b.Queue(`delete from server where name = $1`, name)
	if err := s.pool.SendBatch(ctx, b).Close(); err != nil {
		return fmt.Errorf("say that this server ends: %w", err)
	}
	return nil
}

// ForgetServers forgets servers that have not been heard of for long, and the builders that were on those which are gone.
func (s *Store) ForgetServers(ctx context.Context) error {
	b := &pgx.Batch{}
	b.Queue(`delete from presence p where not exists (select from server s where s.name = p.server and s.seen > now() - interval '` + goneAfter + `')`)
	b.Queue(`delete from server where seen < now() - interval '` + forgotten + `'`)
	if err := s.pool.SendBatch(ctx, b).Close(); err != nil {
		return fmt.Errorf("forget servers that are gone: %w", err)
	}
	return nil
}

// Server is one of the servers over this store.
type Server struct {
	Name, Version string
	Alive, Leads  bool
}

// Servers lists those that were heard of within the last hour.
func (s *Store) Servers(ctx context.Context) ([]Server, error) {
	rows, err := s.pool.Query(ctx, `select s.name, s.version, s.seen > now() - interval '`+goneAfter+`', l.server = s.name and l.until > now() from server s, lead l where l.of = 'plants' order by s.name`)
	if err != nil {
		return nil, fmt.Errorf("list the servers: %w", err)
	}
	out, err := pgx.CollectRows(rows, pgx.RowToStructByPos[Server])
	if err != nil {
		return nil, fmt.Errorf("list the servers: %w", err)
	}
	return out, nil
}

// fenceKey is where a context keeps the number of who leads.
type fenceKey struct{}

// Fenced lets what is written by a context be written only as long as the server that has a number leads; 0: always.
func Fenced(ctx context.Context, number int64) context.Context {
	return context.WithValue(ctx, fenceKey{}, number)
}

func fence(ctx context.Context) int64 {
	number, _ := ctx.Value(fenceKey{}).(int64)
	return number
}

// leads is the SQL of whether who has a number, given as a parameter, still leads; a 0 always does.
func leads(parameter string) string {
	return `(` + parameter + `::bigint = 0 or exists (select from lead where of = 'plants' and number = ` + parameter + `::bigint and until > now()))`
}

// channel is that of PostgreSQL’s NOTIFY by which servers tell each other what changed; the tables’ triggers do
// (migration 00022), and Changed for what is in no table of the store.
const channel = "ambergate"

// Hint says what changed: look again. The kinds are project, account, connections, callup, presence, lead (each with the
// id that it is of) and records (of a project).
type Hint struct{ Kind, Of string }

// aliveEvery is how often a connection that hears nothing is asked whether it is there.
const aliveEvery = 2 * time.Second

// Listen hears what changes on its own connection to the store until that is lost, which is an error, or ctx ends. Ready
// is called once it hears: what changed before is not told.
func (s *Store) Listen(ctx context.Context, ready func(), on func(Hint)) error {
	config := s.pool.Config().ConnConfig
	config.Tracer = nil
	conn, err := pgx.ConnectConfig(ctx, config)
	if err != nil {
		return fmt.Errorf("hear what changes: %w", err)
	}
	defer func() {
		closing, cancel := context.WithTimeout(context.WithoutCancel(ctx), time.Second)
		defer cancel()
		_ = conn.Close(closing)
	}()
	if _, err := conn.Exec(ctx, `listen `+channel); err != nil {
		return fmt.Errorf("hear what changes: %w", err)
	}
	ready()
	for ctx.Err() == nil {
		waiting, stop := context.WithTimeout(ctx, aliveEvery)
		n, err := conn.WaitForNotification(waiting)
		timed := waiting.Err() != nil && ctx.Err() == nil
		stop()
		switch {
		case err == nil:
			kind, of, _ := strings.Cut(n.Payload, " ")
			on(Hint{kind, of})
		case !timed || conn.IsClosed():
			return fmt.Errorf("hear what changes: %w", err)
		default:
			asking, stop := context.WithTimeout(ctx, aliveEvery)
			err := conn.Ping(asking)
			stop()
			if err != nil {
				return fmt.Errorf("hear what changes: %w", err)
			}
		}
	}
	return nil
}

// TellRecords tells all servers that records of projects were changed.
func (s *Store) TellRecords(ctx context.Context, projects []string) error {
	if _, err := s.pool.Exec(ctx, `select pg_notify('`+channel+`', 'records ' || p) from unnest($1::text[]) p`, projects); err != nil {
		return fmt.Errorf("tell that records were changed: %w", err)
	}
	return nil
}
