package stagetest

import (
	"context"
	"strings"
	"sync"

	"github.com/jackc/pgx/v5"
)

// Statements hears of every statement of the stage, for tests that count them.
var Statements Log

// Log notes statements while it is on. It implements pgx.QueryTracer and pgx.BatchTracer.
type Log struct {
	mu    sync.Mutex
	on    bool
	texts []string
	trips int
}

// During gives the statements that something takes, begin and commit left out.
func (l *Log) During(do func()) []string {
	l.mu.Lock()
	l.on, l.texts, l.trips = true, nil, 0
	l.mu.Unlock()
	do()
	l.mu.Lock()
	defer l.mu.Unlock()
	l.on = false
	return l.texts
}

// Trips is how often a database was asked meanwhile: statements that go together are one trip.
func (l *Log) Trips() int {
	l.mu.Lock()
	defer l.mu.Unlock()
	return l.trips
}

// note notes a statement, and how many trips it takes by itself.
func (l *Log) note(sql string, trips int) {
	l.mu.Lock()
	defer l.mu.Unlock()
	first := strings.ToLower(strings.Fields(sql + " ;")[0])
	if l.on && first != "begin" && first != "commit" && first != "rollback" && first != ";" {
		l.texts = append(l.texts, sql)
		l.trips += trips
	}
}

// TraceQueryStart notes a statement.
func (l *Log) TraceQueryStart(ctx context.Context, _ *pgx.Conn, data pgx.TraceQueryStartData) context.Context {
	l.note(data.SQL, 1)
	return ctx
}

// TraceQueryEnd does nothing.
func (*Log) TraceQueryEnd(context.Context, *pgx.Conn, pgx.TraceQueryEndData) {}

// TraceBatchStart notes that several statements go together.
func (l *Log) TraceBatchStart(ctx context.Context, _ *pgx.Conn, _ pgx.TraceBatchStartData) context.Context {
	l.mu.Lock()
	defer l.mu.Unlock()
	if l.on {
		l.trips++
	}
	return ctx
}

// TraceBatchQuery notes one of them.
func (l *Log) TraceBatchQuery(_ context.Context, _ *pgx.Conn, data pgx.TraceBatchQueryData) {
	l.note(data.SQL, 0)
}

// TraceBatchEnd does nothing.
func (*Log) TraceBatchEnd(context.Context, *pgx.Conn, pgx.TraceBatchEndData) {}
