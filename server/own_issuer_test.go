package server_test

import (
	"encoding/json"
	"io"
	"net/http"
	"net/http/cookiejar"
	"net/http/httptest"
	"net/url"
	"strings"
	"testing"
	"time"

	"ambergate/api"
	"ambergate/demo"
	"ambergate/issuer"
	serving "ambergate/server"
	"ambergate/server/base"
	"ambergate/store"
)

// issuing is a server over the stage with an issuer beside it.
type issuing struct {
	t      *testing.T
	url    string
	issuer *issuer.Issuer
	down   func()
}

func withIssuer(t *testing.T, make bool) *issuing {
	t.Helper()
	var i *issuer.Issuer
	at := httptest.NewServer(http.HandlerFunc(func(w http.ResponseWriter, r *http.Request) { i.Handler().ServeHTTP(w, r) }))
	var err error
	if i, err = issuer.New(at.URL, "ambergate", "issued-secret", []issuer.Person{{Login: "gus", Name: "Gus Ohm", Groups: []string{"fitters", "other"}}, {Login: "mira", Name: "Mira Holt"}, {Login: "hana", Name: "Hana Sol"}}); err != nil {
		t.Fatal(err)
	}
	config := up.Server.Config
	config.Issuer = &base.Issuer{URL: at.URL, Client: "ambergate", Secret: "issued-secret", Name: "Works account", Make: make, Claim: "groups", Roles: []base.IssuerRole{{Value: "fitters", Application: "tarnhorn", Role: "Technician"}, {Value: "fitters", Application: "gone", Role: "x"}, {Value: "bosses", Application: "tarnhorn", Role: "Shift lead"}}}
	srv, err := serving.New(config)
	if err != nil {
		t.Fatal(err)
	}
	web := httptest.NewServer(srv.Handler())
	t.Cleanup(web.Close)
	t.Cleanup(at.Close)
	return &issuing{t, web.URL, i, at.Close}
}

// comes lets somebody come by the issuer, and gives their browser and where they end.
func (i *issuing) comes(login string) (*http.Client, *url.URL) {
	i.t.Helper()
	jar, err := cookiejar.New(nil)
	if err != nil {
		i.t.Fatal(err)
	}
	c := &http.Client{Jar: jar}
	return c, i.goes(c, login)
}

func (i *issuing) goes(c *http.Client, login string) *url.URL {
	i.t.Helper()
	asked, err := c.Get(i.url + "/api/issuer")
	if err != nil {
		i.t.Fatal(err)
	}
	_, _ = io.Copy(io.Discard, asked.Body)
	_ = asked.Body.Close()
	if asked.Request.URL.Path != "/authorize" {
		return asked.Request.URL
	}
	form := asked.Request.URL.Query()
	form.Set("person", login)
	back, err := c.PostForm(i.issuer.URL+"/authorize", form)
	if err != nil {
		i.t.Fatal(err)
	}
	_ = back.Body.Close()
	return back.Request.URL
}

func (i *issuing) me(c *http.Client) (me api.Me, status int) {
	i.t.Helper()
	resp, err := c.Get(i.url + "/api/me")
	if err != nil {
		i.t.Fatal(err)
	}
	defer resp.Body.Close()
	if resp.StatusCode == http.StatusOK {
		if err := json.NewDecoder(resp.Body).Decode(&me); err != nil {
			i.t.Fatal(err)
		}
	}
	return me, resp.StatusCode
}

func TestPeopleComeByAnIssuer(t *testing.T) {
	i := withIssuer(t, true)
	c, at := i.comes("gus")
	me, status := i.me(c)
	if at.RawQuery != "" || status != http.StatusOK || me.Name != "Gus Ohm" || me.Login != "gus" || len(me.Projects) != 1 || me.Projects[0].Slug != "tarnhorn" {
		t.Errorf("at %s: %d %+v", at, status, me)
	}
	// Again, at another browser, it is the same person.
	again, _ := i.comes("gus")
	if second, _ := i.me(again); second.Id != me.Id {
		t.Errorf("the second time it is %+v", second)
	}
	// An account that a password belongs to is nobody else's.
	if c, at := i.comes("mira"); at.Query().Get("issuer") != "taken" {
		_, status := i.me(c)
		t.Errorf("somebody comes as Mira: %s, %d", at, status)
	}
	// Kept out is kept out, also by the issuer.
	if err := up.Store.Disable(t.Context(), "a_arno", me.Id, true); err != nil {
		t.Fatal(err)
	}
	if c, at := i.comes("gus"); at.Query().Get("issuer") != "unknown" {
		_, status := i.me(c)
		t.Errorf("who is kept out comes by the issuer: %s, %d", at, status)
	}
}

func TestOnlyWhoWasInvitedComesWhereNoneAreMade(t *testing.T) {
	i := withIssuer(t, false)
	if _, at := i.comes("hana"); at.Query().Get("issuer") != "unknown" {
		t.Errorf("somebody nobody knows: %s", at)
	}
	if _, err := up.Store.AddPeople(t.Context(), "a_arno", []store.NewPerson{{ID: "a_hana", Login: "hana", Name: "Hana S.", Roles: map[string][]string{demo.ProjectID: {"r_oper"}}}}, time.Now()); err != nil {
		t.Fatal(err)
	}
	c, _ := i.comes("hana")
	if me, status := i.me(c); status != http.StatusOK || me.Id != "a_hana" {
		t.Errorf("who was invited: %d %+v", status, me)
	}
}

func TestAnIssuerThatLiesIsNotBelieved(t *testing.T) {
	i := withIssuer(t, true)
	for what, lie := range map[string]func(map[string]any){
		"another issuer":  func(c map[string]any) { c["iss"] = "https://other.example" },
		"another client":  func(c map[string]any) { c["aud"] = "somebody-else" },
		"another attempt": func(c map[string]any) { c["nonce"] = "old" },
		"too old":         func(c map[string]any) { c["exp"] = time.Now().Add(-time.Hour).Unix() },
	} {
		i.issuer.Lie = lie
		c, at := i.comes("gus")
		if _, status := i.me(c); at.Query().Get("issuer") != "untrue" || status != http.StatusUnauthorized {
			t.Errorf("%s: %s, %d", what, at, status)
		}
	}
	i.issuer.Lie = func(c map[string]any) { c["preferred_username"], c["name"] = "a b<script>", "" }
	if _, at := i.comes("gus"); at.Query().Get("issuer") != "nameless" {
		t.Errorf("a name that is none: %s", at)
	}
	i.issuer.Lie = nil
	i.issuer.Secret = "another"
	if _, at := i.comes("gus"); at.Query().Get("issuer") != "untrue" {
		t.Errorf("the wrong secret: %s", at)
	}
	i.issuer.Secret = "issued-secret"
	// A state of another browser, and one that was used before.
	c, _ := i.comes("hana")
	for _, query := range []string{"?code=x&state=y", "?code=x", ""} {
		resp, err := c.Get(i.url + "/api/issuer/back" + query)
		if err != nil {
			t.Fatal(err)
		}
		_ = resp.Body.Close()
		if !strings.Contains(resp.Request.URL.RawQuery, "issuer=state") {
			t.Errorf("%s ends at %s", query, resp.Request.URL)
		}
	}
	i.down()
	fresh := withIssuer(t, true)
	fresh.down()
	if _, at := fresh.comes("gus"); at.Query().Get("issuer") != "away" {
		t.Errorf("an issuer that is away: %s", at)
	}
}
