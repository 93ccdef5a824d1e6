package records

import (
	"errors"
	"fmt"
	"regexp"
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
