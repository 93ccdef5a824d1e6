package nav

import "context"

// nothingToFetch is part of kinds that show only the screen's own record and live values.
type nothingToFetch struct{}

// Fetch gets nothing.
func (nothingToFetch) Fetch(context.Context, *Opening, *ElementPlan, Sources) error { return nil }

// alwaysOpen is part of effects that need no right to a record.
type alwaysOpen struct{}

// Shut says that it is not.
func (alwaysOpen) Shut(*Opening, *EffectPlan, *Row) (Verdict, bool) { return Verdict{}, false }
