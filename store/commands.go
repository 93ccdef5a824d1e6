package store

import (
	"context"
	"errors"
	"fmt"
	"time"

	"github.com/jackc/pgx/v5"
)

// Command is one write to the plant that a press asked for, as it is logged.
type Command struct {
	Press   string
	Pos     int
	Plant   string // the connection, by name
	Project string // of which application it is; "" in the log from before that was kept
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

// UnderWay says that nobody knows yet what comes of it.
func (c Command) UnderWay() bool { return c.State == "intended" || c.State == "sent" }

// How long a command may wait to be sent, and how long a tag is claimed at the most.
const (
	sentWithin    = "2 seconds"
	claimedAtMost = "15 seconds"
)

// claiming is a lock of a tag for as long as one claims it or gives it back. Who comes meanwhile does not wait for the
// other to commit, which may take seconds: somebody is at work on the tag.
func claiming(plant, node string) string {
	return `hashtext('plant_claim'), hashtext(` + plant + ` || ' ' || ` + node + `)`
}

// ErrPending means that a command of another press to one of the tags is on its way.
var ErrPending = errors.New("a command is on its way already")

// Intend claims the tags of a press and logs its commands before anything is sent: as intended; as expired, for
// a press that was done before and not sent then; as refused, all of them, where another press has one of the tags.
// Logged before: nothing is added. True: they are to be sent.
func (s *Store) Intend(ctx context.Context, commands []Command, late bool) (bool, error) {
	added := false
	err := s.inTx(ctx, "log the plant commands", func(tx pgx.Tx) error {
		state, reason := "intended", ""
		if late {
			state = "expired"
		}
		for _, c := range commands {
			if late {
				break
			}
			tag, err := tx.Exec(ctx, `insert into plant_claim as k (plant, node, press, until) select $1, $2, $3, now() + interval '`+claimedAtMost+`' where pg_try_advisory_xact_lock(`+claiming("$1::text", "$2::text")+`)
				on conflict (plant, node) do update set press = excluded.press, until = excluded.until where k.press = excluded.press or k.until < now()`, c.Plant, c.Node, c.Press)
			if err != nil {
				return err
			}
			if tag.RowsAffected() == 0 {
				state, reason = "refused", ErrPending.Error()
			}
		}
		for _, c := range commands {
			tag, err := tx.Exec(ctx, `insert into plant_command (press, pos, source, node, label, value, old, state, account, reason, project) values ($1, $2, $3, $4, $5, $6, $7, $9, $8, nullif($10, ''), nullif($11, '')) on conflict do nothing`,
				c.Press, c.Pos, c.Source, c.Node, c.Label, c.Value, c.Old, c.Account, state, reason, c.Project)
			if err != nil {
				return err
			}
			added = added || tag.RowsAffected() == 1
		}
		if added && state == "intended" || len(commands) == 0 {
			return nil
		}
		added = false
		// What it claimed itself is free again; of a press that is under way elsewhere nothing is touched.
		_, err := tx.Exec(ctx, `delete from plant_claim where press = $1 and not exists (select from plant_command where press = $1 and state in ('intended', 'sent'))`, commands[0].Press)
		return err
	})
	return added, err
}

// Pending says whether a command of any press to a tag is on its way: ErrPending then.
func (s *Store) Pending(ctx context.Context, plant string, nodes []string) error {
	var n int
	if err := s.pool.QueryRow(ctx, `select count(*) from plant_claim where plant = $1 and node = any($2) and until > now()`, plant, nodes).Scan(&n); err != nil {
		return fmt.Errorf("look for commands on their way: %w", err)
	}
	if n > 0 {
		return ErrPending
	}
	return nil
}

// GiveBack ends the claims of a press, whose commands have ended.
func (s *Store) GiveBack(ctx context.Context, press string) error {
	if _, err := s.pool.Exec(ctx, `with mine as materialized (select plant, node, pg_advisory_xact_lock(`+claiming("plant", "node")+`) from plant_claim where press = $1)
		delete from plant_claim k using mine where k.plant = mine.plant and k.node = mine.node and k.press = $1`, press); err != nil {
		return fmt.Errorf("give back the tags of a press: %w", err)
	}
	return nil
}

// MarkSent commits that a command is about to be sent. False means that it is not to be sent any more: it was
// before, or it has waited too long, and is logged as expired; or another server leads by now (Fenced).
func (s *Store) MarkSent(ctx context.Context, press string, pos int) (bool, error) {
	var state string
	err := s.pool.QueryRow(ctx, `update plant_command set state = case when at > now() - interval '`+sentWithin+`' and `+leads("$3")+` then 'sent' else 'expired' end, ended_at = case when at > now() - interval '`+sentWithin+`' and `+leads("$3")+` then null else now() end
		where press = $1 and pos = $2 and state = 'intended' returning state`, press, pos, fence(ctx)).Scan(&state)
	if errors.Is(err, pgx.ErrNoRows) {
		return false, nil
	}
	if err != nil {
		return false, fmt.Errorf("mark the command as sent: %w", err)
	}
	return state == "sent", nil
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
	if _, err := s.pool.Exec(ctx, `delete from plant_claim`); err != nil {
		return fmt.Errorf("settle the commands of an earlier run: %w", err)
	}
	return nil
}

// Commands reads the log of a press in order.
func (s *Store) Commands(ctx context.Context, press string) ([]Command, error) {
	rows, err := s.pool.Query(ctx, `select press, pos, '', coalesce(project, ''), source, node, label, value, coalesce(old, ''), state, coalesce(reason, ''), account, at from plant_command where press = $1 order by pos`, press)
	if err != nil {
		return nil, fmt.Errorf("read the log of commands: %w", err)
	}
	out, err := pgx.CollectRows(rows, pgx.RowToStructByPos[Command])
	if err != nil {
		return nil, fmt.Errorf("read the log of commands: %w", err)
	}
	return out, nil
}

// LoggedCommand is a command as its log is read: with who sent it, and when it ended.
type LoggedCommand struct {
	ID    int64 // its place in the log
	Who   string
	Label string
	Node  string
	Old   string
	Value string
	State string
	Why   string
	At    time.Time
	Ended *time.Time
}

// commandPlace is the place of a command in the log: its moment to ten microseconds, and which of its press it is. It
// stays within what a browser can count to.
const commandPlace = `(floor(extract(epoch from c.at) * 100000)::bigint * 10 + least(c.pos, 9))`

// CommandLog reads what of an application was sent to plants, newest first; before is the place of the last one read, 0
// for none.
func (s *Store) CommandLog(ctx context.Context, project string, before int64, limit int) ([]LoggedCommand, error) {
	rows, err := s.pool.Query(ctx, `select `+commandPlace+`, coalesce(a.name, c.account), c.label, c.node, coalesce(c.old, ''), c.value, c.state, coalesce(c.reason, ''), c.at, c.ended_at
		from plant_command c left join account a on a.id = c.account
		where c.project = $1 and ($2::bigint = 0 or `+commandPlace+` < $2::bigint) order by 1 desc limit $3`, project, before, limit)
	if err != nil {
		return nil, fmt.Errorf("read the log of commands: %w", err)
	}
	out, err := pgx.CollectRows(rows, pgx.RowToStructByPos[LoggedCommand])
	if err != nil {
		return nil, fmt.Errorf("read the log of commands: %w", err)
	}
	return out, nil
}

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
