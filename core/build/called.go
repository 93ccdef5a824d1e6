package build

import (
	"context"

	"ambergate/core/ask"
	"ambergate/core/plan"
	"ambergate/core/use"
	"ambergate/core/words"
)

// WaysCalled gives the ways out like Ways; records that are written into them by key are called by
// their titles, as far as the user may view them.
func WaysCalled(ctx context.Context, o *use.Opening, src use.Sources) []WayOut {
	o.Called = &words.Called{Titles: map[words.Ref]string{}}
	ways := Ways(o)
	if o.Called.Fetch(func(ref words.Ref) string { return o.TitleOf(ctx, src, ref.Table, ref.Key) }) {
		return Ways(o)
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
