package build

import (
	"context"

	"github.com/gin-gonic/gin"

	"ambergate/api"
	"ambergate/core/ask"
	"ambergate/core/build"
	"ambergate/core/check"
	"ambergate/core/check/reach"
	"ambergate/core/kinds/element"
	"ambergate/core/place"
	"ambergate/core/plan"
	"ambergate/core/project"
	"ambergate/core/use"
	"ambergate/core/whole"
	"ambergate/records"
	"ambergate/server/answer"
	"ambergate/server/base"
)

// ShowAtWork shows a screen of the draft as the walked user would get it, between the ways
// into it and the ways out of it. Practised presses of the journal are done before, and rolled back.
func (s *Side) ShowAtWork(c *gin.Context, slug string) {
	In(s, c, slug, func(b *Building, req api.WorkRequest) (out *api.AtWork, err error) {
		user, err := s.WalkedAs(c, b, req.As)
		if err != nil {
			return nil, err
		}
		journal, err := s.journal(c, answer.Value(req.Journal), b.Account.ID)
		if err != nil {
			return nil, err
		}
		if len(journal) == 0 {
			return s.atWork(c, b, user, req, s.Reader(b.Draft.App))
		}
		err = s.replayed(c, b, journal, req.Screen, func(p *records.Press) error {
			out, err = s.atWork(c, b, user, req, p)
			return err
		})
		return out, err
	})
}

func (s *Side) atWork(ctx context.Context, b *Building, user *ask.User, req api.WorkRequest, from ask.Records) (*api.AtWork, error) {
	app := b.Draft.App
	screen := app.Project.Screens[req.Screen]
	if screen == nil {
		return nil, &ask.Refusal{Code: "no-screen", What: "This screen does not exist any more.", Then: "Choose another."}
	}
	out := &api.AtWork{
		Screen: screen.ID, Seq: b.Draft.Seq, User: user.Name, Ways: build.StaticWays(app, screen.ID),
		Entered: check.Entered(app, screen.ID), Who: reach.Roles(user.Roles), Presses: -1,
	}
	cell := b.Draft.Reach().For(user.Roles).Cells[screen.ID]
	if out.How = string(cell.Kind); cell.Led() {
		out.Presses = cell.Presses
	}
	if shut := whole.ShutWays(b.Draft.Reach(), screen.ID); len(shut) > 0 {
		out.Shut = &shut
	}
	t := base.Tags{Base: s.Base, Project: app.Project}
	src := use.Sources{Records: from, Tags: t, Now: s.LocalNow(app), Others: s.Others(ctx), Ghosts: true}
	out.WaysIn = build.WaysInCalled(ctx, app, user, src, screen.ID)
	place := PlaceAtWork(app, req)
	needs, err := s.FillInputs(ctx, app, user, screen, &place, from)
	if err != nil {
		return nil, err
	}
	if len(needs) > 0 {
		out.Needs = &needs
		return out, nil
	}
	o, err := use.Open(ctx, app, user, place, src)
	if err != nil {
		if !answer.IsRefusal(err) {
			return nil, err
		}
		_, problem := answer.Describe(err)
		out.Refused = &problem
		return out, nil
	}
	if o.Live() {
		t.Watch(ctx, o.TagRefs())
	}
	out.View, out.Ways = o.View(), build.WaysCalled(ctx, o, src)
	return out, nil
}

// PlaceAtWork reads where a builder looks at a screen.
func PlaceAtWork(app *plan.App, req api.WorkRequest) place.Place {
	place := place.Place{Screen: req.Screen, Mode: answer.Value(req.Mode), Inputs: map[string]string{}, Set: answer.Value(req.Set), Filters: answer.Value(req.Filters), Sort: answer.Value(req.Sort), Tabs: answer.Value(req.Tabs), Find: answer.Value(req.Find), Spot: answer.Value(req.Spot), Vars: answer.Value(req.Vars)}
	for id, wire := range answer.Value(req.Inputs) {
		place.Inputs[id] = wire
	}
	if s := app.Project.Screens[req.Screen]; (place.Mode == "" || place.Mode == "view") && app.GuidesIn(req.Screen) && place.Inputs[s.Record] == "" {
		place.Mode = "add" // a guided task is gone through from its beginning
	}
	if place.Mode == "" {
		place.Mode = "view"
	}
	return place
}

// MoreRowsAtWork gives a further stretch of a list on the stage, as the walked user would get it.
func (s *Side) MoreRowsAtWork(c *gin.Context, slug string) {
	In(s, c, slug, func(b *Building, req api.WorkRowsRequest) (out *element.ListView, err error) {
		err = s.bareAtWork(c, b, req.Work, func(o *use.Opening, src use.Sources) (err error) {
			out, err = element.More(c, o, src, req.Element, answer.Value(req.Cursor), answer.Value(req.Back))
			return err
		})
		return out, err
	})
}

// TrendAtWork gives the samples of a trend on the stage.
func (s *Side) TrendAtWork(c *gin.Context, slug string) {
	In(s, c, slug, func(b *Building, req api.WorkRowsRequest) (out api.Trend, err error) {
		err = s.bareAtWork(c, b, req.Work, func(o *use.Opening, _ use.Sources) error {
			out = s.Trend(b.Draft.App, o, req.Element)
			return nil
		})
		return out, err
	})
}

// bareAtWork opens the screen at work as the walked user would get it, without its lists, which stand already.
func (s *Side) bareAtWork(c *gin.Context, b *Building, work api.WorkRequest, run func(o *use.Opening, src use.Sources) error) error {
	user, err := s.WalkedAs(c, b, work.As)
	if err != nil {
		return err
	}
	open := func(from ask.Records) error {
		src := use.Sources{Records: from, Tags: base.Tags{Base: s.Base, Project: b.Draft.App.Project}, Now: s.LocalNow(b.Draft.App), Others: s.Others(c), Ghosts: true}
		bare := src
		bare.Bare = true
		o, err := use.Open(c, b.Draft.App, user, PlaceAtWork(b.Draft.App, work), bare)
		if err != nil {
			return err
		}
		return run(o, src)
	}
	journal, err := s.journal(c, answer.Value(work.Journal), b.Account.ID)
	if err != nil {
		return err
	}
	if len(journal) > 0 {
		return s.replayed(c, b, journal, work.Screen, func(p *records.Press) error { return open(p) })
	}
	return open(s.Reader(b.Draft.App))
}

// FillInputs gives required records a first one to stand on, so that the stage is live at once.
func (s *Side) FillInputs(ctx context.Context, app *plan.App, user *ask.User, screen *project.Screen, place *place.Place, from ask.Records) ([]api.NeededInput, error) {
	var needs []api.NeededInput
	for _, in := range project.Ordered(screen.Inputs) {
		if !in.Required || place.Inputs[in.ID] != "" || in.ID == screen.Record && place.Mode == "add" {
			continue
		}
		if in.Table != "" && app.Project.GrantOf(user.Roles, in.Table).View {
			first, err := use.Titles(ctx, app, user, from, s.LocalNow(app), use.TitleQuery{Table: in.Table, Limit: 1})
			if err != nil {
				return nil, err
			}
			if len(first) > 0 {
				place.Inputs[in.ID] = first[0].Key
				continue
			}
		}
		if in.Table != "" && !app.Project.GrantOf(user.Roles, in.Table).View {
			// Let nav refuse, with the reason.
			place.Inputs[in.ID] = "0"
			continue
		}
		needs = append(needs, api.NeededInput{Input: in.ID, Label: in.Label, Table: answer.OrNil(in.Table)})
	}
	return needs, nil
}
