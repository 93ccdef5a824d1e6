package recorded

import (
	"context"
	"fmt"
	"log/slog"
	"maps"
	"slices"
	"time"

	"ambergate/core/ask"
	"ambergate/core/plan"
	"ambergate/core/use"
	"ambergate/plant"
	"ambergate/server/base"
	"ambergate/store"
)

// How often samples are put into the store, how often it is looked what is to be kept, of how many records at most.
const (
	keptEvery = 5 * time.Second
	looks     = 4 // times that as long
	mostRows  = 500
)

// Keeper keeps the samples of all released applications. One goroutine alone calls it.
type Keeper struct {
	base    *base.Base
	log     *slog.Logger
	planned map[string]planned // by project
	series  map[series]*kept
}

type planned struct {
	release  int
	app      *plan.App
	recorded []*plan.Recorded
}

type series struct{ plant, node string }

type kept struct {
	client *plant.Client
	until  int64 // what was put into the store, Unix milliseconds
}

// New makes a keeper that keeps nothing yet.
func New(b *base.Base) *Keeper {
	return &Keeper{base: b, log: b.Log, planned: map[string]planned{}, series: map[series]*kept{}}
}

// Keep keeps until the context ends, and then what came since the last time.
func (k *Keeper) Keep(ctx context.Context) {
	tick := time.NewTicker(keptEvery)
	defer tick.Stop()
	for i := 0; ; i++ {
		k.Once(ctx, i%looks == 0)
		select {
		case <-ctx.Done():
			last, cancel := context.WithTimeout(context.WithoutCancel(ctx), keptEvery)
			defer cancel()
			k.Once(last, false)
			return
		case <-tick.C:
		}
	}
}

// Once puts what is new into the store; look says that it is looked for what is to be kept, too.
func (k *Keeper) Once(ctx context.Context, look bool) {
	defer base.Recovered(k.log, "keep what trends show")
	if look {
		if err := k.look(ctx); err != nil && ctx.Err() == nil {
			k.log.Warn("it is not known what trends show", "error", err)
		}
	}
	if !k.base.Fleet.Leads() {
		k.pass()
		return
	}
	if err := k.save(ctx); err != nil && ctx.Err() == nil {
		k.log.Warn("what trends show is not kept", "error", err)
	}
}

// look finds the nodes that are shown over time, lets them be watched, and reads what an earlier run kept of new ones.
func (k *Keeper) look(ctx context.Context) error {
	all, err := k.base.Store.Projects(ctx)
	if err != nil {
		return err
	}
	next := map[series]*kept{}
	for _, info := range all {
		if info.Released == 0 {
			continue
		}
		p, err := k.plan(ctx, info.ID, info.Released)
		if err == nil {
			err = k.find(ctx, p, next)
		}
		if err != nil {
			return fmt.Errorf("of %s: %w", info.ID, err)
		}
	}
	k.series = next
	return nil
}

func (k *Keeper) plan(ctx context.Context, project string, released int) (planned, error) {
	if p := k.planned[project]; p.release == released {
		return p, nil
	}
	app, release, err := k.base.Apps.Released(ctx, project)
	if err != nil {
		return planned{}, err
	}
	p := planned{release, app, plan.RecordedOf(app)}
	k.planned[project] = p
	return p, nil
}

func (k *Keeper) find(ctx context.Context, p planned, into map[series]*kept) error {
	tags := base.Tags{Base: k.base, Project: p.app.Project}
	var refs []ask.TagRef
	for _, r := range p.recorded {
		rows, err := k.rowsOf(ctx, p.app, r)
		if err != nil {
			return err
		}
		for _, row := range rows {
			world := use.Alone(p.app, row, nil, time.Now())
			for _, path := range r.Paths {
				if ref, _, ok := world.RefAndTag(path); ok {
					refs = append(refs, ref)
				}
			}
		}
	}
	tags.Watch(ctx, refs)
	for _, ref := range refs {
		client := tags.Plant(ref.Source)
		if client == nil {
			continue
		}
		key := series{p.app.Project.Sources[ref.Source].Connection, ref.Node}
		if into[key] != nil {
			continue
		}
		if old := k.series[key]; old != nil && old.client == client {
			into[key] = old
			continue
		}
		until, err := k.seed(ctx, client, key)
		if err != nil {
			return err
		}
		into[key] = &kept{client, until}
	}
	return nil
}

func (k *Keeper) rowsOf(ctx context.Context, app *plan.App, r *plan.Recorded) ([]*ask.Row, error) {
	if r.Table == "" {
		return []*ask.Row{nil}, nil
	}
	t := app.Project.Tables[r.Table]
	if t == nil {
		return nil, nil
	}
	page, err := k.base.Reader(app).Fetch(ctx, ask.Query{Table: t, Paths: slices.Sorted(maps.Keys(r.Reads)), Limit: mostRows, Rights: ask.EveryRow})
	if err != nil {
		return nil, fmt.Errorf("read the records of trends: %w", err)
	}
	return page.Rows, nil
}

// seed lets a client know what an earlier run kept, and says until when that is.
func (k *Keeper) seed(ctx context.Context, client *plant.Client, key series) (until int64, err error) {
	was, err := k.base.Store.SamplesOf(ctx, key.plant, key.node, k.base.Now().Add(-store.SamplesKept))
	if err != nil {
		return 0, err
	}
	earlier := make([]plant.Sample, len(was.At))
	for i := range was.At {
		earlier[i] = plant.Sample{At: was.At[i], Value: was.Values[i]}
		until = was.At[i]
	}
	client.Seed(key.node, earlier)
	return until, nil
}

// pass leaves keeping to the server that leads, but for the last moments: those it may not have kept when this one leads.
func (k *Keeper) pass() {
	before := k.base.Now().Add(-3 * keptEvery).UnixMilli()
	for _, s := range k.series {
		s.until = max(s.until, before)
	}
}

func (k *Keeper) save(ctx context.Context) error {
	var all []store.Samples
	for key, s := range k.series {
		one := store.Samples{Plant: key.plant, Node: key.node}
		for _, sample := range s.client.Since(key.node, s.until) {
			one.At, one.Values = append(one.At, sample.At), append(one.Values, sample.Value)
		}
		if len(one.At) > 0 {
			all = append(all, one)
		}
	}
	if len(all) == 0 {
		return nil
	}
	if err := k.base.Store.KeepSamples(ctx, all, k.base.Now()); err != nil {
		return err
	}
	for _, one := range all {
		k.series[series{one.Plant, one.Node}].until = one.At[len(one.At)-1]
	}
	return nil
}
