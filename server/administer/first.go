package administer

import (
	"errors"
	"net/http"
	"strings"

	"github.com/gin-gonic/gin"

	"ambergate/api"
	"ambergate/core/ask"
	"ambergate/server/answer"
	"ambergate/store"
)

// GetFirst says whether nobody is there yet.
func (s *Side) GetFirst(c *gin.Context) {
	answer.With(c, func() (api.First, error) {
		needed, err := s.Store.NeedsFirst(c)
		out := api.First{Needed: needed}
		if s.Issuer != nil {
			out.Issuer = &s.Issuer.Name
		}
		return out, err
	})
}

// MakeFirst keeps the first person, by the link that the program printed when it started. They sign in after it.
func (s *Side) MakeFirst(c *gin.Context) {
	var req api.FirstPerson
	if !answer.Read(c, &req) {
		return
	}
	name, login, err := legalPerson(req.Name, req.Login)
	id, idErr := idFor("a_", req.Id)
	if err = errors.Join(err, idErr); err == nil {
		err = s.Store.First(c, req.Token, store.Account{ID: id, Login: login, Name: name}, req.Password, s.Now())
	}
	if errors.Is(err, store.ErrLink) {
		err = &ask.Refusal{Cause: err, Code: "no-link", What: "This address does not hold any more, or somebody is there already.", Then: "Start the program again: as long as nobody is there it prints a new one."}
	}
	if err != nil {
		answer.Fail(c, err)
		return
	}
	c.Status(http.StatusNoContent)
}

// How long names may be, in characters.
const (
	longestName  = 80
	longestLogin = 60
)

// legalPerson trims what a person is called and signs in by, and refuses what cannot be that.
func legalPerson(name, login string) (string, string, error) {
	name, login = strings.TrimSpace(name), store.LoginForm(login)
	wrong := map[string]string{}
	if n := len([]rune(name)); n == 0 || n > longestName {
		wrong["name"] = "A name has 1 to 80 characters."
	}
	if n := len([]rune(login)); n == 0 || n > longestLogin || strings.ContainsAny(login, " \t\n\"'<>,;") {
		wrong["login"] = "What one signs in by has 1 to 60 characters, without spaces, quotes and commas."
	}
	if len(wrong) > 0 {
		return name, login, &ask.FieldErrors{Fields: wrong}
	}
	return name, login, nil
}

var errLink = &ask.Refusal{Code: "no-link", What: "This link does not hold any more: it was used, or is older than seven days.", Then: "Ask who gave it to you for a new one."}

// ReadLink tells whom a link is for.
func (s *Side) ReadLink(c *gin.Context) {
	var req api.LinkAsked
	if answer.Read(c, &req) {
		a, err := s.Store.LinkOf(c, req.Token, s.Now())
		sendLink(c, a, err)
	}
}

// UseLink sets a password by a link, which is used up.
func (s *Side) UseLink(c *gin.Context) {
	var req api.LinkUsed
	if answer.Read(c, &req) {
		a, err := s.Store.UseLink(c, req.Token, req.Password, s.Now())
		if err == nil {
			s.Sessions.ForgetAccount(a.ID)
		}
		sendLink(c, a, err)
	}
}

func sendLink(c *gin.Context, a store.Account, err error) {
	if errors.Is(err, store.ErrLink) {
		err = errLink
	}
	answer.With(c, func() (api.LinkFor, error) { return api.LinkFor{Name: a.Name, Login: a.Login}, err })
}
