package base

import (
	"context"
	"errors"
	"strings"
	"sync"
	"time"

	"github.com/gin-gonic/gin"

	"ambergate/core/ask"
	"ambergate/core/plan"
	"ambergate/server/answer"
	"ambergate/store"
)

const CookieName = "ambergate"

// keptFor is how long a session is believed without asking: a sign-out ends everywhere within it.
const keptFor = time.Second

// Sessions knows who asks, from the cookie.
type Sessions struct {
	server *Base
	mu     sync.Mutex
	kept   map[string]keptAccount // by token and project
}

type keptAccount struct {
	account store.Account
	until   time.Time
}

func newSessions(s *Base) *Sessions { return &Sessions{server: s, kept: map[string]keptAccount{}} }

// Who gives the account of a request, with its roles in a project ("" for none).
func (s *Sessions) Who(c *gin.Context, projectID string) (store.Account, error) {
	token, err := c.Cookie(CookieName)
	if err != nil {
		return store.Account{}, answer.ErrSignedOut
	}
	return s.ByToken(c, token, projectID)
}

// ByToken gives the account of a session, with its roles in a project, where one is named. The error
// is answer.ErrSignedOut where there is no session.
func (s *Sessions) ByToken(ctx context.Context, token, projectID string) (store.Account, error) {
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
		return store.Account{}, answer.ErrSignedOut
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

// Forget stops believing a session.
func (s *Sessions) Forget(token string) {
	s.forgetWhere(func(key string, _ keptAccount) bool { return strings.HasPrefix(key, token+"|") })
}

// ForgetAccount stops believing all sessions of an account.
func (s *Sessions) ForgetAccount(id string) {
	s.forgetWhere(func(_ string, kept keptAccount) bool { return kept.account.ID == id })
}

func (s *Sessions) forgetWhere(gone func(key string, kept keptAccount) bool) {
	s.mu.Lock()
	defer s.mu.Unlock()
	for key, kept := range s.kept {
		if gone(key, kept) {
			delete(s.kept, key)
		}
	}
}

// User makes the user that nav judges from an account: with roles, and the record that is theirs.
func (s *Base) User(ctx context.Context, a store.Account, app *plan.App) (*ask.User, error) {
	u := &ask.User{ID: a.ID, Name: a.Name, Login: a.Login, Roles: a.Roles}
	settings := app.Project.Settings
	t := app.Project.Tables[settings.UserTable]
	if t == nil || t.Fields[settings.UserField] == nil {
		return u, nil
	}
	key := a.ID + "|" + app.Project.Settings.Slug
	if record, ok := s.Apps.ownRecord(key); ok {
		u.Record = record
		return u, nil
	}
	page, err := s.Reader(app).Fetch(ctx, ask.Query{Table: t, Match: []ask.Match{{Path: settings.UserField, Compare: "is", Value: textValue(a.Login)}}, Limit: 1, Rights: ask.EveryRow})
	if err != nil {
		return nil, err
	}
	if len(page.Rows) > 0 {
		u.Record = page.Rows[0].Key
	}
	s.Apps.keepOwnRecord(key, u.Record)
	return u, nil
}
