package build

import (
	"context"

	"ambergate/core/ask"
	"ambergate/core/plan"
	"ambergate/core/use"
	"ambergate/core/words"
)

// margin is an open screen between the ways into it and out of it. Records that are written into
// ways by their keys are called by their titles, once these are there.
type margin struct {
	*use.Opening
	called *words.Called // nil: they stand by their keys
}

// Ways gives the ways out of an open screen, for the walked user, in the order of the grid. Records
// that are written into them by key stand by their keys.
func Ways(o *use.Opening) []WayOut { return margin{Opening: o}.ways() }

// WaysCalled gives the ways out like Ways; records that are written into them by key are called by
// their titles, as far as the user may view them.
func WaysCalled(ctx context.Context, o *use.Opening, src use.Sources) []WayOut {
	m := margin{o, &words.Called{Titles: map[words.Ref]string{}, Others: o.Others}}
	ways := m.ways()
	if m.called.Fetch(func(ref words.Ref) string { return o.TitleOf(ctx, src, ref.Table, ref.Key) }) {
		return m.ways()
	}
	return ways
}

// WaysInCalled gives the ways that lead to a screen, as WaysIn does, with such titles.
func WaysInCalled(ctx context.Context, a *plan.App, user *ask.User, src use.Sources, screen string) []WayIn {
	titles := &words.Called{Titles: map[words.Ref]string{}}
	ways := waysIn(a, screen, user.Roles, titles)
	again := titles.Fetch(func(ref words.Ref) string {
		found, err := use.Titles(ctx, a, user, src.Records, src.Now, use.TitleQuery{Table: ref.Table, Key: ref.Key, Limit: 1})
		if err != nil || len(found) == 0 {
			return ref.Key // not to be seen: it stands by its key
		}
		return found[0].Title
	})
	if again {
		return waysIn(a, screen, user.Roles, titles)
	}
	return ways
}
