package build

import (
	"github.com/gin-gonic/gin"

	"ambergate/core/ask"
	_ "ambergate/core/kinds"
	"ambergate/server/answer"
	"ambergate/server/base"
	"ambergate/server/bounds"
	"ambergate/store"
)

// Building is one request of a builder.
type Building struct {
	Project string // id
	Account store.Account
	Draft   *base.Draft
}

// Building finds out who asks, and for which project: only builders get one. The error is a refusal in
// words.
func (s *Side) Building(c *gin.Context, slug string) (*Building, error) {
	if _, err := s.Sessions.Who(c, ""); err != nil {
		return nil, err
	}
	id, err := s.Apps.ID(c, slug)
	if err != nil {
		return nil, err
	}
	account, err := s.Sessions.Who(c, id)
	if err != nil {
		return nil, err
	}
	if !account.Builds {
		return nil, &ask.Refusal{Code: "no-builder", What: "Only builders may change this application.", Then: "Ask the person who administers it for the right."}
	}
	d, err := s.Apps.Draft(c, id)
	if err != nil {
		return nil, err
	}
	return &Building{Project: id, Account: account, Draft: d}, nil
}

// administers refuses who gives no roles and rights in the project.
func (b *Building) administers() error {
	if b.Account.Administers {
		return nil
	}
	return &ask.Refusal{Code: "no-administrator", What: "Only who administers this application may do that.", Then: "Ask one of them."}
}

// In answers a call of the builder's side.
func In[Req, Resp any](s *Side, c *gin.Context, slug string, run func(b *Building, req Req) (Resp, error)) {
	var req Req
	if !answer.ReadBody(c, &req) {
		return
	}
	b, err := s.Building(c, slug)
	if err != nil {
		answer.Fail(c, err)
		return
	}
	leave, err := s.Calls.Enter(c, b.Account.ID)
	if err != nil {
		answer.Fail(c, err)
		return
	}
	defer leave()
	answer.With(c, func() (Resp, error) { return run(b, req) })
}

// Side answers what the builder's side calls.
type Side struct {
	*base.Base
	edits *bounds.Rates // of each builder
}

// New makes the builder's side of a server.
func New(b *base.Base) *Side { return &Side{Base: b, edits: bounds.NewRates(b.Limits.Edits)} }
