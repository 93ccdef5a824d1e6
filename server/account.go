package server

import (
	"cmp"
	"errors"
	"net/http"
	"strings"

	"github.com/gin-gonic/gin"

	"ambergate/api"
	"ambergate/server/answer"
	"ambergate/server/base"
	"ambergate/store"
)

// attemptsShown is how many attempts to sign in people are told of.
const attemptsShown = 6

// SignIn begins a session, and ends the one that the browser had.
func (s *Server) SignIn(c *gin.Context) {
	var req api.SignIn
	if !answer.Read(c, &req) {
		return
	}
	e := store.Entering{Login: strings.TrimSpace(strings.ToLower(req.Login)), Password: req.Password, Origin: c.ClientIP(), Now: s.Now()}
	e.Session, e.Browser = s.Cookies.Read(c, base.SessionCookie), s.Cookies.Read(c, base.BrowserCookie)
	in, err := s.Store.SignIn(c, e)
	if err != nil {
		s.logFailure("a sign-in failed", e.Login, e.Origin, err)
		answer.Fail(c, err)
		return
	}
	s.Begin(c, e.Session, in)
	s.sendMe(c, in.Account)
}

// SignOut ends the session, everywhere within a second.
func (s *Server) SignOut(c *gin.Context) {
	if token := s.Cookies.Read(c, base.SessionCookie); token != "" {
		if err := s.Store.SignOut(c, token); err != nil {
			answer.Fail(c, err)
			return
		}
		s.Sessions.Forget(token)
	}
	s.Cookies.Write(c, base.SessionCookie, "", -1)
	c.Status(http.StatusNoContent)
}

// GetMe tells who is signed in and which projects they may use.
func (s *Server) GetMe(c *gin.Context) {
	account, err := s.Sessions.Who(c, "")
	if err != nil {
		answer.Fail(c, err)
		return
	}
	s.sendMe(c, account)
}

func (s *Server) sendMe(c *gin.Context, account store.Account) {
	projects, err := s.Store.Projects(c)
	if err != nil {
		answer.Fail(c, err)
		return
	}
	uses, err := s.Store.ProjectsOf(c, account.ID)
	if err != nil {
		answer.Fail(c, err)
		return
	}
	rights, err := s.Store.RightsOf(c, account.ID)
	if err != nil {
		answer.Fail(c, err)
		return
	}
	attempts, err := s.Store.Attempts(c, account.ID, attemptsShown)
	if err != nil {
		answer.Fail(c, err)
		return
	}
	sessions, err := s.Store.Sessions(c, account.ID, s.Now())
	if err != nil {
		answer.Fail(c, err)
		return
	}
	forAll, err := s.Store.ForAll(c, account.ID)
	if err != nil {
		answer.Fail(c, err)
		return
	}
	me := api.Me{Makes: forAll.Builds, Administers: forAll.Administers, Id: account.ID, Name: account.Name, Login: account.Login, Projects: []api.ProjectInfo{}, Attempts: []api.SignInAttempt{}, Sessions: sessions}
	for _, a := range attempts {
		me.Attempts = append(me.Attempts, api.SignInAttempt{At: a.At, From: a.Origin, Ok: a.OK})
	}
	for _, p := range projects {
		builds := rights[p.ID].Builds
		me.Builder = me.Builder || builds
		if uses[p.ID] || builds {
			me.Projects = append(me.Projects, api.ProjectInfo{Id: p.ID, Slug: p.Slug, Title: p.Title, Released: cmp.Or(p.Released, p.Trial), Uses: uses[p.ID], Builds: builds, Roles: []string{}})
		}
	}
	c.JSON(http.StatusOK, me)
}

// logFailure logs attempts that failed or came too soon; other errors are logged where all are.
func (s *Server) logFailure(what, login, from string, err error) {
	var blocked *store.Blocked
	if errors.Is(err, store.ErrSignIn) || errors.As(err, &blocked) {
		s.Log.Warn(what, "login", login[:min(len(login), 100)], "from", from, "why", err.Error())
	}
}

// ChangePassword sets a new password and ends all other sessions of the account.
func (s *Server) ChangePassword(c *gin.Context) {
	var req api.PasswordChange
	if !answer.Read(c, &req) {
		return
	}
	account, err := s.Sessions.Who(c, "")
	if err != nil {
		answer.Fail(c, err)
		return
	}
	token := s.Cookies.Read(c, base.SessionCookie)
	if err := s.Store.ChangePassword(c, account.ID, req.Old, req.New, c.ClientIP(), token, s.Now()); err != nil {
		s.logFailure("a change of password failed", account.Login, c.ClientIP(), err)
		answer.Fail(c, err)
		return
	}
	s.Sessions.ForgetAccount(account.ID)
	c.Status(http.StatusNoContent)
}

// SignOutEverywhere ends all sessions of the account, this one too.
func (s *Server) SignOutEverywhere(c *gin.Context) {
	account, err := s.Sessions.Who(c, "")
	if err != nil {
		answer.Fail(c, err)
		return
	}
	if err := s.Store.SignOutEverywhere(c, account.ID, ""); err != nil {
		answer.Fail(c, err)
		return
	}
	s.Sessions.ForgetAccount(account.ID)
	s.Cookies.Write(c, base.SessionCookie, "", -1)
	c.Status(http.StatusNoContent)
}
