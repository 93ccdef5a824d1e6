package store

import (
	"context"
	"fmt"

	"github.com/jackc/pgx/v5"
)

// Hold is a tag that is true as long as somebody holds a button.
type Hold struct {
	Press   string // the press that began it
	Plant   string // the connection, by name
	Node    string
	Account string
}

// BeginHold keeps that a tag is about to become true, before it does.
func (s *Store) BeginHold(ctx context.Context, h Hold) error {
	_, err := s.pool.Exec(ctx, `insert into plant_hold (press, plant, node, account) values ($1, $2, $3, $4) on conflict do nothing`, h.Press, h.Plant, h.Node, h.Account)
	if err != nil {
		return fmt.Errorf("keep that a button is held: %w", err)
	}
	return nil
}

// EndHold forgets a hold whose tag is false again.
func (s *Store) EndHold(ctx context.Context, press string) error {
	if _, err := s.pool.Exec(ctx, `delete from plant_hold where press = $1`, press); err != nil {
		return fmt.Errorf("forget that a button was held: %w", err)
	}
	return nil
}

// Holds lists what was held and is not known to be false again.
func (s *Store) Holds(ctx context.Context) ([]Hold, error) {
	rows, err := s.pool.Query(ctx, `select press, plant, node, account from plant_hold order by at`)
	if err != nil {
		return nil, fmt.Errorf("read what was held: %w", err)
	}
	out, err := pgx.CollectRows(rows, pgx.RowToStructByPos[Hold])
	if err != nil {
		return nil, fmt.Errorf("read what was held: %w", err)
	}
	return out, nil
}

// LogRelease logs that what a press held was let go, why, and what came of it.
func (s *Store) LogRelease(ctx context.Context, c Command) error {
	_, err := s.pool.Exec(ctx, `insert into plant_command (press, pos, source, node, label, value, old, state, account, reason, project, ended_at) values ($1, $2, $3, $4, $5, $6, $7, $8, $9, nullif($10, ''), coalesce(nullif($11, ''), (select project from plant_command where press = $1 and pos = 0)), now()) on conflict do nothing`,
		c.Press, c.Pos, c.Source, c.Node, c.Label, c.Value, c.Old, c.State, c.Account, c.Reason, c.Project)
	if err != nil {
		return fmt.Errorf("log what was let go: %w", err)
	}
	return nil
}
