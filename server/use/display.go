package use

import (
	"context"

	"github.com/gin-gonic/gin"

	"ambergate/api"
	"ambergate/core/place"
	"ambergate/server/answer"
	"ambergate/store"
)

// keepDisplay lets a display stay known to its browser, and begin at its start screen whatever was typed as an address.
func (v *Visit) keepDisplay(c *gin.Context, req *api.OpenRequest) {
	if v.account.Device == nil {
		return
	}
	v.server.BeginDisplay(c, v.token)
	if !v.user.Display.Leaves {
		req.Address = nil
	}
}

// display tells the browser what it may do as a display; nil for a person.
func (v *Visit) display() *api.Display {
	d := v.user.Display
	if d == nil {
		return nil
	}
	return &api.Display{Leaves: d.Leaves, Files: d.Files, Prints: d.Prints}
}

// roundAt tells where in the round of the user a place is; nil where it is no stop of it.
func (v *Visit) roundAt(at *store.Standing) *api.Round {
	stops := v.App.Project.RoundOf(v.user.Roles)
	for i, s := range stops {
		if s.Screen == at.Place.Screen && len(at.Overlays) == 0 && len(stops) > 1 {
			return &api.Round{At: i, Of: len(stops), Stay: s.Stay}
		}
	}
	return nil
}

// goRound goes on to the nearest stop of the round, in that direction, that is open to the user; where none is it stays.
func (v *Visit) goRound(ctx context.Context, at *store.Standing, step int) (*api.Shown, error) {
	here := v.roundAt(at)
	if here == nil {
		return v.show(ctx, at)
	}
	stops := v.App.Project.RoundOf(v.user.Roles)
	for i := 1; i < here.Of; i++ {
		next := stops[((here.At+i*step)%here.Of+here.Of)%here.Of]
		if v.App.Project.Screens[next.Screen] == nil {
			continue
		}
		o, err := v.open(ctx, place.Place{Screen: next.Screen, Mode: "view", Inputs: map[string]string{}})
		if answer.IsRefusal(err) {
			continue
		}
		if err != nil {
			return nil, err
		}
		return v.append(ctx, at, o, "", "")
	}
	return v.show(ctx, at)
}
