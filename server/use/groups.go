package use

import (
	"bytes"
	"context"
	"encoding/json"
	"hash/maphash"
	"maps"
	"slices"
	"sync"
	"time"

	"ambergate/core/ask"
	"ambergate/core/cond"
	"ambergate/core/use"
	"ambergate/plant"
	"ambergate/server/base"
)

// groups lets places that look the same be worked out once, however many look at them: the same screen of the same
// release at the same place, in view mode, for people whose roles, and nothing else of them, count there.
type groups struct {
	mu  sync.Mutex
	all map[string]*group
}

// group is places that look the same. One goroutine works out how they are, as long as anybody looks.
type group struct {
	members int // under the lock of all groups
	plants  map[*plant.Client][]string
	signals chan struct{}
	stop    func()

	mu      sync.Mutex
	opening *use.Opening
	now     *worked // nil: not worked out yet
	tell    map[chan struct{}]bool
}

// worked is how a place is at one moment. It is never changed.
type worked struct {
	elements []encoded
	sums     map[string]uint64 // the number of each element, by id
	refused  error             // the guard does not hold any more
}

// encoded is an element as it is sent, with a number by which a change of it is seen: thousands of streams that kept
// what they sent would keep much.
type encoded struct {
	id   string
	sum  uint64
	text json.RawMessage
}

func newGroups() *groups { return &groups{all: map[string]*group{}} }

// join lets somebody look at an opened place. What is new in it counts for all who look at the same. The channel holds
// one signal whenever it was worked out again.
func (gs *groups) join(ctx context.Context, v *Visit, o *use.Opening) (g *group, signals chan struct{}, leave func()) {
	key, refs := gs.keyOf(v, o), o.TagRefs()
	plants := v.tags().Watch(ctx, refs)
	signals = make(chan struct{}, 1)
	gs.mu.Lock()
	g = gs.all[key]
	if g == nil || !g.takes(o, refs) {
		g = gs.begin(ctx, key, o, plants)
	}
	g.members++
	gs.mu.Unlock()
	g.mu.Lock()
	g.tell[signals] = true
	g.mu.Unlock()
	signal(g.signals) // how it is now is not known to who came
	return g, signals, func() {
		g.mu.Lock()
		delete(g.tell, signals)
		g.mu.Unlock()
		gs.mu.Lock()
		g.members--
		last := g.members == 0
		if last && gs.all[key] == g {
			delete(gs.all, key)
		}
		gs.mu.Unlock()
		if last {
			g.stop()
		}
	}
}

// takes replaces what a group works with by what was read later, where that hangs on the same live values.
func (g *group) takes(o *use.Opening, refs []ask.TagRef) bool {
	g.mu.Lock()
	defer g.mu.Unlock()
	if !slices.Equal(g.opening.TagRefs(), refs) {
		return false
	}
	g.opening = o
	return true
}

func (gs *groups) begin(ctx context.Context, key string, o *use.Opening, plants map[*plant.Client][]string) *group {
	g := &group{opening: o, plants: plants, signals: make(chan struct{}, 1), tell: map[chan struct{}]bool{}}
	running, cancel := context.WithCancel(context.WithoutCancel(ctx))
	unlisten := base.Listen(running, g.plants, g.signals)
	over := make(chan struct{})
	go func() {
		defer close(over)
		g.run(running)
	}()
	g.stop = func() { cancel(); unlisten(); <-over }
	gs.all[key] = g
	return g
}

// keyOf names what counts for how a place looks. Where anything of the user themselves does, or something is typed,
// they look at it alone.
func (gs *groups) keyOf(v *Visit, o *use.Opening) string {
	for _, table := range v.App.Ruled {
		o.Rights.On(table) // what is asked of a table later on counts too
	}
	var out cond.Spelling
	out.Text(v.project)
	out.Number(v.release)
	own := o.Plan.AsksUser || o.At.Mode != "view" || len(v.typed) > 0
	if out.Is(own); own {
		for _, one := range []string{v.token, v.user.ID, v.user.Name, v.user.Login, v.user.Record} {
			out.Text(one)
		}
	}
	out.Number(len(v.user.Roles))
	for _, role := range slices.Sorted(maps.Keys(v.user.Roles)) {
		out.Text(role)
	}
	out.Text(o.Rights.RowsKey())
	d := v.user.Display
	if out.Is(d != nil); d != nil {
		out.Is(d.Leaves)
		out.Is(d.Files)
		out.Is(d.Prints)
	}
	o.At.Spell(&out)
	out.Texts(v.vars)
	return string(out)
}

// run works out how the place is whenever something changed, with a rest in between.
func (g *group) run(ctx context.Context) {
	for {
		select {
		case <-ctx.Done():
			return
		case <-g.signals:
		}
		g.work()
		select {
		case <-ctx.Done():
			return
		case <-time.After(base.ResolveEvery):
		}
	}
}

func (g *group) work() {
	g.mu.Lock()
	o := g.opening
	g.mu.Unlock()
	now := &worked{refused: o.StillOpen()}
	if now.refused == nil {
		now.elements = encode(o.View())
		now.sums = sums(now.elements)
	}
	g.mu.Lock()
	defer g.mu.Unlock()
	g.now = now
	for c := range g.tell {
		signal(c)
	}
}

// state gives how the place is; nil when that was not worked out yet.
func (g *group) state() *worked {
	g.mu.Lock()
	defer g.mu.Unlock()
	return g.now
}

func signal(c chan struct{}) {
	select {
	case c <- struct{}{}:
	default:
	}
}

var elementSeed = maphash.MakeSeed()

func encode(v *use.View) []encoded {
	var text bytes.Buffer
	into := json.NewEncoder(&text)
	ends := make([]int, len(v.Elements))
	for i, e := range v.Elements {
		if err := into.Encode(e); err != nil {
			panic("an element does not encode: " + err.Error())
		}
		ends[i] = text.Len()
	}
	out := make([]encoded, len(v.Elements))
	begin := 0
	for i, e := range v.Elements {
		one := text.Bytes()[begin : ends[i]-1] // without the line's end
		out[i], begin = encoded{e.ID, maphash.Bytes(elementSeed, one), one}, ends[i]
	}
	return out
}

// sums gives the number of each element.
func sums(elements []encoded) map[string]uint64 {
	out := make(map[string]uint64, len(elements))
	for _, e := range elements {
		out[e.id] = e.sum
	}
	return out
}
