package build

import (
	"context"
	"encoding/json"

	"github.com/gin-gonic/gin"

	"ambergate/api"
	"ambergate/core/ask"
	"ambergate/core/build"
	"ambergate/core/checks"
	"ambergate/core/project"
	"ambergate/core/use"
	"ambergate/fault"
	"ambergate/server/answer"
	"ambergate/store"
)

// GetDraft gives the project as it is being built; to who has an older draft only the entities that
// have changed since. Which are gone shows in the versions, which are those of all.
func (s *Side) GetDraft(c *gin.Context, slug string, params api.GetDraftParams) {
	since := int64(-1)
	if params.Since != nil {
		since = *params.Since
	}
	In(s, c, slug, func(b *Building, _ answer.Nothing) (api.Draft, error) { return s.draftOf(c, b, slug, since) })
}

func (s *Side) draftOf(ctx context.Context, b *Building, slug string, since int64) (api.Draft, error) {
	people, err := s.Store.Accounts(ctx, b.Project)
	if err != nil {
		return api.Draft{}, err
	}
	history, err := s.Store.History(ctx, b.Project, b.Account.ID)
	if err != nil {
		return api.Draft{}, err
	}
	findings, checked := b.Draft.Findings(ctx)
	findings = checks.All.Sorted(append(checks.All.Against(b.Draft.App, s.Outside(ctx, b.Draft.App.Project)), findings...)) // never nil
	out := api.Draft{
		Checking: answer.OrNil(!checked), Id: b.Project, Slug: slug, Me: b.Account.Name, Since: history.Released, Title: b.Draft.App.Project.Settings.Title, Seq: b.Draft.Seq, Released: b.Draft.Released, Trial: answer.OrNil(b.Draft.Trial), Changes: history.Changes,
		Entities: map[string]any{}, Versions: b.Draft.Versions, Findings: findings, People: []api.Person{}, Undo: history.Undo, Redo: history.Redo, Walks: b.Account.Walks, Administers: b.Account.Administers,
	}
	for id, body := range b.Draft.Entities {
		if b.Draft.Versions[id] > since {
			out.Entities[id] = json.RawMessage(body)
		}
	}
	for _, a := range people {
		p := api.Person{Id: a.ID, Name: a.Name, Builds: a.Builds, Administers: a.Administers, Roles: []string{}}
		for _, r := range project.Ordered(b.Draft.App.Project.Roles) {
			if a.Roles[r.ID] {
				p.Roles = append(p.Roles, r.Name)
			}
		}
		out.People = append(out.People, p)
	}
	return out, nil
}

// Edit makes an edit.
func (s *Side) Edit(c *gin.Context, slug string, params api.EditParams) {
	In(s, c, slug, func(b *Building, req api.EditRequest) (api.Edited, error) {
		if len(req.Patch) == 0 || len(req.Patch) > 500 {
			return api.Edited{}, &ask.Refusal{Code: "bad-patch", What: "An edit has 1 to 500 operations.", Then: "Split it."}
		}
		return s.Edited(b, func() (store.Applied, error) {
			return s.Store.Edit(c, store.Edit{Project: b.Project, By: b.Account.ID, Request: answer.Value(params.IdempotencyKey), Patch: req.Patch, Versions: answer.Value(req.Versions)})
		})
	})
}

// Undo takes back the newest own edit.
func (s *Side) Undo(c *gin.Context, slug string, params api.UndoParams) {
	In(s, c, slug, func(b *Building, _ answer.Nothing) (api.Edited, error) {
		return s.Edited(b, func() (store.Applied, error) {
			return s.Store.Undo(c, b.Project, b.Account.ID, answer.Value(params.IdempotencyKey))
		})
	})
}

// Redo makes it again.
func (s *Side) Redo(c *gin.Context, slug string, params api.RedoParams) {
	In(s, c, slug, func(b *Building, _ answer.Nothing) (api.Edited, error) {
		return s.Edited(b, func() (store.Applied, error) {
			return s.Store.Redo(c, b.Project, b.Account.ID, answer.Value(params.IdempotencyKey))
		})
	})
}

// Edited makes an edit and tells the other builders.
func (s *Side) Edited(b *Building, make func() (store.Applied, error)) (api.Edited, error) {
	if err := s.edits.Enter(b.Account.ID); err != nil {
		return api.Edited{}, err
	}
	done, err := make()
	if err != nil {
		return api.Edited{}, err
	}
	s.Apps.Changed(b.Project)
	s.Edits.Tell(b.Project, done.Seq)
	fault.At(fault.EditAnswering)
	return api.Edited{Seq: done.Seq, Touched: done.Touched, Versions: done.Versions}, nil
}

// Propose lists how an input of a target can get its value.
func (s *Side) Propose(c *gin.Context, slug string) {
	In(s, c, slug, func(b *Building, req api.ProposalRequest) ([]build.Proposal, error) {
		way, ok := b.Draft.App.WayAt(req.Screen, req.Element, answer.Value(req.Trigger))
		if !ok {
			return []build.Proposal{}, nil
		}
		if !answer.Value(req.Inside) {
			way.Gate = nil // what the screen can give, to a shared gate or a target
		}
		return build.Propose(b.Draft.App, way, req.Target, req.Input), nil
	})
}

// GetRecords gives records to walk on, as the walked user may see them.
func (s *Side) GetRecords(c *gin.Context, slug, table string, params api.GetRecordsParams) {
	In(s, c, slug, func(b *Building, _ answer.Nothing) ([]api.Title, error) {
		user, err := s.WalkedAs(c, b, params.As)
		if err != nil {
			return nil, err
		}
		return s.Titles(c, b.Draft.App, user, use.TitleQuery{Table: table, Find: answer.Value(params.Q), Key: answer.Value(params.Key)})
	})
}
