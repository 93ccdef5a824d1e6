package use

import (
	"context"

	"github.com/gin-gonic/gin"

	"ambergate/core/ask"
	"ambergate/core/place"
	"ambergate/core/plan"
	"ambergate/core/project"
	"ambergate/core/use"
	"ambergate/server/answer"
	"ambergate/server/base"
	"ambergate/store"
)

// Visit is one request of a user in a released project.
type Visit struct {
	server  *Side
	project string
	App     *plan.App
	release int
	account store.Account
	user    *ask.User
	others  func(slug string) *plan.App
	vars    map[string]string // what the tab keeps in variables of the project
}

// Visit finds out who asks, in which project, in which release. Order: session, project, release.
func (s *Side) Visit(c *gin.Context, slug string) (*Visit, error) {
	if _, err := s.Sessions.Who(c, ""); err != nil {
		return nil, err
	}
	id, err := s.Apps.ID(c, slug)
	if err != nil {
		return nil, err
	}
	account, err := s.Sessions.Who(c, id)
	if err != nil {
		return nil, err
	}
	if len(account.Roles) == 0 {
		return nil, &ask.Refusal{Code: "no-role", What: "You have no role in this application.", Then: "Ask who runs it."}
	}
	app, release, err := s.Apps.Released(c, id)
	if err != nil {
		return nil, err
	}
	user, err := s.User(c, account, app)
	if err != nil {
		return nil, err
	}
	return &Visit{server: s, project: id, App: app, release: release, account: account, user: user, others: s.Others(c)}, nil
}

func (v *Visit) sources() use.Sources {
	return use.Sources{Records: v.server.Reader(v.App), Tags: v.tags(), Now: v.server.LocalNow(v.App), Others: v.others, Vars: v.vars}
}

func (v *Visit) tags() base.Tags { return base.Tags{Base: v.server.Base, Project: v.App.Project} }

// open judges and fetches a place, with first values of what is live on it.
func (v *Visit) open(ctx context.Context, place place.Place) (*use.Opening, error) {
	o, err := use.Open(ctx, v.App, v.user, place, v.sources())
	if err != nil {
		// A guard over live values may have failed only because nobody watched them yet.
		return nil, err
	}
	if o.Live() {
		v.tags().Watch(ctx, o.TagRefs())
	}
	return o, nil
}

// home is the place a user starts from.
func (v *Visit) home() (place.Place, error) {
	start := v.App.Project.StartOf(v.user.Roles)
	if start == "" {
		return place.Place{}, &ask.Refusal{Code: "no-start", What: "You have no start screen in this application.", Then: "Ask the person who builds it."}
	}
	return place.Place{Screen: start, Mode: "view", Inputs: map[string]string{}}, nil
}

func (v *Visit) roleNames() []string {
	names := []string{}
	for _, r := range project.Ordered(v.App.Project.Roles) {
		if v.user.Roles[r.ID] {
			names = append(names, r.Name)
		}
	}
	return names
}

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
	v, err := s.Visit(c, slug)
	if err != nil {
		answer.Fail(c, err)
		return
	}
	answer.With(c, func() (Resp, error) { return run(v, req) })
}
