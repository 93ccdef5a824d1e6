package store

import (
	"context"
	"fmt"
	"time"

	"github.com/jackc/pgx/v5"
)

// What is noted in the audit log.
const (
	RolesSet        = "roles"
	RightsSet       = "rights"
	Released        = "release"
	WalkedAs        = "walk"
	PasswordChanged = "password"
	SignedOutAll    = "sign-out-everywhere"

	PersonAdded       = "person"
	PersonRenamed     = "person-renamed"
	PersonDisabled    = "person-disabled"
	PersonEnabled     = "person-enabled"
	WalksSet          = "may-walk"
	LinkMade          = "link"
	SessionsEnded     = "sessions-ended"
	ConnectionKept    = "connection"
	ConnectionRemoved = "connection-removed"
	ProjectMade       = "application"
	ProjectRemoved    = "application-removed"
	DeviceAdded       = "display"
	DeviceChanged     = "display-changed"
	DeviceCode        = "display-code"
	DeviceRemoved     = "display-removed"
)

type originKey struct{}

// From lets what is noted within a context tell where it came from: an address.
func From(ctx context.Context, origin string) context.Context {
	return context.WithValue(ctx, originKey{}, origin)
}

// deed is what somebody did.
type deed struct {
	by, project  string // ids; no project: of the person alone
	what, detail string
}

// execer is what a pool and a transaction have in common.
type execer interface {
	QueryRow(ctx context.Context, sql string, args ...any) pgx.Row
}

// note writes a deed into the audit log, with the change itself where there is one.
func note(ctx context.Context, tx execer, d deed) error {
	origin, _ := ctx.Value(originKey{}).(string)
	var id int64
	return tx.QueryRow(ctx, `insert into audit (account, project, what, detail, origin) values ($1, nullif($2, ''), $3, $4, $5) returning id`, d.by, d.project, d.what, d.detail, origin).Scan(&id)
}

// Audited is one entry of the audit log.
type Audited struct {
	ID     int64
	At     time.Time
	Who    string // name, or the id of who is gone
	What   string
	Detail string
	Origin string
}

// Audit gives the entries of a project ("": of all that was done anywhere) older than one (0: the newest), newest first, with those of its people
// that belong to no project.
func (s *Store) Audit(ctx context.Context, projectID string, before int64, limit int) ([]Audited, error) {
	rows, err := s.pool.Query(ctx, `select u.id, u.at, coalesce(a.name, u.account), u.what, u.detail, u.origin from audit u left join account a on a.id = u.account
		where ($1 = '' or u.project = $1 or u.project is null and exists (select from account_role r where r.account = u.account and r.project = $1)) and ($2 = 0 or u.id < $2) order by u.id desc limit $3`, projectID, before, limit)
	if err != nil {
		return nil, fmt.Errorf("read the audit log: %w", err)
	}
	out, err := pgx.CollectRows(rows, pgx.RowToStructByPos[Audited])
	if err != nil {
		return nil, fmt.Errorf("read the audit log: %w", err)
	}
	return out, nil
}
