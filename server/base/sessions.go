package base

import (
	"context"
	"errors"
	"slices"
	"strings"
	"sync"
	"sync/atomic"
	"time"

	"github.com/gin-gonic/gin"

	"ambergate/core/ask"
	"ambergate/core/plan"
	"ambergate/server/answer"
	"ambergate/store"
)

// How long a session, and which release is used, is believed without asking: where this server hears what changes (Hear),
// and where it does not. A sign-out ends everywhere at once by the first, and within a second by the second.
const (
	heardFor   = time.Minute
	unheardFor = time.Second
)

// believed is how long what others may change is believed now.
func (s *Base) believed() time.Duration {
	if s.hears.Load() {
		return heardFor
	}
	return unheardFor
}

// Sessions knows who asks, from the cookie.
type Sessions struct {
	server *Base
	mu     sync.Mutex
	kept   map[string]keptAccount // by token and project, of visits by token and slug
	// forgot counts how often something was forgotten: who holds a session and sees that nothing was need not look.
	forgot atomic.Uint64
}

type keptAccount struct {
	account store.Account
	project string // of a visit: the project that the slug names
	until   time.Time
}

func newSessions(s *Base) *Sessions { return &Sessions{server: s, kept: map[string]keptAccount{}} }

// Who gives the account of a request, with its roles in a project ("" for none).
func (s *Sessions) Who(c *gin.Context, projectID string) (store.Account, error) {
	token := s.server.Cookies.Read(c, SessionCookie)
	if token == "" {
		return store.Account{}, answer.ErrSignedOut
	}
	return s.ByToken(c, token, projectID)
}

// ByToken gives the account of a session, with its roles in a project, where one is named. The error
// is answer.ErrSignedOut where there is no session.
func (s *Sessions) ByToken(ctx context.Context, token, projectID string) (store.Account, error) {
	if a, known := s.Known(token, projectID); known {
		return a, nil
	}
	now, forgot := s.server.Now(), s.forgot.Load()
	a, err := s.server.Store.Session(ctx, token, projectID, now)
	if errors.Is(err, store.ErrNone) {
		return store.Account{}, answer.ErrSignedOut
	}
	if err != nil {
		return store.Account{}, err
	}
	s.keep(token+"|"+projectID, keptAccount{account: a, until: now.Add(s.server.believed())}, forgot)
	return a, nil
}

// Known gives the account of a session as ByToken does, where that is believed without asking.
func (s *Sessions) Known(token, projectID string) (a store.Account, known bool) {
	key := token + "|" + projectID
	s.mu.Lock()
	kept, ok := s.kept[key]
	s.mu.Unlock()
	return kept.account, ok && s.server.Now().Before(kept.until)
}

// Belief is that in a session, as it was found: it holds for a while, and only as long as nothing was forgotten.
type Belief struct {
	until  time.Time
	forgot uint64
}

// Holds says whether a session is believed still.
func (s *Sessions) Holds(b Belief) bool {
	return s.forgot.Load() == b.forgot && s.server.Now().Before(b.until)
}

// Believe gives the account of a session as ByToken does, and for how long it need not be looked for again.
func (s *Sessions) Believe(ctx context.Context, token, projectID string) (store.Account, Belief, error) {
	forgot := s.forgot.Load() // before it is looked for: what is forgotten meanwhile counts
	a, err := s.ByToken(ctx, token, projectID)
	s.mu.Lock()
	until := s.kept[token+"|"+projectID].until
	s.mu.Unlock()
	return a, Belief{until, forgot}, err
}

// Visit gives who asks, in which project, and the place of a trail of theirs that they ask about
// ("" for none). Loaded says whether that place was looked for: who and where is believed for a second.
func (s *Sessions) Visit(c *gin.Context, slug, trail string, n int) (v store.Visitor, loaded bool, err error) {
	token := s.server.Cookies.Read(c, SessionCookie)
	if token == "" {
		return store.Visitor{}, false, answer.ErrSignedOut
	}
	now := s.server.Now()
	key := token + "|/" + slug
	s.mu.Lock()
	kept, ok := s.kept[key]
	s.mu.Unlock()
	if ok && now.Before(kept.until) {
		return store.Visitor{Account: kept.account, Project: kept.project}, false, nil
	}
	forgot := s.forgot.Load()
	v, err = s.server.Store.Visit(c, token, slug, trail, n, now)
	if errors.Is(err, store.ErrNone) {
		return store.Visitor{}, false, answer.ErrSignedOut
	}
	if err != nil {
		return store.Visitor{}, false, err
	}
	if v.Project != "" {
		s.keep(key, keptAccount{account: v.Account, project: v.Project, until: now.Add(s.server.believed())}, forgot)
		s.server.Apps.note(v.Project, v.State)
	}
	return v, trail != "", nil
}

// keep believes what was read, unless something was forgotten since before it was.
func (s *Sessions) keep(key string, known keptAccount, forgot uint64) {
	s.mu.Lock()
	defer s.mu.Unlock()
	if s.forgot.Load() != forgot {
		return
	}
	if len(s.kept) > 10_000 {
		clear(s.kept)
	}
	s.kept[key] = known
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
	s.forgot.Add(1)
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
	if d := a.Device; d != nil {
		allows := func(what string) bool { return slices.Contains(d.Allows, what) }
		u.Display = &ask.Display{Leaves: allows(store.AllowsAddresses), Files: allows(store.AllowsFiles), Prints: allows(store.AllowsPrinting)}
		return u, nil
	}
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

// How long the browser keeps the cookies: that of a session, and that by which it is known.
const (
	sessionKept = 12 * time.Hour
	knownKept   = 365 * 24 * time.Hour
	// Browsers keep no cookie for longer than 400 days: that of a display is given anew whenever it opens its screen.
	displayKept = 400 * 24 * time.Hour
)

// Begin gives the browser the session that began, in the place of the one that it had.
func (s *Base) Begin(c *gin.Context, ended string, in store.Entered) {
	s.Sessions.Forget(ended)
	s.Sessions.ForgetAccount(in.Account.ID)
	s.Cookies.Write(c, SessionCookie, in.Token, sessionKept)
	s.Cookies.Write(c, BrowserCookie, in.Browser, knownKept)
}

// BeginDisplay gives the browser of an unattended display the session that began, or keeps it for longer.
func (s *Base) BeginDisplay(c *gin.Context, token string) {
	s.Cookies.Write(c, SessionCookie, token, displayKept)
}
