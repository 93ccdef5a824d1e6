package server

import (
	"net/http"

	"github.com/gin-gonic/gin"

	"ambergate/api"
	"ambergate/core/ask"
	"ambergate/core/build"
	"ambergate/core/use"
	"ambergate/records"
)

// GetRights gives who may do what in the project that is being built, at one look.
func (s *buildersSide) GetRights(c *gin.Context, slug string) {
	inBuild(s, c, slug, func(b *building, _ nothing) (build.RightsTable, error) { return build.Rights(b.draft.app), nil })
}

// ExplainWay says why a way is open or shut for the walked user, where it would lead, and what would have to change.
func (s *buildersSide) ExplainWay(c *gin.Context, slug string) {
	inBuild(s, c, slug, func(b *building, req api.WhyRequest) (out *build.Explanation, err error) {
		user, err := s.walked(c, b, req.As)
		if err != nil {
			return nil, err
		}
		app := b.draft.app
		at := build.Aim{Element: req.Element, Trigger: req.Trigger, Row: value(req.Row), Point: value(req.Point)}
		explain := func(from ask.Records) error {
			out, err = build.Why(c, app, user, req.Place, at, use.Sources{Records: from, Tags: tags{server: s.base, project: app.Project}, Now: s.localNow(app), Others: s.others(c)})
			return err
		}
		journal := s.journals.of(value(req.Journal), b.account.ID)
		if len(journal) == 0 {
			err = explain(s.reader(app))
			return out, err
		}
		err = s.replayed(c, b, journal, req.Place.Screen, func(p *records.Press) error { return explain(p) })
		return out, err
	})
}

// SetRoles gives a person just these roles of the project. It holds at once, for running sessions too.
func (s *buildersSide) SetRoles(c *gin.Context, slug, person string) {
	var req api.RolesChange
	if !read(c, &req) {
		return
	}
	b, err := s.building(c, slug)
	if err != nil {
		fail(c, err)
		return
	}
	for _, r := range req.Roles {
		if b.draft.app.Project.Roles[r] == nil {
			fail(c, &ask.Refusal{Code: "no-role", What: "One of these roles does not exist any more.", Then: "Load the project again."})
			return
		}
	}
	if err := s.Store.SetRoles(c, person, b.project, req.Roles); err != nil {
		fail(c, err)
		return
	}
	s.Log.Info("roles were set", "by", b.account.Login, "person", person, "project", b.project, "roles", req.Roles)
	s.sessions.forgetAccount(person)
	s.edits.tell(b.project, b.draft.Seq)
	c.Status(http.StatusNoContent)
}
