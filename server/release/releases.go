package release

import (
	"context"
	"errors"
	"slices"
	"strconv"

	"github.com/gin-gonic/gin"

	"ambergate/api"
	"ambergate/core/ask"
	"ambergate/server/answer"
	"ambergate/server/build"
	"ambergate/store"
)

// GetReleases lists the releases, newest first.
func (s *Side) GetReleases(c *gin.Context, slug string, params api.GetReleasesParams) {
	build.In(s.of, c, slug, func(b *build.Building, _ answer.Nothing) (api.ReleaseList, error) {
		list, more, err := s.of.Store.Releases(c, b.Project, answer.Value(params.Before))
		if err != nil {
			return api.ReleaseList{}, err
		}
		people, err := s.of.Store.Accounts(c, b.Project)
		out := api.ReleaseList{List: []api.ReleaseTold{}, More: more}
		for _, r := range list {
			out.List = append(out.List, releaseTold(b, r, people))
		}
		return out, err
	})
}

func releaseTold(b *build.Building, r store.ReleaseInfo, people []store.Account) api.ReleaseTold {
	told := api.ReleaseTold{Number: r.Number, By: r.By, At: r.At, Note: r.Note, Use: api.ReleaseToldUsePast, For: someNames(b, r.For, people), ForAllAt: r.ForAllAt, Accepted: []struct {
		Because string `json:"because"`
		Words   string `json:"words"`
	}{}}
	switch r.Number {
	case b.Draft.Released:
		told.Use = api.ReleaseToldUseAll
	case b.Draft.Trial:
		told.Use = api.ReleaseToldUseSome
	}
	if told.CopyOf = answer.OrNil(r.CopyOf); r.CopyOf == 0 {
		told.Changes = &r.Changes
	}
	for _, a := range r.Accepted {
		told.Accepted = append(told.Accepted, struct {
			Because string `json:"because"`
			Words   string `json:"words"`
		}{a.Because, a.Words})
	}
	return told
}

// someNames names those that a release was made for first.
func someNames(b *build.Building, some *store.Some, people []store.Account) []string {
	out := []string{}
	if some == nil {
		return out
	}
	for _, role := range some.Roles {
		if r := b.Draft.App.Project.Roles[role]; r != nil {
			out = append(out, r.Name)
		} else {
			out = append(out, "a role that is gone")
		}
	}
	for _, id := range some.People {
		i := slices.IndexFunc(people, func(a store.Account) bool { return a.ID == id })
		if i < 0 {
			out = append(out, "somebody who is gone")
			continue
		}
		out = append(out, people[i].Name)
	}
	return out
}

// PutIntoUse makes a release of the draft, if nothing stops it, or somebody said why it is made all the same.
func (s *Side) PutIntoUse(c *gin.Context, slug string, params api.PutIntoUseParams) {
	build.In(s.of, c, slug, func(b *build.Building, req api.NewRelease) (api.Released, error) {
		first, err := s.firstOf(c, b, req.First)
		if err != nil {
			return api.Released{}, err
		}
		ready, err := s.ready(c, b)
		if err != nil {
			return api.Released{}, err
		}
		because := map[string]string{}
		for _, a := range answer.Value(req.Accepted) {
			because[a.Key] = a.Because
		}
		accepted, err := lived(ready.Stops, because)
		if err != nil {
			return api.Released{}, err
		}
		seq := answer.Value(req.Seq)
		if seq == 0 {
			seq = ready.Seq // what was looked at
		}
		return s.released(c, b, store.NewRelease{Note: answer.Value(req.Note), Accepted: accepted, First: first, Seq: seq, Request: answer.Value(params.IdempotencyKey)})
	})
}

// firstOf reads who is to use a release before all do; nil for all.
func (s *Side) firstOf(ctx context.Context, b *build.Building, some *api.Some) (*store.Some, error) {
	if some == nil {
		return nil, nil
	}
	out := store.Some{Roles: some.Roles, People: some.People}
	if len(out.Roles)+len(out.People) == 0 {
		return nil, &ask.Refusal{Code: "bad-request", What: "Nobody is chosen to use it first.", Then: "Choose roles or people, or release it for all."}
	}
	people, err := s.of.Store.Accounts(ctx, b.Project)
	if err != nil {
		return nil, err
	}
	for _, r := range out.Roles {
		if b.Draft.App.Project.Roles[r] == nil {
			return nil, &ask.Refusal{Code: "no-role", What: "One of the roles does not exist any more.", Then: "Choose again who uses it first."}
		}
	}
	for _, p := range out.People {
		if !slices.ContainsFunc(people, func(a store.Account) bool { return a.ID == p }) {
			return nil, &ask.Refusal{Code: "no-role", What: "One of the people has no role here any more.", Then: "Choose again who uses it first."}
		}
	}
	return &out, nil
}

func (s *Side) released(ctx context.Context, b *build.Building, r store.NewRelease) (api.Released, error) {
	r.Project, r.By = b.Project, b.Account.ID
	number, err := s.of.Store.PutIntoUse(ctx, r)
	if errors.Is(err, store.ErrMoved) {
		return api.Released{}, &ask.Refusal{Code: "edited-meanwhile", What: "The draft was edited since you looked at what changes.", Then: "Look again at what is released, then release it."}
	}
	if err != nil {
		return api.Released{}, err
	}
	s.of.Apps.Changed(b.Project)
	s.of.Edits.Tell(b.Project, b.Draft.Seq)
	return api.Released{Number: number}, nil
}

// BringBack makes a release with the content of an older one.
func (s *Side) BringBack(c *gin.Context, slug string, number int, params api.BringBackParams) {
	build.In(s.of, c, slug, func(b *build.Building, req api.BringBackJSONBody) (api.Released, error) {
		if number == b.Draft.Released && b.Draft.Trial == 0 {
			return api.Released{}, &ask.Refusal{Code: "in-use", What: "Release " + strconv.Itoa(number) + " is in use.", Then: "Choose an older one."}
		}
		out, err := s.released(c, b, store.NewRelease{Note: answer.Value(req.Note), CopyOf: number, Request: answer.Value(params.IdempotencyKey)})
		return out, noRelease(err, number)
	})
}

// EndTrial lets all use what some use first, or nobody any more.
func (s *Side) EndTrial(c *gin.Context, slug string, number int) {
	build.In(s.of, c, slug, func(b *build.Building, req api.EndTrialJSONBody) (answer.Nothing, error) {
		err := s.of.Store.EndTrial(c, b.Project, b.Account.ID, number, req.All)
		if errors.Is(err, store.ErrNone) {
			return answer.Nothing{}, &ask.Refusal{Code: "no-release", What: "Release " + strconv.Itoa(number) + " is not used by some first any more.", Then: "Load the page again."}
		}
		if err != nil {
			return answer.Nothing{}, err
		}
		s.of.Apps.Changed(b.Project)
		s.of.Edits.Tell(b.Project, b.Draft.Seq)
		return answer.Nothing{}, nil
	})
}

// noRelease says so where there is no such release.
func noRelease(err error, number int) error {
	if errors.Is(err, store.ErrNone) {
		return &ask.Refusal{Cause: err, Code: "no-release", What: "There is no release " + strconv.Itoa(number) + ".", Then: "Choose another."}
	}
	return err
}
