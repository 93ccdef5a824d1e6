package records

import "context"

// Scan reads one value, for tests that look at what is stored.
func (p *Press) Scan(sql string, into ...any) error {
	return p.tx.QueryRow(context.Background(), sql).Scan(into...)
}
