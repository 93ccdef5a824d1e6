package stage_test

import (
	"context"

	"github.com/jackc/pgx/v5"
)

// connect opens a database of the stage as its administrator: tests look at what is really there.
func connect(database string) (*pgx.Conn, error) {
	return pgx.Connect(context.Background(), up.Cluster.AdminDSN(database))
}
