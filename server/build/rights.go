package build

import (
	"net/http"

	"github.com/gin-gonic/gin"

	"ambergate/api"
	"ambergate/core/ask"
	"ambergate/core/build"
	"ambergate/core/use"
	"ambergate/records"
	"ambergate/server/answer"
	"ambergate/server/base"
)

// GetRights gives who may do what in the project that is being built, at one look.
func (s *Side) GetRights(c *gin.Context, slug string) {
	inBuild(s, c, slug, func(b *Building, _ answer.Nothing) (build.RightsTable, error) { return build.Rights(b.Draft.App), nil })
}

// ExplainWay says why a way is open or shut for the walked user, where it would lead, and what would have to change.
func (s *Side) ExplainWay(c *gin.Context, slug string) {
	inBuild(s, c, slug, func(b *Building, req api.WhyRequest) (out *build.Explanation, err error) {
		user, err := s.walked(c, b, req.As)
		if err != nil {
			return nil, err
		}
		app := b.Draft.App
		at := build.Aim{Element: req.Element, Trigger: req.Trigger, Row: answer.Value(req.Row), Point: answer.Value(req.Point)}
		explain := func(from ask.Records) error {
			out, err = build.Why(c, app, user, req.Place, at, use.Sources{Records: from, Tags: base.Tags{Base: s.Base, Project: app.Project}, Now: s.LocalNow(app), Others: s.Others(c)})
			return err
		}
		journal := s.journals.of(answer.Value(req.Journal), b.account.ID)
		if len(journal) == 0 {
			err = explain(s.Reader(app))
			return out, err
		}
		err = s.replayed(c, b, journal, req.Place.Screen, func(p *records.Press) error { return explain(p) })
		return out, err
	})
}

// SetRoles gives a person just these roles of the project. It holds at once, for running sessions too.
func (s *Side) SetRoles(c *gin.Context, slug, person string) {
	var req api.RolesChange
	if !answer.Read(c, &req) {
		return
	}
	b, err := s.Building(c, slug)
	if err != nil {
		answer.Fail(c, err)
		return
	}
	for _, r := range req.Roles {
		if b.Draft.App.Project.Roles[r] == nil {
			answer.Fail(c, &ask.Refusal{Code: "no-role", What: "One of these roles does not exist any more.", Then: "Load the project again."})
			return
		}
	}
	if err := s.Store.SetRoles(c, person, b.project, req.Roles); err != nil {
		answer.Fail(c, err)
		return
	}
	s.Log.Info("roles were set", "by", b.account.Login, "person", person, "project", b.project, "roles", req.Roles)
	s.Sessions.ForgetAccount(person)
	s.Edits.Tell(b.project, b.Draft.Seq)
	c.Status(http.StatusNoContent)
}
