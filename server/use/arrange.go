package use

import (
	"context"
	"maps"
	"slices"

	"github.com/gin-gonic/gin"

	"ambergate/api"
	"ambergate/core/place"
	"ambergate/server/answer"
	"ambergate/store"
)

// Arrange narrows, orders and searches the list of a place: a place of its own on the trail.
func (s *Side) Arrange(c *gin.Context, slug string) {
	inUse(s, c, slug, func(v *Visit, req api.ArrangeRequest) (*api.Shown, error) { return v.arrange(c, req) })
}

func (v *Visit) arrange(ctx context.Context, req api.ArrangeRequest) (*api.Shown, error) {
	at, err := v.at(ctx, req.Trail, req.N)
	if err != nil {
		return nil, err
	}
	depth := answer.Value(req.Depth)
	now, err := layer(at, depth)
	if err != nil {
		return nil, err
	}
	place, made := v.arranged(*now, req)
	return v.rearrange(ctx, at, depth, place, made)
}

// rearrange brings the trail to a place that is the one at hand looked at otherwise.
func (v *Visit) rearrange(ctx context.Context, at *store.Standing, depth int, place place.Place, made string) (*api.Shown, error) {
	o, err := v.open(ctx, place)
	if err != nil {
		return nil, err
	}
	if depth > 0 { // a dialog is no place: it is arranged where it lies
		now, err := layer(at, depth)
		if err != nil {
			return nil, err
		}
		*now = place
		if err := v.server.Store.Change(ctx, at.Spot); err != nil {
			return nil, err
		}
		return v.show(ctx, at)
	}
	if at.Made == made && at.Fresh && at.At == at.N {
		// One goes on changing the same thing: no place for each step of it.
		at.Place, at.Title = place, o.View().Heading
		if err := v.server.Store.Change(ctx, at.Spot); err != nil {
			return nil, err
		}
		return v.show(ctx, at)
	}
	return v.append(ctx, at, o, "", made)
}

// arranged gives a place as a request wants its list, and which kind of change that is.
func (v *Visit) arranged(p place.Place, req api.ArrangeRequest) (place.Place, string) {
	made := "filters"
	switch {
	case req.Tabs != nil && !maps.Equal(*req.Tabs, p.Tabs):
		made = "tab"
	case answer.Value(req.Find) != p.Find:
		made = "find"
	case !slices.Equal(req.Sort, p.Sort):
		made = "sort"
	}
	p.Filters, p.Sort, p.Find, p.Look = req.Filters, req.Sort, answer.Value(req.Find), nil
	if req.Tabs != nil {
		p.Tabs = *req.Tabs
	}
	p.Inputs = maps.Clone(p.Inputs)
	for _, id := range answer.Value(req.Clear) {
		if s := v.App.Project.Screens[p.Screen]; s != nil && s.Inputs[id] != nil && !s.Inputs[id].Required {
			delete(p.Inputs, id)
		}
	}
	return p, made
}
