// Package issuer is a small issuer of OpenID Connect, for tests and the demo: whoever opens it chooses who they are.
// It is no way to sign in for anything real.
package issuer

import (
	"crypto/rand"
	"crypto/rsa"
	"crypto/sha256"
	"encoding/base64"
	"encoding/json"
	"fmt"
	"html/template"
	"net/http"
	"net/url"
	"strings"
	"sync"
	"time"

	"github.com/go-jose/go-jose/v4"
	"github.com/go-jose/go-jose/v4/jwt"
)

// Person is somebody it can say that one is.
type Person struct {
	Login, Name string
	Groups      []string
}

// Issuer says who people are. Safe for use by many at once.
type Issuer struct {
	URL, Client, Secret string
	People              []Person
	Lie                 func(claims map[string]any) // for tests: what it says otherwise than it is; nil: the truth
	key                 *rsa.PrivateKey
	mu                  sync.Mutex
	codes               map[string]code
}

// code is one that was given for somebody, to be exchanged once.
type code struct {
	person    Person
	challenge string
	redirect  string
	nonce     string
	ends      time.Time
}

// New makes an issuer at an address, for one client.
func New(address, client, secret string, people []Person) (*Issuer, error) {
	key, err := rsa.GenerateKey(rand.Reader, 2048)
	if err != nil {
		return nil, fmt.Errorf("make a key: %w", err)
	}
	return &Issuer{URL: address, Client: client, Secret: secret, People: people, key: key, codes: map[string]code{}}, nil
}

// Handler answers as OpenID Connect Discovery 1.0 and Core 1.0 say.
func (i *Issuer) Handler() http.Handler {
	mux := http.NewServeMux()
	mux.HandleFunc("GET /.well-known/openid-configuration", func(w http.ResponseWriter, _ *http.Request) {
		send(w, map[string]any{"issuer": i.URL, "authorization_endpoint": i.URL + "/authorize", "token_endpoint": i.URL + "/token", "jwks_uri": i.URL + "/keys", "response_types_supported": []string{"code"}, "subject_types_supported": []string{"public"}, "id_token_signing_alg_values_supported": []string{"RS256"}, "code_challenge_methods_supported": []string{"S256"}})
	})
	mux.HandleFunc("GET /keys", func(w http.ResponseWriter, _ *http.Request) {
		send(w, jose.JSONWebKeySet{Keys: []jose.JSONWebKey{{Key: i.key.Public(), KeyID: "1", Algorithm: "RS256", Use: "sig"}}})
	})
	mux.HandleFunc("GET /authorize", i.ask)
	mux.HandleFunc("POST /authorize", i.choose)
	mux.HandleFunc("POST /token", i.token)
	return mux
}

func send(w http.ResponseWriter, v any) {
	w.Header().Set("Content-Type", "application/json")
	_ = json.NewEncoder(w).Encode(v) // the other side may be gone
}

var page = template.Must(template.New("ask").Parse(`<!doctype html><html lang="en"><meta charset="utf-8"><title>Who are you?</title><body style="font: 16px sans-serif; max-width: 400px; margin: 12vh auto">
<h1>Who are you?</h1><form method="post">{{range $k, $v := .Asked}}<input type="hidden" name="{{$k}}" value="{{$v}}">{{end}}
{{range .People}}<p><button name="person" value="{{.Login}}" style="font: inherit; padding: 8px 14px">{{.Name}}</button></p>{{end}}</form></body></html>`))

var passed = []string{"client_id", "redirect_uri", "state", "nonce", "code_challenge", "code_challenge_method"}

func (i *Issuer) ask(w http.ResponseWriter, r *http.Request) {
	asked := map[string]string{}
	for _, name := range passed {
		asked[name] = r.URL.Query().Get(name)
	}
	if asked["client_id"] != i.Client || asked["code_challenge_method"] != "S256" || asked["code_challenge"] == "" {
		http.Error(w, "This client is not known, or comes without PKCE.", http.StatusBadRequest)
		return
	}
	w.Header().Set("Content-Type", "text/html; charset=utf-8")
	_ = page.Execute(w, map[string]any{"Asked": asked, "People": i.People}) // the other side may be gone
}

func (i *Issuer) choose(w http.ResponseWriter, r *http.Request) {
	back, err := url.Parse(r.PostFormValue("redirect_uri"))
	if err != nil || r.PostFormValue("client_id") != i.Client {
		http.Error(w, "This cannot be answered.", http.StatusBadRequest)
		return
	}
	for _, p := range i.People {
		if p.Login != r.PostFormValue("person") {
			continue
		}
		given := rand.Text()
		i.mu.Lock()
		i.codes[given] = code{p, r.PostFormValue("code_challenge"), back.String(), r.PostFormValue("nonce"), time.Now().Add(time.Minute)}
		i.mu.Unlock()
		q := back.Query()
		q.Set("code", given)
		q.Set("state", r.PostFormValue("state"))
		back.RawQuery = q.Encode()
		http.Redirect(w, r, back.String(), http.StatusFound)
		return
	}
	http.Error(w, "Nobody is called so.", http.StatusBadRequest)
}

// token exchanges a code, once, for who proves to have begun (RFC 7636).
func (i *Issuer) token(w http.ResponseWriter, r *http.Request) {
	client, secret, basic := r.BasicAuth()
	if !basic {
		client, secret = r.PostFormValue("client_id"), r.PostFormValue("client_secret")
	}
	i.mu.Lock()
	c, known := i.codes[r.PostFormValue("code")]
	delete(i.codes, r.PostFormValue("code"))
	i.mu.Unlock()
	sum := sha256.Sum256([]byte(r.PostFormValue("code_verifier")))
	proven := base64.RawURLEncoding.EncodeToString(sum[:]) == c.challenge
	if !known || !proven || time.Now().After(c.ends) || client != i.Client || secret != i.Secret || r.PostFormValue("redirect_uri") != c.redirect {
		w.WriteHeader(http.StatusBadRequest)
		send(w, map[string]string{"error": "invalid_grant"})
		return
	}
	now := time.Now()
	claims := map[string]any{"iss": i.URL, "sub": "s-" + c.person.Login, "aud": i.Client, "exp": now.Add(5 * time.Minute).Unix(), "iat": now.Unix(), "nonce": c.nonce, "name": c.person.Name, "preferred_username": c.person.Login, "groups": c.person.Groups}
	if i.Lie != nil {
		i.Lie(claims)
	}
	word, err := i.signed(claims)
	if err != nil {
		http.Error(w, "It cannot be signed.", http.StatusInternalServerError)
		return
	}
	send(w, map[string]any{"access_token": rand.Text(), "token_type": "Bearer", "expires_in": 300, "id_token": word})
}

func (i *Issuer) signed(claims map[string]any) (string, error) {
	signer, err := jose.NewSigner(jose.SigningKey{Algorithm: jose.RS256, Key: jose.JSONWebKey{Key: i.key, KeyID: "1"}}, (&jose.SignerOptions{}).WithType("JWT"))
	if err != nil {
		return "", fmt.Errorf("sign: %w", err)
	}
	word, err := jwt.Signed(signer).Claims(claims).Serialize()
	return strings.TrimSpace(word), err
}
