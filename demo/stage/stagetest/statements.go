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
}

// During gives the statements that something takes, begin and commit left out.
func (l *Log) During(do func()) []string {
	l.mu.Lock()
	l.on, l.texts = true, nil
	l.mu.Unlock()
	do()
	l.mu.Lock()
	defer l.mu.Unlock()
	l.on = false
	return l.texts
}

func (l *Log) note(sql string) {
	l.mu.Lock()
	defer l.mu.Unlock()
	first := strings.ToLower(strings.Fields(sql + " ;")[0])
	if l.on && first != "begin" && first != "commit" && first != "rollback" && first != ";" {
		l.texts = append(l.texts, sql)
	}
}

// TraceQueryStart notes a statement.
func (l *Log) TraceQueryStart(ctx context.Context, _ *pgx.Conn, data pgx.TraceQueryStartData) context.Context {
	l.note(data.SQL)
	return ctx
}

// TraceQueryEnd does nothing.
func (*Log) TraceQueryEnd(context.Context, *pgx.Conn, pgx.TraceQueryEndData) {}
