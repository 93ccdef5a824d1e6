package use

import (
	"context"

	"github.com/gin-gonic/gin"

	"ambergate/api"
	"ambergate/core/ask"
	"ambergate/core/kinds/element"
	"ambergate/core/place"
	"ambergate/core/trail"
	"ambergate/server/answer"
	"ambergate/store"
)

// layer gives a place of a trail at depth 0, or one of the dialogs and drawers over it.
func layer(at *store.Standing, depth int) (*place.Place, error) {
	switch {
	case depth == 0:
		return &at.Place, nil
	case depth > 0 && depth <= len(at.Overlays):
		return &at.Overlays[depth-1].Place, nil
	}
	return nil, &ask.Refusal{Code: "place-left", What: "The dialog was closed meanwhile.", Then: "Look at the screen as it is now."}
}

// arrive notes on a place that is led to from a place of a trail the list that its record is
// stepped along: the nearest that lists its table.
func (v *Visit) arrive(ctx context.Context, id string, n int, to *place.Place) error {
	if !trail.Asks(v.App, *to) {
		return nil
	}
	spots, err := v.server.Store.Before(ctx, id, n, trail.Sought)
	if err != nil {
		return err
	}
	before := make([]place.Place, len(spots))
	for i := range spots {
		before[i] = spots[i].Place
	}
	trail.Along(v.App, to, before)
	return nil
}

// arriveIn does the same for an address: typed in a tab with a trail, or opened in a new tab from
// a place of another.
func (v *Visit) arriveIn(ctx context.Context, req api.OpenRequest, to *place.Place) error {
	if from := req.From; from != nil {
		if at, err := v.at(ctx, from.Trail, from.N); err == nil {
			return v.arrive(ctx, at.Trail, at.N, to)
		}
	}
	known, err := v.server.Store.TrailOf(ctx, answer.Value(req.Trail), v.account.ID, v.project)
	if err != nil {
		return nil // there is no trail yet
	}
	return v.arrive(ctx, known.ID, known.At, to)
}

// AddParent opens, in a dialog, the form that a missing record of a field is added with. What is
// saved there is given to the field.
func (s *Side) AddParent(c *gin.Context, slug string) {
	inUse(s, c, slug, func(v *Visit, req api.AddParentRequest) (*api.Shown, error) {
		at, err := v.at(c, req.Trail, req.N)
		if err != nil {
			return nil, err
		}
		depth := answer.Value(req.Depth)
		below, err := layer(at, depth)
		if err != nil {
			return nil, err
		}
		o, err := v.open(c, *below)
		if err != nil {
			return nil, err
		}
		to, err := element.AddParent(o, req.Field)
		if err != nil {
			return nil, err
		}
		if _, err := v.open(c, *to); err != nil {
			return nil, err
		}
		at.Overlays = append(at.Overlays[:depth:depth], place.Overlay{Place: *to, As: "dialog", Into: req.Field})
		if err := s.Store.Change(c, at.Spot); err != nil {
			return nil, err
		}
		return v.show(c, at)
	})
}
