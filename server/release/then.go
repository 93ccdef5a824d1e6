package release

import (
	"context"
	"time"

	"github.com/gin-gonic/gin"

	"ambergate/api"
	"ambergate/core/ask"
	"ambergate/core/differ"
	"ambergate/core/plan"
	"ambergate/core/use"
	"ambergate/server/answer"
	"ambergate/server/base"
	"ambergate/server/build"
	"ambergate/store"
)

// GetScreenThen shows a screen as it was at a time, or before an edit, over the records as they are now.
func (s *Side) GetScreenThen(c *gin.Context, slug string) {
	build.In(s.of, c, slug, func(b *build.Building, req api.GetScreenThenJSONBody) (out api.ScreenThen, err error) {
		then, seq, err := s.then(c, b, answer.Value(req.At), answer.Value(req.Before))
		if err != nil {
			return out, err
		}
		out = api.ScreenThen{Seq: seq, Differences: []differ.Told{}}
		if now := b.Draft.App.Project.Screens[req.Screen]; now != nil {
			out.Title = now.Title
		}
		for _, change := range differ.Of(then, b.Draft.Side()) {
			if change.Entity == req.Screen {
				out.Differences = append(out.Differences, differ.Tell([]differ.Change{change}, nil)...)
			}
		}
		was := then.App.Project.Screens[req.Screen]
		if was == nil {
			return out, nil
		}
		out.There, out.Title = true, was.Title
		return out, s.drawThen(c, b, then.App, req.Screen, req.As, &out)
	})
}

// then gives the project as it was before an edit, or at a time, and the last edit that is in it.
func (s *Side) then(ctx context.Context, b *build.Building, at time.Time, before int64) (differ.Side, int64, error) {
	if at.IsZero() && before <= 0 {
		return differ.Side{}, 0, &ask.Refusal{Code: "bad-request", What: "It is not said when.", Then: "Say a time, or an edit."}
	}
	q := store.HistoryQuery{Project: b.Project, Later: at}
	if before > 0 {
		q.After = before - 1
	}
	later, err := s.of.Store.Edits(ctx, q)
	if err != nil {
		return differ.Side{}, 0, err
	}
	back, seq := b.Draft.Back(), b.Draft.Seq
	for _, e := range later {
		if e.Seq > b.Draft.Seq {
			continue // made since the draft was read
		}
		if !back.Undo(e.Inverse) {
			return differ.Side{}, 0, &ask.Refusal{Code: "no-edit", What: "What it was then cannot be found out any more.", Then: "Choose a later time."}
		}
		seq = e.Seq - 1
	}
	side, err := back.Side()
	return side, seq, err
}

// drawThen opens the screen as the walked user would have got it. What no longer fits the database is told as a no.
func (s *Side) drawThen(ctx context.Context, b *build.Building, app *plan.App, screen, as string, out *api.ScreenThen) error {
	user, err := s.of.WalkedAs(ctx, b, as)
	if err != nil {
		return err
	}
	from := s.of.Reader(app)
	place := build.PlaceAtWork(app, api.WorkRequest{Screen: screen})
	needs, err := s.of.FillInputs(ctx, app, user, app.Project.Screens[screen], &place, from)
	if err != nil || len(needs) > 0 {
		out.Refused = &api.Problem{Code: "no-record", What: "There is no record to show it with.", Then: answer.Ptr("Walk as somebody who sees one.")}
		return ctx.Err()
	}
	tags := base.Tags{Base: s.of.Base, Project: app.Project}
	o, err := use.Open(ctx, app, user, place, use.Sources{Records: from, Tags: tags, Now: s.of.LocalNow(app), Others: s.of.Others(ctx)})
	switch {
	case answer.IsRefusal(err):
		_, problem := answer.Describe(err)
		out.Refused = &problem
	case err != nil:
		s.of.Log.Warn("a screen as it was cannot be drawn", "screen", screen, "error", err)
		out.Refused = &api.Problem{Code: "other-database", What: "It cannot be drawn over the records of today: the database is another by now.", Then: answer.Ptr("What was changed since is told beside it.")}
	default:
		if o.Live() {
			tags.Watch(ctx, o.TagRefs())
		}
		out.View = o.View()
	}
	return ctx.Err()
}
