package records

import (
	"errors"
	"fmt"
	"regexp"
	"slices"
	"strings"

	"github.com/jackc/pgerrcode"
	"github.com/jackc/pgx/v5/pgconn"

	"ambergate/core/ask"
	"ambergate/core/project"
)

var detailColumns = regexp.MustCompile(`Key \(([^)]*)\)`)

// fieldError turns a refusal of the database into words beside the field it belongs to.
// No value of another record is told.
func fieldError(err error, t *project.Table, doing string) error {
	var pg *pgconn.PgError
	if !errors.As(err, &pg) {
		return fmt.Errorf("%s: %w", doing, err)
	}
	column, words := pg.ColumnName, "This value does not fit."
	switch pg.Code {
	case pgerrcode.UniqueViolation:
		words = "There is another " + t.One + " with this already."
	case pgerrcode.ForeignKeyViolation:
		words = "This does not exist any more."
	case pgerrcode.NotNullViolation:
		words = "Fill this in."
	case pgerrcode.CheckViolation:
		words = "The database does not allow this value."
		column = checkColumn(pg.ConstraintName, t)
	case pgerrcode.StringDataRightTruncationDataException:
		words = "This is too long."
	case pgerrcode.InsufficientPrivilege:
		return &ask.Refusal{Code: "no-grant", What: "The database does not allow this program to change " + strings.ToLower(t.Label) + ".", Then: "Tell the person who runs it.", Cause: err}
	default:
		if !isOneOf(err, misfits) {
			return fmt.Errorf("%s: %w", doing, err)
		}
	}
	if m := detailColumns.FindStringSubmatch(pg.Detail); column == "" && m != nil {
		column = strings.Split(m[1], ", ")[0]
	}
	for _, f := range t.Fields {
		if f.Column == column {
			return &ask.FieldErrors{Fields: map[string]string{f.ID: words}, Cause: err}
		}
	}
	return &ask.Refusal{Code: "not-accepted", What: "The database did not accept this: " + words, Then: "Change what you entered and try again.", Cause: err}
}

// checkColumn finds the column that a check is named after, as PostgreSQL names them: table_column_check.
func checkColumn(constraint string, t *project.Table) string {
	name := strings.TrimSuffix(strings.TrimPrefix(constraint, t.Relation+"_"), "_check")
	for _, f := range t.Fields {
		if f.Column == name {
			return name
		}
	}
	return ""
}

// What PostgreSQL answers, by its codes (SQLSTATE), as far as it means something of its own here.
var (
	misfits      = []string{pgerrcode.InvalidTextRepresentation, pgerrcode.NumericValueOutOfRange, pgerrcode.InvalidDatetimeFormat, pgerrcode.DatetimeFieldOverflow}
	triedAgain   = []string{pgerrcode.SerializationFailure, pgerrcode.DeadlockDetected}
	noPressTable = []string{pgerrcode.UndefinedTable, pgerrcode.InvalidSchemaName, pgerrcode.InsufficientPrivilege}
	mayNot       = []string{pgerrcode.InsufficientPrivilege}
	referredTo   = []string{pgerrcode.ForeignKeyViolation, pgerrcode.RestrictViolation}
	goneFrom     = []string{pgerrcode.UndefinedColumn, pgerrcode.UndefinedTable, pgerrcode.InvalidSchemaName, pgerrcode.InsufficientPrivilege, pgerrcode.UndefinedFunction, pgerrcode.DatatypeMismatch, pgerrcode.CannotCoerce}
	otherPlan    = []string{pgerrcode.FeatureNotSupported} // “cached plan must not change result type”
)

// isOneOf says whether an error is the database's, with one of some codes.
func isOneOf(err error, codes []string) bool {
	var pg *pgconn.PgError
	return errors.As(err, &pg) && slices.Contains(codes, pg.Code)
}
