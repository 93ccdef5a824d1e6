package use

import (
	_ "ambergate/core/kinds"
	"ambergate/server/base"
)

// Side answers what the users' side calls.
type Side struct {
	*base.Base
	asks  askKey
	holds *holds
}

// New makes the users' side of a server.
func New(b *base.Base) *Side {
	return &Side{Base: b, asks: newAskKey(), holds: newHolds(b.Log, b.Store)}
}
