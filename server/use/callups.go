package use

import (
	"context"
	"slices"

	"github.com/gin-gonic/gin"

	"ambergate/api"
	"ambergate/core/ask"
	"ambergate/core/place"
	"ambergate/core/plan"
	"ambergate/core/use"
	"ambergate/server/answer"
	"ambergate/server/base"
	"ambergate/store"
)

// mayBeCalled says whether anything of the application can call a screen up for these roles.
func (v *Visit) mayBeCalled() bool {
	return slices.ContainsFunc(v.App.CallUps, func(c *plan.CallUp) bool { return c.IsFor(v.user.Roles) })
}

func (v *Visit) callUp(id string) *plan.CallUp {
	for _, c := range v.App.CallUps {
		if c.ID == id && c.IsFor(v.user.Roles) {
			return c
		}
	}
	return nil
}

// placeOf is where an occurrence leads.
func placeOf(c *plan.CallUp, o store.Occurrence) place.Place {
	to := place.Place{Screen: c.Screen, Mode: "view", Inputs: map[string]string{}}
	if c.Input != "" && o.Record != "" {
		to.Inputs[c.Input] = o.Record
	}
	return to
}

// isThere says whether one stands where a call-up would lead.
func isThere(at, to place.Place) bool {
	if at.Screen != to.Screen {
		return false
	}
	for in, key := range to.Inputs {
		if at.Inputs[in] != key {
			return false
		}
	}
	return true
}

// tellCallUps tells a tab what came to the front and is for it, each once; and that the list of them is another now.
// False when the stream has to end.
func (f *liveFeed) tellCallUps(ctx context.Context, out base.Stream) bool {
	v := f.visit
	front, err := v.server.CallUps.Front(ctx, v.project)
	if err != nil {
		return true // the store is away: told with the next change
	}
	if f.called == nil {
		if f.called, err = v.server.Store.CalledBefore(ctx, v.project, f.trail); err != nil {
			f.called = nil
			return true
		}
	}
	for _, o := range front {
		c := v.callUp(o.CallUp)
		if c == nil || f.called[o.ID] || !c.From(f.place.Screen) {
			continue
		}
		to := placeOf(c, o)
		if use.Check(ctx, v.App, v.user, to, v.sources()) != nil {
			continue // they may not be there
		}
		f.called[o.ID] = true
		event := api.CallUp{At: &f.at, Occurrence: o.ID, Words: o.Words, Screen: v.App.Project.Screens[c.Screen].Title, Began: o.Began.UnixMilli(), High: answer.OrNil(c.Priority == "high"), Here: answer.OrNil(isThere(f.place, to))}
		if out.Send("callup", event) != nil {
			return false
		}
	}
	return out.Send("callups", placeEnded{f.at}) == nil
}

// CallUp brings a tab to the screen that an occurrence calls up. Where one comes from stays as it is, a dialog over it
// too: going back leads there.
func (s *Side) CallUp(c *gin.Context, slug string) {
	inUse(s, c, slug, func(v *Visit, req api.CallUpRequest) (*api.Shown, error) {
		at, err := v.at(c, req.Trail, req.N)
		if err != nil {
			return nil, err
		}
		if at.At != at.N {
			return nil, &ask.Refusal{Code: "place-left", What: "The screen had changed meanwhile.", Then: "It is called up again from where you are."}
		}
		front, err := s.CallUps.Front(c, v.project)
		if err != nil {
			return nil, err
		}
		i := slices.IndexFunc(front, func(o store.Occurrence) bool { return o.ID == req.Occurrence })
		if i < 0 {
			return v.show(c, at) // it is over by now
		}
		up := v.callUp(front[i].CallUp)
		if up == nil || !up.From(at.Place.Screen) {
			return v.show(c, at)
		}
		to := placeOf(up, front[i])
		o, err := v.opened(c, to)
		if err != nil {
			return nil, err
		}
		first, err := s.Store.Called(c, front[i].ID, at.Trail)
		if err != nil {
			return nil, err
		}
		if !first || isThere(at.Place, to) {
			return v.show(c, at)
		}
		return v.append(c, at, o, "", "callup")
	})
}

// listedCallUps is how many are listed.
const listedCallUps = 40

// GetCallUps lists what the plant called up for whoever asks: what holds still first, then what was lately.
func (s *Side) GetCallUps(c *gin.Context, slug string) {
	inUse(s, c, slug, func(v *Visit, _ answer.Nothing) ([]api.CallUpListed, error) {
		all, err := s.Store.Occurrences(c, v.project, v.account.ID, listedCallUps)
		if err != nil {
			return nil, err
		}
		out := []api.CallUpListed{}
		for _, o := range all {
			up := v.callUp(o.CallUp)
			if up == nil || v.App.Project.Screens[up.Screen] == nil {
				continue
			}
			to := placeOf(up, o)
			one := api.CallUpListed{Occurrence: o.ID, Words: o.Words, Screen: v.App.Project.Screens[up.Screen].Title, Address: to.Address(v.App.Project), Began: o.Began.UnixMilli(), Seen: answer.OrNil(o.Seen)}
			if o.Ended != nil {
				one.Ended = answer.Ptr(o.Ended.UnixMilli())
			}
			out = append(out, one)
		}
		return out, nil
	})
}

// SeeCallUp notes that whoever asks has seen one.
func (s *Side) SeeCallUp(c *gin.Context, slug string, occurrence int64) {
	inUse(s, c, slug, func(v *Visit, _ answer.Nothing) (answer.Nothing, error) {
		return answer.Nothing{}, s.Store.SeeOccurrence(c, v.project, occurrence, v.account.ID)
	})
}
