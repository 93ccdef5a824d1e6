package use

import (
	_ "ambergate/core/kinds"
	"ambergate/server/base"
	"ambergate/server/called"
	"ambergate/server/drawn"
)

// Side answers what the users' side calls.
type Side struct {
	*base.Base
	asks    askKey
	holds   *holds
	groups  *groups
	CallUps *called.Hub // what the plant calls up
	used    used
	Drawn   *drawn.Screens
}

// New makes the users' side of a server.
func New(b *base.Base) *Side {
	return &Side{Base: b, asks: newAskKey(b.Key), holds: newHolds(b.Log, b.Store), groups: newGroups(), CallUps: called.New(b), Drawn: drawn.New(b.Log)}
}
