package ask

import "ambergate/core/project"

// OnlyRead is answered by records of which some cannot be changed here, whatever anybody may: their
// database has no place where presses are claimed.
type OnlyRead interface {
	OnlyRead(t *project.Table) bool
}
