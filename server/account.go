package server

import (
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

// SignIn begins a session.
func (s *Server) SignIn(c *gin.Context) {
	var req api.SignIn
	if !answer.Read(c, &req) {
		return
	}
	token, account, err := s.Store.SignIn(c, strings.TrimSpace(strings.ToLower(req.Login)), req.Password, c.ClientIP(), s.Now())
	if err != nil {
		s.logFailure("a sign-in failed", req.Login, c.ClientIP(), err)
		answer.Fail(c, err)
		return
	}
	s.setCookie(c, token, 12*3600)
	s.sendMe(c, account)
}

func (s *Server) setCookie(c *gin.Context, token string, seconds int) {
	host := c.Request.Host
	loopback := strings.HasPrefix(host, "127.") || strings.HasPrefix(host, "localhost")
	http.SetCookie(c.Writer, &http.Cookie{Name: base.CookieName, Value: token, Path: "/", MaxAge: seconds, HttpOnly: true, SameSite: http.SameSiteLaxMode, Secure: !loopback})
}

// SignOut ends the session, everywhere within a second.
func (s *Server) SignOut(c *gin.Context) {
	if token, err := c.Cookie(base.CookieName); err == nil {
		if err := s.Store.SignOut(c, token); err != nil {
			answer.Fail(c, err)
			return
		}
		s.Sessions.Forget(token)
	}
	s.setCookie(c, "", -1)
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
	me := api.Me{Id: account.ID, Name: account.Name, Login: account.Login, Builder: account.Builder, Projects: []api.ProjectInfo{}, Attempts: []api.SignInAttempt{}, Sessions: sessions}
	for _, a := range attempts {
		me.Attempts = append(me.Attempts, api.SignInAttempt{At: a.At, From: a.Origin, Ok: a.OK})
	}
	for _, p := range projects {
		if uses[p.ID] || account.Builder {
			me.Projects = append(me.Projects, api.ProjectInfo{Id: p.ID, Slug: p.Slug, Title: p.Title, Released: p.Released, Uses: uses[p.ID], Roles: []string{}})
		}
	}
	c.JSON(http.StatusOK, me)
}

// logFailure logs attempts that failed or came too soon; other errors are logged where all are.
func (s *Server) logFailure(what, login, from string, err error) {
	var blocked *store.Blocked
	if errors.Is(err, store.ErrSignIn) || errors.As(err, &blocked) {
		s.Log.Warn(what, "login", login, "from", from, "why", err.Error())
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
	token, _ := c.Cookie(base.CookieName) // it was there a moment ago
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
	s.setCookie(c, "", -1)
	c.Status(http.StatusNoContent)
}
