package records

import "context"

// Scan reads one value, for tests that look at what is stored.
func (p *Press) Scan(sql string, into ...any) error {
	return p.tx.QueryRow(context.Background(), sql).Scan(into...)
}

// Renumbered gives SQL whose parameters come after so many others.
func Renumbered(sql string, by int) string { return renumbered(sql, by) }
