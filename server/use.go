package server

import (
	"context"
	"errors"
	"strings"
	"time"

	"github.com/gin-gonic/gin"

	"ambergate/api"
	"ambergate/core/ask"
	"ambergate/core/kinds/element"
	"ambergate/core/place"
	"ambergate/core/plan"
	"ambergate/core/project"
	"ambergate/core/use"
	"ambergate/store"
)

// visit is one request of a user in a released project.
type visit struct {
	server  *usersSide
	project string
	app     *plan.App
	release int
	account store.Account
	user    *ask.User
	others  func(slug string) *plan.App
	vars    map[string]string // what the tab keeps in variables of the project
}

// visit finds out who asks, in which project, in which release. Order: session, project, release.
func (s *usersSide) visit(c *gin.Context, slug string) (*visit, error) {
	if _, err := s.sessions.who(c, ""); err != nil {
		return nil, err
	}
	id, err := s.apps.id(c, slug)
	if err != nil {
		return nil, err
	}
	account, err := s.sessions.who(c, id)
	if err != nil {
		return nil, err
	}
	if len(account.Roles) == 0 {
		return nil, &ask.Refusal{Code: "no-role", What: "You have no role in this application.", Then: "Ask who runs it."}
	}
	app, release, err := s.apps.released(c, id)
	if err != nil {
		return nil, err
	}
	user, err := s.user(c, account, app)
	if err != nil {
		return nil, err
	}
	return &visit{server: s, project: id, app: app, release: release, account: account, user: user, others: s.others(c)}, nil
}

func (v *visit) sources() use.Sources {
	return use.Sources{Records: v.server.reader(v.app), Tags: v.tags(), Now: v.server.localNow(v.app), Others: v.others, Vars: v.vars}
}

func (v *visit) tags() tags { return tags{server: v.server.base, project: v.app.Project} }

// open judges and fetches a place, with first values of what is live on it.
func (v *visit) open(ctx context.Context, place place.Place) (*use.Opening, error) {
	o, err := use.Open(ctx, v.app, v.user, place, v.sources())
	if err != nil {
		// A guard over live values may have failed only because nobody watched them yet.
		return nil, err
	}
	if o.Live() {
		v.tags().watch(ctx, o.TagRefs())
	}
	return o, nil
}

// home is the place a user starts from.
func (v *visit) home() (place.Place, error) {
	start := v.app.Project.StartOf(v.user.Roles)
	if start == "" {
		return place.Place{}, &ask.Refusal{Code: "no-start", What: "Your role has no start screen.", Then: "Ask who builds this application."}
	}
	return place.Place{Screen: start, Mode: "view", Inputs: map[string]string{}}, nil
}

// show resolves a place of a trail, and what lies over it, into what the browser draws.
func (v *visit) show(ctx context.Context, at *store.Standing) (*api.Shown, error) {
	o, err := v.open(ctx, at.Place)
	if err != nil {
		return nil, err
	}
	view := o.View()
	shown := v.shown(at, o, view)
	if err := v.showOverlays(ctx, at, shown); err != nil {
		return nil, err
	}
	if view.Heading != at.Title {
		at.Title = view.Heading
		if err := v.server.Store.Change(ctx, at.Spot); err != nil {
			return nil, err
		}
	}
	return shown, v.findDrafts(ctx, at, shown)
}

// showOverlays resolves the dialogs and drawers over a place, up to the first that is gone or refused.
func (v *visit) showOverlays(ctx context.Context, at *store.Standing, shown *api.Shown) error {
	var out []api.OverlayView
	for _, over := range at.Overlays {
		o, err := v.open(ctx, over.Place)
		if isRefusal(err) {
			break
		}
		if err != nil {
			return err
		}
		out = append(out, api.OverlayView{View: *o.View(), As: over.As, Into: orNil(over.Into)})
		shown.Live = ptr(value(shown.Live) || o.Live())
	}
	if len(out) > 0 {
		shown.Overlays = &out
	}
	return nil
}

// shown puts a resolved place and its neighbours into the form of the API.
func (v *visit) shown(at *store.Standing, o *use.Opening, view *use.View) *api.Shown {
	return &api.Shown{
		Trail: at.Trail, N: at.N, Release: v.release, View: *view, User: v.user.Name, Roles: v.roleNames(), Live: ptr(o.Live()),
		Back: orNil(at.Back), Forward: orNil(at.Forward), Home: v.homeTitle(),
	}
}

func (v *visit) roleNames() []string {
	names := []string{}
	for _, r := range project.Ordered(v.app.Project.Roles) {
		if v.user.Roles[r.ID] {
			names = append(names, r.Name)
		}
	}
	return names
}

func (v *visit) homeTitle() string {
	if p, err := v.home(); err == nil {
		return v.app.Project.Screens[p.Screen].Title
	}
	return ""
}

// inUse answers a call of the users' side: it reads the body, finds out who asks in which
// release, and writes the answer or the no.
func inUse[Req, Resp any](s *usersSide, c *gin.Context, slug string, run func(v *visit, req Req) (Resp, error)) {
	var req Req
	if !readBody(c, &req) {
		return
	}
	v, err := s.visit(c, slug)
	if err != nil {
		fail(c, err)
		return
	}
	answer(c, func() (Resp, error) { return run(v, req) })
}

// OpenPlace opens a place by pointer, by address, or the start screen.
func (s *usersSide) OpenPlace(c *gin.Context, slug string) {
	inUse(s, c, slug, func(v *visit, req api.OpenRequest) (*api.Shown, error) { return v.openPlace(c, req) })
}

func (v *visit) openPlace(ctx context.Context, req api.OpenRequest) (*api.Shown, error) {
	st := v.server.Store
	if req.Trail != nil && req.N != nil && *req.N > 0 {
		at, err := st.Load(ctx, *req.Trail, *req.N, v.account.ID, v.project)
		if err == nil {
			v.vars = at.Vars
			if at.At != at.N {
				if err := st.Stand(ctx, at.Trail, at.N); err != nil {
					return nil, err
				}
			}
			return v.show(ctx, at)
		}
		if !errors.Is(err, store.ErrNone) {
			return nil, err
		}
	}
	place, err := v.place(value(req.Address))
	if err != nil {
		return nil, err
	}
	if err := v.arriveIn(ctx, req, &place); err != nil {
		return nil, err
	}
	from := &store.Standing{Spot: store.Spot{Trail: value(req.Trail)}}
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
			if at.Place.Address(v.app.Project) == place.Address(v.app.Project) {
				return v.show(ctx, at) // the address of where one stands is no new place
			}
			from = at
		}
	case errors.Is(err, store.ErrNone):
		from.Trail = newID()
		if err := st.NewTrail(ctx, store.Trail{ID: from.Trail, Account: v.account.ID, Project: v.project}); err != nil {
			return nil, err
		}
	default:
		return nil, err
	}
	return v.append(ctx, from, o, "", "")
}

// place reads an address after /use/<project>; an empty one is the start screen.
func (v *visit) place(address string) (place.Place, error) {
	path, query, _ := strings.Cut(strings.TrimPrefix(address, "/"), "?")
	if path == "" {
		return v.home()
	}
	return place.ParseAddress(v.app.Project, path, query)
}

// append puts a place that was opened just now behind another on the trail, and shows it.
func (v *visit) append(ctx context.Context, from *store.Standing, o *use.Opening, press, made string) (*api.Shown, error) {
	view := o.View()
	n, err := v.server.Store.Append(ctx, from.Trail, from.N, store.Spot{Place: o.Place(), Title: view.Heading, Made: made}, press)
	if err != nil {
		return nil, err
	}
	to := &store.Standing{Spot: store.Spot{Trail: from.Trail, N: n, Place: o.Place(), Title: view.Heading}, At: n, Back: from.Title}
	shown := v.shown(to, o, view)
	return shown, v.findDrafts(ctx, to, shown)
}

// at reads the place that a request names.
func (v *visit) at(ctx context.Context, trail string, n int) (*store.Standing, error) {
	at, err := v.server.Store.Load(ctx, trail, n, v.account.ID, v.project)
	if errors.Is(err, store.ErrNone) {
		return nil, &ask.Refusal{Code: "no-place", What: "This tab’s trail has ended.", Then: "Load the page again to go on from this screen."}
	}
	if err == nil {
		v.vars = at.Vars
	}
	return at, err
}

// MoreRows gives a further page of a list.
func (s *usersSide) MoreRows(c *gin.Context, slug string) {
	inUse(s, c, slug, func(v *visit, req api.RowsRequest) (*element.ListView, error) {
		o, err := v.openAt(c, req.Trail, req.N, value(req.Depth))
		if err != nil {
			return nil, err
		}
		return element.More(c, o, v.sources(), req.Element, value(req.Cursor), value(req.Back))
	})
}

// openAt opens the place that a trail points to, or a dialog over it.
func (v *visit) openAt(ctx context.Context, trail string, n, depth int) (*use.Opening, error) {
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
func (s *usersSide) opened(c *gin.Context, slug, trail string, n, depth int) (*visit, *use.Opening, error) {
	v, err := s.visit(c, slug)
	if err != nil {
		return nil, nil, err
	}
	o, err := v.openAt(c, trail, n, depth)
	return v, o, err
}

// GetTitles gives records of a table by title, for pickers of forms.
func (s *usersSide) GetTitles(c *gin.Context, slug, table string, params api.GetTitlesParams) {
	inUse(s, c, slug, func(v *visit, _ nothing) ([]api.Title, error) {
		return s.titles(c, v.app, v.user, use.TitleQuery{Table: table, Find: value(params.Q)})
	})
}

// GetTrend gives the samples of a trend's lines over its minutes.
func (s *usersSide) GetTrend(c *gin.Context, slug string, params api.GetTrendParams) {
	inUse(s, c, slug, func(v *visit, _ nothing) (api.Trend, error) {
		o, err := v.openAt(c, params.Trail, params.N, 0)
		if err != nil {
			return nil, err
		}
		return s.trend(v.app, o, params.Element), nil
	})
}

func (s *usersSide) trend(app *plan.App, o *use.Opening, element string) api.Trend {
	out := api.Trend{}
	t := tags{server: s.base, project: app.Project}
	for line, ref := range o.TrendRefs(element) {
		if p := t.plant(ref.Source); p != nil {
			out[line] = p.History(ref.Node, s.Now().Add(-time.Hour))
		}
	}
	return out
}
