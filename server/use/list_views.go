package use

import (
	"encoding/json"
	"errors"
	"fmt"
	"net/http"
	"strings"
	"unicode/utf8"

	"github.com/gin-gonic/gin"

	"ambergate/api"
	"ambergate/core/ask"
	"ambergate/core/plan"
	"ambergate/core/project"
	"ambergate/server/answer"
	"ambergate/store"
)

// GetListViews gives how the user likes a list: widths under the empty name, saved views under theirs.
func (s *Side) GetListViews(c *gin.Context, slug, screen, element string) {
	inUse(s, c, slug, func(v *Visit, _ answer.Nothing) ([]api.ListChoice, error) {
		kept, err := s.Store.ListViews(c, v.account.ID, v.project, screen, element)
		if err != nil {
			return nil, err
		}
		out := make([]api.ListChoice, 0, len(kept))
		for _, k := range kept {
			var choice api.ListChoice
			if err := json.Unmarshal(k.Body, &choice); err != nil {
				return nil, fmt.Errorf("read the view of a list: %w", err)
			}
			choice.Name = k.Name
			out = append(out, choice)
		}
		return out, nil
	})
}

// KeepListView keeps a view, in the stead of one of the same name.
func (s *Side) KeepListView(c *gin.Context, slug, screen, element string) {
	s.onListView(c, slug, screen, element, func(v *Visit) error {
		var req api.ListChoice
		if !answer.Read(c, &req) {
			return errAnswered
		}
		req.Name = strings.TrimSpace(req.Name)
		body, err := json.Marshal(req)
		if err != nil {
			return fmt.Errorf("write the view of a list: %w", err)
		}
		if utf8.RuneCountInString(req.Name) > 60 || len(body) > 20_000 {
			return &ask.Refusal{Code: "too-large", What: "This is too long for a view.", Then: "Take a shorter name or fewer filters."}
		}
		err = s.Store.KeepListView(c, store.ListView{Account: v.account.ID, Project: v.project, Screen: screen, Element: element, Name: req.Name, Body: body})
		if errors.Is(err, store.ErrFull) {
			return &ask.Refusal{Code: "too-many", What: "No more lists can be kept here.", Then: "Remove one that you do not use."}
		}
		return err
	})
}

// DropListView forgets a saved view.
func (s *Side) DropListView(c *gin.Context, slug, screen, element string, params api.DropListViewParams) {
	s.onListView(c, slug, screen, element, func(v *Visit) error {
		return s.Store.DropListView(c, store.ListView{Account: v.account.ID, Project: v.project, Screen: screen, Element: element, Name: answer.Value(params.Name)})
	})
}

// errAnswered means that the answer was given already.
var errAnswered = errors.New("answered")

func (s *Side) onListView(c *gin.Context, slug, screen, element string, run func(v *Visit) error) {
	v, err := s.Visit(c, slug, "", 0)
	if err == nil && !isList(v.App, screen, element) {
		err = &ask.Refusal{Code: "no-element", What: "This list is not on the screen any more.", Then: "Load the screen again."}
	}
	if err == nil {
		err = run(v)
	}
	switch {
	case err == nil:
		c.Status(http.StatusNoContent)
	case !errors.Is(err, errAnswered):
		answer.Fail(c, err)
	}
}

func isList(app *plan.App, screen, element string) bool {
	if s := app.Project.Screens[screen]; s != nil && s.Elements[element] != nil {
		return project.ListOf(s.Elements[element]) != nil
	}
	return false
}
