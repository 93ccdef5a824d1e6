package use

import (
	"context"
	"errors"
	"slices"

	"github.com/gin-gonic/gin"

	"ambergate/api"
	"ambergate/core/ask"
	"ambergate/core/kinds/element"
	"ambergate/core/use"
	"ambergate/server/answer"
	"ambergate/server/base"
	"ambergate/store"
)

// maxDraft is how many characters of what was typed are kept.
const maxDraft = 950_000

// KeepDraft keeps what was typed on a form and not saved.
func (s *Side) KeepDraft(c *gin.Context, slug string) {
	inUse(s, c, slug, func(v *Visit, req api.DraftRequest) (api.DraftKept, error) { return v.keepDraft(c, req) })
}

func (v *Visit) keepDraft(ctx context.Context, req api.DraftRequest) (api.DraftKept, error) {
	at, err := v.at(ctx, req.Trail, req.N)
	if err != nil {
		return api.DraftKept{}, err
	}
	place, err := layer(at, answer.Value(req.Depth))
	if err != nil {
		return api.DraftKept{}, err
	}
	work := place.Work(v.App.Project)
	if work == "" {
		return api.DraftKept{}, &ask.Refusal{Code: "bad-mode", What: "Nothing can be typed on this screen now.", Then: "Open it to edit."}
	}
	if len(req.Values) == 0 {
		return api.DraftKept{}, v.server.Store.DropFormDraft(ctx, at.Trail, work)
	}
	d := store.FormDraft{ID: base.NewID(), Account: v.account.ID, Project: v.project, Tab: at.Trail, Work: work, Screen: place.Screen, Title: at.Title, Version: answer.Value(req.Version), Base: map[string]string{}, Values: map[string]string{}}
	size := 0
	for field, text := range req.Values {
		if f := v.App.Project.Tables[v.App.Project.Screens[place.Screen].RecordTable()].Fields[field]; f == nil || f.Secret {
			continue
		}
		d.Values[field], d.Base[field] = text, req.Base[field]
		size += len(text) + len(req.Base[field])
	}
	if size > maxDraft {
		return api.DraftKept{}, &ask.Refusal{Code: "too-large", What: "What you typed is too long to be kept.", Then: "Save it, or make it shorter."}
	}
	id, err := v.server.Store.KeepFormDraft(ctx, d, answer.Value(req.Id))
	if errors.Is(err, store.ErrTaken) {
		return api.DraftKept{}, &ask.Refusal{Code: "draft-taken", What: "Another tab of yours has gone on with what you typed here.", Then: "Go on there, or take it back."}
	}
	return api.DraftKept{Id: answer.OrNil(id)}, err
}

// TakeDraft goes on here with what another tab of the same person kept.
func (s *Side) TakeDraft(c *gin.Context, slug string) {
	inUse(s, c, slug, func(v *Visit, req api.TakeRequest) (*api.Shown, error) {
		at, err := v.at(c, req.Trail, req.N)
		if err != nil {
			return nil, err
		}
		err = s.Store.TakeFormDraft(c, req.Id, v.account.ID, at.Trail)
		if err != nil && !errors.Is(err, store.ErrNone) {
			return nil, err
		}
		return v.show(c, at)
	})
}

// ForgetDraft drops what was typed: one starts from what is saved.
func (s *Side) ForgetDraft(c *gin.Context, slug string) {
	inUse(s, c, slug, func(v *Visit, req api.TakeRequest) (*api.Shown, error) {
		at, err := v.at(c, req.Trail, req.N)
		if err != nil {
			return nil, err
		}
		if err := s.Store.ForgetFormDraft(c, req.Id, v.account.ID); err != nil {
			return nil, err
		}
		return v.show(c, at)
	})
}

// findDrafts adds to what is shown what was typed there before and not saved, here or in other tabs.
func (v *Visit) findDrafts(ctx context.Context, at *store.Standing, shown *api.Shown) error {
	works := []string{at.Place.Work(v.App.Project)}
	for i := range answer.Value(shown.Overlays) {
		works = append(works, at.Overlays[i].Place.Work(v.App.Project))
	}
	some := false
	for _, w := range works {
		some = some || w != ""
	}
	if !some {
		return nil
	}
	drafts, err := v.server.Store.FormDraftsOf(ctx, v.account.ID, v.project, works)
	if err != nil {
		return err
	}
	for depth, work := range works {
		view := &shown.View
		if depth > 0 {
			view = &(*shown.Overlays)[depth-1].View
		}
		own, others := v.draftsFor(drafts, work, at.Trail, view)
		if depth == 0 {
			shown.Draft, shown.Others = own, others
		} else {
			(*shown.Overlays)[depth-1].Draft, (*shown.Overlays)[depth-1].Others = own, others
		}
	}
	return nil
}

// draftsFor gives the draft of this tab and those of others, with what the screen lets the user edit now.
func (v *Visit) draftsFor(drafts []store.FormDraft, work, tab string, view *use.View) (own *api.KeptDraft, others *[]api.KeptDraft) {
	editable := map[string]string{}
	for _, e := range slices.Concat(view.Elements, view.Aside) { // what was typed in another tab or step is kept too
		if f, ok := e.View.(*element.FieldView); ok && f.Editable {
			editable[f.Path] = f.Value
		}
	}
	var rest []api.KeptDraft
	for _, d := range drafts {
		if d.Work != work || work == "" {
			continue
		}
		kept := api.KeptDraft{Id: d.ID, At: d.At, Version: d.Version, Base: map[string]string{}, Values: map[string]string{}}
		for field, text := range d.Values {
			if now, ok := editable[field]; ok && text != now {
				kept.Values[field], kept.Base[field] = text, d.Base[field]
			}
		}
		switch {
		case len(kept.Values) == 0: // all of it was saved, or is not the user's to see any more
		case d.Tab == tab:
			own = &kept
		default:
			rest = append(rest, kept)
		}
	}
	if len(rest) > 0 {
		others = &rest
	}
	return own, others
}
