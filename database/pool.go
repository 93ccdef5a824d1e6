// Package database prepares pools of connections to PostgreSQL, alike for all that the program asks: the
// program's own store and the applications' records.
package database

import (
	"context"
	"fmt"
	"time"

	"github.com/jackc/pgx/v5"
	"github.com/jackc/pgx/v5/pgxpool"
)

// Limits keep what one part of the program asks of a database from everything else.
type Limits struct {
	Connections int32  // at the most
	Statement   string // how long one may take, as PostgreSQL writes it
	Lock        string // how long one waits for a lock
	Idle        string // how long a transaction may do nothing; "" for ever
}

// connectWithin is how long a database may take to let the program in.
const connectWithin = 3 * time.Second

// Open prepares a pool for a connection string, with settings of each connection besides the limits. It does
// not connect yet: a database that is away is an error of each statement, and goes away by itself when the
// database is back. Whoever is told hears of every statement; nil: nobody.
func Open(ctx context.Context, dsn string, limits Limits, settings map[string]string, told pgx.QueryTracer) (*pgxpool.Pool, error) {
	config, err := pgxpool.ParseConfig(dsn)
	if err != nil {
		return nil, fmt.Errorf("read the connection of a database: %w", err)
	}
	config.MaxConns = limits.Connections
	conn := config.ConnConfig
	conn.Tracer, conn.ConnectTimeout = told, connectWithin
	conn.RuntimeParams["application_name"] = "ambergate"
	conn.RuntimeParams["statement_timeout"] = limits.Statement
	conn.RuntimeParams["lock_timeout"] = limits.Lock
	if limits.Idle != "" {
		conn.RuntimeParams["idle_in_transaction_session_timeout"] = limits.Idle
	}
	for name, value := range settings {
		conn.RuntimeParams[name] = value
	}
	// A statement whose caller has gone ends in the database too: pgx gives its connection up and tells the
	// database over another one (PostgreSQL, Frontend/Backend Protocol, “Canceling Requests in Progress”). The
	// connection is not used again, since such a word may come late and would end the next statement on it.
	pool, err := pgxpool.NewWithConfig(ctx, config)
	if err != nil {
		return nil, fmt.Errorf("prepare the pool of a database: %w", err)
	}
	return pool, nil
}

// Legal says whether a connection string can be read.
func Legal(dsn string) error {
	_, err := pgxpool.ParseConfig(dsn)
	if err != nil {
		return fmt.Errorf("read the connection of a database: %w", err)
	}
	return nil
}
