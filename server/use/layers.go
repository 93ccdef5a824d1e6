package use

import (
	"context"
	"maps"

	"github.com/gin-gonic/gin"

	"ambergate/api"
	"ambergate/core/ask"
	"ambergate/core/kinds/element"
	"ambergate/core/place"
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

// withChosen gives a place with other chosen rows.
func withChosen(p place.Place, chosen map[string]string) place.Place {
	if len(chosen) == 0 {
		return p
	}
	p.Look = maps.Clone(p.Look)
	if p.Look == nil {
		p.Look = map[string]place.Look{}
	}
	for list, row := range chosen {
		look := p.Look[list]
		look.Row = row
		p.Look[list] = look
	}
	return p
}

// listsSought is how far back a trail is searched for the list that a record is stepped along.
const listsSought = 30

// arrive notes on a place that is led to from a place of a trail the list that its record is
// stepped along: the nearest that lists its table.
func (v *Visit) arrive(ctx context.Context, trail string, n int, to *place.Place) error {
	table := v.App.StepsAlong(*to)
	if table == "" || to.From != nil {
		return nil
	}
	spots, err := v.server.Store.Before(ctx, trail, n, listsSought)
	if err != nil {
		return err
	}
	for _, spot := range spots {
		if from := place.ListOf(v.App.Project, spot.Place, table); from != nil {
			to.From = from
			return nil
		}
	}
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
