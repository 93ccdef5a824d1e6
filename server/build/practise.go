package build

import (
	"context"
	"encoding/json"
	"fmt"

	"github.com/gin-gonic/gin"

	"ambergate/api"
	"ambergate/core/ask"
	"ambergate/core/place"
	"ambergate/core/plan"
	"ambergate/core/press"
	"ambergate/core/project"
	"ambergate/core/use"
	"ambergate/records"
	"ambergate/server/answer"
	"ambergate/server/base"
)

// maxPractised is how many presses a journal holds.
const maxPractised = 50

// practised is one press of a journal, with the keys of the records that it added.
type practised struct {
	User  *ask.User
	Place place.Place
	Press press.Press
	Made  []string
}

// journal gives the presses that were practised in a builder's tab: each request does them anew and rolls all back.
func (s *Side) journal(ctx context.Context, id, account string) (presses []practised, err error) {
	if id == "" {
		return nil, nil
	}
	text, err := s.Store.Practice(ctx, id, account)
	if err != nil || text == nil {
		return nil, err
	}
	if err := json.Unmarshal(text, &presses); err != nil {
		return nil, fmt.Errorf("read what was practised: %w", err)
	}
	return presses, nil
}

// practisedToo adds a press to those of a tab, and gives the name of its journal, which begins with the first.
func (s *Side) practisedToo(ctx context.Context, id, account string, before []practised, this practised) (string, error) {
	if len(before) == 0 {
		id = base.NewID()
	}
	text, err := json.Marshal(append(before, this))
	if err != nil {
		return "", fmt.Errorf("keep what was practised: %w", err)
	}
	return id, s.Store.KeepPractice(ctx, id, account, text)
}

// Practise presses without keeping anything: record changes are rolled back, tag writes only told.
func (s *Side) Practise(c *gin.Context, slug string) {
	In(s, c, slug, func(b *Building, req api.PractiseRequest) (api.Practised, error) {
		user, err := s.WalkedAs(c, b, req.As)
		if err != nil {
			return api.Practised{}, err
		}
		return s.practise(c, b, user, req)
	})
}

func (s *Side) practise(ctx context.Context, b *Building, user *ask.User, req api.PractiseRequest) (api.Practised, error) {
	before, err := s.journal(ctx, answer.Value(req.Journal), b.Account.ID)
	if err != nil {
		return api.Practised{}, err
	}
	if len(before) >= maxPractised {
		return api.Practised{}, &ask.Refusal{Code: "practice-full", What: "Fifty presses were practised.", Then: "Start the practice afresh."}
	}
	this := practised{User: user, Place: req.Place, Press: base.PressOf(req.Press)}
	var out press.Outcome
	err = s.replayed(ctx, b, before, req.Place.Screen, func(p *records.Press) (err error) {
		made := len(p.Made())
		out, err = s.practisePress(ctx, b, this, p)
		this.Made = p.Made()[made:]
		return err
	})
	if err != nil {
		return api.Practised{}, err
	}
	answer := api.Practised{Kind: string(out.Kind), Place: out.To, As: answer.OrNil(out.As), Move: answer.OrNil(out.Move), Message: answer.OrNil(out.Message), Leave: answer.OrNil(out.Leave), Does: base.ActsOf(out), Question: out.Question, Journal: answer.Value(req.Journal), Result: answer.OrNil(out.Result), Back: answer.OrNil(out.Back)}
	if answer.Place == nil && out.Kind == press.Moved {
		answer.Place = walkedTo(b.Draft.App.Project, user, req.Place, out.Move)
	}
	keepPractised(b.Draft.App, &answer, req.Place, out)
	if out.Kind != press.Asked && b.Draft.App.Writes(req.Place.Screen, req.Press.Element, this.Press.Trigger) {
		if answer.Journal, err = s.practisedToo(ctx, answer.Journal, b.Account.ID, before, this); err != nil {
			return api.Practised{}, err
		}
	}
	var would []string
	for _, w := range out.Writes {
		words := "would write " + w.Value.Wire() + " to " + w.Label
		if w.Held {
			words = "would hold " + w.Label + " on as long as it is pressed"
		}
		would = append(would, words)
	}
	if len(would) > 0 {
		answer.Would = &would
	}
	return answer, nil
}

// walkedTo is where the moves lead that say no place themselves: home, and up. The others hang on the browser's history.
func walkedTo(p *project.Project, user *ask.User, from place.Place, move string) *place.Place {
	to := ""
	switch start := p.StartOf(user.Roles); move {
	case "home":
		to = start
	case "up":
		if to = start; p.Screens[from.Screen] != nil && p.Screens[p.Screens[from.Screen].Up] != nil {
			to = p.Screens[from.Screen].Up
		}
	}
	if p.Screens[to] == nil {
		return nil
	}
	return &place.Place{Screen: to, Mode: "view", Inputs: map[string]string{}}
}

func (s *Side) practisePress(ctx context.Context, b *Building, done practised, p *records.Press) (press.Outcome, error) {
	app := b.Draft.App
	src := use.Sources{Records: p, Tags: base.Tags{Base: s.Base, Project: app.Project}, Now: s.LocalNow(app), Others: s.Others(ctx), Bare: true, Lock: true}
	if app.GuidesIn(done.Place.Screen) {
		src.Typed = done.Press.Values
	}
	o, err := use.Open(ctx, app, done.User, done.Place, src)
	if err != nil {
		return press.Outcome{}, err
	}
	return press.Follow(ctx, o, done.Press, p)
}

// replayed does the presses of a journal, then what is asked, and rolls everything back.
func (s *Side) replayed(ctx context.Context, b *Building, before []practised, screen string, then func(*records.Press) error) error {
	source, err := s.Writes(b.Draft.App, screen)
	if err != nil {
		return err
	}
	return source.Try(ctx, b.Draft.App.Project, func(p *records.Press) error {
		for _, old := range before {
			p.Replay(old.Made)
			if _, err := s.practisePress(ctx, b, old, p); err != nil {
				return &ask.Refusal{Code: "practice-stale", What: "What was practised before does not go through any more.", Then: "Start the practice afresh."}
			}
		}
		p.Replay(nil)
		return then(p)
	})
}

// keepPractised tells what variables hold after a press; in build all of them stand in the place.
func keepPractised(app *plan.App, answer *api.Practised, at place.Place, out press.Outcome) {
	all := base.Merged(at.Vars, out.Vars)
	if len(out.Vars) > 0 {
		answer.Vars = &all
	}
	if out.To == nil || len(all) == 0 {
		return
	}
	tab, _ := app.Keeping(all)
	to := *out.To
	to.Vars = base.Merged(tab, to.Vars)
	answer.Place = &to
}
