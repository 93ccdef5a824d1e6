package use

import (
	"context"
	"time"
	"weak"

	"github.com/gin-gonic/gin"

	"ambergate/api"
	"ambergate/core/ask"
	"ambergate/core/place"
	"ambergate/core/plan"
	"ambergate/core/use"
	"ambergate/server/answer"
	"ambergate/server/base"
	"ambergate/server/drawn"
	"ambergate/store"
)

// Visit is one request of a user in a released project.
type Visit struct {
	server  *Side
	project string
	App     *plan.App
	release int
	account store.Account
	token   string // of the session
	user    *ask.User
	others  func(slug string) *plan.App
	vars    map[string]string // what the tab keeps in variables of the project
	seen    base.Seen         // how far databases had written when the browser changed something in them
	changed bool              // that has become more
	typed   map[string]string // what was typed and not saved, on a screen with a guided task
	found   *foundPlace       // the place that is asked about, where it was looked for already
	target  *use.Opening      // where a press leads, where it was opened already
	noted   map[*use.Opening]*ask.Noted
}

// foundPlace is what was found at a place of a trail; nil for nothing.
type foundPlace struct {
	trail string
	n     int
	at    *store.Standing
}

// Visit finds out who asks, in which project, in which release, and the place of the trail that they
// ask about ("" for none). Order: session, project, release.
func (s *Side) Visit(c *gin.Context, slug, trail string, n int) (*Visit, error) {
	who, looked, err := s.Sessions.Visit(c, slug, trail, n)
	if err != nil {
		return nil, err
	}
	id, account := who.Project, who.Account
	if id == "" {
		return nil, base.NoProject(slug)
	}
	if len(account.Roles) == 0 {
		return nil, &ask.Refusal{Code: "no-role", What: "You have no role in this application.", Then: "Ask the person who runs it, or choose another application."}
	}
	app, release, err := s.Apps.ReleasedFor(c, id, account)
	if err != nil {
		return nil, err
	}
	user, err := s.User(c, account, app)
	if err != nil {
		return nil, err
	}
	v := &Visit{server: s, token: s.Cookies.Read(c, base.SessionCookie), seen: s.Cookies.SeenBy(c), project: id, App: app, release: release, account: account, user: user, others: s.Others(c)}
	if looked {
		v.found = &foundPlace{trail: trail, n: n, at: who.Standing}
	}
	return v, nil
}

// pointerOf gives the place of a trail that a request is about; "" for none.
func pointerOf(req any) (trail string, n int) {
	switch r := req.(type) {
	case api.PressRequest:
		return r.Trail, r.N
	case api.GoRequest:
		return r.Trail, r.N
	case api.ArrangeRequest:
		return r.Trail, r.N
	case api.RowsRequest:
		return r.Trail, r.N
	case api.DraftRequest:
		return r.Trail, r.N
	case api.LookRequest:
		return r.Trail, r.N
	case api.CallUpRequest:
		return r.Trail, r.N
	case api.OpenRequest:
		return answer.Value(r.Trail), answer.Value(r.N)
	}
	return "", 0
}

func (v *Visit) sources() use.Sources {
	return use.Sources{Records: v.server.Reader(v.App), Tags: v.tags(), Now: v.server.LocalNow(v.App), Others: v.others, Vars: v.vars, Typed: v.typed}
}

func (v *Visit) tags() base.Tags { return base.Tags{Base: v.server.Base, Project: v.App.Project} }

// open judges and fetches a place, with first values of what is live on it.
func (v *Visit) open(ctx context.Context, place place.Place) (*use.Opening, error) {
	src := v.sources()
	if v.server.Replicas && v.App.OnlyShows(place.Screen) {
		src.Records = v.server.ReaderSince(v.App, v.seen)
	}
	tasks := v.App.ListsTasks(place.Screen)
	if tasks {
		begun, err := v.server.Store.BegunBy(ctx, v.account.ID, v.project, v.App.TasksOf(place.Screen))
		if err != nil {
			return nil, err
		}
		for _, b := range begun {
			src.Begun = append(src.Begun, use.Begun{At: b.Place, When: b.At})
		}
	}
	o, err := v.openNoted(ctx, place, src)
	if err != nil {
		// A guard over live values may have failed only because nobody watched them yet.
		return nil, err
	}
	if tasks {
		v.noted[o].Beyond()
	}
	if o.Live() {
		v.tags().Watch(ctx, o.TagRefs())
	}
	return o, nil
}

// openNoted opens a place, and notes what that is made of.
func (v *Visit) openNoted(ctx context.Context, place place.Place, src use.Sources) (*use.Opening, error) {
	noted := ask.Note(src.Records)
	src.Records, src.Tags, src.OnTime = noted, noted.Tags(src.Tags), noted.Beyond
	src.Others = func(slug string) *plan.App {
		noted.Beyond()
		return v.others(slug)
	}
	o, err := use.Open(ctx, v.App, v.user, place, src)
	if err != nil {
		return nil, err
	}
	if v.noted == nil {
		v.noted = map[*use.Opening]*ask.Noted{}
	}
	v.noted[o] = noted
	return o, nil
}

// view draws an opened place; where all that it is made of is as it was, it is as it was drawn then.
func (v *Visit) view(o *use.Opening) (*use.View, error) {
	noted := v.noted[o]
	if noted == nil || o.Live() || o.At.Mode != "view" {
		return o.View(), nil
	}
	sum, all := noted.Sum()
	if !all {
		return o.View(), nil
	}
	of := drawn.Of{App: weak.Make(v.App), Place: v.server.groups.keyOf(v, o) + v.day() + v.readOnly(), Sum: sum}
	return v.server.Drawn.View(of, func() (*use.View, bool) {
		view := o.View()
		after, all := noted.Sum()
		return view, all && after == sum
	})
}

// day is the day by the clocks of the project.
func (v *Visit) day() string { return v.server.LocalNow(v.App).Format(time.DateOnly) }

// readOnly names the sources of the project that cannot be changed here.
func (v *Visit) readOnly() string {
	out := ""
	connected := v.server.Connected.Now().Records
	for id, src := range v.App.Project.Sources {
		if db := connected[src.Connection]; db != nil && db.OnlyRead() {
			out += id + " "
		}
	}
	return out
}

// home is the place a user starts from.
func (v *Visit) home() (place.Place, error) {
	start := v.App.GrantedTo(v.user.Roles).Start
	if d := v.account.Device; d != nil && v.App.Project.Screens[d.Start] != nil {
		start = d.Start
	}
	if start == "" {
		return place.Place{}, &ask.Refusal{Code: "no-start", What: "You have no start screen in this application.", Then: "Ask the person who builds it."}
	}
	return place.Place{Screen: start, Mode: "view", Inputs: map[string]string{}}, nil
}

func (v *Visit) roleNames() []string { return v.App.GrantedTo(v.user.Roles).Names }

func (v *Visit) homeTitle() string {
	if p, err := v.home(); err == nil {
		return v.App.Project.Screens[p.Screen].Title
	}
	return ""
}

// inUse answers a call of the users' side: it reads the body, finds out who asks in which
// release, and writes the answer or the no.
func inUse[Req, Resp any](s *Side, c *gin.Context, slug string, run func(v *Visit, req Req) (Resp, error)) {
	var req Req
	if !answer.ReadBody(c, &req) {
		return
	}
	trail, n := pointerOf(req)
	v, err := s.Visit(c, slug, trail, n)
	if err != nil {
		answer.Fail(c, err)
		return
	}
	leave, err := s.Calls.Enter(c, v.account.ID)
	if err != nil {
		answer.Fail(c, err)
		return
	}
	defer leave()
	answer.With(c, func() (Resp, error) { return run(v, req) })
}
