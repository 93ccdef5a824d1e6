package use

import (
	"context"
	"errors"
	"strings"

	"github.com/gin-gonic/gin"

	"ambergate/api"
	"ambergate/core/ask"
	"ambergate/core/kinds/element"
	"ambergate/core/place"
	"ambergate/core/use"
	"ambergate/server/answer"
	"ambergate/server/base"
	"ambergate/store"
)

// show resolves a place of a trail, and what lies over it, into what the browser draws.
func (v *Visit) show(ctx context.Context, at *store.Standing) (*api.Shown, error) {
	o, err := v.open(ctx, at.Place)
	if err != nil {
		return nil, err
	}
	return v.showOpened(ctx, at, o)
}

// showOpened does so where the place itself was opened just now.
func (v *Visit) showOpened(ctx context.Context, at *store.Standing, o *use.Opening) (*api.Shown, error) {
	view, err := v.view(o)
	if err != nil {
		return nil, err
	}
	shown := v.shown(at, o, view)
	if err := v.showOverlays(ctx, at, shown); err != nil {
		return nil, err
	}
	if view.Heading != at.Title || at.Release != v.release {
		at.Title, at.Release = view.Heading, v.release
		if err := v.server.Store.Change(ctx, at.Spot); err != nil {
			return nil, err
		}
	}
	return shown, v.findDrafts(ctx, at, shown)
}

// showOverlays resolves the dialogs and drawers over a place, up to the first that is gone or refused.
func (v *Visit) showOverlays(ctx context.Context, at *store.Standing, shown *api.Shown) error {
	var out []api.OverlayView
	for _, over := range at.Overlays {
		o, err := v.open(ctx, over.Place)
		if answer.IsRefusal(err) {
			shown.Passed = answer.Ptr("a " + map[bool]string{true: "drawer", false: "dialog"}[over.As == "drawer"])
			break
		}
		if err != nil {
			return err
		}
		view, err := v.view(o)
		if err != nil {
			return err
		}
		out = append(out, api.OverlayView{View: *view, As: over.As, Into: answer.OrNil(over.Into)})
		shown.Live = answer.Ptr(answer.Value(shown.Live) || o.Live())
	}
	if len(out) > 0 {
		shown.Overlays = &out
	}
	return nil
}

// shown puts a resolved place and its neighbours into the form of the API.
func (v *Visit) shown(at *store.Standing, o *use.Opening, view *use.View) *api.Shown {
	after, warn := v.App.Project.IdleOf(v.user.Roles)
	return &api.Shown{
		IdleAfter: answer.OrNil(after), IdleWarn: answer.OrNil(warn), Round: v.roundAt(at), Display: v.display(),
		Trail: at.Trail, N: at.N, Release: v.release, View: *view, User: v.user.Name, Roles: v.roleNames(),
		// A display is seen to be there, and sees that it is cut off, by its stream.
		Live: answer.Ptr(o.Live() || v.mayBeCalled() || v.account.Device != nil), CallUps: answer.OrNil(v.mayBeCalled()),
		Back: answer.OrNil(at.Back), Forward: answer.OrNil(at.Forward), Home: v.homeTitle(),
	}
}

// OpenPlace opens a place by pointer, by address, or the start screen.
func (s *Side) OpenPlace(c *gin.Context, slug string) {
	inUse(s, c, slug, func(v *Visit, req api.OpenRequest) (*api.Shown, error) {
		v.keepDisplay(c, &req)
		return v.openPlace(c, req)
	})
}

func (v *Visit) openPlace(ctx context.Context, req api.OpenRequest) (*api.Shown, error) {
	st := v.server.Store
	if req.Trail != nil && req.N != nil && *req.N > 0 {
		at, err := v.load(ctx, *req.Trail, *req.N)
		if err == nil {
			v.vars = at.Vars
			if err := v.findTyped(ctx, at); err != nil {
				return nil, err
			}
			if at.At != at.N && !answer.Value(req.Again) {
				if err := st.Stand(ctx, at.Trail, at.N); err != nil {
					return nil, err
				}
			}
			if v.gone(at) {
				return v.nearest(ctx, at, -1)
			}
			return v.show(ctx, at)
		}
		if !errors.Is(err, store.ErrNone) {
			return nil, err
		}
	}
	place, err := v.place(answer.Value(req.Address))
	if err != nil {
		return nil, err
	}
	if err := v.arriveIn(ctx, req, &place); err != nil {
		return nil, err
	}
	from := &store.Standing{Spot: store.Spot{Trail: answer.Value(req.Trail)}}
	known, trailErr := st.TrailOf(ctx, from.Trail, v.account.ID, v.project)
	v.vars = known.Vars
	// Judged before it goes on a trail: a typed address that is refused leaves no place behind.
	o, err := v.open(ctx, place)
	if err != nil {
		return nil, err
	}
	switch err = trailErr; {
	case err == nil:
		from.N = known.At
		if at, err := st.Load(ctx, from.Trail, known.At, v.account.ID, v.project); err == nil {
			if at.Place.Address(v.App.Project) == place.Address(v.App.Project) {
				return v.show(ctx, at) // the address of where one stands is no new place
			}
			from = at
		}
	case errors.Is(err, store.ErrNone):
		from.Trail = base.NewID()
		if err := st.NewTrail(ctx, store.Trail{ID: from.Trail, Account: v.account.ID, Project: v.project}); err != nil {
			return nil, err
		}
	default:
		return nil, err
	}
	return v.append(ctx, from, o, "", "")
}

// place reads an address after /use/<project>; an empty one is the start screen.
func (v *Visit) place(address string) (place.Place, error) {
	path, query, _ := strings.Cut(strings.TrimPrefix(address, "/"), "?")
	if path == "" {
		return v.home()
	}
	return place.Parse(v.App.Project, path, query)
}

// append puts a place that was opened just now behind another on the trail, and shows it.
func (v *Visit) append(ctx context.Context, from *store.Standing, o *use.Opening, press, made string) (*api.Shown, error) {
	view, err := v.view(o)
	if err != nil {
		return nil, err
	}
	n, err := v.server.Store.Append(ctx, from.Trail, from.N, store.Spot{Place: o.Place(), Title: view.Heading, Made: made, Release: v.release}, press)
	if err != nil {
		return nil, err
	}
	to := &store.Standing{Spot: store.Spot{Trail: from.Trail, N: n, Place: o.Place(), Title: view.Heading, Release: v.release}, At: n, Back: from.Title}
	shown := v.shown(to, o, view)
	return shown, v.findDrafts(ctx, to, shown)
}

// load reads a place of a trail, unless it was read together with who asks; store.ErrNone for none.
func (v *Visit) load(ctx context.Context, trail string, n int) (*store.Standing, error) {
	if f := v.found; f != nil && f.trail == trail && f.n == n {
		v.found = nil // it changes from here on
		if f.at == nil {
			return nil, store.ErrNone
		}
		return f.at, nil
	}
	return v.server.Store.Load(ctx, trail, n, v.account.ID, v.project)
}

// at reads the place that a request names.
func (v *Visit) at(ctx context.Context, trail string, n int) (*store.Standing, error) {
	at, err := v.load(ctx, trail, n)
	if errors.Is(err, store.ErrNone) {
		return nil, &ask.Refusal{Code: "no-place", What: "This tab’s trail has ended.", Then: "Load the page again to go on from this screen."}
	}
	if err == nil {
		v.vars = at.Vars
		err = v.findTyped(ctx, at)
	}
	return at, err
}

// findTyped finds what was typed at a place where a guided task is done: which steps are part of it depends on that.
func (v *Visit) findTyped(ctx context.Context, at *store.Standing) error {
	for _, p := range append([]place.Place{at.Place}, placesOf(at.Overlays)...) {
		work := p.Work(v.App.Project)
		if work == "" || !v.App.GuidesIn(p.Screen) {
			continue
		}
		drafts, err := v.server.Store.FormDraftsOf(ctx, v.account.ID, v.project, []string{work})
		if err != nil {
			return err
		}
		for _, d := range drafts {
			if d.Tab == at.Trail {
				v.typed = d.Values
			}
		}
	}
	return nil
}

func placesOf(over []place.Overlay) []place.Place {
	out := make([]place.Place, len(over))
	for i := range over {
		out[i] = over[i].Place
	}
	return out
}

// MoreRows gives a further page of a list.
func (s *Side) MoreRows(c *gin.Context, slug string) {
	inUse(s, c, slug, func(v *Visit, req api.RowsRequest) (*element.ListView, error) {
		o, err := v.openAt(c, req.Trail, req.N, answer.Value(req.Depth))
		if err != nil {
			return nil, err
		}
		return element.More(c, o, v.sources(), req.Element, answer.Value(req.Cursor), answer.Value(req.Back))
	})
}

// openAt opens the place that a trail points to, or a dialog over it.
func (v *Visit) openAt(ctx context.Context, trail string, n, depth int) (*use.Opening, error) {
	at, err := v.at(ctx, trail, n)
	if err != nil {
		return nil, err
	}
	place, err := layer(at, depth)
	if err != nil {
		return nil, err
	}
	return v.open(ctx, *place)
}

// opened opens a place for an answer that is no JSON: a file, a picture, a stream.
func (s *Side) opened(c *gin.Context, slug, trail string, n, depth int) (*Visit, *use.Opening, error) {
	v, err := s.Visit(c, slug, trail, n)
	if err != nil {
		return nil, nil, err
	}
	o, err := v.openAt(c, trail, n, depth)
	return v, o, err
}

// GetTitles gives records of a table by title, for pickers of forms.
func (s *Side) GetTitles(c *gin.Context, slug, table string, params api.GetTitlesParams) {
	inUse(s, c, slug, func(v *Visit, _ answer.Nothing) ([]api.Title, error) {
		return s.Titles(c, v.App, v.user, use.TitleQuery{Table: table, Find: answer.Value(params.Q), Key: answer.Value(params.Key)})
	})
}

// GetTrend gives the samples of a trend's lines over its minutes.
func (s *Side) GetTrend(c *gin.Context, slug string, params api.GetTrendParams) {
	inUse(s, c, slug, func(v *Visit, _ answer.Nothing) (api.Trend, error) {
		o, err := v.openAt(c, params.Trail, params.N, 0)
		if err != nil {
			return nil, err
		}
		return s.Trend(v.App, o, params.Element), nil
	})
}
