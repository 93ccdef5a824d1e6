package records

import (
	"context"
	"crypto/x509"
	"errors"
	"fmt"
	"net"
	"strings"

	"github.com/jackc/pgerrcode"
	"github.com/jackc/pgx/v5"
	"github.com/jackc/pgx/v5/pgconn"

	"ambergate/core/ask"
)

// PressTable is what a database needs so that presses may change its records: run by who may make a schema in it.
// Whoever else is to press needs the same rights as the login.
const PressTable = `create schema if not exists ambergate;
create table if not exists ambergate.press (
  id      text primary key,
  user_id text not null,
  content text not null,
  outcome jsonb,
  at      timestamptz not null default now()
);
create index if not exists press_by_age on ambergate.press (at);`

// Trial is what became of trying a connection.
type Trial struct {
	Version   string   // of the database
	Database  string   // its name
	Login     string   // as which one is signed in
	Schemas   []string // with records that the login may know of
	Tables    int
	MayWrite  bool // some table at least
	Claims    bool // it has the table that presses are claimed in, and the login may use it
	MayClaim  bool // the login may make it
	Encrypted bool // the connection is by TLS
}

// ErrOwnStore means that the database holds the program's own schema: it is no source of records.
var ErrOwnStore = &ask.Refusal{Code: "own-store", What: "This is the program’s own database.", Then: "Choose the one that holds your records."}

// Try connects by a connection string and looks what can be done there. The error is a *ask.Refusal that says what
// happened and what to do.
func Try(ctx context.Context, dsn string) (*Trial, error) {
	config, err := pgx.ParseConfig(dsn)
	if err != nil {
		return nil, &ask.Refusal{Cause: err, Code: "no-connection", What: "This connection cannot be read.", Then: "Check the address, the database and the login."}
	}
	conn, err := pgx.ConnectConfig(ctx, config)
	if err != nil {
		return nil, ofConnecting(err, config)
	}
	defer conn.Close(context.WithoutCancel(ctx))
	t := &Trial{Database: config.Database, Login: config.User, Encrypted: conn.PgConn().Conn() != nil && config.TLSConfig != nil}
	var own bool
	err = conn.QueryRow(ctx, `select current_setting('server_version'), coalesce((select s.ssl from pg_stat_ssl s where s.pid = pg_backend_pid()), false),
		to_regclass('public.goose_db_version') is not null and to_regclass('public.audit') is not null and to_regclass('public.account_role') is not null,
		coalesce(has_schema_privilege((select n.oid from pg_namespace n where n.nspname = 'ambergate'), 'usage') and has_table_privilege(to_regclass('ambergate.press'), 'select')
			and has_table_privilege(to_regclass('ambergate.press'), 'insert') and has_table_privilege(to_regclass('ambergate.press'), 'update'), false),
		has_database_privilege(current_database(), 'create')`).Scan(&t.Version, &t.Encrypted, &own, &t.Claims, &t.MayClaim)
	if err != nil {
		return nil, ofConnecting(err, config)
	}
	if own {
		return nil, ErrOwnStore
	}
	rows, err := conn.Query(ctx, `select n.nspname, count(*), bool_or(c.relkind in ('r', 'p') and (has_table_privilege(c.oid, 'insert') or has_table_privilege(c.oid, 'update') or has_any_column_privilege(c.oid, 'update')))
		from pg_class c join pg_namespace n on n.oid = c.relnamespace
		where c.relkind in ('r', 'p', 'v', 'm') and not c.relispartition and n.nspname not in ('pg_catalog', 'information_schema', 'ambergate') and n.nspname not like 'pg\_%' and has_schema_privilege(n.oid, 'usage') and has_any_column_privilege(c.oid, 'select')
		group by 1 order by 1`)
	if err != nil {
		return nil, ofConnecting(err, config)
	}
	var schema string
	var tables int
	var writes bool
	_, err = pgx.ForEachRow(rows, []any{&schema, &tables, &writes}, func() error {
		t.Schemas, t.Tables, t.MayWrite = append(t.Schemas, schema), t.Tables+tables, t.MayWrite || writes
		return nil
	})
	if err != nil {
		return nil, ofConnecting(err, config)
	}
	return t, nil
}

// ofConnecting says what came of connecting, in words.
func ofConnecting(err error, config *pgx.ConnConfig) *ask.Refusal {
	at := net.JoinHostPort(config.Host, fmt.Sprint(config.Port))
	say := func(code, what, then string) *ask.Refusal {
		return &ask.Refusal{Cause: err, Code: code, What: what, Then: then}
	}
	var pg *pgconn.PgError
	if errors.As(err, &pg) {
		switch pg.Code {
		case pgerrcode.InvalidPassword, pgerrcode.InvalidAuthorizationSpecification:
			if strings.Contains(pg.Message, "no encryption") || strings.Contains(pg.Message, "SSL off") {
				return say("needs-tls", "The database at "+at+" lets nobody in without TLS.", "Choose TLS.")
			}
			return say("no-login", "The database at "+at+" is there, and refuses the login “"+config.User+"” with this password.", "Check both, and whether it may come from here.")
		case pgerrcode.InvalidCatalogName:
			return say("no-database", "At "+at+" there is no database “"+config.Database+"”.", "Check its name.")
		case pgerrcode.InsufficientPrivilege:
			return say("no-right", "The login “"+config.User+"” may not use the database “"+config.Database+"”.", "Ask who runs it for the right to connect.")
		case pgerrcode.TooManyConnections:
			return say("database-full", "The database at "+at+" has no connection left.", "Try again, or ask who runs it.")
		}
		return say("no-connection", "The database at "+at+" refuses: "+pg.Message+".", "Ask who runs it.")
	}
	var unknown x509.UnknownAuthorityError
	var wrongHost x509.HostnameError
	var noHost *net.DNSError
	switch text := err.Error(); {
	case strings.Contains(text, "server refused TLS"):
		return say("no-tls", "The database at "+at+" speaks no TLS.", "Choose a connection without TLS, or let who runs it turn it on.")
	case errors.As(err, &unknown):
		return say("no-trust", "The certificate of "+at+" is of nobody this machine trusts.", "Let the machine trust its issuer, or choose TLS without looking at the certificate.")
	case errors.As(err, &wrongHost):
		return say("no-trust", "The certificate of "+at+" is made for another host.", "Check the address, or choose TLS without looking at the certificate.")
	case errors.As(err, &noHost):
		return say("no-host", "There is no host “"+config.Host+"”.", "Check the address.")
	case strings.Contains(text, "connection refused"):
		return say("no-host", "Nothing answers at "+at+".", "Check address and port, and whether the database runs.")
	case errors.Is(err, context.DeadlineExceeded), strings.Contains(text, "timeout"), strings.Contains(text, "i/o timeout"):
		return say("no-answer", "The host at "+at+" does not answer in time.", "Check the address, and whether a firewall lets you through.")
	}
	return say("no-connection", "The database at "+at+" cannot be reached.", "Check the address and the port.")
}

// MakePressTable makes the table that presses are claimed in. The error is a *ask.Refusal when the login may not.
func MakePressTable(ctx context.Context, dsn string) error {
	conn, err := pgx.Connect(ctx, dsn)
	if err != nil {
		return fmt.Errorf("connect to make the table of presses: %w", err)
	}
	defer conn.Close(context.WithoutCancel(ctx))
	_, err = conn.Exec(ctx, PressTable)
	if isOneOf(err, mayNot) {
		return &ask.Refusal{Cause: err, Code: "no-right", What: "The login may not make a table in this database.", Then: "Let who runs the database run the statement."}
	}
	if err != nil {
		return fmt.Errorf("make the table of presses: %w", err)
	}
	return nil
}
