package release

import (
	"context"
	"errors"
	"fmt"
	"slices"

	"github.com/gin-gonic/gin"

	"ambergate/api"
	"ambergate/core/ask"
	"ambergate/core/differ"
	"ambergate/core/patch"
	"ambergate/server/answer"
	"ambergate/server/build"
	"ambergate/store"
)

const (
	// historyPage is how many edits are told at once, changesTold how many changes of each: one may make a hundred screens.
	historyPage = 20
	changesTold = 12
	patchTold   = 100 // operations of an edit that are given whole
)

// GetHistory tells edits that were made, newest first, as sentences.
func (s *Side) GetHistory(c *gin.Context, slug string, params api.GetHistoryParams) {
	build.In(s.of, c, slug, func(b *build.Building, _ answer.Nothing) (api.EditHistory, error) {
		out := api.EditHistory{Edits: []api.EditTold{}}
		q := store.HistoryQuery{Project: b.Project, By: answer.Value(params.By), Before: answer.Value(params.Before), Limit: historyPage + 1}
		entity := answer.Value(params.Entity)
		if entity != "" {
			q.Touch = []string{entity}
		}
		wanted, err := s.of.Store.Edits(c, q)
		if err != nil {
			return out, err
		}
		if out.More = len(wanted) > historyPage; out.More {
			wanted = wanted[:historyPage]
		}
		changes, err := s.changesOf(c, b, wanted)
		if err != nil {
			return out, err
		}
		releases, _, err := s.of.Store.Releases(c, b.Project, 0)
		if err != nil {
			return out, err
		}
		for _, e := range wanted {
			out.Edits = append(out.Edits, editTold(e, changes[e.Seq], entity, releases))
		}
		return out, nil
	})
}

// editTold tells an edit; of one entity alone what is different there, where one is asked for.
func editTold(e store.Made, changes []differ.Change, entity string, releases []store.ReleaseInfo) api.EditTold {
	if entity != "" {
		changes = slices.DeleteFunc(changes, func(c differ.Change) bool { return c.Entity != entity })
	}
	if e.Patch == nil || len(e.Patch) > patchTold {
		e.Patch = []patch.Op{}
	}
	told := api.EditTold{Patch: e.Patch, Seq: e.Seq, By: e.Name, Account: e.By, At: e.At, Undoes: answer.OrNil(e.Undoes), Undone: answer.OrNil(e.Undone)}
	if len(changes) > changesTold {
		told.More, changes = len(changes)-changesTold, changes[:changesTold]
	}
	told.Changes = differ.Tell(changes, nil)
	for _, r := range releases { // newest first
		if r.Seq >= e.Seq && r.CopyOf == 0 {
			told.Release = answer.Ptr(r.Number)
		}
	}
	return told
}

// changesOf finds out what some edits changed, newest first: by going back from the draft, of what they touched alone.
func (s *Side) changesOf(ctx context.Context, b *build.Building, wanted []store.Made) (map[int64][]differ.Change, error) {
	out := map[int64][]differ.Change{}
	if len(wanted) == 0 {
		return out, nil
	}
	touched := map[string]bool{}
	var ids []string
	for _, e := range wanted {
		for _, id := range e.Touched {
			if !touched[id] {
				touched[id] = true
				ids = append(ids, id)
			}
		}
	}
	all, err := s.of.Store.Edits(ctx, store.HistoryQuery{Project: b.Project, Touch: ids, After: wanted[len(wanted)-1].Seq - 1})
	if err != nil {
		return nil, err
	}
	back := b.Draft.Back()
	for _, e := range all {
		if e.Seq > b.Draft.Seq {
			continue // made since the draft was read
		}
		inverse := slices.DeleteFunc(slices.Clone(e.Inverse), func(op patch.Op) bool { return !touched[op.Entity()] })
		told := slices.ContainsFunc(wanted, func(w store.Made) bool { return w.Seq == e.Seq })
		var now differ.Side
		if told {
			if now, err = back.Side(e.Touched...); err != nil {
				return nil, fmt.Errorf("tell edit %d: %w", e.Seq, err)
			}
		}
		if !back.Undo(inverse) {
			return nil, fmt.Errorf("edit %d cannot be gone back before", e.Seq)
		}
		if told {
			was, err := back.Side(e.Touched...)
			if err != nil {
				return nil, fmt.Errorf("tell edit %d: %w", e.Seq, err)
			}
			out[e.Seq] = differ.Of(was, now)
		}
	}
	return out, nil
}

// TakeBack takes one edit back, of whomever it was.
func (s *Side) TakeBack(c *gin.Context, slug string, seq int64, params api.TakeBackParams) {
	build.In(s.of, c, slug, func(b *build.Building, _ answer.Nothing) (api.Edited, error) {
		return s.of.Edited(b, func() (store.Applied, error) {
			done, err := s.of.Store.TakeBack(c, store.Edit{Project: b.Project, By: b.Account.ID, Request: answer.Value(params.IdempotencyKey)}, seq)
			var stale *store.StaleEdit
			switch {
			case errors.Is(err, store.ErrNone):
				err = &ask.Refusal{Cause: err, Code: "no-edit", What: "There is no such edit.", Then: "Load the history again."}
			case errors.Is(err, store.ErrNothing):
				err = &ask.Refusal{Cause: err, Code: "taken-back", What: "This was taken back already.", Then: "Load the history again."}
			case errors.As(err, &stale):
				err = &ask.Refusal{Cause: err, Code: "changed-since", What: "What this edit changed was changed since: " + stale.Error() + ".", Then: "Take that back first, or change it by hand."}
			}
			return done, err
		})
	})
}
