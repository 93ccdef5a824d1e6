package administer

import (
	"context"
	"crypto/rand"
	"errors"
	"fmt"
	"net/http"
	"net/url"
	"slices"
	"strings"
	"sync"
	"time"

	"github.com/coreos/go-oidc/v3/oidc"
	"github.com/gin-gonic/gin"
	"golang.org/x/oauth2"

	"ambergate/core/project"
	"ambergate/server/base"
	"ambergate/store"
)

// CallbackPath is where the issuer sends people back to.
const CallbackPath = "/api/issuer/back"

// stateCookie binds an attempt to the browser that began it.
const stateCookie = "ambergate-state"

// How long the issuer may take to answer, and an attempt may last.
const (
	issuerWithin = 5 * time.Second
	stateKept    = 10 * time.Minute
)

// provider is what was discovered of the issuer; asked again until it was there once.
type provider struct {
	mu   sync.Mutex
	open *oidc.Provider
}

func (p *provider) get(ctx context.Context, issuer string) (*oidc.Provider, error) {
	p.mu.Lock()
	defer p.mu.Unlock()
	if p.open != nil {
		return p.open, nil
	}
	// Its keys are fetched later too: not bound to the request that came first.
	client := &http.Client{Timeout: issuerWithin}
	open, err := oidc.NewProvider(oidc.ClientContext(context.WithoutCancel(ctx), client), issuer)
	if err == nil {
		p.open = open
	}
	return open, err
}

func (s *Side) oauth(c *gin.Context, p *oidc.Provider) *oauth2.Config {
	scheme := "http"
	if s.Cookies.Secure {
		scheme = "https"
	}
	return &oauth2.Config{ClientID: s.Issuer.Client, ClientSecret: s.Issuer.Secret, Endpoint: p.Endpoint(), RedirectURL: scheme + "://" + c.Request.Host + CallbackPath, Scopes: []string{oidc.ScopeOpenID, "profile", "email"}}
}

// BeginAtIssuer sends somebody to the issuer (OpenID Connect Core 1.0, authorization code flow, with PKCE, RFC 7636).
func (s *Side) BeginAtIssuer(c *gin.Context) {
	if s.Issuer == nil {
		s.backWith(c, "none")
		return
	}
	p, err := s.provider.get(c, s.Issuer.URL)
	if err != nil {
		s.Log.Warn("the issuer cannot be reached, or is not who it is said to be", "issuer", s.Issuer.URL, "error", err)
		s.backWith(c, "away")
		return
	}
	a := store.ComingIn{State: rand.Text() + rand.Text(), Nonce: rand.Text() + rand.Text(), Verifier: oauth2.GenerateVerifier()}
	if err := s.Store.BeginComingIn(c, a, s.Now()); err != nil {
		s.Log.Error("somebody could not be sent to the issuer", "error", err)
		s.backWith(c, "away")
		return
	}
	s.Cookies.Write(c, stateCookie, a.State, stateKept)
	c.Redirect(http.StatusFound, s.oauth(c, p).AuthCodeURL(a.State, oidc.Nonce(a.Nonce), oauth2.S256ChallengeOption(a.Verifier)))
}

// backWith sends somebody back to the page where one signs in, with what went wrong.
func (s *Side) backWith(c *gin.Context, why string) {
	c.Redirect(http.StatusFound, "/?issuer="+url.QueryEscape(why))
}

// EndAtIssuer takes somebody back from the issuer, and signs them in.
func (s *Side) EndAtIssuer(c *gin.Context) {
	why, err := s.endAtIssuer(c)
	if err != nil {
		s.Log.Warn("somebody could not come in by the issuer", "why", why, "from", c.ClientIP(), "error", err)
	}
	s.Cookies.Write(c, stateCookie, "", -1)
	if why != "" {
		s.backWith(c, why)
		return
	}
	c.Redirect(http.StatusFound, "/")
}

var errState = errors.New("the state is not that of this browser, or was used before")

// endAtIssuer gives why somebody cannot come in, in a word that the page has words for; "" when they are in.
func (s *Side) endAtIssuer(c *gin.Context) (why string, err error) {
	if s.Issuer == nil {
		return "none", nil
	}
	state := c.Query("state")
	if state == "" || state != s.Cookies.Read(c, stateCookie) {
		return "state", errState
	}
	a, err := s.Store.EndComingIn(c, state, s.Now())
	if errors.Is(err, store.ErrNone) {
		return "state", errState
	}
	if err != nil {
		return "away", err
	}
	if no := c.Query("error"); no != "" {
		return "refused", fmt.Errorf("the issuer says %.100s", no)
	}
	claims, err := s.claims(c, a)
	if err != nil {
		return "untrue", err
	}
	who, why := s.issued(c, claims)
	if why != "" {
		return why, nil
	}
	e := store.Entering{Origin: c.ClientIP(), Browser: s.Cookies.Read(c, base.BrowserCookie), Session: s.Cookies.Read(c, base.SessionCookie), Now: s.Now()}
	in, err := s.Store.SignInIssued(c, who, e)
	switch {
	case errors.Is(err, store.ErrUnknown):
		return "unknown", err
	case errors.Is(err, store.ErrNameTaken):
		return "taken", err
	case err != nil:
		return "away", err
	}
	s.Begin(c, e.Session, in)
	return "", nil
}

type claims map[string]any

func (k claims) text(name string) string {
	text, _ := k[name].(string)
	return strings.TrimSpace(text)
}

// claims exchanges the code, and gives what the issuer says, when it is signed by it, for this program, and for this
// attempt.
func (s *Side) claims(c *gin.Context, a store.ComingIn) (claims, error) {
	p, err := s.provider.get(c, s.Issuer.URL)
	if err != nil {
		return nil, err
	}
	ctx := oidc.ClientContext(c, &http.Client{Timeout: issuerWithin})
	token, err := s.oauth(c, p).Exchange(ctx, c.Query("code"), oauth2.VerifierOption(a.Verifier))
	if err != nil {
		return nil, fmt.Errorf("exchange the code: %w", err)
	}
	raw, _ := token.Extra("id_token").(string)
	id, err := p.Verifier(&oidc.Config{ClientID: s.Issuer.Client, Now: s.Now}).Verify(ctx, raw)
	if err != nil {
		return nil, fmt.Errorf("read the issuer's word: %w", err)
	}
	if id.Nonce != a.Nonce {
		return nil, errors.New("the issuer's word is of another attempt")
	}
	out := claims{}
	if err := id.Claims(&out); err != nil {
		return nil, fmt.Errorf("read the issuer's word: %w", err)
	}
	return out, nil
}

// issued reads who it is, and which roles the claim gives.
func (s *Side) issued(ctx context.Context, k claims) (who store.Issued, why string) {
	claim := s.Issuer.Login
	if claim == "" {
		claim = "preferred_username"
	}
	name, login, err := legalPerson(k.text("name"), k.text(claim))
	if err != nil {
		name, login, err = legalPerson(k.text(claim), k.text(claim))
	}
	if err != nil || k.text("sub") == "" {
		return who, "nameless"
	}
	who = store.Issued{Issuer: s.Issuer.URL, Subject: k.text("sub"), Login: login, Name: name, Make: s.Issuer.Make, NewID: "a_" + base.NewID(), Roles: map[string][]string{}}
	var values []string
	switch v := k[s.Issuer.Claim].(type) {
	case string:
		values = []string{v}
	case []any:
		for _, one := range v {
			if text, is := one.(string); is {
				values = append(values, text)
			}
		}
	}
	for _, r := range s.Issuer.Roles {
		if slices.Contains(values, r.Value) {
			s.addRole(ctx, who.Roles, r)
		}
	}
	return who, ""
}

// addRole adds a role that is named in the configuration, where it is there.
func (s *Side) addRole(ctx context.Context, roles map[string][]string, r base.IssuerRole) {
	id, err := s.Apps.ID(ctx, r.Application)
	if err != nil {
		return
	}
	d, err := s.Apps.Draft(ctx, id)
	if err != nil {
		return
	}
	for _, one := range project.Ordered(d.App.Project.Roles) {
		if one.Name == r.Role {
			roles[id] = append(roles[id], one.ID)
		}
	}
}
