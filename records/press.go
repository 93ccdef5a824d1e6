package records

import (
	"context"
	"encoding/json"
	"errors"
	"fmt"
	"sort"
	"strings"

	"github.com/jackc/pgx/v5"

	"ambergate/core/ask"
	"ambergate/core/cond"
	"ambergate/core/project"
	"ambergate/fault"
)

// Press is one press at work in the record source: a repeatable-read transaction that begins
// with claiming the press id. It implements ask.Changer.
type Press struct {
	Reader
	tx     pgx.Tx
	replay []string // keys that inserts are to give, in order
	made   []string // keys that inserts gave
}

// Made gives the keys of the records that were added, in order.
func (p *Press) Made() []string { return p.made }

// Replay lets the next inserts give the keys that they gave before.
func (p *Press) Replay(keys []string) { p.replay = keys }

// Tries is how often a press is begun anew after a serialization failure.
const Tries = 3

// ErrOtherPress means that the press id was used before by somebody else or for something else.
var ErrOtherPress = &ask.Refusal{Code: "press-reused", What: "This press was already used for something else.", Then: "Press again."}

// Stored is what is kept of a press: who pressed, what, and what came of it.
type Stored struct {
	ID      string
	User    string
	Content string // a digest of what was pressed, and where
}

// Do runs a press exactly once. If the same press was done before, its stored outcome comes
// back with again = true and run is not called. What run returns is stored and committed with
// its changes; an error rolls back all. Serialization failures are tried again.
func (s *Source) Do(ctx context.Context, p *project.Project, press Stored, run func(*Press) (any, error)) (outcome json.RawMessage, again bool, err error) {
	for try := 1; ; try++ {
		outcome, again, err = s.once(ctx, p, press, run)
		if err == nil || try == Tries || !isOneOf(err, triedAgain) {
			return outcome, again, err
		}
	}
}

func (s *Source) once(ctx context.Context, p *project.Project, press Stored, run func(*Press) (any, error)) (json.RawMessage, bool, error) {
	tx, err := s.pool.BeginTx(ctx, pgx.TxOptions{IsoLevel: pgx.RepeatableRead})
	if err != nil {
		return nil, false, fmt.Errorf("begin the press: %w", err)
	}
	defer func() { _ = tx.Rollback(context.WithoutCancel(ctx)) }() // after a commit this does nothing
	fault.At(fault.PressBegun)
	tag, err := tx.Exec(ctx, `insert into ambergate.press (id, user_id, content) values ($1, $2, $3) on conflict (id) do nothing`, press.ID, press.User, press.Content)
	if isOneOf(err, noPressTable) {
		s.noClaims()
		return nil, false, &ask.Refusal{Cause: err, Code: "only-read", What: "Nothing can be saved in this database: it keeps no record of presses.", Then: "Tell the person who runs this application: the table ambergate.press is missing there."}
	}
	if err != nil {
		return nil, false, fmt.Errorf("claim the press: %w", err)
	}
	if tag.RowsAffected() == 0 {
		outcome, err := stored(ctx, tx, press)
		return outcome, true, err
	}
	fault.At(fault.PressClaimed)
	result, err := run(&Press{Reader: Reader{db: tx, project: p, within: true}, tx: tx})
	if err != nil {
		return nil, false, err
	}
	fault.At(fault.PressDone)
	text, err := json.Marshal(result)
	if err != nil {
		return nil, false, fmt.Errorf("write the outcome: %w", err)
	}
	if _, err := tx.Exec(ctx, `update ambergate.press set outcome = $2 where id = $1`, press.ID, text); err != nil {
		return nil, false, fmt.Errorf("store the outcome: %w", err)
	}
	fault.At(fault.PressStored)
	if err := tx.Commit(ctx); err != nil {
		return nil, false, fmt.Errorf("commit the press: %w", err)
	}
	fault.At(fault.PressCommitted)
	return text, false, nil
}

// Outcome gives what is stored of a press that was done; nil if there is none, or no table for it.
func (s *Source) Outcome(ctx context.Context, press Stored) (json.RawMessage, error) {
	outcome, err := stored(ctx, s.pool, press)
	if errors.Is(err, pgx.ErrNoRows) || isOneOf(err, noPressTable) {
		return nil, nil
	}
	return outcome, err
}

func stored(ctx context.Context, tx querier, press Stored) (json.RawMessage, error) {
	var user, content string
	var outcome json.RawMessage
	err := tx.QueryRow(ctx, `select user_id, content, outcome from ambergate.press where id = $1`, press.ID).Scan(&user, &content, &outcome)
	if err != nil {
		return nil, fmt.Errorf("read the stored outcome: %w", err)
	}
	if user != press.User || content != press.Content {
		return nil, ErrOtherPress
	}
	return outcome, nil
}

// Try runs presses that are all rolled back at the end: for practice.
func (s *Source) Try(ctx context.Context, p *project.Project, run func(*Press) error) error {
	press, err := s.practice(ctx, p)
	if err != nil {
		return err
	}
	defer func() { _ = press.tx.Rollback(context.WithoutCancel(ctx)) }()
	return run(press)
}

// practice begins a press that is to be rolled back by who asked for it.
func (s *Source) practice(ctx context.Context, p *project.Project) (*Press, error) {
	tx, err := s.pool.BeginTx(ctx, pgx.TxOptions{IsoLevel: pgx.RepeatableRead})
	if err != nil {
		return nil, fmt.Errorf("begin the practice: %w", err)
	}
	return &Press{Reader: Reader{db: tx, project: p, within: true}, tx: tx}, nil
}

// Insert adds a record and gives its key. Errors that belong to a field are *ask.FieldErrors.
func (p *Press) Insert(ctx context.Context, t *project.Table, values map[string]cond.Value) (string, error) {
	var columns, places []string
	var args []any
	for _, id := range sortedFields(values) {
		columns = append(columns, pgx.Identifier{t.Fields[id].Column}.Sanitize())
		args = append(args, argOf(t.Fields[id], values[id]))
		places = append(places, fmt.Sprintf("$%d", len(args)))
	}
	s := newStatement(p.project, t, ask.EveryRow)
	keys := s.keyColumns()
	for i, k := range keys {
		keys[i] = k + "::text"
	}
	overriding := ""
	if len(p.replay) > 0 && len(t.Key) == 1 {
		columns, places = append(columns, pgx.Identifier{t.Fields[t.Key[0]].Column}.Sanitize()), append(places, fmt.Sprintf("$%d", len(args)+1))
		args = append(args, p.replay[0])
		p.replay = p.replay[1:]
		overriding = "overriding system value "
	}
	sql := fmt.Sprintf("insert into %s as t0 (%s) %svalues (%s) returning %s", relation(p.project, t), strings.Join(columns, ", "), overriding, strings.Join(places, ", "), strings.Join(keys, ", "))
	if len(columns) == 0 {
		sql = fmt.Sprintf("insert into %s as t0 default values returning %s", relation(p.project, t), strings.Join(keys, ", "))
	}
	rows, err := p.tx.Query(ctx, sql, args...)
	if err != nil {
		return "", fieldError(err, t, "add the "+t.One)
	}
	defer rows.Close()
	var key []string
	for rows.Next() {
		parts, err := rows.Values()
		if err != nil {
			return "", fieldError(err, t, "add the "+t.One)
		}
		for _, part := range parts {
			text, _ := part.(string)
			key = append(key, escapeKey(text, len(parts) > 1))
		}
	}
	if err := rows.Err(); err != nil {
		return "", fieldError(err, t, "add the "+t.One)
	}
	p.made = append(p.made, strings.Join(key, "~"))
	return strings.Join(key, "~"), nil
}

// Update changes fields of one record. Errors that belong to a field are *ask.FieldErrors.
func (p *Press) Update(ctx context.Context, t *project.Table, key string, values map[string]cond.Value) error {
	s := newStatement(p.project, t, ask.EveryRow)
	var sets []string
	for _, id := range sortedFields(values) {
		sets = append(sets, pgx.Identifier{t.Fields[id].Column}.Sanitize()+" = "+s.arg(argOf(t.Fields[id], values[id])))
	}
	where, err := s.where(ask.Query{Table: t, Key: key, Rights: ask.EveryRow})
	if err != nil {
		return err
	}
	tag, err := p.tx.Exec(ctx, fmt.Sprintf("update %s t0 set %s%s", relation(p.project, t), strings.Join(sets, ", "), whereClause(where)), s.args...)
	if err != nil {
		return fieldError(err, t, "change the "+t.One)
	}
	if tag.RowsAffected() == 0 {
		return &ask.Refusal{Code: "no-record", What: "This " + t.One + " was deleted meanwhile.", Then: "Go back to the list."}
	}
	return nil
}

// Delete removes one record. What keeps it from being deleted is told as a *ask.Refusal.
func (p *Press) Delete(ctx context.Context, t *project.Table, key string) error {
	s := newStatement(p.project, t, ask.EveryRow)
	where, err := s.keyIs(key)
	if err != nil {
		return err
	}
	tag, err := p.tx.Exec(ctx, fmt.Sprintf("delete from %s t0 where %s", relation(p.project, t), where), s.args...)
	switch {
	case isOneOf(err, referredTo):
		return &ask.Refusal{Code: "in-use", What: "This " + t.One + " cannot be deleted: something else refers to it.", Then: "Delete or change that first.", Cause: err}
	case err != nil:
		return fieldError(err, t, "delete the "+t.One)
	case tag.RowsAffected() == 0:
		return &ask.Refusal{Code: "no-record", What: "This " + t.One + " was deleted meanwhile.", Then: "Go back to the list."}
	}
	return nil
}

// argOf gives what is written to a column; a picture comes as a data URL, and was looked at before.
func argOf(f *project.Column, v cond.Value) any {
	if v.IsNull() {
		return nil
	}
	if f.Type == ask.PictureType {
		data, _, err := ask.PictureOf(v.Wire())
		if err != nil {
			return nil
		}
		return data
	}
	return v.Wire()
}

func sortedFields(values map[string]cond.Value) []string {
	ids := make([]string, 0, len(values))
	for id := range values {
		ids = append(ids, id)
	}
	sort.Strings(ids)
	return ids
}
