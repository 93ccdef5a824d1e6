package store

import (
	"context"
	"encoding/json"
	"errors"
	"fmt"
)

// Practice gives what a tab of somebody practised so far; nil for nothing.
func (s *Store) Practice(ctx context.Context, id, account string) (json.RawMessage, error) {
	var presses json.RawMessage
	err := s.pool.QueryRow(ctx, `select presses from practice where id = $1 and account = $2`, id, account).Scan(&presses)
	if errors.Is(none(err), ErrNone) {
		return nil, nil
	}
	if err != nil {
		return nil, fmt.Errorf("read what was practised: %w", err)
	}
	return presses, nil
}

// KeepPractice keeps what a tab of somebody practised so far.
func (s *Store) KeepPractice(ctx context.Context, id, account string, presses json.RawMessage) error {
	_, err := s.pool.Exec(ctx, `insert into practice (id, account, presses) values ($1, $2, $3) on conflict (id) do update set presses = excluded.presses, at = now() where practice.account = excluded.account`, id, account, presses)
	if err != nil {
		return fmt.Errorf("keep what was practised: %w", err)
	}
	return nil
}
