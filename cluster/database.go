package cluster

import (
	"context"
	"errors"
	"fmt"

	"github.com/jackc/pgerrcode"
	"github.com/jackc/pgx/v5"
	"github.com/jackc/pgx/v5/pgconn"
)

// role is the one that the program itself signs in by; its password is the cluster's.
const role = "ambergate"

// Database makes a database, unless it is there: one that belongs to the program's own role, or to the
// administrator alone. It gives the connection string of whom it belongs to.
func (c *Cluster) Database(ctx context.Context, name string, own bool) (dsn string, err error) {
	conn, err := pgx.Connect(ctx, c.AdminDSN("postgres"))
	if err != nil {
		return "", fmt.Errorf("connect to the cluster: %w", err)
	}
	defer conn.Close(ctx)
	owner := "postgres"
	if own {
		owner = role
	}
	for _, sql := range []string{
		`create role ` + role + ` login password '` + c.Password + `'`, // hexadecimal: nothing in it needs quoting
		`create database ` + pgx.Identifier{name}.Sanitize() + ` owner ` + owner,
	} {
		_, err := conn.Exec(ctx, sql)
		var pg *pgconn.PgError
		if errors.As(err, &pg) && (pg.Code == pgerrcode.DuplicateObject || pg.Code == pgerrcode.DuplicateDatabase) {
			continue // it was made by an earlier start
		}
		if err != nil {
			return "", fmt.Errorf("make the database %s: %w", name, err)
		}
	}
	return c.DSN(owner, c.Password, name), nil
}
