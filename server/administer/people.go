package administer

import (
	"errors"
	"net/http"
	"strings"

	"github.com/gin-gonic/gin"

	"ambergate/api"
	"ambergate/core/ask"
	"ambergate/core/project"
	"ambergate/server/answer"
	"ambergate/store"
)

// GetPeople lists everybody, and the roles that can be given.
func (s *Side) GetPeople(c *gin.Context) {
	call(s, c, administers, func(_ store.Account, _ answer.Nothing) (api.PeoplePage, error) {
		out := api.PeoplePage{People: []api.PersonInfo{}, Applications: []api.ApplicationRoles{}}
		people, err := s.Store.People(c, s.Now())
		if err != nil {
			return out, err
		}
		for _, p := range people {
			one := api.PersonInfo{Id: p.ID, Login: p.Login, Name: p.Name, Disabled: p.Disabled, Invited: p.Invited, Password: p.Password, Seen: p.Seen, Failed: p.Failed, Sessions: p.Sessions, Builds: p.ForAll.Builds, Administers: p.ForAll.Administers, Walks: p.Walks, Roles: p.Roles, Rights: map[string]api.RightsChange{}}
			for id, r := range p.Rights {
				one.Rights[id] = api.RightsChange{Builds: r.Builds, Administers: r.Administers}
			}
			out.People = append(out.People, one)
		}
		out.Applications, err = s.rolesOfAll(c)
		return out, err
	})
}

// rolesOfAll lists the applications with their roles, as they are being built.
func (s *Side) rolesOfAll(c *gin.Context) ([]api.ApplicationRoles, error) {
	projects, err := s.Store.Projects(c)
	if err != nil {
		return nil, err
	}
	out := []api.ApplicationRoles{}
	for _, info := range projects {
		d, err := s.Apps.Draft(c, info.ID)
		if err != nil {
			return nil, err
		}
		one := api.ApplicationRoles{Id: info.ID, Title: info.Title, Roles: []api.RoleName{}}
		for _, r := range project.Ordered(d.App.Project.Roles) {
			one.Roles = append(one.Roles, api.RoleName{Id: r.ID, Name: r.Name})
		}
		out = append(out, one)
	}
	return out, nil
}

// mostAdded is how many people are added at once.
const mostAdded = 500

// AddPeople adds people, all or none.
func (s *Side) AddPeople(c *gin.Context) {
	call(s, c, administers, func(by store.Account, req api.NewPeople) (api.PeopleAdded, error) {
		if len(req.People) == 0 || len(req.People) > mostAdded {
			return api.PeopleAdded{}, &ask.Refusal{Code: "too-much", What: "Between one and 500 people are added at once.", Then: "Add them in several parts."}
		}
		known, err := s.rolesOfAll(c)
		if err != nil {
			return api.PeopleAdded{}, err
		}
		add := make([]store.NewPerson, len(req.People))
		for i, p := range req.People {
			if add[i], err = newPerson(p, known); err != nil {
				return api.PeopleAdded{}, err
			}
		}
		tokens, err := s.Store.AddPeople(c, by.ID, add, s.Now())
		if errors.Is(err, store.ErrNameTaken) {
			login, _, _ := strings.Cut(strings.TrimPrefix(err.Error(), "add people: "), ":")
			err = &ask.Refusal{Cause: err, Code: "name-taken", What: "Somebody signs in as “" + login + "” already.", Then: "Nobody was added. Choose another name to sign in by."}
		}
		return api.PeopleAdded{Tokens: tokens}, err
	})
}

func newPerson(p api.NewPerson, known []api.ApplicationRoles) (store.NewPerson, error) {
	name, login, err := legalPerson(p.Name, p.Login)
	id, idErr := idFor("a_", p.Id)
	out := store.NewPerson{ID: id, Login: login, Name: name, ForAll: store.Rights{Builds: answer.Value(p.Builds), Administers: answer.Value(p.Administers)}, Roles: map[string][]string{}}
	if err = errors.Join(err, idErr); err != nil {
		return out, err
	}
	for id, roles := range answer.Value(p.Roles) {
		if err := legalRoles(known, id, roles); err != nil {
			return out, err
		}
		out.Roles[id] = roles
	}
	return out, nil
}

func legalRoles(known []api.ApplicationRoles, id string, roles []string) error {
	for _, one := range known {
		if one.Id != id {
			continue
		}
		there := map[string]bool{}
		for _, r := range one.Roles {
			there[r.Id] = true
		}
		for _, r := range roles {
			if !there[r] {
				return &ask.Refusal{Code: "no-role", What: "One of these roles does not exist any more.", Then: "Load the page again."}
			}
		}
		return nil
	}
	return &ask.Refusal{Code: "no-project", What: "This application does not exist any more.", Then: "Load the page again."}
}

// ChangePerson changes what a person is called, whether they may come in, and what they may do everywhere.
func (s *Side) ChangePerson(c *gin.Context, person string) {
	var req api.PersonChange
	if !answer.Read(c, &req) {
		return
	}
	by, err := s.who(c, administers)
	if err == nil {
		err = s.changePerson(c, by, person, req)
	}
	s.changed(c, person, err)
}

func (s *Side) changePerson(c *gin.Context, by store.Account, person string, req api.PersonChange) error {
	if req.Name != nil {
		name, _, err := legalPerson(*req.Name, "somebody")
		if err == nil {
			err = s.Store.Rename(c, by.ID, person, name)
		}
		if err != nil {
			return err
		}
	}
	if req.Disabled != nil {
		if err := s.Store.Disable(c, by.ID, person, *req.Disabled); err != nil {
			return err
		}
	}
	if req.Walks != nil {
		if err := s.Store.SetWalks(c, by.ID, person, *req.Walks); err != nil {
			return err
		}
	}
	if req.Builds == nil && req.Administers == nil {
		return nil
	}
	r, err := s.Store.ForAll(c, person)
	if err != nil {
		return err
	}
	if req.Builds != nil {
		r.Builds = *req.Builds
	}
	if req.Administers != nil {
		r.Administers = *req.Administers
	}
	return s.Store.SetForAll(c, by.ID, person, r)
}

// changed lets it hold at once, for running sessions too.
func (s *Side) changed(c *gin.Context, person string, err error) {
	if errors.Is(err, store.ErrLastAdministrator) {
		err = &ask.Refusal{Code: "last-administrator", What: "Nobody else administers this program.", Then: "Give somebody else that right first."}
	}
	if errors.Is(err, store.ErrNone) {
		err = &ask.Refusal{Code: "no-person", What: "This person is not there any more, or is kept out.", Then: "Load the page again."}
	}
	if err != nil {
		answer.Fail(c, err)
		return
	}
	s.Sessions.ForgetAccount(person)
	c.Status(http.StatusNoContent)
}

// MakeLink makes a link by which a person sets a password; it is told once.
func (s *Side) MakeLink(c *gin.Context, person string) {
	call(s, c, administers, func(by store.Account, _ answer.Nothing) (api.MadeLink, error) {
		token, err := s.Store.LinkFor(c, by.ID, person, s.Now())
		if errors.Is(err, store.ErrNone) {
			err = &ask.Refusal{Code: "no-person", What: "This person is not there any more, or is kept out.", Then: "Load the page again."}
		}
		return api.MadeLink{Token: token}, err
	})
}

// EndSessions ends all sessions of a person.
func (s *Side) EndSessions(c *gin.Context, person string) {
	by, err := s.who(c, administers)
	if err == nil {
		err = s.Store.EndSessions(c, by.ID, person)
	}
	s.changed(c, person, err)
}

// SetRolesIn gives a person just these roles and rights in an application.
func (s *Side) SetRolesIn(c *gin.Context, person, projectID string) {
	var req api.RolesIn
	if !answer.Read(c, &req) {
		return
	}
	s.changed(c, person, s.setRolesIn(c, person, projectID, req))
}

func (s *Side) setRolesIn(c *gin.Context, person, projectID string, req api.RolesIn) error {
	by, err := s.who(c, administers)
	if err != nil {
		return err
	}
	known, err := s.rolesOfAll(c)
	if err != nil {
		return err
	}
	if err := legalRoles(known, projectID, req.Roles); err != nil {
		return err
	}
	names := []string{}
	for _, one := range known {
		for _, r := range one.Roles {
			if one.Id == projectID && strings.Contains(" "+strings.Join(req.Roles, " ")+" ", " "+r.Id+" ") {
				names = append(names, r.Name)
			}
		}
	}
	if err := s.Store.SetRoles(c, by.ID, person, projectID, req.Roles, strings.Join(names, ", ")); err != nil {
		return err
	}
	return s.Store.SetRights(c, by.ID, person, projectID, store.Rights{Builds: req.Builds, Administers: req.Administers})
}
