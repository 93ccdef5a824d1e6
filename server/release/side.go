package release

import "ambergate/server/build"

// Side answers what builders ask about releases, each call as one of the builder's side.
type Side struct{ of *build.Side }

// New makes it.
func New(of *build.Side) *Side { return &Side{of} }
