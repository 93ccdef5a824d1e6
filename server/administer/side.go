package administer

import (
	"regexp"
	"strings"

	"github.com/gin-gonic/gin"

	"ambergate/core/ask"
	"ambergate/server/answer"
	"ambergate/server/base"
	"ambergate/store"
)

// Side answers what those call who run the program.
type Side struct {
	*base.Base
	structures structures
	provider   provider
}

// New makes their side of a server.
func New(b *base.Base) *Side { return &Side{Base: b} }

// right is what somebody has to have for all applications.
type right int

const (
	administers right = iota // people and connections
	builds                   // new applications
)

// who finds out who asks, and refuses who may not.
func (s *Side) who(c *gin.Context, needs right) (store.Account, error) {
	account, err := s.Sessions.Who(c, "")
	if err != nil {
		return account, err
	}
	if needs == administers && !account.Administers {
		return account, &ask.Refusal{Code: "no-administrator", What: "Only who administers this program may do that.", Then: "Ask one of them."}
	}
	if needs == builds && !account.Builds {
		return account, &ask.Refusal{Code: "no-builder", What: "Only who builds applications may do that.", Then: "Ask who administers this program for the right."}
	}
	return account, nil
}

var ownID = regexp.MustCompile(`^[a-z0-9]{1,30}$`)

// idFor takes an id that who calls has made, with its mark before it; without one it makes one. That nothing else has it
// is for the store to say.
func idFor(mark string, given *string) (string, error) {
	if given == nil {
		return mark + base.NewID(), nil
	}
	if rest, ok := strings.CutPrefix(*given, mark); !ok || !ownID.MatchString(rest) {
		return "", &ask.FieldErrors{Fields: map[string]string{"id": "An id here is " + mark + " with up to 30 small letters and digits."}}
	}
	return *given, nil
}

// call answers one: who asks must have a right, and their share of what is under way.
func call[Req, Resp any](s *Side, c *gin.Context, needs right, run func(by store.Account, req Req) (Resp, error)) {
	var req Req
	if !answer.ReadBody(c, &req) {
		return
	}
	by, err := s.who(c, needs)
	if err != nil {
		answer.Fail(c, err)
		return
	}
	leave, err := s.Calls.Enter(c, by.ID)
	if err != nil {
		answer.Fail(c, err)
		return
	}
	defer leave()
	answer.With(c, func() (Resp, error) { return run(by, req) })
}
