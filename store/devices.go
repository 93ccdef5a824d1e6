package store

import (
	"context"
	"crypto/rand"
	"errors"
	"fmt"
	"strings"
	"time"

	"github.com/jackc/pgx/v5"
)

// What a display may be allowed beyond going along its ways.
const (
	AllowsAddresses = "addresses" // typed addresses, and ways that lead out of the application
	AllowsFiles     = "files"     // saving lists as files, and choosing pictures
	AllowsPrinting  = "printing"
)

// How long a code can be typed, how many letters it has (of 32: 2⁵⁰ codes), and how long a display stays in.
const (
	codeLasts    = time.Hour
	codeLength   = 10
	deviceLength = 10 * 365 * 24 * time.Hour
	deviceSeen   = time.Minute // how often it is noted that a display is there
)

// Device is an unattended display that was enrolled: a role without a person.
type Device struct {
	ID, Name string
	Project  string
	Role     string
	Start    string // screen
	Allows   []string
	CodeEnds *time.Time // until when its code can be typed; nil for none
	Enrolled *time.Time
	Seen     *time.Time
}

// Devices lists all displays, by name.
func (s *Store) Devices(ctx context.Context, now time.Time) ([]Device, error) {
	rows, err := s.pool.Query(ctx, `select a.id, a.name, d.project, coalesce((select min(r.role) from account_role r where r.account = a.id), ''), d.start, d.allows,
			(select max(l.ends_at) from link l where l.account = a.id and l.ends_at > $1), d.enrolled_at, d.seen_at
		from device d join account a on a.id = d.account order by a.name, a.id`, now)
	if err != nil {
		return nil, fmt.Errorf("list the displays: %w", err)
	}
	out, err := pgx.CollectRows(rows, pgx.RowToStructByPos[Device])
	if err != nil {
		return nil, fmt.Errorf("list the displays: %w", err)
	}
	return out, nil
}

// AddDevice keeps a new display and gives the code by which it comes in, once.
func (s *Store) AddDevice(ctx context.Context, by string, d Device, now time.Time) (code string, err error) {
	code = newCode()
	return code, s.inTx(ctx, "add a display", func(tx pgx.Tx) error {
		if _, err := tx.Exec(ctx, `insert into account (id, login, name, password) values ($1, $2, $3, '')`, d.ID, "display:"+d.ID, d.Name); err != nil {
			return err
		}
		if _, err := tx.Exec(ctx, `insert into device (account, project, start) values ($1, $2, $3)`, d.ID, d.Project, d.Start); err != nil {
			return err
		}
		if err := setDevice(ctx, tx, d); err != nil {
			return err
		}
		if err := codeFor(ctx, tx, d.ID, code, now); err != nil {
			return err
		}
		return note(ctx, tx, deed{by, d.Project, DeviceAdded, d.Name})
	})
}

// SetDevice gives a display another name, role, start screen, and other things that it may; running ones at once.
// Its project stays. Error: ErrNone, also for one of another project.
func (s *Store) SetDevice(ctx context.Context, by string, d Device) error {
	return s.inTx(ctx, "change a display", func(tx pgx.Tx) error {
		if err := tx.QueryRow(ctx, `select project from device where account = $1 and project = $2 for update`, d.ID, d.Project).Scan(&d.Project); err != nil {
			return none(err)
		}
		if err := setDevice(ctx, tx, d); err != nil {
			return err
		}
		return note(ctx, tx, deed{by, d.Project, DeviceChanged, d.Name})
	})
}

func setDevice(ctx context.Context, tx pgx.Tx, d Device) error {
	for _, do := range []struct {
		sql  string
		args []any
	}{
		{`update account set name = $2 where id = $1`, []any{d.ID, d.Name}},
		{`update device set start = $2, allows = $3 where account = $1`, []any{d.ID, d.Start, append([]string{}, d.Allows...)}},
		{`delete from account_role where account = $1`, []any{d.ID}},
		{`insert into account_role (account, project, role) values ($1, $2, $3)`, []any{d.ID, d.Project, d.Role}},
	} {
		if _, err := tx.Exec(ctx, do.sql, do.args...); err != nil {
			return err
		}
	}
	return nil
}

// NewCode makes another code for a display; whatever came in by the last one is out. Error: ErrNone.
func (s *Store) NewCode(ctx context.Context, by, device string, now time.Time) (code string, err error) {
	code = newCode()
	return code, s.onDevice(ctx, by, device, DeviceCode, func(tx pgx.Tx) error {
		if err := endAll(ctx, tx, device); err != nil {
			return err
		}
		if _, err := tx.Exec(ctx, `update device set enrolled_at = null where account = $1`, device); err != nil {
			return err
		}
		return codeFor(ctx, tx, device, code, now)
	})
}

// RemoveDevice forgets a display, which is out within a second. Error: ErrNone.
func (s *Store) RemoveDevice(ctx context.Context, by, device string) error {
	return s.onDevice(ctx, by, device, DeviceRemoved, func(tx pgx.Tx) error {
		_, err := tx.Exec(ctx, `delete from account where id = $1`, device)
		return err
	})
}

func (s *Store) onDevice(ctx context.Context, by, device, what string, run func(tx pgx.Tx) error) error {
	return s.inTx(ctx, "change a display", func(tx pgx.Tx) error {
		var name, projectID string
		if err := tx.QueryRow(ctx, `select a.name, d.project from device d join account a on a.id = d.account where d.account = $1 for update`, device).Scan(&name, &projectID); err != nil {
			return none(err)
		}
		if err := run(tx); err != nil {
			return err
		}
		return note(ctx, tx, deed{by, projectID, what, name})
	})
}

// ErrCode means that a display's code was used already, is too old, or was never given.
var ErrCode = errors.New("the code does not hold")

// Enrol lets a display in by its code, once, and gives its session and the address of its application. Wrong codes are
// counted by the address they come from. Errors: ErrCode, *Blocked.
func (s *Store) Enrol(ctx context.Context, code string, e Entering) (in Entered, slug string, err error) {
	origin := guessOf("code", e.Origin)
	if err := s.mayGuess(ctx, origin, freeAttempts, e.Now); err != nil {
		return in, "", err
	}
	in.Token = rand.Text() + rand.Text()
	err = s.inTx(ctx, "let a display in", func(tx pgx.Tx) error {
		var device string
		err := tx.QueryRow(ctx, `delete from link l using device d where l.token_hash = $1 and l.ends_at > $2 and d.account = l.account returning d.account`, tokenHash(readCode(code)), e.Now).Scan(&device)
		if errors.Is(err, pgx.ErrNoRows) {
			return ErrCode
		}
		if err != nil {
			return err
		}
		if err := tx.QueryRow(ctx, `update device d set enrolled_at = $2, seen_at = $2 from account a, project p where d.account = $1 and a.id = d.account and p.id = d.project returning a.id, a.login, a.name, p.slug`, device, e.Now).
			Scan(&in.Account.ID, &in.Account.Login, &in.Account.Name, &slug); err != nil {
			return err
		}
		if err := endAll(ctx, tx, device); err != nil {
			return err
		}
		if _, err := tx.Exec(ctx, `delete from session where token_hash = $1`, tokenHash(e.Session)); err != nil {
			return err
		}
		// It may be switched off for a night or a winter: it is never taken for idle.
		ends := e.Now.Add(deviceLength)
		if _, err := tx.Exec(ctx, `insert into session (token_hash, account, created_at, seen_at, ends_at) values ($1, $2, $3, $4, $4)`, tokenHash(in.Token), device, e.Now, ends); err != nil {
			return err
		}
		_, err = tx.Exec(ctx, `delete from guess where key = $1`, origin)
		return err
	})
	return in, slug, err
}

// seeDevice notes that a display is there.
func (s *Store) seeDevice(ctx context.Context, d *Device, now time.Time) error {
	if d == nil || d.Seen != nil && now.Sub(*d.Seen) < deviceSeen {
		return nil
	}
	if _, err := s.pool.Exec(ctx, `update device set seen_at = $2 where account = $1`, d.ID, now); err != nil {
		return fmt.Errorf("note that the display is there: %w", err)
	}
	return nil
}

// deviceOf is the SQL of what an account a is as a display, as JSON; null for a person.
const deviceOf = `(select json_build_object('ID', d.account, 'Project', d.project, 'Start', d.start, 'Allows', d.allows, 'Seen', d.seen_at) from device d where d.account = a.id)`

// people leaves displays out of accounts a.
const people = ` not exists (select from device d where d.account = a.id)`

func codeFor(ctx context.Context, tx pgx.Tx, device, code string, now time.Time) error {
	if _, err := tx.Exec(ctx, `delete from link where account = $1`, device); err != nil {
		return err
	}
	_, err := tx.Exec(ctx, `insert into link (token_hash, account, ends_at) values ($1, $2, $3)`, tokenHash(readCode(code)), device, now.Add(codeLasts))
	return err
}

// newCode makes a code that is read from one screen and typed on another: ABCDE-FGHIJ.
func newCode() string {
	letters := rand.Text()[:codeLength]
	return letters[:codeLength/2] + "-" + letters[codeLength/2:]
}

// readCode reads a code as it was typed: in small letters, without the stroke, with spaces.
func readCode(typed string) string {
	return strings.Map(func(r rune) rune {
		if r >= 'A' && r <= 'Z' || r >= '2' && r <= '7' {
			return r
		}
		return -1
	}, strings.ToUpper(typed))
}
