package build

import (
	"context"
	"slices"
	"time"

	"github.com/gin-gonic/gin"

	"ambergate/api"
	"ambergate/core/ask"
	"ambergate/core/project"
	"ambergate/core/use"
	"ambergate/core/walk"
	"ambergate/server/answer"
)

// GetWalks tells the walks of the draft in words.
func (s *Side) GetWalks(c *gin.Context, slug string) {
	In(s, c, slug, func(b *Building, _ answer.Nothing) ([]api.WalkTold, error) {
		out := []api.WalkTold{}
		for _, w := range project.Ordered(b.Draft.App.Project.Walks) {
			told := api.WalkTold{Id: w.ID, Name: w.Name, Who: w.Who.Name, Steps: walk.Tell(b.Draft.App, w)}
			if roles := walk.RolesOf(b.Draft.App.Project, w); told.Who != "Any "+roles { // whoever has that role is named by it
				told.Who += ", " + roles
			}
			if at, err := time.Parse(project.WalkClock, w.At); err == nil {
				told.At = answer.Ptr(at.Format("2 January 2006, 15:04"))
			}
			out = append(out, told)
		}
		return out, nil
	})
}

// mostWalks is how many are gone at one request.
const mostWalks = 50

// GoWalks goes walks of the draft, and says where they differ.
func (s *Side) GoWalks(c *gin.Context, slug string) {
	In(s, c, slug, func(b *Building, req api.GoWalksJSONBody) ([]walk.Result, error) {
		if len(req.Walks) > mostWalks {
			return nil, &ask.Refusal{Code: "bad-request", What: "So many walks are not gone at once.", Then: "Go some of them first."}
		}
		var some []*project.Walk
		kept := []walk.Result{}
		for _, w := range project.Ordered(b.Draft.App.Project.Walks) {
			switch {
			case !slices.Contains(req.Walks, w.ID):
			case w.Who.Record != nil && !b.Account.Walks: // it would show what only that person sees
				kept = append(kept, walk.Result{Walk: w.ID, Name: w.Name, Steps: []walk.Step{}, Differs: &walk.Difference{Words: "begins", Expected: "to be gone as " + w.Who.Name, Found: "you may not walk as somebody real"}})
			default:
				some = append(some, w)
			}
		}
		gone, err := s.Walked(c, b.Draft.Side(), some)
		return append(gone, kept...), err
	})
}

// ShowWalk goes a walk up to a step, and shows the screen where one stands then.
func (s *Side) ShowWalk(c *gin.Context, slug string) {
	In(s, c, slug, func(b *Building, req api.ShowWalkJSONBody) (api.WalkShown, error) {
		w := b.Draft.App.Project.Walks[req.Walk]
		switch {
		case w == nil:
			return api.WalkShown{}, &ask.Refusal{Code: "no-screen", What: "This walk does not exist any more.", Then: "Choose another."}
		case w.Who.Record != nil && !b.Account.Walks: // it would show what only that person sees
			return api.WalkShown{}, &ask.Refusal{Code: "no-walk", What: "You may not walk as somebody real.", Then: "Let it be gone as anybody with the role, or ask who runs this."}
		}
		shown, err := s.WalkShown(c, b.Draft.Side(), w, answer.Value(req.Step))
		if err == nil && shown.Differs != nil && shown.Expected == nil {
			shown.Expected, err = s.asReleased(c, b, w, shown.Differs.Step)
		}
		return api.WalkShown{Stands: shown.Stands, Below: shown.Below, Over: answer.OrNil(shown.Over), Expected: shown.Expected, Differs: shown.Differs}, err
	})
}

// asReleased draws where a walk stands after a step in the newest release, where it goes that far; nil where it does not.
func (s *Side) asReleased(ctx context.Context, b *Building, w *project.Walk, step string) (*use.View, error) {
	if b.Draft.Newest() == 0 || step == "" {
		return nil, nil
	}
	newest, _, err := s.Apps.ReleaseSide(ctx, b.Project, b.Draft.Newest())
	if err != nil {
		return nil, err
	}
	shown, err := s.WalkShown(ctx, newest, w, step)
	if err != nil || shown.Differs != nil {
		return nil, err
	}
	return shown.Stands, nil
}

// NameWalk makes of what was recorded what the document keeps: who goes it, and records by their titles.
func (s *Side) NameWalk(c *gin.Context, slug string) {
	In(s, c, slug, func(b *Building, req api.NameWalkJSONBody) (out struct {
		Who   project.Walker      `json:"who"`
		Steps []*project.WalkStep `json:"steps"`
	}, err error) {
		if req.As == "" {
			req.As = b.Account.ID // what one did oneself, in use
		}
		user, err := s.WalkedAs(c, b, req.As)
		if err != nil {
			return out, err
		}
		if len(req.Steps) > project.MostSteps {
			return out, &ask.Refusal{Code: "bad-request", What: "So many steps are no walk.", Then: "Record a shorter one."}
		}
		for i := range req.Steps {
			out.Steps = append(out.Steps, &req.Steps[i])
		}
		app, from, now := b.Draft.App, s.Reader(b.Draft.App), s.LocalNow(b.Draft.App)
		out.Who = project.Walker{Name: user.Name, Roles: user.Roles}
		if out.Who.Record, err = walk.Own(c, app, user, from, now); err != nil {
			return out, err
		}
		return out, walk.Name(c, app, user, from, now, out.Steps)
	})
}
