package server

import (
	"context"
	"encoding/json"

	"github.com/gin-gonic/gin"

	"ambergate/api"
	"ambergate/core/ask"
	"ambergate/core/build"
	"ambergate/core/check"
	"ambergate/core/project"
	"ambergate/core/use"
	"ambergate/fault"
	"ambergate/store"
)

// building is one request of a builder.
type building struct {
	project string
	account store.Account
	draft   *draft
}

func (s *buildersSide) building(c *gin.Context, slug string) (*building, error) {
	account, err := s.sessions.who(c, "")
	if err != nil {
		return nil, err
	}
	if !account.Builder {
		return nil, &ask.Refusal{Code: "no-builder", What: "Only builders may change this application.", Then: "Ask who runs it."}
	}
	id, err := s.apps.id(c, slug)
	if err != nil {
		return nil, err
	}
	d, err := s.apps.draft(c, id)
	if err != nil {
		return nil, err
	}
	return &building{project: id, account: account, draft: d}, nil
}

// inBuild answers a call of the builder's side.
func inBuild[Req, Resp any](s *buildersSide, c *gin.Context, slug string, run func(b *building, req Req) (Resp, error)) {
	var req Req
	if !readBody(c, &req) {
		return
	}
	b, err := s.building(c, slug)
	if err != nil {
		fail(c, err)
		return
	}
	answer(c, func() (Resp, error) { return run(b, req) })
}

// GetDraft gives the project as it is being built; to who has an older draft only the entities that
// have changed since. Which are gone shows in the versions, which are those of all.
func (s *buildersSide) GetDraft(c *gin.Context, slug string, params api.GetDraftParams) {
	since := int64(-1)
	if params.Since != nil {
		since = *params.Since
	}
	inBuild(s, c, slug, func(b *building, _ nothing) (api.Draft, error) { return s.draftOf(c, b, slug, since) })
}

func (s *buildersSide) draftOf(ctx context.Context, b *building, slug string, since int64) (api.Draft, error) {
	people, err := s.Store.Accounts(ctx, b.project)
	if err != nil {
		return api.Draft{}, err
	}
	history, err := s.Store.History(ctx, b.project, b.account.ID)
	if err != nil {
		return api.Draft{}, err
	}
	findings, checked := b.draft.findings(ctx)
	findings = append(append(append([]check.Finding{}, s.missing(ctx, b.draft.app.Project)...), check.Offers(b.draft.app, s.others(ctx))...), findings...) // a list, even when it is empty
	out := api.Draft{
		Checking: orNil(!checked), Id: b.project, Slug: slug, Title: b.draft.app.Project.Settings.Title, Seq: b.draft.Seq, Released: b.draft.Released, Changes: history.Changes,
		Entities: map[string]any{}, Versions: b.draft.Versions, Findings: findings, People: []api.Person{}, Undo: history.Undo, Redo: history.Redo, Walks: b.account.Walks,
	}
	for id, body := range b.draft.Entities {
		if b.draft.Versions[id] > since {
			out.Entities[id] = json.RawMessage(body)
		}
	}
	for _, a := range people {
		p := api.Person{Id: a.ID, Name: a.Name, Roles: []string{}}
		for _, r := range project.Ordered(b.draft.app.Project.Roles) {
			if a.Roles[r.ID] {
				p.Roles = append(p.Roles, r.Name)
			}
		}
		out.People = append(out.People, p)
	}
	return out, nil
}

// Edit makes an edit.
func (s *buildersSide) Edit(c *gin.Context, slug string) {
	inBuild(s, c, slug, func(b *building, req api.EditRequest) (api.Edited, error) {
		if len(req.Patch) == 0 || len(req.Patch) > 500 {
			return api.Edited{}, &ask.Refusal{Code: "bad-patch", What: "An edit has 1 to 500 operations.", Then: "Split it."}
		}
		return s.edited(b, func() (store.Applied, error) {
			return s.Store.Edit(c, store.Edit{Project: b.project, By: b.account.ID, Patch: req.Patch, Versions: value(req.Versions)})
		})
	})
}

// Undo takes back the newest own edit.
func (s *buildersSide) Undo(c *gin.Context, slug string) {
	inBuild(s, c, slug, func(b *building, _ nothing) (api.Edited, error) {
		return s.edited(b, func() (store.Applied, error) { return s.Store.Undo(c, b.project, b.account.ID) })
	})
}

// Redo makes it again.
func (s *buildersSide) Redo(c *gin.Context, slug string) {
	inBuild(s, c, slug, func(b *building, _ nothing) (api.Edited, error) {
		return s.edited(b, func() (store.Applied, error) { return s.Store.Redo(c, b.project, b.account.ID) })
	})
}

// edited makes an edit and tells the other builders.
func (s *buildersSide) edited(b *building, make func() (store.Applied, error)) (api.Edited, error) {
	done, err := make()
	if err != nil {
		return api.Edited{}, err
	}
	s.apps.changed(b.project)
	s.edits.tell(b.project, done.Seq)
	fault.At(fault.EditAnswering)
	return api.Edited{Seq: done.Seq, Touched: done.Touched, Versions: done.Versions}, nil
}

// PutIntoUse makes a release of the draft.
func (s *buildersSide) PutIntoUse(c *gin.Context, slug string) {
	inBuild(s, c, slug, func(b *building, _ nothing) (api.Released, error) {
		number, err := s.Store.PutIntoUse(c, b.project, b.account.ID)
		if err != nil {
			return api.Released{}, err
		}
		s.apps.changed(b.project)
		s.edits.tell(b.project, b.draft.Seq)
		return api.Released{Number: number}, nil
	})
}

// Propose lists how an input of a target can get its value.
func (s *buildersSide) Propose(c *gin.Context, slug string) {
	inBuild(s, c, slug, func(b *building, req api.ProposalRequest) ([]build.Proposal, error) {
		way, ok := b.draft.app.WayAt(req.Screen, req.Element, value(req.Trigger))
		if !ok {
			return []build.Proposal{}, nil
		}
		if !value(req.Inside) {
			way.Gate = nil // what the screen can give, to a shared gate or a target
		}
		return build.Propose(b.draft.app, way, req.Target, req.Input), nil
	})
}

// GetRecords gives records to walk on, as the walked user may see them.
func (s *buildersSide) GetRecords(c *gin.Context, slug, table string, params api.GetRecordsParams) {
	inBuild(s, c, slug, func(b *building, _ nothing) ([]api.Title, error) {
		user, err := s.walked(c, b, params.As)
		if err != nil {
			return nil, err
		}
		return s.titles(c, b.draft.app, user, use.TitleQuery{Table: table, Find: value(params.Q), Key: value(params.Key)})
	})
}
