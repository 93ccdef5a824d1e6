package build

import (
	"context"
	"strings"

	"ambergate/core/ask"
)

// WalkedAs gives the user that a builder walks as. "role:<id>" walks as somebody with that role alone,
// which every builder may. Walking as a real person needs a right, is logged, and shows no more
// than the builder's own rights do.
func (s *Side) WalkedAs(ctx context.Context, b *Building, as string) (*ask.User, error) {
	if role, ok := strings.CutPrefix(as, "role:"); ok {
		r := b.Draft.App.Project.Roles[role]
		if r == nil {
			return nil, &ask.Refusal{Code: "no-role", What: "This role does not exist any more.", Then: "Choose somebody else to walk as."}
		}
		if err := s.Store.LogWalk(ctx, b.Account.ID, as, b.Project, s.Now()); err != nil {
			return nil, err
		}
		return &ask.User{ID: as, Name: "Any " + r.Name, Roles: map[string]bool{r.ID: true}}, nil
	}
	people, err := s.Store.Accounts(ctx, b.Project)
	if err != nil {
		return nil, err
	}
	var person, builder *ask.User
	for _, a := range people {
		if a.ID != as && a.ID != b.Account.ID {
			continue
		}
		u, err := s.User(ctx, a, b.Draft.App)
		if err != nil {
			return nil, err
		}
		if a.ID == as {
			person = u
		}
		if a.ID == b.Account.ID {
			builder = u
		}
	}
	switch {
	case person == nil:
		return nil, &ask.Refusal{Code: "no-role", What: "This person is not there any more.", Then: "Choose somebody else to walk as."}
	case as == b.Account.ID:
		return person, nil
	case !b.Account.Walks:
		return nil, &ask.Refusal{Code: "no-walk", What: "You may not walk as somebody real.", Then: "Walk as anybody with one role, or ask who runs this."}
	}
	if err := s.Store.LogWalk(ctx, b.Account.ID, as, b.Project, s.Now()); err != nil {
		return nil, err
	}
	person.Within = builder
	return person, nil
}
