package called

import (
	"context"

	"ambergate/core/ask"
	"ambergate/plant"
	"ambergate/server/base"
)

// followed gives live values as the plant told of them, one change after the other: what was so for a moment counts,
// though it is not so any more.
type followed struct {
	base.Tags
	signals   chan struct{}
	followers map[*plant.Client]*plant.Follower
	held      map[*plant.Client]map[string]ask.Reading // the changes that were taken so far
	waiting   map[*plant.Client][]plant.Change
}

// follow begins to follow values; stop ends it.
func follow(ctx context.Context, tags base.Tags, refs []ask.TagRef) (f *followed, stop func()) {
	f = &followed{Tags: tags, signals: make(chan struct{}, 1), followers: map[*plant.Client]*plant.Follower{}, held: map[*plant.Client]map[string]ask.Reading{}, waiting: map[*plant.Client][]plant.Change{}}
	ctx, cancel := context.WithCancel(ctx)
	for p, names := range tags.Watch(ctx, refs) {
		one := p.Follow(names)
		f.followers[p], f.held[p] = one, map[string]ask.Reading{}
		go func() {
			for {
				select {
				case <-ctx.Done():
					return
				case <-one.C:
					select {
					case f.signals <- struct{}{}:
					default:
					}
				}
			}
		}()
	}
	return f, func() {
		cancel()
		for _, one := range f.followers {
			one.Close()
		}
	}
}

// next takes one more change; false when there is none.
func (f *followed) next() bool {
	for p, one := range f.followers {
		if len(f.waiting[p]) == 0 {
			f.waiting[p] = one.Next()
		}
		if all := f.waiting[p]; len(all) > 0 {
			f.held[p][all[0].Node], f.waiting[p] = all[0].Reading, all[1:]
			return true
		}
	}
	return false
}

// Read gives the value as of the change that was taken last; unknown while the plant does not answer. It implements
// ask.Tags.
func (f *followed) Read(ref ask.TagRef) ask.Reading {
	p := f.Plant(ref.Source)
	if p == nil || !p.Good() {
		return f.Tags.Read(ref)
	}
	if held, ok := f.held[p][ref.Node]; ok {
		return held
	}
	return f.Tags.Read(ref)
}
