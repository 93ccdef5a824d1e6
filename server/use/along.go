package use

import (
	"context"
	"errors"
	"slices"
	"strings"

	"github.com/gin-gonic/gin"

	"ambergate/api"
	"ambergate/core/ask"
	"ambergate/core/place"
	"ambergate/server/answer"
	"ambergate/store"
)

// GoAlong goes back, forward, home or along a round, or to a place that the browser's own history names.
func (s *Side) GoAlong(c *gin.Context, slug string) {
	inUse(s, c, slug, func(v *Visit, req api.GoRequest) (*api.Shown, error) { return v.goAlong(c, req) })
}

func (v *Visit) goAlong(ctx context.Context, req api.GoRequest) (*api.Shown, error) {
	at, err := v.at(ctx, req.Trail, req.N)
	if err != nil {
		return nil, err
	}
	switch req.To {
	case "place":
		step := -1
		if at.At < at.N {
			step = 1
		}
		return v.nearest(ctx, at, step)
	case "back", "forward":
		return v.step(ctx, at, req.To)
	case "up":
		return v.goUp(ctx, at)
	case "round":
		return v.goRound(ctx, at, 1)
	case "round-back":
		return v.goRound(ctx, at, -1)
	case "home":
		return v.goHome(ctx, at, "")
	case "close":
		if len(at.Overlays) > 0 {
			at.Overlays = at.Overlays[:len(at.Overlays)-1]
		}
		if err := v.server.Store.Change(ctx, at.Spot); err != nil {
			return nil, err
		}
		return v.show(ctx, at)
	}
	return nil, &ask.Refusal{Code: "bad-request", What: "There is no direction “" + req.To + "”."}
}

func (v *Visit) step(ctx context.Context, at *store.Standing, direction string) (*api.Shown, error) {
	to := map[string]int{"back": -1, "forward": 1}[direction]
	next, err := v.server.Store.Load(ctx, at.Trail, at.N+to, v.account.ID, v.project)
	if errors.Is(err, store.ErrNone) {
		if direction == "forward" {
			return v.show(ctx, at)
		}
		return v.goUp(ctx, at)
	}
	if err != nil {
		return nil, err
	}
	return v.nearest(ctx, next, to)
}

// gone says whether the screen of a place was taken out by a release.
func (v *Visit) gone(at *store.Standing) bool { return v.App.Project.Screens[at.Place.Screen] == nil }

// nearest shows a place, or where it is gone or refused the nearest live one in that direction, and says what was passed
// over. Where screens were taken out, and nothing lives before them, it is the start.
func (v *Visit) nearest(ctx context.Context, at *store.Standing, step int) (*api.Shown, error) {
	var passed []string
	first := at
	for {
		shown, err := v.show(ctx, at)
		if err == nil {
			passedOver(shown, passed)
			return shown, v.server.Store.Stand(ctx, at.Trail, at.N)
		}
		if !answer.IsRefusal(err) {
			return nil, err
		}
		passed = append(passed, at.Title)
		next, loadErr := v.server.Store.Load(ctx, at.Trail, at.N+step, v.account.ID, v.project)
		if errors.Is(loadErr, store.ErrNone) && v.gone(first) {
			if shown, err = v.goHome(ctx, first, ""); err == nil {
				passedOver(shown, passed)
			}
			return shown, err
		}
		if errors.Is(loadErr, store.ErrNone) {
			return nil, err
		}
		if loadErr != nil {
			return nil, loadErr
		}
		at = next
	}
}

// passedOver says which places were passed over, those that are gone many times once.
func passedOver(shown *api.Shown, titles []string) {
	if slices.Sort(titles); len(titles) > 0 {
		shown.Passed = answer.Ptr(strings.Join(slices.Compact(titles), ", "))
	}
}

// goUp is what back means where the trail is empty: up, else home.
func (v *Visit) goUp(ctx context.Context, at *store.Standing) (*api.Shown, error) {
	s := v.App.Project.Screens[at.Place.Screen]
	if s != nil && v.App.Project.Screens[s.Up] != nil {
		up := place.Place{Screen: s.Up, Mode: "view", Inputs: map[string]string{}}
		if o, err := v.open(ctx, up); err == nil {
			return v.append(ctx, at, o, "", "")
		}
	}
	return v.goHome(ctx, at, "")
}

func (v *Visit) goHome(ctx context.Context, at *store.Standing, press string) (*api.Shown, error) {
	home, err := v.home()
	if err != nil {
		return nil, err
	}
	if at.Place.Screen == home.Screen {
		return v.show(ctx, at)
	}
	o, err := v.open(ctx, home)
	if err != nil {
		return nil, err
	}
	return v.append(ctx, at, o, press, "")
}

// leaveTask goes back to where a guided task was begun: past all its steps.
func (v *Visit) leaveTask(ctx context.Context, at *store.Standing) (*api.Shown, error) {
	before := at
	for before.Place.Screen == at.Place.Screen {
		next, err := v.server.Store.Load(ctx, at.Trail, before.N-1, v.account.ID, v.project)
		if errors.Is(err, store.ErrNone) {
			return v.goUp(ctx, at)
		}
		if err != nil {
			return nil, err
		}
		before = next
	}
	return v.nearest(ctx, before, -1)
}
