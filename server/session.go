package server

import (
	"context"
	"errors"
	"net/http"
	"strings"
	"sync"
	"time"

	"github.com/gin-gonic/gin"

	"ambergate/api"
	"ambergate/core/nav"
	"ambergate/store"
)

const cookieName = "ambergate"

// keptFor is how long a session is believed without asking: a sign-out ends everywhere within it.
const keptFor = time.Second

// sessions knows who asks, from the cookie.
type sessions struct {
	server *Server
	mu     sync.Mutex
	kept   map[string]keptAccount // by token and project
}

type keptAccount struct {
	account store.Account
	until   time.Time
}

func newSessions(s *Server) *sessions { return &sessions{server: s, kept: map[string]keptAccount{}} }

// who gives the account of a request, with its roles in a project ("" for none).
func (s *sessions) who(c *gin.Context, projectID string) (store.Account, error) {
	token, err := c.Cookie(cookieName)
	if err != nil {
		return store.Account{}, errSignedOut
	}
	return s.byToken(c, token, projectID)
}

func (s *sessions) byToken(ctx context.Context, token, projectID string) (store.Account, error) {
	now := s.server.Now()
	key := token + "|" + projectID
	s.mu.Lock()
	kept, ok := s.kept[key]
	s.mu.Unlock()
	if ok && now.Before(kept.until) {
		return kept.account, nil
	}
	a, err := s.server.Store.Session(ctx, token, projectID, now)
	if errors.Is(err, store.ErrNone) {
		return store.Account{}, errSignedOut
	}
	if err != nil {
		return store.Account{}, err
	}
	s.mu.Lock()
	if len(s.kept) > 10_000 {
		clear(s.kept)
	}
	s.kept[key] = keptAccount{account: a, until: now.Add(keptFor)}
	s.mu.Unlock()
	return a, nil
}

func (s *sessions) forget(token string) {
	s.mu.Lock()
	defer s.mu.Unlock()
	for key := range s.kept {
		if strings.HasPrefix(key, token+"|") {
			delete(s.kept, key)
		}
	}
}

// SignIn begins a session.
func (s *Server) SignIn(c *gin.Context) {
	var req api.SignIn
	if !read(c, &req) {
		return
	}
	token, account, err := s.Store.SignIn(c, strings.TrimSpace(strings.ToLower(req.Login)), req.Password, s.Now())
	if err != nil {
		if errors.Is(err, store.ErrSignIn) {
			s.Log.Warn("a sign-in failed", "login", req.Login, "from", c.ClientIP())
		}
		fail(c, err)
		return
	}
	s.setCookie(c, token, 12*3600)
	s.sendMe(c, account)
}

func (s *Server) setCookie(c *gin.Context, token string, seconds int) {
	host := c.Request.Host
	loopback := strings.HasPrefix(host, "127.") || strings.HasPrefix(host, "localhost")
	http.SetCookie(c.Writer, &http.Cookie{Name: cookieName, Value: token, Path: "/", MaxAge: seconds, HttpOnly: true, SameSite: http.SameSiteLaxMode, Secure: !loopback})
}

// SignOut ends the session, everywhere within a second.
func (s *Server) SignOut(c *gin.Context) {
	if token, err := c.Cookie(cookieName); err == nil {
		if err := s.Store.SignOut(c, token); err != nil {
			fail(c, err)
			return
		}
		s.sessions.forget(token)
	}
	s.setCookie(c, "", -1)
	c.Status(http.StatusNoContent)
}

// GetMe tells who is signed in and which projects they may use.
func (s *Server) GetMe(c *gin.Context) {
	account, err := s.sessions.who(c, "")
	if err != nil {
		fail(c, err)
		return
	}
	s.sendMe(c, account)
}

func (s *Server) sendMe(c *gin.Context, account store.Account) {
	projects, err := s.Store.Projects(c)
	if err != nil {
		fail(c, err)
		return
	}
	uses, err := s.Store.ProjectsOf(c, account.ID)
	if err != nil {
		fail(c, err)
		return
	}
	me := api.Me{Id: account.ID, Name: account.Name, Login: account.Login, Builder: account.Builder, Projects: []api.ProjectInfo{}}
	for _, p := range projects {
		if uses[p.ID] || account.Builder {
			me.Projects = append(me.Projects, api.ProjectInfo{Id: p.ID, Slug: p.Slug, Title: p.Title, Released: p.Released, Uses: uses[p.ID], Roles: []string{}})
		}
	}
	c.JSON(http.StatusOK, me)
}

// user makes the user that nav judges from an account: with roles, and the record that is theirs.
func (s *Server) user(ctx context.Context, a store.Account, app *nav.App) (*nav.User, error) {
	u := &nav.User{ID: a.ID, Name: a.Name, Login: a.Login, Roles: a.Roles}
	settings := app.Project.Settings
	t := app.Project.Tables[settings.UserTable]
	if t == nil || t.Fields[settings.UserField] == nil {
		return u, nil
	}
	key := a.ID + "|" + app.Project.Settings.Slug
	if record, ok := s.apps.ownRecord(key); ok {
		u.Record = record
		return u, nil
	}
	page, err := s.reader(app).Fetch(ctx, nav.Query{Table: t, Match: []nav.Match{{Path: settings.UserField, Compare: "is", Value: textValue(a.Login)}}, Limit: 1, Rights: nav.EveryRow})
	if err != nil {
		return nil, err
	}
	if len(page.Rows) > 0 {
		u.Record = page.Rows[0].Key
	}
	s.apps.keepOwnRecord(key, u.Record)
	return u, nil
}
