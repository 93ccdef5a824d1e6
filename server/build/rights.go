package build

import (
	"errors"
	"net/http"
	"strings"

	"github.com/gin-gonic/gin"

	"ambergate/api"
	"ambergate/core/ask"
	"ambergate/core/build"
	"ambergate/core/use"
	"ambergate/records"
	"ambergate/server/answer"
	"ambergate/server/base"
	"ambergate/store"
)

// GetRights gives who may do what in the project that is being built, at one look.
func (s *Side) GetRights(c *gin.Context, slug string) {
	In(s, c, slug, func(b *Building, _ answer.Nothing) (build.RightsTable, error) { return build.Rights(b.Draft.App), nil })
}

// ExplainWay says why a way is open or shut for the walked user, where it would lead, and what would have to change.
func (s *Side) ExplainWay(c *gin.Context, slug string) {
	In(s, c, slug, func(b *Building, req api.WhyRequest) (out *build.Explanation, err error) {
		user, err := s.WalkedAs(c, b, req.As)
		if err != nil {
			return nil, err
		}
		app := b.Draft.App
		at := build.Aim{Element: req.Element, Trigger: req.Trigger, Row: answer.Value(req.Row), Point: answer.Value(req.Point)}
		explain := func(from ask.Records) error {
			out, err = build.Why(c, app, user, req.Place, at, use.Sources{Records: from, Tags: base.Tags{Base: s.Base, Project: app.Project}, Now: s.LocalNow(app), Others: s.Others(c)})
			return err
		}
		journal, err := s.journal(c, answer.Value(req.Journal), b.Account.ID)
		if err != nil {
			return nil, err
		}
		if len(journal) == 0 {
			err = explain(s.Reader(app))
			return out, err
		}
		err = s.replayed(c, b, journal, req.Place.Screen, func(p *records.Press) error { return explain(p) })
		return out, err
	})
}

// changing finds out who changes what a person may, which only who administers the application does; false
// when the answer was given.
func changing[Req any](s *Side, c *gin.Context, slug string, req *Req) (*Building, bool) {
	if !answer.Read(c, req) {
		return nil, false
	}
	b, err := s.Building(c, slug)
	if err == nil {
		err = b.administers()
	}
	if err != nil {
		answer.Fail(c, err)
		return nil, false
	}
	return b, true
}

// changed lets it hold at once, for running sessions too.
func (s *Side) changed(c *gin.Context, b *Building, person string, err error) {
	if errors.Is(err, store.ErrLastAdministrator) {
		err = &ask.Refusal{Code: "last-administrator", What: "Nobody else administers this application.", Then: "Give somebody else that right first."}
	}
	if err != nil {
		answer.Fail(c, err)
		return
	}
	s.Sessions.ForgetAccount(person)
	s.Edits.Tell(b.Project, b.Draft.Seq)
	c.Status(http.StatusNoContent)
}

// SetRoles gives a person just these roles of the project.
func (s *Side) SetRoles(c *gin.Context, slug, person string) {
	var req api.RolesChange
	b, ok := changing(s, c, slug, &req)
	if !ok {
		return
	}
	names := make([]string, len(req.Roles))
	for i, r := range req.Roles {
		role := b.Draft.App.Project.Roles[r]
		if role == nil {
			answer.Fail(c, &ask.Refusal{Code: "no-role", What: "One of these roles does not exist any more.", Then: "Load the page again."})
			return
		}
		names[i] = role.Name
	}
	s.changed(c, b, person, s.Store.SetRoles(c, b.Account.ID, person, b.Project, req.Roles, strings.Join(names, ", ")))
}

// SetRights gives a person just these rights beside roles.
func (s *Side) SetRights(c *gin.Context, slug, person string) {
	var req api.RightsChange
	b, ok := changing(s, c, slug, &req)
	if !ok {
		return
	}
	s.changed(c, b, person, s.Store.SetRights(c, b.Account.ID, person, b.Project, store.Rights{Builds: req.Builds, Administers: req.Administers}))
}

// GetLog tells who did what to rights, releases and accounts, to who administers the project.
func (s *Side) GetLog(c *gin.Context, slug string, params api.GetLogParams) {
	In(s, c, slug, func(b *Building, _ answer.Nothing) ([]api.LogEntry, error) {
		if err := b.administers(); err != nil {
			return nil, err
		}
		return s.Deeds(c, b.Project, answer.Value(params.Before))
	})
}

// commandsTold is how many entries of the log of commands are told at once.
const commandsTold = 100

// GetCommands tells what of the application was sent to plants, by whom, and what came of it.
func (s *Side) GetCommands(c *gin.Context, slug string, params api.GetCommandsParams) {
	In(s, c, slug, func(b *Building, _ answer.Nothing) ([]api.CommandLogged, error) {
		log, err := s.Store.CommandLog(c, b.Project, answer.Value(params.Before), commandsTold)
		if err != nil {
			return nil, err
		}
		out := make([]api.CommandLogged, len(log))
		for i, l := range log {
			out[i] = api.CommandLogged{Id: l.ID, Who: l.Who, Label: l.Label, Node: l.Node, Old: answer.OrNil(l.Old), Value: l.Value, State: l.State, Why: answer.OrNil(l.Why), At: l.At, Ended: l.Ended}
		}
		return out, nil
	})
}
