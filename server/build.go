package server

import (
	"context"
	"encoding/json"

	"github.com/gin-gonic/gin"

	"ambergate/api"
	"ambergate/core/cond"
	"ambergate/core/nav"
	"ambergate/core/project"
	"ambergate/store"
)

// building is one request of a builder.
type building struct {
	project string
	account store.Account
	draft   *draft
}

func (s *Server) building(c *gin.Context, slug string) (*building, error) {
	account, err := s.sessions.who(c, "")
	if err != nil {
		return nil, err
	}
	if !account.Builder {
		return nil, &nav.Refusal{Code: "no-builder", What: "Only builders may change this application.", Then: "Ask who runs it."}
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

// GetDraft gives the project as it is being built.
func (s *Server) GetDraft(c *gin.Context, slug string) {
	inBuild(s, c, slug, func(b *building, _ nothing) (api.Draft, error) { return s.draftOf(c, b, slug) })
}

func (s *Server) draftOf(ctx context.Context, b *building, slug string) (api.Draft, error) {
	people, err := s.Store.Accounts(ctx, b.project)
	if err != nil {
		return api.Draft{}, err
	}
	history, err := s.Store.History(ctx, b.project, b.account.ID)
	if err != nil {
		return api.Draft{}, err
	}
	out := api.Draft{
		Id: b.project, Slug: slug, Title: b.draft.app.Project.Settings.Title, Seq: b.draft.Seq, Released: b.draft.Released, Changes: history.Changes,
		Entities: map[string]any{}, Versions: b.draft.Versions, Findings: b.draft.findings, People: []api.Person{}, Undo: history.Undo, Redo: history.Redo,
	}
	for id, body := range b.draft.Entities {
		out.Entities[id] = json.RawMessage(body)
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
func (s *Server) Edit(c *gin.Context, slug string) {
	inBuild(s, c, slug, func(b *building, req api.EditRequest) (api.Edited, error) {
		if len(req.Patch) == 0 || len(req.Patch) > 500 {
			return api.Edited{}, &nav.Refusal{Code: "bad-patch", What: "An edit has 1 to 500 operations.", Then: "Split it."}
		}
		return s.edited(b, func() (store.Applied, error) {
			return s.Store.Edit(c, store.Edit{Project: b.project, By: b.account.ID, Patch: req.Patch, Versions: value(req.Versions)})
		})
	})
}

// Undo takes back the newest own edit.
func (s *Server) Undo(c *gin.Context, slug string) {
	inBuild(s, c, slug, func(b *building, _ nothing) (api.Edited, error) {
		return s.edited(b, func() (store.Applied, error) { return s.Store.Undo(c, b.project, b.account.ID) })
	})
}

// Redo makes it again.
func (s *Server) Redo(c *gin.Context, slug string) {
	inBuild(s, c, slug, func(b *building, _ nothing) (api.Edited, error) {
		return s.edited(b, func() (store.Applied, error) { return s.Store.Redo(c, b.project, b.account.ID) })
	})
}

// edited makes an edit and tells the other builders.
func (s *Server) edited(b *building, make func() (store.Applied, error)) (api.Edited, error) {
	done, err := make()
	if err != nil {
		return api.Edited{}, err
	}
	s.apps.changed(b.project)
	s.edits.tell(b.project, done.Seq)
	return api.Edited{Seq: done.Seq, Touched: done.Touched, Versions: done.Versions}, nil
}

// PutIntoUse makes a release of the draft.
func (s *Server) PutIntoUse(c *gin.Context, slug string) {
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

// ReadCondition reads a condition, or a text with expressions, as rows or text.
func (s *Server) ReadCondition(c *gin.Context, slug string) {
	inBuild(s, c, slug, func(b *building, req api.ConditionRequest) (api.ConditionRead, error) {
		app := b.draft.app
		screen := app.Project.Screens[req.Screen]
		if screen == nil {
			return api.ConditionRead{}, &nav.Refusal{Code: "no-screen", What: "This screen does not exist any more."}
		}
		return readCondition(app.Compiler, app.Project.Scope(screen, app.RowTable(req.Screen, value(req.Element))), req), nil
	})
}

func readCondition(compiler *cond.Compiler, scope cond.Scope, req api.ConditionRequest) api.ConditionRead {
	text := value(req.Text)
	if req.Rows != nil {
		text = req.Rows.Text(func(path string) (cond.Type, bool) { return compiler.TypeOf(scope, path) })
	}
	if value(req.Template) {
		t, problem := compiler.Template(scope, text)
		if problem != nil {
			return api.ConditionRead{Shown: text, Problem: problem}
		}
		return api.ConditionRead{Stored: t.Stored(), Shown: t.Shown()}
	}
	e, problem := compiler.Condition(scope, text)
	if problem != nil {
		return api.ConditionRead{Shown: text, Problem: problem}
	}
	out := api.ConditionRead{Stored: e.Stored, Shown: e.Shown, Phrase: e.Root.Phrase()}
	if rows, ok := cond.RowsOf(e.Root); ok {
		out.Rows = &rows
	}
	return out
}

// GetNames lists what a condition may compare.
func (s *Server) GetNames(c *gin.Context, slug string, params api.GetNamesParams) {
	inBuild(s, c, slug, func(b *building, _ nothing) ([]nav.NameInfo, error) {
		return b.draft.app.Names(params.Screen, value(params.Element)), nil
	})
}

// Propose lists how an input of a target can get its value.
func (s *Server) Propose(c *gin.Context, slug string) {
	inBuild(s, c, slug, func(b *building, req api.ProposalRequest) ([]nav.Proposal, error) {
		return b.draft.app.Propose(req.Screen, req.Element, req.Target, req.Input), nil
	})
}

// GetRecords gives records to walk on, as the walked user may see them.
func (s *Server) GetRecords(c *gin.Context, slug, table string, params api.GetRecordsParams) {
	inBuild(s, c, slug, func(b *building, _ nothing) ([]api.Title, error) {
		user, err := s.walked(c, b, params.As)
		if err != nil {
			return nil, err
		}
		return s.titles(c, b.draft.app, user, table, value(params.Q))
	})
}

// walked is the user that a builder walks as. "role:<id>" walks as somebody with that role alone.
func (s *Server) walked(ctx context.Context, b *building, as string) (*nav.User, error) {
	if len(as) > 5 && as[:5] == "role:" {
		r := b.draft.app.Project.Roles[as[5:]]
		if r == nil {
			return nil, &nav.Refusal{Code: "no-role", What: "This role does not exist any more.", Then: "Choose somebody else to walk as."}
		}
		return &nav.User{ID: as, Name: "Any " + r.Name, Roles: map[string]bool{r.ID: true}}, nil
	}
	people, err := s.Store.Accounts(ctx, b.project)
	if err != nil {
		return nil, err
	}
	for _, a := range people {
		if a.ID == as {
			return s.user(ctx, a, b.draft.app)
		}
	}
	return nil, &nav.Refusal{Code: "no-role", What: "This person is not there any more.", Then: "Choose somebody else to walk as."}
}
