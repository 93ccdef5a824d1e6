package store

import (
	"context"
	"fmt"
	"time"

	"github.com/jackc/pgx/v5"
)

// Command is one write to the plant that a press asked for, as it is logged.
type Command struct {
	Press   string
	Pos     int
	Source  string
	Node    string
	Label   string
	Value   string
	Old     string
	State   string // intended, sent, done, refused, unknown, expired
	Reason  string
	Account string
	At      time.Time
}

// Intend logs the commands of a press before anything is sent: as intended, or, for a press that
// was done before and not sent then, as expired. Logged before: nothing is added, and false comes back.
func (s *Store) Intend(ctx context.Context, commands []Command, late bool) (bool, error) {
	state := "intended"
	if late {
		state = "expired"
	}
	added := false
	err := s.inTx(ctx, "log the plant commands", func(tx pgx.Tx) error {
		for _, c := range commands {
			tag, err := tx.Exec(ctx, `insert into plant_command (press, pos, source, node, label, value, old, state, account) values ($1, $2, $3, $4, $5, $6, $7, $9, $8) on conflict do nothing`,
				c.Press, c.Pos, c.Source, c.Node, c.Label, c.Value, c.Old, c.Account, state)
			if err != nil {
				return err
			}
			added = added || tag.RowsAffected() == 1
		}
		return nil
	})
	return added && !late, err
}

// MarkSent commits that a command is about to be sent. False means that it is not to be sent any more.
func (s *Store) MarkSent(ctx context.Context, press string, pos int) (bool, error) {
	tag, err := s.pool.Exec(ctx, `update plant_command set state = 'sent' where press = $1 and pos = $2 and state = 'intended' and at > now() - interval '2 seconds'`, press, pos)
	if err != nil {
		return false, fmt.Errorf("mark the command as sent: %w", err)
	}
	return tag.RowsAffected() == 1, nil
}

// EndCommand logs what came of a command.
func (s *Store) EndCommand(ctx context.Context, press string, pos int, state, reason string) error {
	_, err := s.pool.Exec(ctx, `update plant_command set state = $3, reason = nullif($4, ''), ended_at = now() where press = $1 and pos = $2`, press, pos, state, reason)
	if err != nil {
		return fmt.Errorf("log the command's outcome: %w", err)
	}
	return nil
}

// SettleCommands ends what an earlier run of the program left: a sent command's outcome is
// unknown, and it is never sent again; an intended one has expired.
func (s *Store) SettleCommands(ctx context.Context) error {
	_, err := s.pool.Exec(ctx, `update plant_command set state = case state when 'sent' then 'unknown' else 'expired' end, ended_at = now() where state in ('sent', 'intended')`)
	if err != nil {
		return fmt.Errorf("settle the commands of an earlier run: %w", err)
	}
	return nil
}

// Commands reads the log of a press in order.
func (s *Store) Commands(ctx context.Context, press string) ([]Command, error) {
	rows, err := s.pool.Query(ctx, `select press, pos, source, node, label, value, coalesce(old, ''), state, coalesce(reason, ''), account, at from plant_command where press = $1 order by pos`, press)
	if err != nil {
		return nil, fmt.Errorf("read the log of commands: %w", err)
	}
	out, err := pgx.CollectRows(rows, pgx.RowToStructByPos[Command])
	if err != nil {
		return nil, fmt.Errorf("read the log of commands: %w", err)
	}
	return out, nil
}
