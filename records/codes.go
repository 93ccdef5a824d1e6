package records

import (
	"errors"
	"slices"

	"github.com/jackc/pgerrcode"
	"github.com/jackc/pgx/v5/pgconn"
)

// What PostgreSQL answers, by its codes (SQLSTATE), as far as it means something of its own here.
var (
	misfits      = []string{pgerrcode.InvalidTextRepresentation, pgerrcode.NumericValueOutOfRange, pgerrcode.InvalidDatetimeFormat, pgerrcode.DatetimeFieldOverflow}
	triedAgain   = []string{pgerrcode.SerializationFailure, pgerrcode.DeadlockDetected}
	noPressTable = []string{pgerrcode.UndefinedTable, pgerrcode.InvalidSchemaName, pgerrcode.InsufficientPrivilege}
	referredTo   = []string{pgerrcode.ForeignKeyViolation, pgerrcode.RestrictViolation}
	goneFrom     = []string{pgerrcode.UndefinedColumn, pgerrcode.UndefinedTable, pgerrcode.InvalidSchemaName, pgerrcode.InsufficientPrivilege, pgerrcode.UndefinedFunction, pgerrcode.DatatypeMismatch, pgerrcode.CannotCoerce}
	otherPlan    = []string{pgerrcode.FeatureNotSupported} // “cached plan must not change result type”
)

// isOneOf says whether an error is the database's, with one of some codes.
func isOneOf(err error, codes []string) bool {
	var pg *pgconn.PgError
	return errors.As(err, &pg) && slices.Contains(codes, pg.Code)
}
